import 'server-only';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { may, PERMISSIONS, type Action } from '@/core/staff';
import { Refused } from '@/store/errors';
import type { Actor } from '@/core/exchange/types';
import { requireActor } from './session';

/** A page for members with a permission: it says who could see it, instead of failing, to one whose roles are not enough. */
export const pageFor =
  <P,>(action: Action, page: (actor: Actor, props: P) => Promise<ReactNode>) =>
  async (props: P): Promise<ReactNode> => {
    const actor = await requireActor();
    try {
      if (!may(actor.roles, action)) throw new Refused(PERMISSIONS[action].what, PERMISSIONS[action].roles);
      return await page(actor, props);
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      return (
        <section className="card flag">
          <h1>Not for your roles</h1>
          <p>
            {error.message.charAt(0).toUpperCase()}
            {error.message.slice(1)}. An admin gives roles under Staff. <Link href="/">To the week</Link>
          </p>
        </section>
      );
    }
  };
