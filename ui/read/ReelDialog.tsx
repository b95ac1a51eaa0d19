'use client';
/** The snaps behind a number, one after another: drawing, situation, tags. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Link from 'next/link';
import { useEffect, useRef, useState } from 'react';
import { formatClock, formatDownDistance, formatSpot, hashWord } from '@/core/field';
import { echoOf } from '@/core/line';
import { SNAP_FIELDS, type Snap } from '@/core/snap';
import { Chalk } from '../chalk/Chalk';
import { LookCard } from '../look/LookCard';
import type { ReelProps } from './Reel';

const situation = (snap: Snap): string =>
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
const called = (snap: Snap): string =>
  snap.result === 'kick'
    ? kicked(snap)
    : `${snap.concept && snap.concept !== '-' && snap.concept !== '?' ? snap.concept : (snap.play ?? 'not tagged')}${snap.gain === null ? '' : ` ${snap.gain > 0 ? '+' : ''}${snap.gain}`}`;

export default function ReelDialog({ title, snaps, book, profile, gameName, onClose }: ReelProps) {
  const [at, setAt] = useState(0);
  const [card, setCard] = useState(false);
  /** For the meeting room: one snap at a time, large. */
  const [large, setLarge] = useState(false);
  const list = useRef<HTMLOListElement>(null);
  const current = snaps[Math.min(at, snaps.length - 1)];
  useEffect(() => {
    list.current?.querySelector('[aria-current="true"]')?.scrollIntoView({ block: 'nearest' });
  }, [at]);
  const go = (by: number) => setAt((i) => Math.max(0, Math.min(snaps.length - 1, i + by)));
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      fullScreen={large}
      maxWidth="lg"
      aria-labelledby="reel-title"
      onKeyDown={(event) => {
        if (event.key === 'ArrowDown' || event.key === 'ArrowRight') {
          event.preventDefault();
          go(1);
        } else if (event.key === 'ArrowUp' || event.key === 'ArrowLeft') {
          event.preventDefault();
          go(-1);
        }
      }}
    >
      <DialogTitle id="reel-title" style={{ display: 'flex', justifyContent: 'space-between', gap: 12 }}>
        <span>
          {title}: {snaps.length} {snaps.length === 1 ? 'snap' : 'snaps'}
        </span>
        <span>
          {large && snaps.length > 0 && (
            <span className="num" aria-live="polite">
              {Math.min(at, snaps.length - 1) + 1} of {snaps.length}{' '}
            </span>
          )}
          <Button aria-pressed={large} onClick={() => setLarge(!large)}>
            {large ? 'List' : 'Large, one at a time'}
          </Button>
          <Button onClick={onClose}>Close</Button>
        </span>
      </DialogTitle>
      <DialogContent style={large ? undefined : { height: '70vh' }}>
        {!current ? (
          <p>No snaps stand behind this number.</p>
        ) : (
          <div className={large ? 'reel large' : 'reel'}>
            <ol ref={list} hidden={large} aria-label="Snaps of the reel" tabIndex={0}>
              {snaps.map((countedSnap, i) => (
                <li key={countedSnap.snap.snapId}>
                  <button
                    type="button"
                    className="plain"
                    aria-current={i === at}
                    onClick={() => setAt(i)}
                    data-testid="reel-snap"
                  >
                    <strong>{situation(countedSnap.snap)}</strong>
                    <br />
                    <span className="small quiet">
                      {called(countedSnap.snap)} · Q{countedSnap.snap.quarter ?? '?'}
                      {countedSnap.snap.clock === null ? '' : ` ${formatClock(countedSnap.snap.clock)}`}
                    </span>
                  </button>
                </li>
              ))}
            </ol>
            <div style={{ minWidth: 0, overflowY: 'auto' }} tabIndex={0} role="group" aria-label="The snap">
              <div className="cardhead">
                <h2>
                  {gameName(current.snap.game)}, snap {current.number}
                </h2>
                <span style={{ display: 'flex', gap: 12 }}>
                  <button type="button" className="plain" onClick={() => setCard(true)}>
                    look card
                  </button>
                  <Link href={`/log/${encodeURIComponent(current.snap.game)}?snap=${current.snap.snapId}`}>
                    open in Log
                  </Link>
                </span>
              </div>
              <p style={{ fontSize: 17, fontWeight: 650 }}>
                {situation(current.snap)}
                {current.snap.hash ? `, ${hashWord(current.snap.hash)}` : ''}
              </p>
              <Chalk
                book={book}
                profile={profile}
                fields={current.snap}
                hash={current.snap.hash}
                height={large ? 420 : 230}
              />
              <dl className="tagsheet">
                {echoOf(current.snap)
                  .filter((e) => !SNAP_FIELDS[e.field].titled && e.value !== 'false')
                  .map((echo) => (
                    <div key={echo.field}>
                      <dt>{echo.label}</dt>
                      <dd>{echo.value}</dd>
                    </div>
                  ))}
              </dl>
            </div>
          </div>
        )}
        {card && current && (
          <LookCard
            book={book}
            profile={profile}
            fields={current.snap}
            hash={current.snap.hash}
            onClose={() => setCard(false)}
          />
        )}
      </DialogContent>
    </Dialog>
  );
}
