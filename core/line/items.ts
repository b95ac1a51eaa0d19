/** Items that belong to a neighbor or carry a value of their own: sides, letters, named fields, shapes. */
import { KIND_FIELD, storedValue, type Term } from '../book/term';
import { fieldOfColumn, SNAP_FIELDS } from '../snap/fields';
import type { Penalty, Play, Snap, SnapField } from '../snap/snap';
import { readFieldText } from '../snap/text';
import { FIELD_WORDS, WORDS } from './grammar';
import type { Piece, Resolver } from './resolver';
import type { Range, Unsure } from './tokenize';
import type { Shape } from './shapes';
import type { Item } from './tree';
import { isDoubtField } from '../snap/sureness';

export function attachSide(
  resolver: Resolver,
  items: readonly Item[],
  at: number,
  chosen: ReadonlyMap<number, Term>,
): void {
  const item = items[at]!;
  if (item.kind !== 'side') return;
  let to = at - 1;
  if (items[to]?.kind === 'letter') to--;
  const left = items[to];
  if (resolver.refused.has(to) || left?.kind === 'unknown' || (left?.kind === 'term' && !chosen.has(to)))
    return resolver.piece(item, null, 'sign');
  const term = chosen.get(to);
  if (left?.kind !== 'term' || !term)
    return resolver.problem('lonely', item, { needs: 'before it that takes a side' });
  const field = sideField(resolver, items, to, chosen);
  if (field === null) return resolver.problem('no-side', item, { word: term.word });
  if (resolver.set(field, item.side as never, item)) resolver.piece(item, field, 'term');
}

/** The field that a side after the word at `to` fills. */
function sideField(
  resolver: Resolver,
  items: readonly Item[],
  to: number,
  chosen: ReadonlyMap<number, Term>,
): SnapField | null {
  const { kind } = chosen.get(to)!;
  const { side } = KIND_FIELD[kind];
  if (kind === 'motion' && isSecondMotion(items, to, chosen)) return 'motionSecondSide';
  // The throw beside a run has its own side; of two concepts the first that is said turns the play.
  if (items[to - 1]?.kind === 'tilde') return 'optionSide';
  if (items[to - 1]?.kind === 'slash' && side !== null && resolver.typed.has(side)) return 'optionSide';
  return side;
}

/** A motion after another of the line: a trade and then a jet. */
export function isSecondMotion(
  items: readonly Item[],
  at: number,
  chosen: ReadonlyMap<number, Term>,
): boolean {
  for (let i = 0; i < at; i++) if (items[i]?.kind === 'term' && chosen.get(i)?.kind === 'motion') return true;
  return false;
}

/** "power weak", "trips field": a side by what stands there; which it is follows when the line is read. */
export function attachRelative(
  resolver: Resolver,
  items: readonly Item[],
  at: number,
  chosen: ReadonlyMap<number, Term>,
): void {
  const item = items[at]!;
  const term = chosen.get(at - 1);
  if (item.kind !== 'relative') return;
  if (resolver.refused.has(at - 1) || !term) return resolver.piece(item, null, 'sign');
  const field = term.kind === 'formation' ? 'formationSide' : sideField(resolver, items, at - 1, chosen);
  if (field !== null) resolver.relative.push({ field, to: item.to, range: item });
}

export function attachLetter(
  resolver: Resolver,
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
  const beside = motionAt(at + 1)
    ? at + 1
    : motionAt(at - 1)
      ? at - 1
      : items[at - 1]?.kind === 'side' && motionAt(at - 2)
        ? at - 2
        : null;
  if (beside === null) return resolver.problem('no-motion', item);
  const field = isSecondMotion(items, beside, chosen) ? 'motionSecondBy' : 'motionBy';
  if (resolver.set(field, item.letter, item)) resolver.piece(item, field, 'term');
}

export function namedField(resolver: Resolver, item: Extract<Item, { kind: 'field' }>): void {
  const field = FIELD_WORDS[item.name] ?? fieldOfColumn(item.name);
  const spec = SNAP_FIELDS[field as SnapField];
  if (
    !Object.hasOwn(SNAP_FIELDS, field) ||
    (spec.group === 'identity' && field !== 'film' && field !== 'filmIn' && field !== 'filmOut')
  )
    return resolver.problem('unknown-field', item, { field: item.name });
  const read = readFieldText(field as SnapField, item.value === WORDS.unseen ? '?' : item.value);
  if (!read.ok)
    return resolver.problem('bad-value', item, {
      value: item.value,
      field: spec.label,
      expected: read.expected,
    });
  if (field === 'penalties') {
    resolver.penalties.push(...(read.value as Penalty[]));
    return resolver.piece(item, 'penalties', 'result');
  }
  if (field === 'tags') {
    resolver.tags.push(...(read.value as string[]).filter((t) => !resolver.tags.includes(t)));
    return resolver.piece(item, 'tags', 'term');
  }
  if (isDoubtField(field)) {
    for (const f of read.value as string[]) resolver[field].add(f);
    return resolver.piece(item, field, 'sign');
  }
  if (!resolver.set(field as SnapField, read.value as never, item)) return;
  if (field === 'play') resolver.explicitPlay = true;
  if (field === 'concept' && !resolver.explicitPlay) {
    const kinds = new Set(
      resolver.context.book.terms
        .filter((t) => (t.kind === 'run' || t.kind === 'pass') && storedValue(t) === read.value)
        .map((t) => t.kind),
    );
    if (kinds.size === 1) resolver.fields.play = [...kinds][0] as Play;
    resolver.playTermSeen = true;
  }
  resolver.piece(item, field as SnapField, 'term', item.unsure);
}

export function shape(resolver: Resolver, value: Shape, range: Range, unsure: Unsure): void {
  const one = <K extends SnapField>(field: K, nonNullable: Snap[K], kind: Piece['kind']) => {
    if (resolver.set(field, nonNullable, range)) resolver.piece(range, field, kind, unsure);
  };
  switch (value.shape) {
    case 'down': {
      if (!resolver.set('down', value.down, range)) return;
      const toGoal = resolver.fields.toGoal ?? resolver.context.state?.toGoal ?? null;
      if (value.distance === 'goal' && toGoal === null) resolver.fields.distance = null;
      else if (!resolver.set('distance', value.distance === 'goal' ? toGoal : value.distance, range)) return;
      return resolver.piece(range, 'down', 'situation', unsure);
    }
    case 'spot':
      if (!resolver.set('toGoal', value.toGoal, range)) return;
      if (value.hash && !resolver.set('hash', value.hash, range)) return;
      // "1&g @t6": the distance is the spot typed after it.
      if (resolver.typed.get('down')?.toLowerCase().endsWith('g')) resolver.fields.distance = value.toGoal;
      return resolver.piece(range, 'toGoal', 'situation', unsure);
    case 'dead':
      if (!resolver.set('deadToGoal', value.toGoal, range)) return;
      if (value.hash && !resolver.set('deadHash', value.hash, range)) return;
      resolver.deadRange = range;
      return resolver.piece(range, 'deadToGoal', 'result', unsure);
    case 'quarter':
      return one('quarter', value.quarter, 'situation');
    case 'clock':
      return one('clock', value.clock, 'situation');
    case 'gain':
      return one('gain', value.yards, 'result');
    case 'people':
      if (resolver.playTermSeen || (resolver.fields.personnel ?? null) !== null) {
        return resolver.problem('ambiguous', range, {}, [
          { text: `pers=${value.people}`, label: `${value.people} personnel` },
          { text: `+${value.people}`, label: `+${value.people}` },
        ]);
      }
      return one('personnel', value.people, 'term');
    case 'throw':
      if (value.passer && !resolver.set('passer', value.passer, range)) return;
      if (value.target && !resolver.set('target', value.target, range)) return;
      return resolver.piece(range, value.target ? 'target' : 'passer', 'who', unsure);
    case 'tackle':
      return one('tacklers', value.numbers, 'who');
    case 'number': {
      // Which man it is depends on the play, known only at the end.
      if (resolver.typed.has('carrier'))
        return resolver.problem('twice', range, { field: 'number', first: resolver.typed.get('carrier')! });
      resolver.fields.carrier = value.number;
      resolver.typed.set('carrier', resolver.text.slice(range.start, range.end));
      return resolver.piece(range, 'carrier', 'who', unsure);
    }
  }
}
