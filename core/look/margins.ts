/** Hat margins at the eight points of attack. */
import type { Side } from '../field/spot';
import { DEFAULT_BOX, type BoxRule } from './front';
import { runLedger } from './hats';
import type { RunAim } from './ledger';
import type { FullLook } from './look';

/** A run without a name, to count hats by: zone or down blocking to a side, nobody read. */
export const plainRun = (
  blocking: RunAim['blocking'],
  to: Side,
  point: RunAim['point'],
  pullers: { readonly kick: string | null; readonly wrap: string | null } = { kick: null, wrap: null },
): RunAim => ({
  blocking,
  to,
  point,
  read: null,
  option: null,
  kick: pullers.kick,
  wrap: pullers.wrap === null ? [] : [pullers.wrap],
  carrier: null,
});

export interface PointMargin {
  readonly to: Side;
  readonly point: RunAim['point'];
  readonly hats: number;
  readonly there: number;
  readonly margin: number;
}

/** The hat margin at each point of attack, left to right as it lies on the field: zone blocking, nobody read. */
export function pointMargins(look: FullLook, box: BoxRule = DEFAULT_BOX): PointMargin[] {
  if (!look.defense?.front) return [];
  const order: readonly (readonly [Side, RunAim['point']])[] = [
    ['L', 'D'],
    ['L', 'C'],
    ['L', 'B'],
    ['L', 'A'],
    ['R', 'A'],
    ['R', 'B'],
    ['R', 'C'],
    ['R', 'D'],
  ];
  return order.map(([to, point]) => {
    const ledger = runLedger(
      look.offense.snapMen,
      look.defense!.men,
      look.offense.snap,
      plainRun('zone', to, point),
      box,
    );
    return { to, point, hats: ledger.hats, there: ledger.there, margin: ledger.margin };
  });
}
