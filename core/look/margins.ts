/** Hat margins at the eight points of attack. */
import type { Side } from '../field/spot';
import type { FullLook } from './look';
import { countsAt, DEFAULT_RUN, type RunSettings } from './run/run';
import type { RunCall } from './run/ledger';
import { POINTS, type PointOfAttack, type RunDef } from './run/run-def';

/** A run without a name, to count hats by: the rule of a line, nobody read. */
export const plainRun = (
  blocking: RunDef['blocking'],
  to: Side,
  point: PointOfAttack,
  jobs: RunDef['jobs'] = {},
): RunCall => ({
  def: { blocking, point, read: null, carrier: 'back', jobs, flex: [] },
  to,
  mover: null,
  option: null,
});

export interface PointMargin {
  readonly to: Side;
  readonly point: PointOfAttack;
  readonly hats: number;
  readonly there: number;
  readonly margin: number;
}

/** The hat margin at each point of attack, left to right as it lies on the field: zone blocking, nobody read. */
export function pointMargins(look: FullLook, settings: RunSettings = DEFAULT_RUN): PointMargin[] {
  const { defense, offense } = look;
  if (!defense?.front) return [];
  const at = (to: Side): PointMargin[] =>
    countsAt(offense.snapMen, defense.men, offense.snap, plainRun('zone', to, 'C'), POINTS, settings).map(
      (c) => ({
        to,
        ...c,
      }),
    );
  return [...at('L').reverse(), ...at('R')];
}
