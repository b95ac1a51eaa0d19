'use client';
/** The snaps behind a number, one after another: drawing, situation, tags. They may be kept, and shown to a room. */
import { plural } from '@/core/rules/plural';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useEffect, useMemo, useRef, useState } from 'react';
import { formatClock } from '@/core/field';
import { LookCard } from '../look/LookCard';
import Present from './Present';
import type { ReelProps } from './Reel';
import { ReelSnap, snapCall, snapSituation } from './ReelSnap';
import { KeepForm } from './reels/KeepForm';
import { useKeptReels } from './reels/KeptReels';

export default function ReelDialog({ title, snaps, book, profile, gameName, onClose }: ReelProps) {
  const [at, setAt] = useState(0);
  const [card, setCard] = useState(false);
  const [presented, setPresented] = useState(false);
  const reels = useKeptReels();
  const list = useRef<HTMLOListElement>(null);
  const current = snaps[Math.min(at, snaps.length - 1)];
  const clips = useMemo(
    () => snaps.map(({ snap }) => ({ game: snap.game, snap: snap.snapId, note: '' })),
    [snaps],
  );
  useEffect(() => {
    list.current?.querySelector('[aria-current="true"]')?.scrollIntoView({ block: 'nearest' });
  }, [at]);
  const go = (by: number) => setAt((i) => Math.max(0, Math.min(snaps.length - 1, i + by)));
  if (presented)
    return (
      <Present
        title={title}
        snaps={snaps}
        first={at}
        book={book}
        profile={profile}
        gameName={gameName}
        onClose={(to) => {
          setAt(to);
          setPresented(false);
        }}
      />
    );
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="lg"
      aria-labelledby="reel-title"
      onKeyDown={(event) => {
        if (event.target instanceof HTMLSelectElement) return;
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
          {title}: {plural(snaps.length, 'snap')}
        </span>
        <span className="reeltools">
          {reels && snaps.length > 0 && (
            <KeepForm
              reels={reels}
              title={title}
              clips={clips}
              source={window.location.pathname === '/read' ? window.location.search.slice(1) : null}
            />
          )}
          {snaps.length > 0 && <Button onClick={() => setPresented(true)}>Present</Button>}
          <Button onClick={onClose}>Close</Button>
        </span>
      </DialogTitle>
      <DialogContent style={{ height: '70vh' }}>
        {!current ? (
          <p>No snaps stand behind this number.</p>
        ) : (
          <div className="reel">
            <ol ref={list} aria-label="Snaps of the reel" tabIndex={0}>
              {snaps.map((countedSnap, i) => (
                <li key={`${countedSnap.snap.game} ${countedSnap.snap.snapId}`}>
                  <button
                    type="button"
                    className="plain"
                    aria-current={i === at}
                    onClick={() => setAt(i)}
                    data-testid="reel-snap"
                  >
                    <strong>{snapSituation(countedSnap.snap)}</strong>
                    <br />
                    <span className="small quiet">
                      {snapCall(countedSnap.snap)} · Q{countedSnap.snap.quarter ?? '?'}
                      {countedSnap.snap.clock === null ? '' : ` ${formatClock(countedSnap.snap.clock)}`}
                    </span>
                  </button>
                </li>
              ))}
            </ol>
            <div style={{ minWidth: 0, overflowY: 'auto' }} tabIndex={0} role="group" aria-label="The snap">
              <ReelSnap
                snap={current.snap}
                number={current.number}
                game={gameName(current.snap.game)}
                book={book}
                profile={profile}
                height={230}
                onCard={() => setCard(true)}
                log
              />
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
