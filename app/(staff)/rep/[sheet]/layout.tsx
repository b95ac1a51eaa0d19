import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { requireActor } from '@/app/lib/session';
import { may } from '@/core/staff';
import { NotFound } from '@/store/errors';
import { loadSheet } from '@/store/plans';

/** Asked before the skeleton is sent: an address of no sheet answers 404. */
export default async function SheetLayout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ sheet: string }>;
}) {
  const actor = await requireActor();
  if (may(actor.roles, 'sheet.read'))
    await loadSheet(actor, (await params).sheet).catch((error: unknown) => {
      if (error instanceof NotFound) notFound();
      throw error;
    });
  return children;
}
