'use server';
/** The staff's week of practice. */
import { revalidatePath } from 'next/cache';
import { action } from '@/app/lib/action';
import { practiceSchema } from '@/core/plan/schema';
import { setPractice } from '@/store/programs';

const kept = action('sheet.draft', practiceSchema, setPractice);

/** The reason where it cannot be saved. */
export async function savePractice(settings: unknown): Promise<string | null> {
  const done = await kept(settings);
  if (!done.ok) return done.words;
  revalidatePath('/rep', 'layout');
  return null;
}
