'use server';
/** Call sheets: started and copied. Their calls, names and locks are rows and travel as operations. */
import { randomUUID } from 'node:crypto';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { clock } from '@/app/lib/session';
import { MOST_SECTIONS, SHEET_SIDES } from '@/core/plan';
import { sectionsSchema } from '@/core/plan/schema';
import { sheetScope } from '@/core/sync';
import { Invalid } from '@/store/errors';
import { copySheet } from '@/store/plans';
import { programOf, setSections } from '@/store/programs';
import { epochOf, synchronize } from '@/store/sync';

const started = action(
  'sheet.create',
  z.object({
    name: z.string().max(120, 'A name has up to 120 characters.').default(''),
    opponent: z.string().min(1, 'Choose the opponent.').max(12),
    side: z.enum(SHEET_SIDES).default('offense'),
  }),
  async (actor, typed) => {
    const key = randomUUID();
    const { settings } = await programOf(actor);
    const template = typed.side === 'offense' ? sectionsSchema.safeParse(settings.sections).data : undefined;
    const { answers } = await synchronize(
      actor,
      sheetScope(key),
      [
        {
          id: randomUUID(),
          kind: 'sheet',
          row: key,
          epoch: await epochOf(),
          do: 'put',
          fields: {
            name: typed.name.trim() || `At ${typed.opponent}`,
            opponent: typed.opponent,
            side: typed.side,
            sections: template ?? null,
          },
          after: null,
        },
      ],
      clock(),
    );
    if (answers[0]?.status === 'refused') throw new Invalid(answers[0].reason.replace(/\.$/, ''));
    return key;
  },
);

export async function startSheet(_: string | null, form: FormData): Promise<string | null> {
  const done = await started(form);
  if (!done.ok) return done.words;
  redirect(`/plan/${done.value}`);
}

const kept = action('sheet.draft', z.array(z.unknown()).max(MOST_SECTIONS), async (actor, sections) =>
  setSections(actor, sections),
);

/** New sheets begin with these sections; the reason where they cannot be saved. */
export async function saveSections(sections: readonly unknown[]): Promise<string | null> {
  const done = await kept(sections);
  return done.ok ? null : done.words;
}

const copied = action('sheet.copy', z.string().min(1).max(120), async (actor, key) =>
  copySheet(actor, key, clock()),
);

/** Leads to the copy, or says why there is none. */
export async function copyOf(key: string): Promise<string> {
  const done = await copied(key);
  if (!done.ok) return done.words;
  redirect(`/plan/${done.value}`);
}
