/** What a staff keeps of its reports: the words of the first page, and the figures of what was printed. */
import 'server-only';
import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import type { PrintedFigures } from '../core/read/printed';
import { NO_EDITS, type KeptWords, type SentenceEdits, type WordsOf } from '../core/read/sentences';
import type { Actor } from '../core/exchange/types';
import { permit } from './access';
import { ReportPrint, ReportWords } from './entities-read';
import { Invalid } from './errors';
import { openEm } from './orm';

/** Prints kept of a team's report on one side, at most; the oldest goes first. */
const MOST_PRINTS = 12;

export async function reportWords(actor: Actor, { team, side }: WordsOf): Promise<KeptWords> {
  permit(actor, 'game.read');
  const kept = await (await openEm()).findOne(ReportWords, { program: actor.programId, team, side });
  return kept ? { edits: kept.edits, version: kept.version } : { edits: NO_EDITS, version: 0 };
}

/** The version they have then; refused where somebody else changed them since they were read. */
export async function setReportWords(
  actor: Actor,
  { team, side }: WordsOf,
  edits: SentenceEdits,
  version: number,
  now: Date,
): Promise<number> {
  permit(actor, 'report.words');
  return (await openEm()).transactional(async (tx) => {
    const where = { program: actor.programId, team, side };
    await tx.execute('select pg_advisory_xact_lock(hashtext(?))', [
      `vobrik words ${Object.values(where).join(' ')}`,
    ]);
    const kept = await tx.findOne(ReportWords, where);
    // Sent again after a lost answer: they stand already.
    if (kept?.version === version + 1 && isDeepStrictEqual(kept.edits, edits)) return kept.version;
    if ((kept?.version ?? 0) !== version)
      throw new Invalid('somebody changed this first page meanwhile; what it says now is shown');
    const fields = { edits, version: version + 1, by: actor.memberId, at: now };
    if (kept) Object.assign(kept, fields);
    else tx.create(ReportWords, { id: randomUUID(), ...where, ...fields });
    await tx.flush();
    return version + 1;
  });
}

export interface LastPrint {
  readonly figures: PrintedFigures;
  readonly at: string;
}

/** The latest print of the same filters and kind of film; null: none. */
export async function lastPrint(
  actor: Actor,
  { team, side }: WordsOf,
  only: string,
): Promise<LastPrint | null> {
  permit(actor, 'game.read');
  const kept = await (
    await openEm()
  ).find(ReportPrint, { program: actor.programId, team, side }, { orderBy: { at: 'desc', id: 'asc' } });
  const last = kept.find((p) => p.figures.only === only);
  return last ? { figures: last.figures, at: last.at.toISOString() } : null;
}

/** Keeps what was printed; the same figures again are the same print. */
export async function keepPrint(
  actor: Actor,
  { team, side }: WordsOf,
  figures: PrintedFigures,
  now: Date,
): Promise<void> {
  permit(actor, 'game.read');
  await (
    await openEm()
  ).transactional(async (tx) => {
    const where = { program: actor.programId, team, side };
    await tx.execute('select pg_advisory_xact_lock(hashtext(?))', [
      `vobrik prints ${Object.values(where).join(' ')}`,
    ]);
    const kept = await tx.find(ReportPrint, where, { orderBy: { at: 'desc', id: 'asc' } });
    const last = kept.find((p) => p.figures.only === figures.only);
    if (last && isDeepStrictEqual(last.figures, figures)) return;
    const older = kept.slice(MOST_PRINTS - 1).map((p) => p.id);
    if (older.length > 0) await tx.nativeDelete(ReportPrint, { ...where, id: { $in: older } });
    await tx.insert(ReportPrint, { id: randomUUID(), ...where, figures, by: actor.memberId, at: now });
  });
}
