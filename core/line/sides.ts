/** Sides said by strength, field, tight end or back, made left or right from who stands there. */
import { presentationOf } from '../book/look-words';
import { fieldSides, otherSide, type Side } from '../field/spot';
import { offenseLook } from '../look/offense';
import { sideStructure, type Structure } from '../look/structure';
import type { RelativeSide } from './grammar';
import type { Resolver } from './resolver';

/** The side, or null where nothing tells it: a middle hash, no formation, no tight end or two, a back behind the ball. */
function sideBy(
  to: RelativeSide,
  structure: Structure | null,
  field: Side | null,
  isRun: boolean,
): Side | null {
  if (to === 'field') return field;
  if (to === 'boundary') return field && otherSide(field);
  if (!structure) return null;
  const strength = isRun ? structure.running : structure.passing;
  if (to === 'strong') return strength;
  if (to === 'weak') return otherSide(strength);
  const { backSide } = structure.backfield;
  if (to === 'back') return backSide;
  if (to === 'away from back') return backSide && otherSide(backSide);
  const tight = (['L', 'R'] as const).filter((side) =>
    sideStructure(structure, side).attached.some((man) => man.onLine),
  );
  if (tight.length !== 1) return null;
  return to === 'tight end' ? tight[0]! : otherSide(tight[0]!);
}

export function settleSides(resolver: Resolver): void {
  const { relative, fields, context } = resolver;
  if (relative.length === 0) return;
  const hash = fields.hash ?? context.state?.hash ?? null;
  const { field } = fieldSides(context.profile, hash);
  // The formation's side first: the strength follows from it.
  const inOrder = [...relative].sort(
    (a, b) => Number(b.field === 'formationSide') - Number(a.field === 'formationSide'),
  );
  for (const { field: name, to, range } of inOrder) {
    const shown = presentationOf(context.book, fields);
    const look = shown && offenseLook({ ...shown, hash }, context.profile);
    const side = sideBy(to, look?.snap ?? null, field, fields.play !== 'pass');
    if (side === null) {
      resolver.problem('side-not-told', range, { to }, [
        { text: 'l', label: 'left' },
        { text: 'r', label: 'right' },
      ]);
      continue;
    }
    if (resolver.set(name, side as never, range)) resolver.piece(range, name, 'term');
  }
}
