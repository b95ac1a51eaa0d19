import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { requireActor } from '@/app/lib/session';
import { may } from '@/core/staff';
import { NotFound } from '@/store/errors';
import { findGame } from '@/store/games';

/** Asked before the skeleton is sent: an address of no game answers 404. */
export default async function GameLayout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ game: string }>;
}) {
  const actor = await requireActor();
  if (may(actor.roles, 'game.read'))
    await findGame(actor, decodeURIComponent((await params).game)).catch((error: unknown) => {
      if (error instanceof NotFound) notFound();
      throw error;
    });
  return children;
}
