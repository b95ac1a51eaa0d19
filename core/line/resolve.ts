/** Items → fields. Gives each word its meaning in the situation; a line with problems keeps all it understood. */
import { KIND_FIELD, storedValue, type Book, type Term } from '../book/term';
import { editDistance, termIndex } from '../book/index-terms';
import { findPenalty, type LevelProfile } from '../field/profile';
import { decodeSpot, encodeSpot, formatSpot } from '../field/spot';
import { fieldOfColumn, sameValue, SNAP_FIELDS } from '../snap/fields';
import { readFieldText, writeFieldText } from '../snap/text';
import {
  type Penalty,
  type PenaltyTeam,
  type Play,
  type Snap,
  type SnapField,
  type SnapFields,
} from '../snap/snap';
import { FIELD_GOAL, onField, spotOnField } from '../rules/arithmetic';
import { derivePlay, numberBelongsTo, playFollows, type Clash } from '../rules/derive';
import { nextState } from '../rules/next-state';
import { unknownState, type GameState } from '../rules/state';
import { FIELD_WORDS, HEADS, KICK_WORDS, RESULT_WORDS, WORDS, type Head } from './grammar';
import type { Candidate, Problem, ProblemCode } from './problem';
import { MOST_CHARACTERS, tokenize, type Range, type Token } from './tokenize';
import { buildTree, type Item, type Shape } from './tree';

export interface LineContext {
  readonly book: Book;
  readonly profile: LevelProfile;
  /** The situation the snap is played in, as far as it is known. */
  readonly state: GameState | null;
  /** The last scrimmage snap of the same offense in this game, for "..". */
  readonly previous: Snap | null;
  /** The keys of the two teams: a key typed as a word says who has the ball. A term of the book goes before it. */
  readonly teams?: readonly [string, string];
}

/** A stretch of the line with what it means, for the echo. */
export interface Piece extends Range {
  readonly field: SnapField | null;
  readonly kind: 'term' | 'situation' | 'result' | 'who' | 'note' | 'sign' | 'problem';
  readonly unsure: boolean;
}

export interface ParsedLine {
  readonly text: string;
  /** All fields the line gives, typed and following from what was typed. */
  readonly fields: SnapFields;
  readonly pieces: readonly Piece[];
  readonly problems: readonly Problem[];
}

const CARRIED_LOOK = ['personnel', 'formation', 'formationSide', 'backfield'] as const;

/** Parses one snap line. Never throws; `fields` holds all that was understood. */
export function parseLine(text: string, context: LineContext): ParsedLine {
  const tokens = tokenize(text);
  return resolve(text, buildTree(tokens, context.book, context.profile), context);
}

type Draft = { -readonly [K in SnapField]?: Snap[K] };

class Resolver {
  readonly fields: Draft = {};
  readonly pieces: Piece[] = [];
  readonly problems: Problem[] = [];
  /** Fields the analyst typed himself; only these can be given twice. */
  readonly typed = new Map<SnapField, string>();
  readonly notSure = new Set<string>();
  readonly penalties: Penalty[] = [];
  readonly tags: string[] = [];
  /** Terms that could not be taken: a side after one is no second problem. */
  readonly refused = new Set<number>();
  deadRange: Range | null = null;
  explicitPlay = false;
  playTermSeen = false;

  constructor(
    readonly text: string,
    readonly context: LineContext,
  ) {}

  problem(
    code: ProblemCode,
    range: Range,
    facts: Record<string, string> = {},
    candidates: Candidate[] = [],
  ): void {
    this.problems.push({
      code,
      start: range.start,
      end: range.end,
      text: this.text.slice(range.start, range.end),
      facts,
      candidates,
    });
    this.pieces.push({ start: range.start, end: range.end, field: null, kind: 'problem', unsure: false });
  }

  /** Sets a typed field; the same field twice is a problem at the second, unless equal. */
  set<K extends SnapField>(field: K, value: Snap[K], range: Range): boolean {
    const before = this.typed.get(field);
    if (before !== undefined && !sameValue(this.fields[field], value)) {
      this.problem('twice', range, { field: SNAP_FIELDS[field].label, first: before });
      return false;
    }
    (this.fields as Record<string, unknown>)[field] = value;
    this.typed.set(field, this.text.slice(range.start, range.end));
    return true;
  }

  piece(range: Range, field: SnapField | null, kind: Piece['kind'], unsure = false): void {
    this.pieces.push({ start: range.start, end: range.end, field, kind, unsure });
    if (unsure && field) this.notSure.add(field);
  }
}

/** The readings of a term that its neighbors leave: a letter makes it a motion, a side alone a play or a formation. */
function readings(items: readonly Item[], at: number): readonly Term[] {
  const item = items[at]!;
  if (item.kind !== 'term' || item.terms.length === 1) return item.kind === 'term' ? item.terms : [];
  const next = items[at + 1];
  const previous = items[at - 1];
  const isMotion = (i: Item | undefined) => i?.kind === 'term' && i.terms.some((t) => t.kind === 'motion');
  // A letter between two motions belongs to the one on its right.
  const letterLeft = previous?.kind === 'letter';
  const letterRight = next?.kind === 'letter' && !isMotion(items[at + 2]);
  if ((letterLeft || letterRight) && item.terms.some((t) => t.kind === 'motion'))
    return item.terms.filter((t) => t.kind === 'motion');
  if (next?.kind === 'side') {
    const sided = item.terms.filter((t) => t.kind !== 'motion' && KIND_FIELD[t.kind].side !== null);
    if (sided.length > 0) return sided;
  }
  return item.terms;
}

function nearestWords(word: string, context: LineContext): Candidate[] {
  if (/^\d$/.test(word)) return [{ text: `+${word}`, label: `+${word}` }];
  if (/^\d{2}$/.test(word)) return [{ text: `+${word}`, label: `+${word}` }];
  const index = termIndex(context.book);
  const most = word.length <= 3 ? 1 : word.length <= 6 ? 2 : 3;
  const seen = new Map<string, { distance: number; label: string }>();
  const offer = (phrase: string, label: string) => {
    const distance = editDistance(word, phrase, most);
    if (distance <= most && distance < (seen.get(phrase)?.distance ?? 99))
      seen.set(phrase, { distance, label });
  };
  for (const { phrase, term } of index.phrases) offer(phrase, `${phrase} (${term.kind})`);
  for (const w of [...HEADS, ...Object.keys(RESULT_WORDS)]) if (w.length > 2) offer(w, w);
  return [...seen.entries()]
    .sort((a, b) => a[1].distance - b[1].distance || a[0].localeCompare(b[0]))
    .slice(0, 3)
    .map(([text, v]) => ({ text, label: v.label }));
}

function resolve(text: string, items: readonly Item[], context: LineContext): ParsedLine {
  const r = new Resolver(text, context);
  const chosen = new Map<number, Term>();
  items.forEach((_, at) => {
    const left = readings(items, at);
    if (left.length === 1) chosen.set(at, left[0]!);
  });
  const isPlay = (at: number): boolean => ['run', 'pass'].includes(chosen.get(at)?.kind ?? '');
  const rpo = items.some((i) => i.kind === 'tilde');

  items.forEach((item, at) => {
    switch (item.kind) {
      case 'note':
        if (item.open) r.problem('open-note', item);
        if (r.set('note', item.note, item)) r.piece(item, 'note', 'note');
        return;
      case 'keep':
        if (r.set('kept', true, item)) r.piece(item, 'kept', 'sign');
        return;
      case 'carry': {
        if (!context.previous) return r.problem('nothing-to-carry', item);
        for (const field of CARRIED_LOOK) {
          if (!r.typed.has(field)) (r.fields as Record<string, unknown>)[field] = context.previous[field];
        }
        return r.piece(item, 'formation', 'term');
      }
      case 'slash':
      case 'tilde': {
        const left = isPlay(at - 1) || (items[at - 1]?.kind === 'side' && isPlay(at - 2));
        if (!left) return r.problem('lonely', item, { needs: 'of a play before it' });
        if (items[at + 1]?.kind === 'unknown') return;
        if (!isPlay(at + 1) && items[at + 1]?.kind !== 'term')
          return r.problem('lonely', item, { needs: 'of a play after it' });
        return r.piece(item, null, 'sign');
      }
      case 'unknown': {
        const team = context.teams?.findIndex((k) => k.toLowerCase() === item.word);
        if (context.teams && (team === 0 || team === 1)) {
          r.fields.defense = context.teams[1 - team]!;
          if (r.set('offense', context.teams[team]!, item)) r.piece(item, 'offense', 'situation');
          return;
        }
        return r.problem('unknown-word', item, {}, nearestWords(item.word, context));
      }
      case 'result': {
        const given = RESULT_WORDS[item.word]!;
        for (const [field, value] of Object.entries(given) as [SnapField, never][]) {
          if (!r.set(field, value, item)) return;
        }
        return r.piece(item, (Object.keys(given)[0] as SnapField) ?? null, 'result', item.unsure);
      }
      case 'field':
        return namedField(r, item);
      case 'side':
        return attachSide(r, items, at, chosen);
      case 'letter':
        return attachLetter(r, items, at, chosen);
      case 'head':
        return headWord(r, item.head, item.operands, item);
      case 'shape':
        return shape(r, item.value, item, item.unsure);
      case 'term': {
        const term = chosen.get(at);
        if (!term) {
          return r.problem(
            'ambiguous',
            item,
            {},
            readings(items, at).map((t) => ({
              text:
                t.kind === 'motion'
                  ? `mo=${quoted(storedValue(t))}`
                  : `${shortField(t)}=${quoted(storedValue(t))}`,
              label: `${t.word} the ${t.kind}`,
            })),
          );
        }
        const second = items[at - 1]?.kind === 'slash' || items[at - 1]?.kind === 'tilde';
        const field =
          second && (term.kind === 'run' || term.kind === 'pass')
            ? 'conceptWeak'
            : KIND_FIELD[term.kind].field;
        if (term.kind === 'tag') {
          if (!r.tags.includes(storedValue(term))) r.tags.push(storedValue(term));
          return r.piece(item, 'tags', 'term', item.unsure);
        }
        if (!r.set(field, storedValue(term) as never, item)) return void r.refused.add(at);
        if (term.kind === 'run' || term.kind === 'pass') {
          r.playTermSeen = true;
          if (field === 'concept' && !r.explicitPlay) r.fields.play = rpo ? 'rpo' : term.kind;
        }
        return r.piece(item, field, 'term', item.unsure);
      }
    }
  });
  if (text.length > MOST_CHARACTERS)
    r.problem('too-long', { start: MOST_CHARACTERS, end: text.length }, { most: String(MOST_CHARACTERS) });
  finish(r);
  checkLimits(r);
  r.pieces.sort((a, b) => a.start - b.start);
  r.problems.sort((a, b) => a.start - b.start);
  return { text, fields: r.fields, pieces: r.pieces, problems: r.problems };
}

const quoted = (value: string): string => (/\s/.test(value) ? `"${value}"` : value);
const shortField = (t: Term): string =>
  (({ formation: 'form', coverage: 'cov', run: 'con', pass: 'con' }) as Record<string, string>)[t.kind] ??
  t.kind;

function attachSide(
  r: Resolver,
  items: readonly Item[],
  at: number,
  chosen: ReadonlyMap<number, Term>,
): void {
  const item = items[at]!;
  if (item.kind !== 'side') return;
  let to = at - 1;
  if (items[to]?.kind === 'letter') to--;
  const left = items[to];
  if (r.refused.has(to) || left?.kind === 'unknown' || (left?.kind === 'term' && !chosen.has(to)))
    return r.piece(item, null, 'sign');
  const term = chosen.get(to);
  if (left?.kind !== 'term' || !term)
    return r.problem('lonely', item, { needs: 'before it that takes a side' });
  const field = KIND_FIELD[term.kind].side;
  if (field === null) return r.problem('no-side', item, { word: term.word });
  const passPart = items[to - 1]?.kind === 'slash' || items[to - 1]?.kind === 'tilde';
  if (passPart && r.typed.has(field))
    return r.problem('no-side', item, { word: `the second part, ${term.word}` });
  if (r.set(field, item.side as never, item)) r.piece(item, field, 'term');
}

function attachLetter(
  r: Resolver,
  items: readonly Item[],
  at: number,
  chosen: ReadonlyMap<number, Term>,
): void {
  const item = items[at]!;
  if (item.kind !== 'letter') return;
  const motionAt = (i: number) =>
    items[i]?.kind === 'term' &&
    (chosen.get(i)?.kind === 'motion' ||
      (items[i]?.kind === 'term' &&
        (items[i] as { terms: readonly Term[] }).terms.some((t) => t.kind === 'motion') &&
        !chosen.has(i)));
  const beside = motionAt(at + 1) || motionAt(at - 1) || (items[at - 1]?.kind === 'side' && motionAt(at - 2));
  if (!beside) return r.problem('no-motion', item);
  if (r.set('motionBy', item.letter, item)) r.piece(item, 'motionBy', 'term');
}

function namedField(r: Resolver, item: Extract<Item, { kind: 'field' }>): void {
  const field = FIELD_WORDS[item.name] ?? fieldOfColumn(item.name);
  const spec = SNAP_FIELDS[field as SnapField];
  if (
    !Object.hasOwn(SNAP_FIELDS, field) ||
    (spec.group === 'identity' && field !== 'film' && field !== 'filmIn' && field !== 'filmOut')
  )
    return r.problem('unknown-field', item, { field: item.name });
  const read = readFieldText(field as SnapField, item.value === WORDS.unseen ? '?' : item.value);
  if (!read.ok)
    return r.problem('bad-value', item, { value: item.value, field: spec.label, expected: read.expected });
  if (field === 'penalties') {
    r.penalties.push(...(read.value as Penalty[]));
    return r.piece(item, 'penalties', 'result');
  }
  if (field === 'tags') {
    r.tags.push(...(read.value as string[]).filter((t) => !r.tags.includes(t)));
    return r.piece(item, 'tags', 'term');
  }
  if (field === 'notSure') {
    for (const f of read.value as string[]) r.notSure.add(f);
    return r.piece(item, 'notSure', 'sign');
  }
  if (!r.set(field as SnapField, read.value as never, item)) return;
  if (field === 'play') r.explicitPlay = true;
  if (field === 'concept' && !r.explicitPlay) {
    const kinds = new Set(
      r.context.book.terms
        .filter((t) => (t.kind === 'run' || t.kind === 'pass') && storedValue(t) === read.value)
        .map((t) => t.kind),
    );
    if (kinds.size === 1) r.fields.play = [...kinds][0] as Play;
    r.playTermSeen = true;
  }
  r.piece(item, field as SnapField, 'term', item.unsure);
}

function shape(r: Resolver, value: Shape, range: Range, unsure: boolean): void {
  const one = <K extends SnapField>(field: K, v: Snap[K], kind: Piece['kind']) => {
    if (r.set(field, v, range)) r.piece(range, field, kind, unsure);
  };
  switch (value.shape) {
    case 'down': {
      if (!r.set('down', value.down, range)) return;
      const toGoal = r.fields.toGoal ?? r.context.state?.toGoal ?? null;
      if (value.distance === 'goal' && toGoal === null) r.fields.distance = null;
      else if (!r.set('distance', value.distance === 'goal' ? toGoal : value.distance, range)) return;
      return r.piece(range, 'down', 'situation', unsure);
    }
    case 'spot':
      if (!r.set('toGoal', value.toGoal, range)) return;
      if (value.hash && !r.set('hash', value.hash, range)) return;
      // "1&g @t6": the distance is the spot typed after it.
      if (r.typed.get('down')?.toLowerCase().endsWith('g')) r.fields.distance = value.toGoal;
      return r.piece(range, 'toGoal', 'situation', unsure);
    case 'dead':
      if (!r.set('deadToGoal', value.toGoal, range)) return;
      if (value.hash && !r.set('deadHash', value.hash, range)) return;
      r.deadRange = range;
      return r.piece(range, 'deadToGoal', 'result', unsure);
    case 'quarter':
      return one('quarter', value.quarter, 'situation');
    case 'clock':
      return one('clock', value.clock, 'situation');
    case 'gain':
      return one('gain', value.yards, 'result');
    case 'people':
      if (r.playTermSeen || (r.fields.personnel ?? null) !== null) {
        return r.problem('ambiguous', range, {}, [
          { text: `pers=${value.people}`, label: `${value.people} personnel` },
          { text: `+${value.people}`, label: `+${value.people}` },
        ]);
      }
      return one('personnel', value.people, 'term');
    case 'throw':
      if (value.passer && !r.set('passer', value.passer, range)) return;
      if (value.target && !r.set('target', value.target, range)) return;
      return r.piece(range, value.target ? 'target' : 'passer', 'who', unsure);
    case 'tackle':
      return one('tacklers', value.numbers, 'who');
    case 'number': {
      // Which man it is depends on the play, known only at the end.
      if (r.typed.has('carrier'))
        return r.problem('twice', range, { field: 'number', first: r.typed.get('carrier')! });
      r.fields.carrier = value.number;
      r.typed.set('carrier', r.text.slice(range.start, range.end));
      return r.piece(range, 'carrier', 'who', unsure);
    }
  }
}

function headWord(r: Resolver, head: Head, operands: readonly Token[], range: Range): void {
  const words = operands.map((o) => o.word);
  const kind: Piece['kind'] =
    head === 'drop' || head === 'box' || head === 'shell' || head === 'rush' ? 'term' : 'result';
  if (head === 'pen') return penalty(r, operands, range);
  let returning = false;
  const shared = (token: Token): boolean => {
    const { word } = token;
    if (returning) {
      returning = false;
      return r.set('returnYards', Number(word), token);
    }
    if (word === WORDS.ret) return (returning = true);
    if (word.startsWith('>')) {
      const spot = decodeSpot(word.slice(1))!;
      r.deadRange = token;
      return r.set('deadToGoal', spot.toGoal, token) && (!spot.hash || r.set('deadHash', spot.hash, token));
    }
    if (word.startsWith('#')) return r.set('returner', word.slice(1), token);
    if (word in KICK_WORDS && head !== 'fum') return r.set('kickEnd', KICK_WORDS[word]!.kickEnd!, token);
    return false;
  };
  switch (head) {
    case 'drop':
    case 'box':
    case 'shell':
    case 'rush': {
      const field = { drop: 'drop', box: 'box', shell: 'shell', rush: 'rushers' }[head] as
        'drop' | 'box' | 'shell' | 'rushers';
      const spec = SNAP_FIELDS[field];
      if (words.length === 0)
        return r.problem('lonely', range, { needs: `after it: a number, ${spec.min} to ${spec.max}` });
      const n = Number(words[0]);
      if (n < spec.min! || n > spec.max!)
        return r.problem('bad-value', range, {
          value: words[0]!,
          field: spec.label,
          expected: `a number from ${spec.min} to ${spec.max}`,
        });
      if (!r.set(field, n, range)) return;
      break;
    }
    case 'sack':
      if (!r.set('result', 'sack', range)) return;
      for (const o of operands)
        if (
          !shared(o) &&
          !r.set(
            'gain',
            o.word.startsWith('+') || o.word.startsWith('-') ? Number(o.word) : -Number(o.word),
            o,
          )
        )
          return;
      break;
    case 'int':
      if (!r.set('turnover', 'interception', range) || !r.set('result', 'incomplete', range)) return;
      for (const o of operands) if (!shared(o) && !r.set('turnoverYards', Number(o.word), o)) return;
      break;
    case 'fum':
      if (words.includes(WORDS.lost)) {
        if (!r.set('turnover', 'fumble', range)) return;
        r.fields.fumble = 'lost';
      } else if (!r.set('fumble', 'kept', range)) return;
      for (const o of operands)
        if (o.word === 'tb') r.set('kickEnd', 'touchback', o);
        else if (o.word !== WORDS.lost && o.word !== WORDS.keptBall) shared(o);
      break;
    case 'punt':
    case 'kickoff':
    case 'freekick':
    case 'fg':
      if (
        !r.set(
          'unit',
          ({ punt: 'punt', kickoff: 'kickoff', freekick: 'free_kick', fg: 'field_goal' } as const)[head],
          range,
        )
      )
        return;
      r.fields.result ??= 'kick';
      for (const o of operands) {
        if (
          head === 'fg' &&
          (o.word === WORDS.good || (WORDS.failed as readonly string[]).includes(o.word))
        ) {
          if (!r.set('kickEnd', o.word === WORDS.good ? 'good' : 'missed', o)) return;
          if (o.word === WORDS.good) r.fields.score = 'field_goal';
        } else if (!shared(o) && !r.set('kickYards', Number(o.word), o)) return;
      }
      break;
    case 'try': {
      if (!r.set('unit', 'try', range)) return;
      const kick = !words.includes(WORDS.twoPoint);
      const good = words.includes(WORDS.good);
      if (kick) {
        r.fields.result = 'kick';
        r.fields.kickEnd = good ? 'good' : words.includes('blocked') ? 'blocked' : 'missed';
      } else r.fields.result ??= 'gain';
      if (good) r.fields.score = kick ? 'try_1' : 'try_2';
      if (words.includes(WORDS.returned)) r.fields.score = 'defensive_try';
      break;
    }
  }
  r.piece(
    range,
    head === 'drop' || head === 'box' || head === 'shell' ? head : head === 'rush' ? 'rushers' : 'result',
    kind,
  );
}

function penalty(r: Resolver, operands: readonly Token[], range: Range): void {
  const { profile } = r.context;
  let team: PenaltyTeam | null = null;
  let yards: number | null | undefined;
  let from: Penalty['from'] | null = null;
  let outcome: Penalty['outcome'] = 'accepted';
  let extra: Penalty['extra'] | null = null;
  const nameWords: string[] = [];
  for (const { word } of operands) {
    if (word === 'o' || word === 'd' || word === 'k' || word === 'r') team = word;
    else if (word === WORDS.unseen) yards = null;
    else if (/^\d{1,2}$/.test(word)) yards = Number(word);
    else if (word === 'prev' || word === 'end' || word === 'foul' || word === 'succ') from = word;
    else if (word === WORDS.declined || word === WORDS.offset) outcome = word;
    else if (word === WORDS.first || word === WORDS.lossOfDown) extra = word;
    else if (word === WORDS.noFirst) extra = '';
    else nameWords.push(word);
  }
  if (team === null) return r.problem('foul-side', range);
  const rule = nameWords.length > 0 ? findPenalty(profile, nameWords.join(' ')) : null;
  if (!rule) return r.problem('no-foul-name', range);
  const byOffense = team === 'o' || team === 'k';
  const defaults = (byOffense ? rule.offense : rule.defense) ?? rule.offense ?? rule.defense;
  r.penalties.push({
    side: team,
    name: rule.name,
    yards: yards === undefined ? (defaults?.yards ?? null) : yards,
    from: from ?? defaults?.from ?? 'prev',
    outcome,
    extra: extra ?? (defaults?.firstDown ? '1st' : defaults?.lossOfDown ? 'lod' : ''),
  });
  r.piece(range, 'penalties', 'result');
}

/** What follows from the words together. */
function finish(r: Resolver): void {
  const { fields: draft } = r;
  const { state } = r.context;
  if (r.penalties.length > 0) draft.penalties = r.penalties;
  if (r.tags.length > 0) draft.tags = r.tags;
  numberAlone(r);
  const { fields, clashes } = derivePlay(draft, {
    offense: draft.offense ?? state?.offense ?? null,
    defense: draft.defense ?? state?.defense ?? null,
    toGoal: draft.toGoal ?? state?.toGoal ?? null,
    said: new Set(r.typed.keys()),
  });
  Object.assign(draft, fields);
  for (const clash of clashes) clashProblem(r, clash);
  if (r.notSure.size > 0) draft.notSure = [...r.notSure].sort();
}

/** "#22" alone: whose number it is follows from the play. */
function numberAlone(r: Resolver): void {
  const { fields: draft, typed } = r;
  if (!typed.get('carrier')?.startsWith('#')) return;
  const play = draft.play ?? (typed.has('play') ? null : playFollows(draft));
  const field = numberBelongsTo({ ...draft, play }, typed.has('target'));
  if (field === 'carrier') return;
  const number = draft.carrier!;
  delete draft.carrier;
  // The play follows from the throw, whoever it was.
  if (play) draft.play = play;
  if (!typed.has(field)) draft[field] = number;
  else
    r.problem(
      'twice',
      r.pieces.find((p) => p.field === 'carrier')!,
      {
        field: SNAP_FIELDS[field].label,
        first: typed.get(field)!,
      },
    );
}

const spotWords = (toGoal: number): string => (onField(toGoal) ? formatSpot(toGoal) : 'past the goal line');

/** A clash at the words it comes from. */
function clashProblem(r: Resolver, clash: Clash): void {
  const piece = (field: SnapField): Piece | undefined => r.pieces.find((p) => p.field === field);
  switch (clash.code) {
    case 'gain-wiped-out': {
      const at = piece('gain') ?? piece('result');
      return at && r.problem('gain-wiped-out', at);
    }
    case 'past-goal': {
      const at = piece('gain') ?? r.pieces.find((p) => p.kind === 'result');
      const facts = { gain: String(clash.gain), from: formatSpot(clash.toGoal) };
      return at && r.problem('past-goal', at, facts);
    }
    case 'kick-length': {
      const at = piece('result');
      const facts = {
        from: formatSpot(clash.toGoal),
        least: String(clash.toGoal + FIELD_GOAL.least),
        most: String(clash.toGoal + FIELD_GOAL.most),
        value: String(clash.length),
      };
      return at && r.problem('kick-length', at, facts);
    }
    case 'gain-and-spot':
    case 'return-and-spot': {
      const at = r.deadRange ?? piece('deadToGoal');
      if (!at) return;
      const from = formatSpot(clash.toGoal);
      const places = { from, follows: spotWords(clash.follows), spot: formatSpot(clash.dead) };
      if (clash.code === 'gain-and-spot')
        return r.problem('gain-and-spot', at, { ...places, gain: String(clash.gain) }, [
          { text: `>${encodeSpot(spotOnField(clash.follows), null)}`, label: 'take the gain' },
        ]);
      return r.problem('return-and-spot', at, {
        ...places,
        length: String(clash.length),
        returned: String(clash.returned),
      });
    }
  }
}

/** Every value, typed or derived, is one the field table takes: what the store would refuse is said here, and left out. */
function checkLimits(r: Resolver): void {
  for (const [name, value] of Object.entries(r.fields)) {
    const field = name as SnapField;
    if (value === null || value === undefined) continue;
    const text = writeFieldText(field, value);
    const read = readFieldText(field, text);
    if (read.ok) continue;
    delete r.fields[field];
    if (r.problems.length > 0 && !r.typed.has(field)) continue;
    const piece =
      r.pieces.find((p) => p.field === field) ?? r.pieces.find((p) => p.kind === 'result') ?? r.pieces[0];
    if (piece)
      r.problem('bad-value', piece, {
        value: text.slice(0, 40),
        field: SNAP_FIELDS[field].label,
        expected: read.expected,
      });
  }
}

/** What follows a parsed line, for the echo and the command line. */
export function stateAfter(parsed: ParsedLine, context: LineContext) {
  const before: GameState = { ...(context.state ?? unknownState()) };
  const f = parsed.fields;
  const start: GameState = {
    ...before,
    down: f.down ?? before.down,
    distance: f.distance ?? before.distance,
    toGoal: f.toGoal ?? before.toGoal,
    hash: f.hash ?? before.hash,
    quarter: f.quarter ?? before.quarter,
    clock: f.clock ?? before.clock,
    unit: before.unit ?? (f.down != null ? 'scrimmage' : null),
  };
  return { before: start, after: nextState(start, f, context.profile) };
}
