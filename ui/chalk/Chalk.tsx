'use client';
/** A snap drawn from its data, in the trade's conventions: circles, a square center, letters for the defense, dashed motion. */
import { useMemo } from 'react';
import { drawSnap, drawTerm, type Book, type SnapDrawing, type Term } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import { fieldSides, sideWord, type Hash, type Side } from '@/core/field/spot';
import type { DrawnUse } from '@/core/look';
import type { SnapFields } from '@/core/snap/snap';
import { useStaffRules } from '../StaffRules';
import { Marks } from './Marks';

export interface ChalkProps {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly fields: SnapFields;
  readonly hash: Hash | null;
  readonly uses?: readonly DrawnUse[];
  readonly height?: number;
  readonly caption?: boolean;
  readonly defense?: boolean;
  readonly jobs?: boolean;
  /** How every rusher comes. */
  readonly lanes?: boolean;
  /** What it is called instead of what it shows: where that is the question. */
  readonly spoken?: string | null;
}

export function Chalk({
  book,
  profile,
  fields,
  hash,
  uses,
  height = 210,
  caption = true,
  defense = true,
  jobs = false,
  lanes = false,
  spoken = null,
}: ChalkProps) {
  const settings = useStaffRules().look;
  const drawn = useMemo(
    () => drawSnap(book, fields, hash, profile, { uses, defense, jobs, lanes, settings }),
    [book, fields, hash, profile, uses, defense, jobs, lanes, settings],
  );
  return (
    <Picture
      drawn={spoken === null ? drawn : { ...drawn, words: spoken }}
      profile={profile}
      hash={hash}
      height={height}
      caption={caption}
    />
  );
}

export interface TermChalkProps {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly term: Term;
  readonly side?: Side;
  readonly height?: number;
  readonly id?: string;
}

export function TermChalk({ book, profile, term, side = 'R', height = 120, id }: TermChalkProps) {
  const settings = useStaffRules().look;
  const drawn = useMemo(
    () => drawTerm(book, term, side, profile, settings, true),
    [book, term, side, profile, settings],
  );
  return (
    <Picture
      drawn={drawn}
      profile={profile}
      hash={null}
      height={height}
      caption={false}
      {...(id ? { id } : {})}
    />
  );
}

export function Picture({
  drawn,
  profile,
  hash,
  height,
  caption,
  id,
}: {
  drawn: SnapDrawing;
  profile: LevelProfile;
  hash: Hash | null;
  height: number;
  caption: boolean;
  id?: string;
}) {
  const sides = fieldSides(profile, hash);
  return (
    <figure style={{ margin: 0 }}>
      {caption && (
        <figcaption className="cardhead">
          <h2>{drawn.words}</h2>
          <span className="small" style={{ whiteSpace: 'nowrap' }}>
            {sides.field
              ? `field ${sideWord(sides.field)}, ${sides.fieldYards.toFixed(1)} yd`
              : hash === 'M'
                ? 'middle'
                : ''}
          </span>
        </figcaption>
      )}
      <svg
        id={id}
        viewBox={drawn.drawing.view.join(' ')}
        width="100%"
        height={height}
        role="img"
        aria-label={drawn.words}
      >
        <Marks drawing={drawn.drawing} />
      </svg>
    </figure>
  );
}
