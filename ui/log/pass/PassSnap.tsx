'use client';
/** The snap a pass is on: its situation, what is logged of it, and the drawing. */
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import { formatLine } from '@/core/line';
import { situationWords, type WalkedSnap } from '@/core/rules';
import type { SnapFields } from '@/core/snap';
import { Chalk } from '../../chalk/Chalk';

interface PassSnapProps {
  readonly row: WalkedSnap | null;
  readonly book: Book;
  readonly profile: LevelProfile;
}

export function PassSnap({ row, book, profile }: PassSnapProps) {
  if (!row)
    return (
      <section className="card" aria-label="Snap">
        <p>No snap of this game belongs to this pass yet. Log some first.</p>
      </section>
    );
  const { snap, before } = row;
  const situation = situationWords(before);
  const said: SnapFields = {
    personnel: snap.personnel,
    formation: snap.formation,
    formationSide: snap.formationSide,
    backfield: snap.backfield,
    motion: snap.motion,
    motionBy: snap.motionBy,
    play: snap.play,
    concept: snap.concept,
    direction: snap.direction,
    carrier: snap.carrier,
    passer: snap.passer,
    target: snap.target,
    gain: snap.gain,
    result: snap.result,
  };
  const line = formatLine(said, { book, profile, state: null, previous: null });
  return (
    <section className="card" aria-label="Snap">
      <header>
        <h2>
          Snap {row.number} · {[situation.what, ...situation.where].filter(Boolean).join(', ')}
        </h2>
        <span className="small mono">{line}</span>
      </header>
      <Chalk book={book} profile={profile} fields={snap} hash={before.hash} height={300} />
    </section>
  );
}
