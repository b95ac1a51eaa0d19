'use client';
/** A formation drawn from its data, in the trade's conventions: circles, a square center, dashed motion. */
import { useId } from 'react';
import type { Book } from '@/core/book/term';
import { findTerm } from '@/core/book/index-terms';
import { FIELD_WIDTH_YARDS, type LevelProfile } from '@/core/field/profile';
import { fieldSides, type Hash, type Side } from '@/core/field/spot';
import { afterMotion, lineUp, receivers, structureOf, type Man } from '@/core/look/formation';
import { motionPath, passPath, runPath, type Point } from '@/core/look/paths';
import { isTagged, type SnapFields } from '@/core/snap/snap';

export interface Arrow {
  readonly kind: 'run' | 'pass';
  readonly side: Side;
  /** Snaps behind it; null for a single call. */
  readonly n: number | null;
}

export interface ChalkProps {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly fields: SnapFields;
  readonly hash: Hash | null;
  readonly arrows?: readonly Arrow[];
  readonly height?: number;
  readonly caption?: boolean;
}

const word = (value: unknown): string | null => (typeof value === 'string' && isTagged(value) ? value : null);
const sideOf = (value: unknown): Side | null => (value === 'L' || value === 'R' ? value : null);

/** What the drawing shows, in words. */
export function lookWords(fields: SnapFields, men: readonly Man[]): string {
  const formation = word(fields.formation);
  if (formation === null) return 'No formation typed yet';
  const side = sideOf(fields.formationSide);
  const before = receivers(men);
  const set = structureOf(before.left.length, before.right.length);
  const by = word(fields.motionBy);
  const motion = word(fields.motion);
  const name = `${formation}${side ? (side === 'L' ? ' left' : ' right') : ''}${word(fields.backfield) ? `, ${word(fields.backfield)}` : ''}: ${set.label}`;
  if (motion === null) return name;
  const after = receivers(afterMotion(men, by, sideOf(fields.motionSide)));
  const snap = structureOf(after.left.length, after.right.length);
  return `${name}; ${by ? `${by} ` : ''}${motion}${by ? `, ${snap.label} at the snap` : ''}`;
}

export function Chalk({ book, profile, fields, hash, arrows, height = 210, caption = true }: ChalkProps) {
  const id = useId().replace(/[^a-zA-Z0-9]/g, '');
  const formation = findTerm(book, 'formation', word(fields.formation));
  const men = lineUp(formation, sideOf(fields.formationSide), findTerm(book, 'backfield', word(fields.backfield)));
  const numbered = receivers(men);
  const ball = hash === 'L' ? -1 : hash === 'R' ? 1 : 0;
  const center = FIELD_WIDTH_YARDS / 2;
  const hashAt = center - profile.hashToSideline;
  // Where landmarks lie seen from the ball.
  const shift = -ball * hashAt;
  const sides = fieldSides(profile, hash);
  const moved = motionPath(men, word(fields.motionBy), sideOf(fields.motionSide));
  const direction = sideOf(fields.direction);
  const called: readonly Arrow[] = arrows ?? (direction && (fields.play === 'run' || fields.play === 'pass' || fields.play === 'rpo') ? [{ kind: fields.play === 'pass' ? 'pass' : 'run', side: direction, n: null }] : []);
  const most = Math.max(1, ...called.map((a) => a.n ?? 1));
  const left = Math.max(-center + shift, -25);
  const right = Math.min(center + shift, 25);
  const d = (points: readonly Point[]) => points.map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(2)} ${(-y).toFixed(2)}`).join('');
  const text = lookWords(fields, men);
  return (
    <figure style={{ margin: 0 }}>
      {caption && <figcaption className="cardhead"><h2>{text}</h2><span className="small" style={{ whiteSpace: 'nowrap' }}>{sides.field ? `field ${sides.field === 'L' ? 'left' : 'right'}, ${sides.fieldYards.toFixed(1)} yd` : hash === 'M' ? 'middle' : ''}</span></figcaption>}
      <svg viewBox="-25.5 -6.5 51 16.5" width="100%" height={height} role="img" aria-label={text}>
        <defs>
          {(['run', 'pass'] as const).map((kind) => (
            <marker key={kind} id={`${id}${kind}`} viewBox="0 0 6 6" refX="4.5" refY="3" markerWidth="3.4" markerHeight="3.4" orient="auto-start-reverse" markerUnits="strokeWidth"><path d="M0 0L6 3L0 6z" fill={`var(--${kind})`} /></marker>
          ))}
          <marker id={`${id}move`} viewBox="0 0 6 6" refX="5" refY="3" markerWidth="5" markerHeight="5" orient="auto"><path d="M0 0L6 3L0 6z" fill="var(--ink2)" /></marker>
        </defs>
        {[-5, 5].map((y) => <line key={y} x1={left} x2={right} y1={y} y2={y} stroke="var(--faint)" strokeWidth="0.12" />)}
        {[-hashAt + shift, hashAt + shift].map((x) => <line key={x} x1={x} x2={x} y1="-6.5" y2="10" stroke="var(--ink2)" strokeWidth="0.35" strokeDasharray="0.25 0.75" opacity="0.55" />)}
        {[left, right].map((x) => Math.abs(x) < 25 && <line key={x} x1={x} x2={x} y1="-6.5" y2="10" stroke="var(--ink2)" strokeWidth="0.3" />)}
        <line x1={left} x2={right} y1="0" y2="0" stroke="var(--ink)" strokeWidth="0.12" />
        {moved && <path d={d(moved)} fill="none" stroke="var(--ink2)" strokeWidth="0.22" strokeDasharray="0.7 0.45" markerEnd={`url(#${id}move)`} />}
        {called.map((a) => {
          const path = a.kind === 'run' ? runPath(men, a.side) : passPath(men, a.side);
          const end = path[path.length - 1];
          if (!end) return null;
          const width = a.n === null ? 0.3 : 0.16 + 0.36 * (a.n / most);
          return (
            <g key={`${a.kind}${a.side}`}>
              <path d={d(path)} fill="none" stroke={`var(--${a.kind})`} strokeWidth={width} strokeDasharray={a.kind === 'pass' ? '0.8 0.5' : undefined} markerEnd={`url(#${id}${a.kind})`} />
              {a.n !== null && <text x={end[0] + (a.kind === 'pass' ? 0 : a.side === 'L' ? -1.3 : 1.3)} y={-end[1] + (a.kind === 'pass' ? -1.1 : 0.2)} fontSize="1.5" fontWeight="700" textAnchor="middle" fill={`var(--${a.kind})`}>{a.n}</text>}
            </g>
          );
        })}
        {men.map((m) => (
          <g key={m.letter} transform={`translate(${m.x} ${m.depth + 0.35})`}>
            {m.letter === 'C' && m.role === 'line' ? <rect x="-0.72" y="-0.72" width="1.44" height="1.44" fill="var(--card)" stroke="var(--ink)" strokeWidth="0.16" /> : <circle r="0.78" fill={m.letter === fields.motionBy ? 'var(--high)' : 'var(--card)'} stroke="var(--ink)" strokeWidth="0.16" />}
            {m.role !== 'line' && <text y="0.36" fontSize="1" fontWeight="700" textAnchor="middle" fill="var(--ink)">{m.letter}</text>}
          </g>
        ))}
        {formation && (['left', 'right'] as const).flatMap((s) => numbered[s].map((m, i) => <text key={m.letter} x={m.x} y={m.depth + 2.25} fontSize="0.9" textAnchor="middle" fill="var(--ink2)">#{i + 1}</text>))}
      </svg>
    </figure>
  );
}
