'use server';
/** Reports: the sections a staff prints and the words of the first page; views by name. */
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { BOARD_SIDES } from '@/core/read';
import { reportWordsSchema, sectionsSchema, viewSchema } from '@/core/read/schema';
import { clock } from '@/app/lib/session';
import { setTemplate, setView } from '@/store/programs';
import { setReportWords } from '@/store/reports';

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

const named = action(
  'view.save',
  z.object({ name: viewSchema.shape.name, query: viewSchema.shape.query.nullable() }),
  async (actor, { name, query }) => {
    await setView(actor, name, query);
    revalidatePath('/read');
  },
);
/** Null when it was saved, or taken away, else why not. */
export async function saveView(given: unknown): Promise<string | null> {
  const done = await named(given);
  return done.ok ? null : done.words;
}

const worded = action('report.words', reportWordsSchema, async (actor, { team, side, edits, version }) => {
  const next = await setReportWords(actor, { team, side }, edits, version, clock());
  revalidatePath('/read/report');
  return next;
});
/** The version they have then. */
export const saveWords = async (given: unknown) => worded(given);
