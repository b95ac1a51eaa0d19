/** Items that belong to a neighbor or carry a value of their own: sides, letters, named fields, shapes. */
import { KIND_FIELD, storedValue, type Term } from '../book/term';
import { fieldOfColumn, SNAP_FIELDS } from '../snap/fields';
import type { Penalty, Play, Snap, SnapField } from '../snap/snap';
import { readFieldText } from '../snap/text';
import { FIELD_WORDS, WORDS } from './grammar';
import type { Piece, Resolver } from './resolver';
import type { Range } from './tokenize';
import type { Item, Shape } from './tree';

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
  const field = KIND_FIELD[term.kind].side;
  if (field === null) return resolver.problem('no-side', item, { word: term.word });
  const passPart = items[to - 1]?.kind === 'slash' || items[to - 1]?.kind === 'tilde';
  if (passPart && resolver.typed.has(field))
    return resolver.problem('no-side', item, { word: `the second part, ${term.word}` });
  if (resolver.set(field, item.side as never, item)) resolver.piece(item, field, 'term');
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
  const beside = motionAt(at + 1) || motionAt(at - 1) || (items[at - 1]?.kind === 'side' && motionAt(at - 2));
  if (!beside) return resolver.problem('no-motion', item);
  if (resolver.set('motionBy', item.letter, item)) resolver.piece(item, 'motionBy', 'term');
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
  if (field === 'notSure') {
    for (const f of read.value as string[]) resolver.notSure.add(f);
    return resolver.piece(item, 'notSure', 'sign');
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

export function shape(resolver: Resolver, value: Shape, range: Range, unsure: boolean): void {
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
