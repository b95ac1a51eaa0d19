/** What must hold of every run against every defense; each fault is a sentence. */
import type { Job } from './jobs';
import type { Ledger } from './ledger';
import { LATERAL } from './field';
import { isHat } from './run';
import { STALKS } from './targets';

const PULLS: ReadonlySet<Job> = new Set<Job>(['kick', 'wrap', 'lead pull', 'trap']);

/** From the far wing to the force man. */
const LONGEST_LEAD = 20;

export function runFaults({ offense, defense, hats, margin, there }: Ledger): string[] {
  const out: string[] = [];
  const stay = offense
    .filter((e) => e.man.role === 'line' && !PULLS.has(e.does) && e.on)
    .sort((a, b) => a.man.x - b.man.x);
  for (const e of stay)
    if (Math.abs(e.on!.x - e.man.x) > LATERAL + 1e-9)
      out.push(`${e.man.letter} blocks ${e.on!.letter} across`);
  for (const e of offense) {
    const across = e.on === null ? 0 : Math.abs(e.on.x - e.man.x);
    if (across > (e.does === 'stalk' ? STALKS : LONGEST_LEAD))
      out.push(`${e.man.letter} blocks ${e.on!.letter} ${across.toFixed(1)} yards away`);
  }
  const first = stay.filter((e) => e.on!.depth <= 2);
  for (let i = 1; i < first.length; i++)
    if (first[i]!.on!.x < first[i - 1]!.on!.x - 1e-9)
      out.push(`${first[i - 1]!.man.letter} and ${first[i]!.man.letter} cross`);
  for (const entry of defense) {
    const on = offense.filter((e) => e.on === entry.man || e.then === entry.man).map((e) => e.man.letter);
    if (on.length > 2) out.push(`three on ${entry.man.letter}`);
    const left = entry.by === 'free' || entry.by === 'option' || entry.by.includes('read');
    if (left && on.length > 0) out.push(`${on.join()} on ${entry.man.letter}, who is ${entry.by}`);
    if (entry.by === 'blocked' && on.some((letter) => !entry.who.includes(letter)))
      out.push(`list and defense differ on ${entry.man.letter}`);
  }
  // The count a second, plain way: from the list alone.
  const can = new Set(defense.filter((e) => e.there).map((e) => e.man));
  const counted = offense.filter(
    (e) => (isHat(e) || e.does === 'stalk') && [e.on, e.then].some((d) => d !== null && can.has(d)),
  ).length;
  const held = defense.filter((e) => e.there && ['read', 'pitch read', 'option'].includes(e.by)).length;
  if (counted !== hats || can.size !== there || counted + held - can.size !== margin)
    out.push('the count is off');
  return out;
}

/** The assignment as text, seen from one side or turned: equal for mirror images. */
export const runKey = (ledger: Ledger, sign: 1 | -1): string =>
  ledger.offense
    .map(({ man, does, on, then }) =>
      [man.x * sign, man.depth, does, on ? on.x * sign : '', on?.depth ?? '', then ? then.x * sign : '']
        .map((v) => (typeof v === 'number' ? (v + 0).toFixed(1).replace('-0.0', '0.0') : v))
        .join(),
    )
    .sort()
    .join(' ');
