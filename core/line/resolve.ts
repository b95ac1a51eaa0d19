/** Items → fields. Gives each word its meaning in the situation; a line with problems keeps all it understood. */
import { KIND_FIELD, storedValue, type Term } from '../book/term';
import { editDistance, termIndex } from '../book/index-terms';
import { nextState } from '../rules/next-state';
import { unknownState, type GameState } from '../rules/state';
import type { SnapField } from '../snap/snap';
import { checkLimits, finish } from './follow';
import { settleSides } from './sides';
import { HEADS, RESULT_WORDS } from './grammar';
import { headWord } from './heads';
import { attachLetter, attachRelative, attachSide, isSecondMotion, namedField, shape } from './items';
import type { Candidate } from './problem';
import { Resolver, type LineContext, type ParsedLine } from './resolver';
import { readShape } from './shapes';
import { MOST_CHARACTERS, tokenize } from './tokenize';
import { buildTree, type Item } from './tree';

const CARRIED_LOOK = ['personnel', 'formation', 'formationSide', 'backfield'] as const;

/** Parses one snap line. Never throws; `fields` holds all that was understood. */
export function parseLine(text: string, context: LineContext): ParsedLine {
  const tokens = tokenize(text);
  return resolve(text, buildTree(tokens, context.book, context.profile), context);
}

/** "#h" and "#q>#h" with the numbers of today; `letter`: one that nobody is named for. Null: no such word. */
function numbered(
  word: string,
  { book, letters }: LineContext,
  offense: string,
): { readonly word: string; readonly letter: string | null } | null {
  if (!/^[#>\da-z$]*#[a-z$]/.test(word)) return null;
  let missing: string | null = null;
  const written = word.replace(/#([a-z$]{1,3})/g, (whole, said: string) => {
    const letter = said.toUpperCase();
    if (!book.letters.includes(letter)) return whole;
    const number = letters?.[offense]?.[letter];
    if (number === undefined) missing ??= letter;
    return `#${number ?? said}`;
  });
  return written === word && missing === null ? null : { word: written, letter: missing };
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
  const resolver = new Resolver(text, context);
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
        if (item.open) resolver.problem('open-note', item);
        if (resolver.set('note', item.note, item)) resolver.piece(item, 'note', 'note');
        return;
      case 'keep':
        if (resolver.set('kept', true, item)) resolver.piece(item, 'kept', 'sign');
        return;
      case 'carry': {
        if (!context.previous) return resolver.problem('nothing-to-carry', item);
        for (const field of CARRIED_LOOK) {
          if (!resolver.typed.has(field))
            (resolver.fields as Record<string, unknown>)[field] = context.previous[field];
        }
        return resolver.piece(item, 'formation', 'term');
      }
      case 'slash':
      case 'tilde': {
        const left = isPlay(at - 1) || (items[at - 1]?.kind === 'side' && isPlay(at - 2));
        if (!left) return resolver.problem('lonely', item, { needs: 'of a play before it' });
        if (items[at + 1]?.kind === 'unknown') return;
        if (!isPlay(at + 1) && items[at + 1]?.kind !== 'term')
          return resolver.problem('lonely', item, { needs: 'of a play after it' });
        return resolver.piece(item, null, 'sign');
      }
      case 'unknown': {
        const team = context.teams?.findIndex((k) => k.toLowerCase() === item.word);
        if (context.teams && (team === 0 || team === 1)) {
          resolver.fields.defense = context.teams[1 - team]!;
          if (resolver.set('offense', context.teams[team]!, item))
            resolver.piece(item, 'offense', 'situation');
          return;
        }
        const named = numbered(item.word, context, resolver.fields.offense ?? context.state?.offense ?? '');
        if (named?.letter) return resolver.problem('no-number', item, { letter: named.letter });
        const worn = named && readShape(named.word);
        if (worn) return shape(resolver, worn, item, '');
        return resolver.problem('unknown-word', item, {}, nearestWords(item.word, context));
      }
      case 'result': {
        const given = RESULT_WORDS[item.word]!;
        for (const [field, value] of Object.entries(given) as [SnapField, never][]) {
          if (!resolver.set(field, value, item)) return;
        }
        return resolver.piece(item, (Object.keys(given)[0] as SnapField) ?? null, 'result', item.unsure);
      }
      case 'field':
        return namedField(resolver, item);
      case 'side':
        return attachSide(resolver, items, at, chosen);
      case 'relative':
        return attachRelative(resolver, items, at, chosen);
      case 'letter':
        return attachLetter(resolver, items, at, chosen);
      case 'head':
        return headWord(resolver, item.head, item.operands, item);
      case 'shape':
        return shape(resolver, item.value, item, item.unsure);
      case 'term': {
        const term = chosen.get(at);
        if (!term) {
          return resolver.problem(
            'ambiguous',
            item,
            {},
            readings(items, at).map((term) => ({
              text:
                term.kind === 'motion'
                  ? `mo=${quoted(storedValue(term))}`
                  : `${shortField(term)}=${quoted(storedValue(term))}`,
              label: `${term.word} the ${term.kind}`,
            })),
          );
        }
        const second = items[at - 1]?.kind === 'slash' || items[at - 1]?.kind === 'tilde';
        const field =
          second && (term.kind === 'run' || term.kind === 'pass')
            ? 'conceptWeak'
            : term.kind === 'motion' && isSecondMotion(items, at, chosen)
              ? 'motionSecond'
              : KIND_FIELD[term.kind].field;
        if (term.kind === 'tag') {
          if (!resolver.tags.includes(storedValue(term))) resolver.tags.push(storedValue(term));
          return resolver.piece(item, 'tags', 'term', item.unsure);
        }
        if (!resolver.set(field, storedValue(term) as never, item)) return void resolver.refused.add(at);
        if (term.kind === 'run' || term.kind === 'pass') {
          resolver.playTermSeen = true;
          if (field === 'concept' && !resolver.explicitPlay) resolver.fields.play = rpo ? 'rpo' : term.kind;
        }
        return resolver.piece(item, field, 'term', item.unsure);
      }
    }
  });
  if (text.length > MOST_CHARACTERS)
    resolver.problem(
      'too-long',
      { start: MOST_CHARACTERS, end: text.length },
      { most: String(MOST_CHARACTERS) },
    );
  settleSides(resolver);
  finish(resolver);
  checkLimits(resolver);
  resolver.pieces.sort((a, b) => a.start - b.start);
  resolver.problems.sort((a, b) => a.start - b.start);
  return { text, fields: resolver.fields, pieces: resolver.pieces, problems: resolver.problems };
}

const quoted = (value: string): string => (/\s/.test(value) ? `"${value}"` : value);
const shortField = (term: Term): string =>
  (({ formation: 'form', coverage: 'cov', run: 'con', pass: 'con' }) as Record<string, string>)[term.kind] ??
  term.kind;

/** What follows a parsed line, for the echo and the command line. */
export function stateAfter(parsed: ParsedLine, context: LineContext) {
  const before: GameState = { ...(context.state ?? unknownState()) };
  const partial = parsed.fields;
  const start: GameState = {
    ...before,
    down: partial.down ?? before.down,
    distance: partial.distance ?? before.distance,
    toGoal: partial.toGoal ?? before.toGoal,
    hash: partial.hash ?? before.hash,
    quarter: partial.quarter ?? before.quarter,
    clock: partial.clock ?? before.clock,
    unit: before.unit ?? (partial.down != null ? 'scrimmage' : null),
  };
  return { before: start, after: nextState(start, partial, context.profile) };
}
