/**
 * Snap fields → the canonical line. Natural words first, in reading order; whatever they do not
 * bring back exactly is written as `column=value`, so `parse(format(fields))` gives the same fields.
 */
import { normalizePhrase, storedValue, type TermKind, type Book } from '../book/term';
import { termIndex } from '../book/index-terms';
import { isLostAgain } from '../rules/arithmetic';
import { encodeSpot, formatClock } from '../field/spot';
import { columnOf, SNAP_FIELDS, sameValue, SNAP_FACTS } from '../snap/fields';
import { writeFieldText } from '../snap/text';
import { isTagged, type Penalty, type SnapField, type SnapFields } from '../snap/snap';
import { RESULT_WORDS } from './grammar';
import { parseLine } from './resolve';
import type { LineContext } from './resolver';
import { sureOf, SURENESS_MARK } from '../snap/sureness';

const quote = (text: string): string => (/[\s]/.test(text) || text === '' ? `"${text}"` : text);

/** The natural word of a value: the book's word when it stands for this value and nothing else. */
function termWord(book: Book, kinds: readonly TermKind[], value: string, decided = false): string | null {
  const { byKind, byPhrase } = termIndex(book);
  const found = kinds
    .map((kind) => byKind.get(`${kind}|${value}`))
    .find((t) => t && storedValue(t) === value);
  if (!found) return null;
  return decided || (byPhrase.get(normalizePhrase(found.word)) ?? []).length < 2 ? found.word : null;
}

function penaltyWords(penalty: Penalty): string {
  const extra = penalty.extra === '' ? 'no1st' : penalty.extra;
  return [
    'pen',
    penalty.side,
    penalty.name,
    penalty.yards ?? '??',
    penalty.from,
    penalty.outcome === 'accepted' ? '' : penalty.outcome,
    extra,
    penalty.at === undefined ? '' : `@${encodeSpot(penalty.at, null)}`,
  ]
    .filter((w) => w !== '')
    .join(' ');
}

/** `plain`: fields whose book word would read as something else beside its neighbors. */
export function naturalWords(partial: SnapFields, book: Book, plain: ReadonlySet<SnapField>): string[] {
  const out: string[] = [];
  const sure = (field: SnapField): string => SURENESS_MARK[sureOf(partial, field)];
  const sided = (field: SnapField, kinds: readonly TermKind[], sideField: SnapField | null, lead = '') => {
    const value = partial[field];
    if (typeof value !== 'string' || !isTagged(value) || plain.has(field)) return;
    const side = sideField === null ? null : partial[sideField];
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
  if (partial.quarter != null) out.push(`q${partial.quarter}`);
  if (partial.clock != null) out.push(formatClock(partial.clock));
  if (partial.down != null && partial.distance != null) out.push(`${partial.down}&${partial.distance}`);
  if (partial.toGoal != null) out.push(`@${encodeSpot(partial.toGoal, partial.hash ?? null)}`);
  if (typeof partial.personnel === 'string' && isTagged(partial.personnel))
    out.push(partial.personnel + sure('personnel'));
  sided('formation', ['formation'], 'formationSide');
  sided('backfield', ['backfield'], null);
  sided('tempo', ['tempo'], null);
  const mover = (by: SnapFields['motionBy']): string =>
    isTagged(by ?? null) && book.letters.includes(by!) ? `${by!.toLowerCase()} ` : '';
  sided('motion', ['motion'], 'motionSide', mover(partial.motionBy));
  if (isTagged(partial.motion ?? null))
    sided('motionSecond', ['motion'], 'motionSecondSide', mover(partial.motionSecondBy));
  sided('bodies', ['bodies'], null);
  sided('front', ['front'], null);
  for (const [field, word] of [
    ['box', 'box'],
    ['shell', 'shell'],
  ] as const)
    if (typeof partial[field] === 'number') out.push(`${word} ${partial[field]}`);
  sided('coverage', ['coverage'], null);
  if (isTagged(partial.rotation ?? null) && !plain.has('rotation')) {
    const term = book.terms.find((t) => t.kind === 'rotation' && storedValue(t) === partial.rotation);
    if (term) out.push(term.word + sure('rotation'));
  }
  sided('pressure', ['pressure'], null);
  if (typeof partial.rushers === 'number') out.push(`rush ${partial.rushers}`);
  sided('protection', ['protection'], 'protectionSide');
  if (typeof partial.drop === 'number') out.push(`drop ${partial.drop}`);
  sided('concept', ['run', 'pass'], 'direction');
  if (
    typeof partial.conceptWeak === 'string' &&
    isTagged(partial.conceptWeak) &&
    typeof partial.concept === 'string' &&
    termWord(book, ['run', 'pass'], partial.concept) !== null
  ) {
    const word = termWord(book, ['run', 'pass'], partial.conceptWeak);
    const side =
      partial.optionSide === 'L' || partial.optionSide === 'R' ? ` ${partial.optionSide.toLowerCase()}` : '';
    if (word !== null) out.push(`${partial.play === 'rpo' ? '~' : '/'} ${word}${sure('conceptWeak')}${side}`);
  }
  for (const tag of partial.tags ?? []) if (termWord(book, ['tag'], tag) !== null) out.push(tag);

  if (partial.passer != null || partial.target != null)
    out.push(
      `${partial.passer != null ? `#${partial.passer}` : ''}>${partial.target != null ? `#${partial.target}` : ''}`,
    );
  const ran =
    partial.play === 'run' ||
    partial.play === 'rpo' ||
    partial.result === 'scramble' ||
    (partial.play == null &&
      partial.result !== 'complete' &&
      partial.result !== 'incomplete' &&
      partial.result !== 'sack');
  if (
    partial.carrier != null &&
    ran &&
    partial.passer == null &&
    partial.target == null &&
    (partial.unit == null || partial.unit === 'scrimmage' || partial.fake === true)
  )
    out.push(`#${partial.carrier}`);
  if ((partial.tacklers ?? []).length > 0) out.push(`by${partial.tacklers!.map((n) => `#${n}`).join('')}`);

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
  )[partial.kickEnd ?? ''];
  const returned = partial.returnYards != null ? `ret ${partial.returnYards}` : '';
  const head = (...words: (string | null | undefined)[]) => out.push(words.filter(Boolean).join(' '));
  const returner = partial.returner != null ? `#${partial.returner}` : '';
  if (partial.unit === 'punt' || partial.unit === 'kickoff' || partial.unit === 'free_kick')
    head(
      partial.unit === 'free_kick' ? 'freekick' : partial.unit,
      partial.fake === true ? 'fake' : '',
      partial.kickYards?.toString(),
      kickWord,
      returned,
      returner,
    );
  else if (partial.unit === 'field_goal')
    head(
      'fg',
      partial.fake === true ? 'fake' : '',
      partial.kickYards?.toString(),
      partial.kickEnd === 'good' ? 'good' : partial.kickEnd === 'missed' ? 'missed' : kickWord,
      returned,
      returner,
    );
  else if (partial.unit === 'try')
    head(
      'try',
      partial.result === 'kick' ? 'kick' : '2pt',
      partial.score === 'try_1' || partial.score === 'try_2'
        ? 'good'
        : partial.score === 'defensive_try'
          ? 'returned'
          : partial.kickEnd === 'blocked'
            ? 'blocked'
            : 'no',
    );
  else if (partial.turnover === 'interception' && partial.result === 'incomplete')
    head(
      'int',
      partial.turnoverYards?.toString(),
      partial.kickEnd === 'touchback' ? 'tb' : '',
      returned,
      returner,
    );
  if (isLostAgain(partial)) out.push('fum lost');
  else if (partial.turnover === 'fumble' && partial.fumble === 'lost') head('fum lost', returned, returner);
  else if (partial.fumble === 'kept' && partial.turnover == null) out.push('fum');
  if (partial.result === 'sack')
    head('sack', partial.gain != null ? (partial.gain >= 0 ? `+${partial.gain}` : String(partial.gain)) : '');
  else if (partial.incompleteCause && isTagged(partial.incompleteCause)) {
    out.push(Object.entries(RESULT_WORDS).find(([, v]) => v.incompleteCause === partial.incompleteCause)![0]);
  } else if (partial.result === 'incomplete' && (partial.turnover !== 'interception' || partial.unit != null))
    out.push('inc');
  else if (
    partial.result === 'complete' ||
    partial.result === 'scramble' ||
    partial.result === 'kneel' ||
    partial.result === 'spike'
  )
    out.push(partial.result === 'complete' ? 'complete' : partial.result);
  else if (partial.result === 'no_play' && (partial.penalties ?? []).length === 0) out.push('noplay');
  if (partial.readDecision && isTagged(partial.readDecision)) out.push(partial.readDecision);
  if (partial.scrambleDrill === true) out.push('drill');
  if (partial.quarterbackHit === true) out.push('qbhit');
  if (partial.score === 'touchdown') out.push('td');
  if (partial.score === 'safety') out.push('safety');
  if (
    partial.gain != null &&
    partial.result !== 'sack' &&
    partial.result !== 'incomplete' &&
    partial.result !== 'spike' &&
    partial.result !== 'no_play'
  )
    out.push(partial.gain > 0 ? `+${partial.gain}` : String(partial.gain));
  if (partial.outOfBounds === true) out.push('oob');
  if (partial.deadToGoal != null) out.push(`>${encodeSpot(partial.deadToGoal, partial.deadHash ?? null)}`);
  for (const p of partial.penalties ?? []) out.push(penaltyWords(p));
  if (partial.kept === true) out.push('!');
  if (partial.note != null && !partial.note.includes('"')) out.push(`"${partial.note}"`);
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
