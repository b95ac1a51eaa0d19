'use client';
/** The snaps behind a number of Plan, by its name in the address. */
import type { ReelProps } from '../read/Reel';
import { Reel } from '../read/Reel';
import { planReel } from './plan-reel';

interface PlanReelProps extends Pick<ReelProps, 'book' | 'profile' | 'gameName' | 'onClose'> {
  readonly name: string;
  readonly of: Parameters<typeof planReel>[1];
}

export function PlanReel({ name, of, ...rest }: PlanReelProps) {
  const { title, rows } = planReel(name, of);
  return <Reel title={title} snaps={[...rows].map((i) => of.film.snaps[i]!)} {...rest} />;
}
