'use server';
/** Reports: the sections a staff prints. */
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { BOARD_SIDES } from '@/core/read';
import { sectionsSchema } from '@/core/read/schema';
import { setTemplate } from '@/store/programs';

const kept = action(
  'report.template',
  z.object({ side: z.enum(BOARD_SIDES), sections: sectionsSchema.nullable() }),
  async (actor, { side, sections }) => {
    await setTemplate(actor, side, sections);
    revalidatePath('/read/report');
  },
);
/** Null when it was saved, else why not. */
export async function saveSections(given: unknown): Promise<string | null> {
  const done = await kept(given);
  return done.ok ? null : done.words;
}
