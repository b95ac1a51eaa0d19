'use client';
/** The field to scale with its men: dragged by pointer, moved by keys. */
import { useRef } from 'react';
import type { Board, BoardEvent } from '@/core/book';
import { sideWord, type Hash, type LevelProfile } from '@/core/field';
import { landmarks, structureWords, type Drawing, type Man, type Structure } from '@/core/look';
import { Marks } from '../chalk/Marks';

interface DrawFieldProps {
  readonly board: Board;
  readonly drawing: Drawing;
  readonly structure: Structure;
  readonly profile: LevelProfile;
  readonly hash: Hash;
  /** Yards behind the line that are shown. */
  readonly behind: number;
  readonly said: string;
  readonly send: (event: BoardEvent) => void;
}

/** The drawing has the line a little above the men's feet. */
const LINE = 0.35;
const SIDELINE = 24.4;

const placeWords = ({ letter, x, depth, onLine }: Man): string => {
  const across = x === 0 ? 'over the ball' : sideWord(x < 0 ? 'L' : 'R');
  return `${letter}: ${Math.abs(x).toFixed(1)} yards ${across}, ${onLine ? 'on the line' : `${depth.toFixed(1)} deep`}; arrow keys move him`;
};

export function DrawField(props: DrawFieldProps) {
  const { board, drawing, structure, profile, hash, behind, said, send } = props;
  const field = useRef<SVGSVGElement>(null);
  const onMove = (event: React.PointerEvent): void => {
    const matrix = board.dragged === null ? null : field.current?.getScreenCTM();
    if (!matrix) return;
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    send({ type: 'drag', x: at.x, depth: at.y - LINE, free: event.altKey });
  };
  const onUp = (): void => send({ type: 'drop' });
  return (
    <section className="card" aria-label="The field">
      <svg
        ref={field}
        className="drawfield"
        viewBox={drawing.view.join(' ')}
        role="group"
        aria-label={`The formation: ${structureWords(structure)}`}
        onPointerMove={onMove}
        onPointerUp={onUp}
        onPointerCancel={onUp}
      >
        <Marks drawing={drawing} />
        <Landmarks profile={profile} hash={hash} behind={behind} />
        {board.men.map((man) => (
          <g
            key={man.letter}
            role="button"
            tabIndex={0}
            data-letter={man.letter}
            aria-label={placeWords(man)}
            transform={`translate(${man.x} ${man.depth + LINE})`}
            onKeyDown={(event) => {
              if (!event.key.startsWith('Arrow')) return;
              event.preventDefault();
              send({ type: 'step', letter: man.letter, key: event.key, far: event.shiftKey });
            }}
            onPointerDown={(event) => {
              event.preventDefault();
              event.currentTarget.focus();
              field.current?.setPointerCapture(event.pointerId);
              send({ type: 'grab', letter: man.letter });
            }}
          >
            <circle r="1.05" fill="transparent" stroke="transparent" />
          </g>
        ))}
      </svg>
      <p className="small quiet">
        Drag a man; he snaps to the line and the landmarks (Alt leaves him where you put him). By keys: Tab to
        him, arrows move half a yard, Shift with left and right goes from landmark to landmark. Ctrl Z undoes.{' '}
        <span role="status">{said}</span>
      </p>
    </section>
  );
}

function Landmarks({ profile, hash, behind }: Pick<DrawFieldProps, 'profile' | 'hash' | 'behind'>) {
  return landmarks(profile, hash)
    .filter((l) => Math.abs(l.x) < SIDELINE)
    .map((landmark, i) => (
      <g key={`${landmark.name}${landmark.x}`}>
        <line
          x1={landmark.x}
          x2={landmark.x}
          y1={behind - 3}
          y2={behind - 2.6}
          stroke="var(--ink2)"
          strokeWidth="0.1"
        />
        <text
          x={landmark.x}
          y={behind - 1.7 + (i % 3) * 0.8}
          fontSize="0.8"
          textAnchor="middle"
          fill="var(--ink2)"
        >
          {landmark.name}
        </text>
      </g>
    ));
}
