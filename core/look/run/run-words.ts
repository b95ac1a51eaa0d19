/** A run's assignment in words: each man's job, and what the count says with the smallest change that mends it. */
import { sideWord } from '../../field/spot';
import type { School } from '../front';
import type { LookSettings } from '../look-input';
import { cap, countWord, defenderWords } from '../plain-words';
import { sideStructure, type Structure } from '../structure';
import type { Job } from './jobs';
import type { DefenseEntry, Ledger, OffenseEntry } from './ledger';
import { isHat } from './run';

const JOB_WORD: Readonly<Record<Job, string>> = {
  reach: 'reaches',
  combo: 'doubles',
  scoop: 'scoops',
  cutoff: 'cuts off',
  base: 'blocks',
  down: 'blocks down on',
  back: 'blocks back on',
  kick: 'kicks out',
  wrap: 'wraps to',
  'lead pull': 'leads around on',
  trap: 'traps',
  pin: 'pins',
  hinge: 'hinges on',
  climb: 'climbs to',
  arc: 'arcs to',
  slice: 'crosses to kick',
  insert: 'inserts on',
  fill: 'fills for',
  lead: 'leads on',
  crack: 'cracks',
  stalk: 'holds',
  'pass set': 'sets on',
  screen: 'sets, then releases to',
  roll: 'rolls out',
  release: 'releases to',
  wedge: 'wedges',
  carry: 'carries',
  give: 'hands off',
  read: 'reads: gives or keeps',
  'pitch read': 'keeps or pitches',
  toss: 'tosses',
  keep: 'keeps',
  fake: 'fakes',
  pitch: 'is the pitch man',
  dive: 'dives',
  route: 'runs the throw',
};

/** What a man of the offense does and to whom. */
export function dutyWords(entry: OffenseEntry, school: School): string {
  const word = JOB_WORD[entry.does];
  if (!isHat(entry) && entry.does !== 'stalk') return word;
  if (!entry.on) return `${word} … finds nobody`;
  const then = entry.then ? `, then ${defenderWords(entry.then, school)}` : '';
  const partner = entry.partner ? ` with ${entry.partner}` : '';
  return `${word} ${defenderWords(entry.on, school)}${then}${partner}`;
}

const OPTION_WORD = {
  bubble: 'quick throw outside',
  glance: 'glance',
  stick: 'stick',
  pop: 'pop pass',
} as const;

/** What would hold or block a free man with the least change. */
function remedy({ man }: DefenseEntry, ledger: Ledger, structure: Structure): string {
  const sign = ledger.to === 'L' ? -1 : 1;
  const side = man.x < 0 ? 'L' : 'R';
  const half = sideStructure(structure, side);
  const wide = half.receivers.filter((r) => !half.attached.includes(r));
  const line = man.depth <= 2 && man.level !== 'corner';
  const reads = ledger.defense.some((e) => e.by === 'read' || e.by === 'pitch read');
  if (line)
    return man.x * sign < 0 || !reads ? 'a read of him holds him' : 'a back or a wing on him blocks him';
  const inner = wide[wide.length - 1];
  const carrying = new Set(ledger.offense.filter((e) => !isHat(e) && e.does !== 'stalk').map((e) => e.man));
  if (!ledger.option && wide.length >= 2 && Math.abs(man.x - inner!.x) <= 8)
    return `a throw to the ${sideWord(side)} with the run holds him`;
  if (man.level !== 'backer' && inner && !carrying.has(inner)) return `a crack by ${inner.letter} blocks him`;
  return ledger.offense.some((e) => e.role === 'LEAD' && !isHat(e))
    ? 'the second back on him blocks him'
    : 'one more man off the line to that side blocks him';
}

export function runSentences(
  ledger: Ledger,
  structure: Structure,
  settings: Pick<LookSettings, 'school'>,
  say: (code: 'count' | 'missing' | 'unblocked' | 'read' | 'nobody' | 'option', text: string) => void,
): void {
  const { school } = settings;
  const held = [
    ledger.heldByRead > 0 ? `${countWord(ledger.heldByRead)} held by the read` : '',
    ledger.heldByOption ? 'one held by the option' : '',
  ]
    .filter(Boolean)
    .join(', ');
  const verdict = {
    sound: 'sound',
    unblocked: 'enough, but one is left',
    'one free': 'one free',
    'not there': 'not there',
  }[ledger.verdict];
  say(
    'count',
    `${cap(countWord(ledger.hats))} blockers for ${countWord(ledger.there)} to the ${sideWord(ledger.to)}${held ? `, ${held}` : ''}${ledger.force ? `, the force defender (${defenderWords(ledger.force, school)}) counted` : ''}: ${verdict}.`,
  );
  if (ledger.missing.length > 0)
    say('missing', `Nobody stands where he could ${ledger.missing.join(' or ')}.`);
  const free = ledger.defense.filter((e) => e.by === 'free' && e.there);
  if (free.length > 0)
    say(
      'unblocked',
      `Unblocked at the point: ${free.map((e) => `${defenderWords(e.man, school)} (${remedy(e, ledger, structure)})`).join(', ')}.`,
    );
  const nobody = ledger.offense.filter((e) => isHat(e) && !e.on).map((e) => e.man.letter);
  if (nobody.length > 0)
    say('nobody', `${nobody.join(' and ')} ${nobody.length === 1 ? 'finds' : 'find'} nobody to block.`);
  for (const entry of ledger.defense) {
    if (entry.by === 'read') say('read', `The ${defenderWords(entry.man, school)} is read.`);
    if (entry.by === 'pitch read')
      say('read', `The ${defenderWords(entry.man, school)} is left to the pitch.`);
  }
  const { option } = ledger;
  if (option)
    say(
      'option',
      option.key
        ? `The ${OPTION_WORD[option.kind]} is to the ${sideWord(option.side)}; the ${defenderWords(option.key, school)} decides it and ${option.access ? 'stands in the box: it is there' : 'is out on it'}.`
        : `The ${OPTION_WORD[option.kind]} is to the ${sideWord(option.side)}; nobody stands over it.`,
    );
}
