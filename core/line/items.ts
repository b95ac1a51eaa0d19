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

export function attachLetter(
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

export function namedField(r: Resolver, item: Extract<Item, { kind: 'field' }>): void {
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

export function shape(r: Resolver, value: Shape, range: Range, unsure: boolean): void {
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
