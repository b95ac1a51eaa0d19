import 'server-only';
import Link from 'next/link';
import type { ReactNode } from 'react';
import { Refused } from '@/store/errors';

/** A page that says who could see it, instead of failing, to a member whose roles are not enough. */
export const refusable = <P,>(page: (props: P) => Promise<ReactNode>) => async (props: P): Promise<ReactNode> => {
  try {
    return await page(props);
  } catch (error) {
    if (!(error instanceof Refused)) throw error;
    return <section className="card flag"><h1>Not for your roles</h1><p>{error.message.charAt(0).toUpperCase()}{error.message.slice(1)}. A keeper gives roles under Staff. <Link href="/">To the week</Link></p></section>;
  }
};
