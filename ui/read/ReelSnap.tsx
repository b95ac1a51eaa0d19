'use client';
/** One snap of a reel: its place in the game, its drawing, its tags. */
import Link from 'next/link';
import { formatDownDistance, formatSpot, hashWord, type LevelProfile } from '@/core/field';
import type { Book } from '@/core/book';
import { echoOf } from '@/core/line';
import { SNAP_FIELDS, type Snap } from '@/core/snap';
import { Chalk } from '../chalk/Chalk';

export const snapSituation = (snap: Snap): string =>
  snap.down === null || snap.distance === null
    ? (snap.unit ?? '')
    : `${formatDownDistance(snap.down, snap.distance, snap.toGoal)}${snap.toGoal === null ? '' : `, ${formatSpot(snap.toGoal)}`}`;
/** "kick 41, returned 12". */
const kicked = ({ kickYards, kickEnd, returnYards }: Snap): string =>
  [
    kickYards === null ? '' : `kick ${kickYards}`,
    `${(kickEnd ?? '').replace(/_/g, ' ')}${returnYards === null ? '' : ` ${returnYards}`}`,
  ]
    .filter(Boolean)
    .join(', ') || 'not tagged';
/** What was called and what it gained. */
export const snapCall = (snap: Snap): string =>
  snap.result === 'kick'
    ? kicked(snap)
    : `${snap.concept && snap.concept !== '-' && snap.concept !== '?' ? snap.concept : (snap.play ?? 'not tagged')}${snap.gain === null ? '' : ` ${snap.gain > 0 ? '+' : ''}${snap.gain}`}`;

interface ReelSnapProps {
  readonly snap: Snap;
  readonly number: number;
  readonly game: string;
  readonly note?: string;
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly height: number;
  /** Null: there is no way to Log for this member. */
  readonly onCard: (() => void) | null;
  readonly log: boolean;
}

export function ReelSnap({ snap, number, game, note, book, profile, height, onCard, log }: ReelSnapProps) {
  return (
    <>
      <div className="cardhead">
        <h2>
          {game}, snap {number}
        </h2>
        <span style={{ display: 'flex', gap: 12 }}>
          {onCard && (
            <button type="button" className="plain" onClick={onCard}>
              look card
            </button>
          )}
          {log && (
            <Link href={`/log/${encodeURIComponent(snap.game)}?snap=${encodeURIComponent(snap.snapId)}`}>
              open in Log
            </Link>
          )}
        </span>
      </div>
      <p style={{ fontSize: 17, fontWeight: 650 }}>
        {snapSituation(snap)}
        {snap.hash ? `, ${hashWord(snap.hash)}` : ''}
      </p>
      {note && <p className="clipnote">{note}</p>}
      <Chalk book={book} profile={profile} fields={snap} hash={snap.hash} height={height} />
      <dl className="tagsheet">
        {echoOf(snap)
          .filter((e) => !SNAP_FIELDS[e.field].titled && e.value !== 'false')
          .map((echo) => (
            <div key={echo.field}>
              <dt>{echo.label}</dt>
              <dd>{echo.value}</dd>
            </div>
          ))}
      </dl>
    </>
  );
}
