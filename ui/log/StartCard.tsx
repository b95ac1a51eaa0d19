'use client';
/** Asks who has the ball first; most games never see it, so it comes when it is wanted. */
import Button from '@mui/material/Button';
import { STARTS, type Event, type LineView, type LoggedGame } from '@/core/log';

interface StartProps {
  readonly starts: NonNullable<LineView['starts']>;
  readonly view: LineView;
  readonly game: LoggedGame;
  readonly nameOf: (key: string) => string;
  readonly send: (event: Event) => void;
}

export default function StartCard({ starts, view, game, nameOf, send }: StartProps) {
  const { ask, why } = STARTS[starts];
  return (
    <section className="card flag" aria-label="Who has the ball first">
      <strong>{ask}</strong> {why} Choose, or type <span className="mono">{game.home.toLowerCase()}</span> or{' '}
      <span className="mono">{game.away.toLowerCase()}</span>.
      <span className="remedies">
        {[game.home, game.away].map((team, i) => (
          <Button
            key={team}
            variant={view.start === team ? 'contained' : 'outlined'}
            aria-pressed={view.start === team}
            onClick={() => send({ type: 'start', team })}
          >
            <kbd>F{6 + i}</kbd>&nbsp;{nameOf(team)}
          </Button>
        ))}
      </span>
    </section>
  );
}
