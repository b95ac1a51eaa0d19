'use client';
/** For the meeting room: the whole screen, one snap at a time, one key a snap. A presenter's keys work too. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useEffect, useState } from 'react';
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field';
import type { Snap } from '@/core/snap';
import { ReelSnap } from './ReelSnap';

export interface Presented {
  readonly snap: Snap;
  readonly number: number;
  readonly note?: string;
}
interface PresentProps {
  readonly title: string;
  readonly snaps: readonly Presented[];
  readonly first: number;
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly gameName: (key: string) => string;
  /** With the place it ended at. */
  readonly onClose: (at: number) => void;
}

/** Of the screen, for what stands above and below the drawing. */
const WORDS = 450;

const STEPS: Readonly<Record<string, number>> = {
  ArrowRight: 1,
  ArrowDown: 1,
  PageDown: 1,
  ' ': 1,
  ArrowLeft: -1,
  ArrowUp: -1,
  PageUp: -1,
  Home: -Infinity,
  End: Infinity,
};

export default function Present({ title, snaps, first, book, profile, gameName, onClose }: PresentProps) {
  const [at, setAt] = useState(Math.min(first, snaps.length - 1));
  useEffect(() => {
    void document.documentElement.requestFullscreen?.().catch(() => undefined);
    return () => {
      if (document.fullscreenElement) void document.exitFullscreen().catch(() => undefined);
    };
  }, []);
  const current = snaps[at];
  if (!current) return null;
  return (
    <Dialog
      open
      fullScreen
      onClose={() => onClose(at)}
      aria-labelledby="present-title"
      onKeyDown={(event) => {
        const step = STEPS[event.key];
        if (step === undefined || (event.key === ' ' && event.target instanceof HTMLButtonElement)) return;
        event.preventDefault();
        event.stopPropagation();
        setAt((i) => Math.max(0, Math.min(snaps.length - 1, i + step)));
      }}
    >
      <div className="present" tabIndex={-1} autoFocus>
        <div className="cardhead small">
          <span id="present-title">{title}</span>
          <span>
            <span className="num" aria-live="polite">
              {at + 1} of {snaps.length}{' '}
            </span>
            <span className="quiet">→ next · ← back · Esc leaves</span>{' '}
            <Button onClick={() => onClose(at)}>Leave</Button>
          </span>
        </div>
        <ReelSnap
          snap={current.snap}
          number={current.number}
          game={gameName(current.snap.game)}
          note={current.note}
          book={book}
          profile={profile}
          height={Math.max(240, window.innerHeight - WORDS)}
          onCard={null}
          log={false}
        />
      </div>
    </Dialog>
  );
}
