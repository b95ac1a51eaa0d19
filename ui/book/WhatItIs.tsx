'use client';
/** What stands on the board: structure, the nearest formation of the book, a motion that was tried, and what the rules say. */
import { nearestFormations, SAME_FORMATION, type Board, type Book } from '@/core/book';
import { fieldSides, sideWord, type Hash, type LevelProfile } from '@/core/field';
import { atSnap, legality, motionChange, recognizeMotion, structureWords, type Structure } from '@/core/look';
import { useMemo } from 'react';

interface WhatItIsProps {
  readonly board: Board;
  readonly structure: Structure;
  /** Without the term that is being changed. */
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly hash: Hash;
  readonly asBackfield: boolean;
}

export function WhatItIs({ board, structure, book, profile, hash, asBackfield }: WhatItIsProps) {
  const { men } = board;
  const notes = useMemo(() => legality(men, profile), [men, profile]);
  const sides = fieldSides(profile, hash);
  const { left, right } = structure;
  return (
    <section className="card" aria-label="What it is" aria-live="polite">
      <h2 data-testid="structure">{structureWords(structure)}</h2>
      <p className="small">
        {profile.players === 11 &&
          `Surface ${left.surface} left, ${right.surface} right; gaps ${left.gaps} and ${right.gaps}. `}
        {sides.field &&
          `Field ${sideWord(sides.field)} ${sides.fieldYards.toFixed(1)}, short side ${sides.boundaryYards.toFixed(1)} yards.`}
      </p>
      {!asBackfield && <Nearest men={men} book={book} />}
      {board.moving && <TriedMotion board={board} book={book} />}
      {notes.map((note) => (
        <p key={note.sentence} className="flag small">
          {note.sentence}.
        </p>
      ))}
    </section>
  );
}

function Nearest({ men, book }: { readonly men: Board['men']; readonly book: Book }) {
  const [best] = useMemo(() => nearestFormations(men, book, 2), [men, book]);
  if (!best) return null;
  const words = `${best.term.word} ${sideWord(best.side)}`;
  return (
    <p data-testid="nearest">
      {best.distance < SAME_FORMATION ? (
        <>
          This is <strong>{words}</strong>.
        </>
      ) : (
        <>
          Nearest is <strong>{words}</strong>
          {best.differs.length > 0 ? `, but ${best.differs.join(', ')}` : ''}. Call it …?
        </>
      )}
    </p>
  );
}

function TriedMotion({ board: { men, trail }, book }: { readonly board: Board; readonly book: Book }) {
  const motion = useMemo(() => {
    if (!trail || trail.path.length < 2) return null;
    const kind = recognizeMotion(men, trail.letter, trail.path);
    const term = book.terms.find((t) => t.definition?.kind === 'motion' && t.definition.motion === kind);
    return { kind, term, change: motionChange(men, atSnap(men, trail.letter, trail.path)) };
  }, [trail, men, book]);
  if (!motion)
    return <p data-testid="motion">Drag a man along his path: its kind and what it changes are said here.</p>;
  const { kind, term, change } = motion;
  const numbers = change.numbers.map(
    (n) => `${n.letter} ${n.before ?? 'backfield'} → ${n.after ?? 'backfield'}`,
  );
  return (
    <p data-testid="motion">
      <strong>
        {trail?.letter}: {kind ?? 'hardly moved'}
      </strong>
      {term ? `, “${term.word}” in this book` : ''}. {change.before} becomes {change.after}
      {change.strengthAfter ? ` to the ${sideWord(change.strengthAfter)}` : ''}
      {numbers.length > 0 ? `; ${numbers.join(', ')}` : ''}.
    </p>
  );
}
