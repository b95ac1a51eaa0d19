/** What follows from the words together, and where two of them clash. */
import { findPenalty } from '../field/profile';
import { encodeSpot, formatSpot } from '../field/spot';
import { FIELD_GOAL, onField, spotOnField } from '../rules/arithmetic';
import { derivePlay, numberBelongsTo, playFollows, type Clash } from '../rules/derive';
import { usualEnforcement } from '../rules/enforcement';
import { SNAP_FIELDS } from '../snap/fields';
import { readFieldText, writeFieldText } from '../snap/text';
import type { Penalty, SnapField } from '../snap/snap';
import type { Piece, Resolver } from './resolver';
import { DOUBT_FIELDS } from '../snap/sureness';

/** What follows from the words together. */
export function finish(resolver: Resolver): void {
  const { fields: draft } = resolver;
  const { state } = resolver.context;
  if (resolver.penalties.length > 0) draft.penalties = placedFouls(resolver);
  if (resolver.tags.length > 0) draft.tags = resolver.tags;
  numberAlone(resolver);
  const { fields, clashes } = derivePlay(draft, {
    offense: draft.offense ?? state?.offense ?? null,
    defense: draft.defense ?? state?.defense ?? null,
    toGoal: draft.toGoal ?? state?.toGoal ?? null,
    said: new Set(resolver.typed.keys()),
  });
  Object.assign(draft, fields);
  for (const clash of clashes) clashProblem(resolver, clash);
  for (const list of DOUBT_FIELDS) if (resolver[list].size > 0) draft[list] = [...resolver[list]].sort();
}

/** Fouls whose spot of enforcement nobody said, from where the play gives it. */
function placedFouls({ penalties, unplaced, fields, context: { profile } }: Resolver): Penalty[] {
  const play = { ...fields, play: fields.play ?? playFollows(fields) };
  const carried = {
    ...play,
    result:
      play.result ??
      (play.gain != null && play.play !== 'pass'
        ? 'gain'
        : play.gain != null && play.play === 'pass'
          ? 'complete'
          : null),
  } as typeof play;
  return penalties.map((penalty, i) => {
    if (!unplaced.has(i)) return penalty;
    const rule = findPenalty(profile, penalty.name);
    const offense = penalty.side === 'o' || penalty.side === 'k';
    return {
      ...penalty,
      from: usualEnforcement(penalty, (offense ? rule?.offense : rule?.defense) ?? null, carried),
    };
  });
}

/** "#22" alone: whose number it is follows from the play. */
function numberAlone(resolver: Resolver): void {
  const { fields: draft, typed } = resolver;
  if (!typed.get('carrier')?.startsWith('#')) return;
  const play = draft.play ?? (typed.has('play') ? null : playFollows(draft));
  const field = numberBelongsTo({ ...draft, play }, typed.has('target'));
  if (field === 'carrier') return;
  const number = draft.carrier!;
  delete draft.carrier;
  // The play follows from the throw, whoever it was.
  if (play) draft.play = play;
  if (!typed.has(field)) {
    if (field === 'tacklers') draft.tacklers = [number];
    else draft[field] = number;
  } else
    resolver.problem(
      'twice',
      resolver.pieces.find((p) => p.field === 'carrier')!,
      {
        field: SNAP_FIELDS[field].label,
        first: typed.get(field)!,
      },
    );
}

const spotWords = (toGoal: number): string => (onField(toGoal) ? formatSpot(toGoal) : 'past the goal line');

/** A clash at the words it comes from. */
function clashProblem(resolver: Resolver, clash: Clash): void {
  const piece = (field: SnapField): Piece | undefined => resolver.pieces.find((p) => p.field === field);
  switch (clash.code) {
    case 'gain-wiped-out': {
      const at = piece('gain') ?? piece('result');
      return at && resolver.problem('gain-wiped-out', at);
    }
    case 'past-goal': {
      const at = piece('gain') ?? resolver.pieces.find((p) => p.kind === 'result');
      const facts = { gain: String(clash.gain), from: formatSpot(clash.toGoal) };
      return at && resolver.problem('past-goal', at, facts);
    }
    case 'kick-length': {
      const at = piece('result');
      const facts = {
        from: formatSpot(clash.toGoal),
        least: String(clash.toGoal + FIELD_GOAL.least),
        most: String(clash.toGoal + FIELD_GOAL.most),
        value: String(clash.length),
      };
      return at && resolver.problem('kick-length', at, facts);
    }
    case 'gain-and-spot':
    case 'return-and-spot': {
      const at = resolver.deadRange ?? piece('deadToGoal');
      if (!at) return;
      const from = formatSpot(clash.toGoal);
      const places = { from, follows: spotWords(clash.follows), spot: formatSpot(clash.dead) };
      if (clash.code === 'gain-and-spot')
        return resolver.problem('gain-and-spot', at, { ...places, gain: String(clash.gain) }, [
          { text: `>${encodeSpot(spotOnField(clash.follows), null)}`, label: 'take the gain' },
        ]);
      return resolver.problem('return-and-spot', at, {
        ...places,
        length: String(clash.length),
        returned: String(clash.returned),
      });
    }
  }
}

/** Every value, typed or derived, is one the field table takes: what the store would refuse is said here, and left out. */
export function checkLimits(resolver: Resolver): void {
  for (const [name, value] of Object.entries(resolver.fields)) {
    const field = name as SnapField;
    if (value === null || value === undefined) continue;
    const text = writeFieldText(field, value);
    const read = readFieldText(field, text);
    if (read.ok) continue;
    delete resolver.fields[field];
    if (resolver.problems.length > 0 && !resolver.typed.has(field)) continue;
    const piece =
      resolver.pieces.find((p) => p.field === field) ??
      resolver.pieces.find((p) => p.kind === 'result') ??
      resolver.pieces[0];
    if (piece)
      resolver.problem('bad-value', piece, {
        value: text.slice(0, 40),
        field: SNAP_FIELDS[field].label,
        expected: read.expected,
      });
  }
}
