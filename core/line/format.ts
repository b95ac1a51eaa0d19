/**
 * Snap fields → the canonical line. Natural words first, in reading order; whatever they do not
 * bring back exactly is written as `column=value`, so `parse(format(fields))` gives the same fields.
 */
import { storedValue, type TermKind, type Book } from '../book/term';
import { encodeSpot, formatClock } from '../field/spot';
import { columnOf, SNAP_FIELDS, sameValue, SNAP_FACTS } from '../snap/fields';
import { writeFieldText } from '../snap/text';
import { isTagged, type Penalty, type SnapField, type SnapFields } from '../snap/snap';
import { RESULT_WORDS } from './grammar';
import { parseLine } from './resolve';
import type { LineContext } from './resolver';

const quote = (text: string): string => (/[\s]/.test(text) || text === '' ? `"${text}"` : text);

/** The natural word of a value: the book's word when it stands for this value and nothing else. */
function termWord(book: Book, kinds: readonly TermKind[], value: string, decided = false): string | null {
  const term = book.terms.find((t) => kinds.includes(t.kind) && storedValue(t) === value);
  if (!term) return null;
  const same = book.terms.filter((t) => t.word === term.word || t.aliases.includes(term.word));
  return same.length === 1 || decided ? term.word : null;
}

function penaltyWords(p: Penalty): string {
  const extra = p.extra === '' ? 'no1st' : p.extra;
  return ['pen', p.side, p.name, p.yards ?? '??', p.from, p.outcome === 'accepted' ? '' : p.outcome, extra]
    .filter((w) => w !== '')
    .join(' ');
}

/** `plain`: fields whose book word would read as something else beside its neighbors. */
function naturalWords(f: SnapFields, book: Book, plain: ReadonlySet<SnapField>): string[] {
  const out: string[] = [];
  const sure = (field: SnapField): string => (f.notSure?.includes(field) ? '?' : '');
  const sided = (field: SnapField, kinds: readonly TermKind[], sideField: SnapField | null, lead = '') => {
    const value = f[field];
    if (typeof value !== 'string' || !isTagged(value) || plain.has(field)) return;
    const side = sideField === null ? null : f[sideField];
    // A letter before it makes a word a motion, a side after it a play.
    const decided =
      lead !== '' ||
      (kinds[0] === 'run' &&
        (side === 'L' || side === 'R') &&
        book.terms.filter((t) => storedValue(t) === value && (t.kind === 'run' || t.kind === 'pass'))
          .length === 1);
    const word = termWord(book, kinds, value, decided);
    if (word === null) return;
    out.push(lead + word + sure(field) + (side === 'L' || side === 'R' ? ` ${side.toLowerCase()}` : ''));
  };
  if (f.quarter != null) out.push(`q${f.quarter}`);
  if (f.clock != null) out.push(formatClock(f.clock));
  if (f.down != null && f.distance != null) out.push(`${f.down}&${f.distance}`);
  if (f.toGoal != null) out.push(`@${encodeSpot(f.toGoal, f.hash ?? null)}`);
  if (typeof f.personnel === 'string' && isTagged(f.personnel)) out.push(f.personnel + sure('personnel'));
  sided('formation', ['formation'], 'formationSide');
  sided('backfield', ['backfield'], null);
  sided('tempo', ['tempo'], null);
  sided(
    'motion',
    ['motion'],
    'motionSide',
    isTagged(f.motionBy ?? null) && book.letters.includes(f.motionBy!) ? `${f.motionBy!.toLowerCase()} ` : '',
  );
  sided('front', ['front'], null);
  for (const [field, word] of [
    ['box', 'box'],
    ['shell', 'shell'],
  ] as const)
    if (typeof f[field] === 'number') out.push(`${word} ${f[field]}`);
  sided('coverage', ['coverage'], null);
  if (isTagged(f.rotation ?? null) && !plain.has('rotation')) {
    const term = book.terms.find((t) => t.kind === 'rotation' && storedValue(t) === f.rotation);
    if (term) out.push(term.word + sure('rotation'));
  }
  sided('pressure', ['pressure'], null);
  if (typeof f.rushers === 'number') out.push(`rush ${f.rushers}`);
  sided('protection', ['protection'], null);
  if (typeof f.drop === 'number') out.push(`drop ${f.drop}`);
  sided('concept', ['run', 'pass'], 'direction');
  if (
    typeof f.conceptWeak === 'string' &&
    isTagged(f.conceptWeak) &&
    typeof f.concept === 'string' &&
    termWord(book, ['run', 'pass'], f.concept) !== null
  ) {
    const word = termWord(book, ['run', 'pass'], f.conceptWeak);
    if (word !== null) out.push(`${f.play === 'rpo' ? '~' : '/'} ${word}${sure('conceptWeak')}`);
  }
  for (const tag of f.tags ?? []) if (termWord(book, ['tag'], tag) !== null) out.push(tag);

  if (f.passer != null || f.target != null)
    out.push(`${f.passer != null ? `#${f.passer}` : ''}>${f.target != null ? `#${f.target}` : ''}`);
  const ran =
    f.play === 'run' ||
    f.play === 'rpo' ||
    f.result === 'scramble' ||
    (f.play == null && f.result !== 'complete' && f.result !== 'incomplete' && f.result !== 'sack');
  if (
    f.carrier != null &&
    ran &&
    f.passer == null &&
    f.target == null &&
    (f.unit == null || f.unit === 'scrimmage')
  )
    out.push(`#${f.carrier}`);
  if ((f.tacklers ?? []).length > 0) out.push(`by${f.tacklers!.map((n) => `#${n}`).join('')}`);

  const kickWord = (
    {
      touchback: 'tb',
      fair_catch: 'fc',
      downed: 'downed',
      out_of_bounds: 'oob',
      blocked: 'blocked',
      muffed: 'muffed',
      kept_by_kickers: 'kept',
    } as Record<string, string>
  )[f.kickEnd ?? ''];
  const returned = f.returnYards != null ? `ret ${f.returnYards}` : '';
  const head = (...words: (string | null | undefined)[]) => out.push(words.filter(Boolean).join(' '));
  const returner = f.returner != null ? `#${f.returner}` : '';
  if (f.unit === 'punt' || f.unit === 'kickoff' || f.unit === 'free_kick')
    head(f.unit === 'free_kick' ? 'freekick' : f.unit, f.kickYards?.toString(), kickWord, returned, returner);
  else if (f.unit === 'field_goal')
    head(
      'fg',
      f.kickYards?.toString(),
      f.kickEnd === 'good' ? 'good' : f.kickEnd === 'missed' ? 'missed' : kickWord,
      returned,
      returner,
    );
  else if (f.unit === 'try')
    head(
      'try',
      f.result === 'kick' ? 'kick' : '2pt',
      f.score === 'try_1' || f.score === 'try_2'
        ? 'good'
        : f.score === 'defensive_try'
          ? 'returned'
          : f.kickEnd === 'blocked'
            ? 'blocked'
            : 'no',
    );
  else if (f.turnover === 'interception' && f.result === 'incomplete')
    head('int', f.turnoverYards?.toString(), f.kickEnd === 'touchback' ? 'tb' : '', returned, returner);
  if (f.turnover === 'fumble' && f.fumble === 'lost') head('fum lost', returned, returner);
  else if (f.fumble === 'kept' && f.turnover == null) out.push('fum');
  if (f.result === 'sack') head('sack', f.gain != null ? (f.gain >= 0 ? `+${f.gain}` : String(f.gain)) : '');
  else if (f.incompleteCause && isTagged(f.incompleteCause)) {
    out.push(Object.entries(RESULT_WORDS).find(([, v]) => v.incompleteCause === f.incompleteCause)![0]);
  } else if (f.result === 'incomplete' && (f.turnover !== 'interception' || f.unit != null)) out.push('inc');
  else if (f.result === 'complete' || f.result === 'scramble' || f.result === 'kneel' || f.result === 'spike')
    out.push(f.result === 'complete' ? 'complete' : f.result);
  else if (f.result === 'no_play' && (f.penalties ?? []).length === 0) out.push('noplay');
  if (f.score === 'touchdown') out.push('td');
  if (f.score === 'safety') out.push('safety');
  if (
    f.gain != null &&
    f.result !== 'sack' &&
    f.result !== 'incomplete' &&
    f.result !== 'spike' &&
    f.result !== 'no_play'
  )
    out.push(f.gain > 0 ? `+${f.gain}` : String(f.gain));
  if (f.outOfBounds === true) out.push('oob');
  if (f.deadToGoal != null) out.push(`>${encodeSpot(f.deadToGoal, f.deadHash ?? null)}`);
  for (const p of f.penalties ?? []) out.push(penaltyWords(p));
  if (f.kept === true) out.push('!');
  if (f.note != null && !f.note.includes('"')) out.push(`"${f.note}"`);
  return out;
}

/** The canonical line of a snap's fields in a context. Idempotent. */
export function formatLine(fields: SnapFields, context: LineContext): string {
  // "..", typed or not, is never part of the canonical form: it depends on the snap before.
  const alone: LineContext = { ...context, previous: null };
  const plain = new Set<SnapField>();
  const explicit = new Map<SnapField, string>();
  let line = '';
  for (let pass = 0; pass < 6; pass++) {
    line = [
      ...naturalWords(fields, context.book, plain),
      ...SNAP_FACTS.flatMap((f) => explicit.get(f) ?? []),
    ].join(' ');
    const read = parseLine(line, alone).fields;
    const wrong = SNAP_FACTS.filter((field) => {
      const wanted = fields[field] ?? null;
      const got = read[field] ?? null;
      return !(isEmpty(wanted) && isEmpty(got)) && !sameValue(wanted, got);
    });
    if (wrong.length === 0) break;
    for (const field of wrong) {
      if (explicit.has(field)) plain.add(field);
      explicit.set(field, `${columnOf(field)}=${writeExplicit(field, fields[field] ?? null)}`);
    }
  }
  return line;
}

const isEmpty = (value: unknown): boolean => value === null || (Array.isArray(value) && value.length === 0);
function writeExplicit(field: SnapField, value: unknown): string {
  const text = writeFieldText(field, value);
  if (text === '?' && SNAP_FIELDS[field].tag) return '??';
  return quote(text);
}
