'use client';
/** Over a team's games together: which blank field would narrow the report's intervals most, and where to chart it. */
import Link from 'next/link';
import type { SharpenedFilm } from '@/core/charting';
import { gameName } from '@/core/exchange/names';
import type { GameInfo } from '@/core/exchange/types';
import { SharpenNote } from '../pass/SharpenNote';

export type Sharpest = Readonly<Record<'offense' | 'defense', readonly SharpenedFilm[]>>;

interface SharpestCardProps {
  readonly team: string;
  readonly sharpest: Sharpest;
  readonly games: readonly { readonly game: GameInfo }[];
  readonly nameOf: (key: string) => string;
}

export function SharpestCard({ team, sharpest, games, nameOf }: SharpestCardProps) {
  const nameOfGame = (key: string): string => {
    const found = games.find(({ game }) => game.key === key);
    return found ? gameName(found.game, nameOf) : key;
  };
  return (
    <section className="card" aria-label="What would sharpen the report most">
      <h2>What would sharpen a report on {team} most</h2>
      {(['offense', 'defense'] as const).map((side) => (
        <table key={side} className="rows tight">
          <thead>
            <tr>
              <th>when {side === 'offense' ? 'they have the ball' : 'they defend'}</th>
              <th className="n">blank</th>
              <th className="n">interval</th>
              <th>most of it in</th>
            </tr>
          </thead>
          <tbody>
            {sharpest[side].length === 0 && (
              <tr>
                <td colSpan={4} className="quiet">
                  Nothing is blank.
                </td>
              </tr>
            )}
            {sharpest[side].map(({ field, label, pass, blank, of, now, then, where }) => (
              <tr key={field}>
                <td>{label}</td>
                <td className="n keep">
                  {blank} of {of}
                </td>
                <td className="n keep">
                  ±{Math.round(now)} → ±{Math.round(then)}
                </td>
                <td>
                  <Link
                    href={`/log/${encodeURIComponent(where[0]!.game)}/pass?pass=${encodeURIComponent(pass.id)}`}
                    aria-label={`chart ${label} in ${nameOfGame(where[0]!.game)}`}
                  >
                    {nameOfGame(where[0]!.game)}
                  </Link>{' '}
                  <span className="small quiet">
                    {where[0]!.blank}
                    {where.length > 1 ? `, ${where.length} games in all` : ''}
                  </span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ))}
      <SharpenNote />
    </section>
  );
}
