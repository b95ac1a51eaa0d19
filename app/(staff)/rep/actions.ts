'use server';
/** The staff's week of practice. */
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { practiceSchema } from '@/core/plan/schema';
import { setPractice } from '@/store/programs';

const kept = action(
  'sheet.draft',
  z.object({ week: practiceSchema, before: practiceSchema }),
  async (actor, { week, before }) => setPractice(actor, week, before),
);

/** The reason where it cannot be saved. */
export async function savePractice(week: unknown, before: unknown): Promise<string | null> {
  const done = await kept({ week, before });
  if (!done.ok) return done.words;
  revalidatePath('/rep', 'layout');
  return null;
}
