/** What each member knows of the looks he drills. His own; nobody else reads it. */
import 'server-only';
import { addConfused, gradeOf, learn, NEW_CARD, type Marked } from '../core/drill';
import type { Actor, Confused } from '../core/exchange/types';
import { permit } from './access';
import { DrillCard } from './entities';
import { openEm } from './orm';

export interface DrillCardRow {
  readonly look: string;
  readonly due: number;
  readonly asked: number;
  readonly missed: number;
  readonly confused: Confused;
}

export async function drillCards(actor: Actor): Promise<DrillCardRow[]> {
  permit(actor, 'game.read');
  const cards = await (await openEm()).find(DrillCard, { program: actor.programId, member: actor.memberId });
  return cards
    .map((c) => ({
      look: c.look,
      due: c.due.getTime(),
      asked: c.asked,
      missed: c.missed,
      confused: c.confused,
    }))
    .sort((a, b) => a.look.localeCompare(b.look));
}

const DAY = 86_400_000;

/** An answer to a look: schedules it again by `core/drill`. */
export async function answerLook(
  actor: Actor,
  answer: { readonly look: string; readonly marks: readonly Marked[]; readonly seconds: number },
  now: Date,
): Promise<{ readonly days: number }> {
  permit(actor, 'game.read');
  return (await openEm()).transactional(async (tx) => {
    const where = { program: actor.programId, member: actor.memberId, look: answer.look };
    await tx.execute('select pg_advisory_xact_lock(hashtext(?))', [`${actor.memberId} ${answer.look}`]);
    const card = await tx.findOne(DrillCard, where);
    const right = answer.marks.filter((m) => m.right).length;
    const next = learn(card ?? NEW_CARD, gradeOf(right, answer.marks.length, answer.seconds));
    const fields = {
      ...next,
      due: new Date(now.getTime() + next.days * DAY),
      asked: (card?.asked ?? 0) + 1,
      missed: (card?.missed ?? 0) + (right === answer.marks.length ? 0 : 1),
      confused: addConfused(card?.confused ?? {}, answer.marks),
    };
    if (card) Object.assign(card, fields);
    else tx.create(DrillCard, { ...where, ...fields });
    await tx.flush();
    return { days: next.days };
  });
}
