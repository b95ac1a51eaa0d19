'use server';
/** Call sheets: started and copied. Their calls, names and locks are rows and travel as operations. */
import { randomUUID } from 'node:crypto';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { solveMix } from '@/app/lib/solve-mix';
import { clock } from '@/app/lib/session';
import {
  heftsOf,
  MOST_SECTIONS,
  notesOf,
  numberSheet,
  SECTIONS,
  SHEET_SIDES,
  type EarlierSheet,
  type TeamHeft,
} from '@/core/plan';
import { sectionsSchema, staffPrintsSchema } from '@/core/plan/schema';
import { sheetScope } from '@/core/sync';
import { Invalid } from '@/store/errors';
import type { SheetVersionInfo } from '@/core/exchange/types';
import { copySheet, listSheets, loadSheet } from '@/store/plans';
import { listVersions, restoreVersion, saveVersion } from '@/store/sheet-versions';
import { programOf, setSections } from '@/store/programs';
import { weighedRosters } from '@/store/rosters';
import { setStaffPrints } from '@/store/staff-prints';
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

const solved = action(
  'sheet.read',
  z
    .array(z.array(z.number().min(0).max(1)).min(1).max(20))
    .min(1)
    .max(60)
    .refine((rows) => rows.every((row) => row.length === rows[0]!.length), 'Every call meets every look.'),
  async (_, payoff) => solveMix(payoff),
);

/** The mix of calls, by their success against each look, that is sure of the most; or why there is none. */
export async function mixOf(payoff: readonly (readonly number[])[]): Promise<readonly number[] | string> {
  const done = await solved(payoff);
  return done.ok ? done.value : done.words;
}

const weighed = action('roster.read', z.null(), async (actor) =>
  (await weighedRosters(actor)).map(({ team, roster }) => heftsOf(team, roster)),
);

/** How heavy the lines of all teams are; or why it cannot be read. */
export async function weighTeams(): Promise<readonly TeamHeft[] | string> {
  const done = await weighed(null);
  return done.ok ? done.value : done.words;
}

const saved = action(
  'sheet.draft',
  z.object({ key: z.string().min(1).max(120), name: z.string().max(80) }),
  async (actor, { key, name }) => saveVersion(actor, key, name, clock()),
);

/** The version's number, or why there is none. */
export async function keepVersion(key: string, name: string): Promise<number | string> {
  const done = await saved({ key, name });
  return done.ok ? done.value : done.words;
}

const listed = action('sheet.read', z.string().min(1).max(120), listVersions);
/** The latest first, or why they cannot be read. */
export async function versionsOf(key: string): Promise<readonly SheetVersionInfo[] | string> {
  const done = await listed(key);
  return done.ok ? done.value : done.words;
}

const restored = action(
  'sheet.draft',
  z.object({ key: z.string().min(1).max(120), number: z.int().min(1) }),
  async (actor, { key, number }) => restoreVersion(actor, key, number, clock()),
);
/** The version that what stood was saved as, and calls left out; or why nothing changed. */
export async function bringVersion(
  key: string,
  number: number,
): Promise<{ readonly kept: number; readonly left: number } | string> {
  const done = await restored({ key, number });
  return done.ok ? done.value : done.words;
}

/** So many earlier sheets are offered, the latest first. */
const MOST_EARLIER = 8;
const earlier = action('sheet.read', z.string().min(1).max(120), async (actor, key) => {
  const sheets = (await listSheets(actor)).filter((s) => s.side === 'offense' && s.key !== key);
  return Promise.all(
    sheets
      .slice(-MOST_EARLIER)
      .reverse()
      .map(async ({ key: one, name, opponent }): Promise<EarlierSheet> => {
        const { list, sections } = await loadSheet(actor, one);
        const its = sections ?? SECTIONS;
        const calls = numberSheet(list, its).flatMap(({ section, calls: of }) =>
          of.map((call) => ({
            section: section.key,
            label: section.label,
            play: call.play.id,
            notes: notesOf(call),
          })),
        );
        return { key: one, name, opponent, sections: its, calls };
      }),
  );
});
/** Other sheets of the offense with their calls, or why they cannot be read. */
export async function earlierOf(key: string): Promise<readonly EarlierSheet[] | string> {
  const done = await earlier(key);
  return done.ok ? done.value : done.words;
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

const printsKept = action(
  'sheet.draft',
  z.object({ figures: staffPrintsSchema, before: staffPrintsSchema }),
  async (actor, { figures, before }) => setStaffPrints(actor, figures, before),
);

/** Figures that the staff's prints begin with; the reason where they cannot be saved. */
export async function savePrints(figures: unknown, before: unknown): Promise<string | null> {
  const done = await printsKept({ figures, before });
  return done.ok ? null : done.words;
}
