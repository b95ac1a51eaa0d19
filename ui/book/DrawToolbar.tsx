'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import type { Board, BoardEvent } from '@/core/book';
import { LEVEL_KEYS, type Hash, type LevelKey, type Profiles } from '@/core/field';
import type { Drawing } from '@/core/look';
import { savePng, saveSvg } from '../chalk/save';
import { Choice } from '../shared/Choice';

interface DrawToolbarProps {
  readonly title: string;
  readonly board: Board;
  readonly drawing: Drawing;
  /** Of a file that is saved. */
  readonly name: string;
  readonly hash: Hash;
  readonly level: LevelKey;
  readonly profiles: Profiles;
  readonly back: string | null;
  readonly send: (event: BoardEvent) => void;
  readonly onStart: () => void;
  readonly onHash: (hash: Hash) => void;
  readonly onLevel: (level: LevelKey) => void;
}

/** What is done with the board as a whole. */
export function DrawToolbar(props: DrawToolbarProps) {
  const { title, board, drawing, name, hash, level, profiles, back, send, onStart, onHash, onLevel } = props;
  return (
    <div className="toolbar">
      <h1>{title}</h1>
      <Button onClick={() => send({ type: 'undo' })} disabled={board.past.length === 0}>
        Undo
      </Button>
      <Button onClick={() => send({ type: 'redo' })} disabled={board.future.length === 0}>
        Redo
      </Button>
      <Button onClick={() => send({ type: 'mirror' })}>Mirror</Button>
      <Button onClick={onStart}>From the start</Button>
      <Button
        variant={board.moving ? 'contained' : 'outlined'}
        aria-pressed={board.moving}
        onClick={() => send({ type: 'motion' })}
      >
        Try a motion
      </Button>
      <Choice
        label="ball on"
        value={hash}
        options={[
          ['L', 'left hash'],
          ['M', 'middle'],
          ['R', 'right hash'],
        ]}
        onChange={(to) => onHash(to as Hash)}
      />
      <Choice
        label="game"
        value={level}
        options={LEVEL_KEYS.map((k) => [k, profiles[k].name])}
        onChange={(to) => onLevel(to as LevelKey)}
      />
      <span className="toolbar end">
        <Button onClick={() => saveSvg(drawing, name)}>SVG</Button>
        <Button onClick={() => void savePng(drawing, name)}>PNG</Button>
        <Button component={Link} href={back ?? '/book'}>
          {back ? 'Back' : 'To the Book'}
        </Button>
      </span>
    </div>
  );
}
