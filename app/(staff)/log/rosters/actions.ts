'use server';
/** Rosters: players added, changed, merged; numbers and letters of a game. */
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { clock } from '@/app/lib/session';
import { AVAILABILITIES, AVAILABILITY_SOURCES, WEARING_UNITS } from '@/core/roster';
import { sayAvailability as says } from '@/store/availability';
import { addToRoster, changeEntry, mergePlayers, removeEntry } from '@/store/rosters';
import { setLetters, setWorn } from '@/store/worn';

const plain = (most: number) =>
  z
    .string()
    .trim()
    .max(most, `Up to ${most} characters.`)
    .refine((t) => !/[\p{Cc}\p{Cs}]/u.test(t), 'It holds a control character; type it again.')
    .transform((t) => (t === '' ? null : t))
    .nullable();
const number = z.string().regex(/^\d{1,2}$/, 'A number has one or two digits.');
const line = z.object({
  number,
  name: plain(120),
  letters: plain(20),
  class: plain(20),
  height: z.number().int().min(48, 'Heights are 4-0 to 8-0.').max(96, 'Heights are 4-0 to 8-0.').nullable(),
  weight: z.number().int().min(60, 'Weights are 60 to 500.').max(500, 'Weights are 60 to 500.').nullable(),
  depth: z.number().int().min(1, 'Depth is 1 to 20.').max(20, 'Depth is 1 to 20.').nullable(),
});
const team = z.string().min(1).max(12);
const game = z.string().min(1).max(200);
const change = z.discriminatedUnion('op', [
  z.object({ op: z.literal('add'), team, lines: z.array(line).min(1, 'There is nobody to add.').max(300) }),
  z.object({ op: z.literal('change'), id: z.uuid(), line }),
  z.object({ op: z.literal('remove'), id: z.uuid() }),
  z.object({ op: z.literal('merge'), keep: z.string().max(80), drop: z.string().max(80) }),
  z.object({
    op: z.literal('worn'),
    game,
    team,
    unit: z.enum(WEARING_UNITS),
    number,
    player: z.string().max(80).nullable(),
  }),
  z.object({
    op: z.literal('letters'),
    game,
    team,
    letters: z
      .record(z.string().regex(/^[A-Z$]{1,3}$/, 'A letter of the book.'), number)
      .refine((r) => Object.keys(r).length <= 30, 'Up to 30 letters.'),
  }),
]);

const changed = action('roster.change', change, async (actor, typed) => {
  let words = '';
  if (typed.op === 'add') {
    const { added, changed } = await addToRoster(actor, typed.team, typed.lines);
    words = `${added} added, ${changed} changed`;
  } else if (typed.op === 'change') await changeEntry(actor, typed.id, typed.line);
  else if (typed.op === 'remove') await removeEntry(actor, typed.id);
  else if (typed.op === 'merge') await mergePlayers(actor, typed.keep, typed.drop, clock());
  else if (typed.op === 'worn') await setWorn(actor, typed, typed.player);
  else await setLetters(actor, typed.game, typed.team, typed.letters);
  revalidatePath('/log/rosters');
  return words;
});

export async function changeRoster(what: unknown): Promise<{ readonly ok: boolean; readonly words: string }> {
  const done = await changed(what);
  return done.ok ? { ok: true, words: done.value } : done;
}

const state = z.enum(AVAILABILITIES);
const availability = z.object({
  week: z.number().int().min(0).max(60),
  player: z.string().min(1, 'Choose a player.').max(80),
  to: z.object({ state, source: z.enum(AVAILABILITY_SOURCES) }).nullable(),
  before: state.nullable(),
});
const said = action('availability.change', availability, async (actor, { week, player, to, before }) => {
  await says(actor, week, player, to, before, clock());
  revalidatePath('/log/rosters');
  return '';
});

export async function sayAvailability(
  what: unknown,
): Promise<{ readonly ok: boolean; readonly words: string }> {
  const done = await said(what);
  return done.ok ? { ok: true, words: done.value } : done;
}
