/** Pressure: who comes, through what, from where, and what that makes it. */
import type { Side } from '../field/spot';
import type { PlacedDefender } from './coverage';
import type { Structure } from './structure';
import { GAPS, gapAt, type Gap } from './formation';

export const RUSH_SIDES = ['s', 'w', 'f', 'b', 'back', 'away', 'te', 'open'] as const;
/** Strong, weak, field, boundary, to the back, away from him, to the tight end, to the open side. */
export type RushSide = (typeof RUSH_SIDES)[number];
export const RUSH_GAPS = GAPS;
export type RushGap = Gap;
export const RUSH_MEN = ['backer', 'middle', 'edge', 'nickel', 'corner', 'safety'] as const;
export type RushMan = (typeof RUSH_MEN)[number];

export interface Rusher {
  readonly man: RushMan;
  readonly gap: RushGap;
  readonly side: RushSide;
}
/** Men who threaten before the snap, from which it is a simulated pressure. */
export const MANY_THREATEN = 6;
export const LINE_MOVES = ['none', 'stick', 'slant strong', 'slant weak', 'twist'] as const;

export interface PressureDef {
  /** Men of the second and third level who come. */
  readonly rushers: readonly Rusher[];
  /** Men on the line who drop. */
  readonly drops: number;
  /** Side the dropper leaves from. */
  readonly dropSide: RushSide | null;
  readonly lineMove: (typeof LINE_MOVES)[number];
  /** Men who threaten before the snap, the line included. */
  readonly threat: number;
}

/** The offense's side a rush side means here; null where it means nothing (no tight end, middle hash). */
export function rushSide(side: RushSide, structure: Structure): Side | null {
  const other = (x: Side | null): Side | null => (x === null ? null : x === 'L' ? 'R' : 'L');
  switch (side) {
    case 's':
      return structure.strength;
    case 'w':
      return other(structure.strength);
    case 'f':
      return structure.fieldSide;
    case 'b':
      return other(structure.fieldSide);
    case 'back':
      return structure.strengths.back;
    case 'away':
      return other(structure.strengths.back);
    case 'te':
      return structure.strengths.tight_end;
    case 'open':
      return other(structure.strengths.tight_end);
  }
}

export interface RushPath {
  readonly man: PlacedDefender;
  /** Where he crosses the line, lateral yards. */
  readonly x: number;
  readonly line: boolean;
}

export interface PressureLook {
  readonly rush: readonly RushPath[];
  readonly dropped: readonly PlacedDefender[];
  readonly count: number;
  readonly kind:
    | 'three and drop eight'
    | 'four-man'
    | 'creeper'
    | 'simulated'
    | 'fire zone'
    | 'zero'
    | 'five-man'
    | 'six or more';
  /** Where each added man comes from, relative to back, tight end, strength, field. */
  readonly sources: readonly string[];
}

/**
 * Who rushes from these men. The line comes (an odd front sends its strong edge man as the fourth
 * when no pressure is called), less the droppers, plus the added men; `deep` is the coverage's deep
 * count, which tells fire zone from five-man and zero from the rest.
 */
export function pressureLook(
  def: PressureDef | null,
  defenders: readonly PlacedDefender[],
  structure: Structure,
  deep: number | null,
): PressureLook {
  const strong = structure.strength === 'L' ? -1 : 1;
  const signed = (side: Side | null): 1 | -1 => (side === null ? (strong as 1 | -1) : side === 'L' ? -1 : 1);
  const line = defenders.filter((d) => d.level === 'down');
  const rush: RushPath[] = [];
  const used = new Set<PlacedDefender>();
  const dropped: PlacedDefender[] = [];
  const wantDrop = def?.drops ?? 0;
  if (wantDrop > 0) {
    const sign = signed(def!.dropSide === null ? null : rushSide(def!.dropSide, structure));
    for (const d of [...line].sort((a, b) => (b.x - a.x) * sign).slice(0, wantDrop)) dropped.push(d);
  }
  for (const d of line) if (!dropped.includes(d)) rush.push({ man: d, x: d.x, line: true });
  const sources: string[] = [];
  for (const rusher of def?.rushers ?? []) {
    const side = rushSide(rusher.side, structure);
    const sign = signed(side);
    const want = rusher.man === 'middle' ? 0 : sign * 8;
    const fits = (defender: PlacedDefender): boolean => {
      if (used.has(defender) || defender.level === 'down') return false;
      switch (rusher.man) {
        case 'backer':
        case 'middle':
          return defender.level === 'backer';
        case 'edge':
          return (
            defender.level === 'edge' ||
            defender.level === 'nickel' ||
            defender.level === 'backer' ||
            defender.level === 'safety'
          );
        case 'nickel':
          return defender.level === 'nickel';
        case 'corner':
          return defender.level === 'corner';
        case 'safety':
          return defender.level === 'safety';
      }
    };
    const order: readonly PlacedDefender['level'][] =
      rusher.man === 'edge' ? ['edge', 'nickel', 'backer', 'safety'] : [];
    const man =
      defenders
        .filter(fits)
        .sort(
          (a, b) =>
            order.indexOf(a.level) - order.indexOf(b.level) || Math.abs(a.x - want) - Math.abs(b.x - want),
        )[0] ?? defenders.filter((d) => !used.has(d) && d.level === 'backer')[0];
    if (!man) continue;
    used.add(man);
    const x = gapAt(rusher.gap) * sign;
    rush.push({ man, x, line: false });
    const facts = [`${rusher.gap === 'D' ? 'edge' : `${rusher.gap} gap`}`];
    const at: Side = x < 0 ? 'L' : 'R';
    if (structure.strength !== null) facts.push(at === structure.strength ? 'strong' : 'weak');
    if (structure.fieldSide !== null) facts.push(at === structure.fieldSide ? 'field' : 'boundary');
    if (structure.strengths.back !== null)
      facts.push(at === structure.strengths.back ? 'to the back' : 'away from the back');
    if (structure.strengths.tight_end !== null)
      facts.push(at === structure.strengths.tight_end ? 'to the tight end' : 'away from the tight end');
    sources.push(`${man.letter} ${facts.join(', ')}`);
  }
  if (def === null && line.length === 3) {
    const edge = defenders.filter((d) => d.level === 'edge').sort((a, b) => (b.x - a.x) * strong)[0];
    if (edge) rush.push({ man: edge, x: edge.x, line: false });
  }
  const count = rush.length;
  const added = def?.rushers.length ?? 0;
  let kind: PressureLook['kind'];
  if (deep === 0 && added > 0) kind = 'zero';
  else if (count >= 6) kind = 'six or more';
  else if (count === 5) kind = deep === 3 ? 'fire zone' : 'five-man';
  else if (count <= 3) kind = 'three and drop eight';
  else if (added > 0) kind = (def?.threat ?? 0) >= MANY_THREATEN ? 'simulated' : 'creeper';
  else kind = 'four-man';
  return { rush, dropped, count, kind, sources };
}
