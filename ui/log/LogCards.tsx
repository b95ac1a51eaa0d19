'use client';
/** The cards beside the line: what the rules make of it, who has the ball first. */
import Button from '@mui/material/Button';
import { STARTS, type Event, type LineView, type LoggedGame } from '@/core/log';
import { explain, situationWords, type GameState } from '@/core/rules';

const rest = (s: GameState): string => situationWords(s).where.join(', ');

export function Arithmetic({ view }: { readonly view: LineView }) {
  const { before, after } = view.follows;
  const ball = view.context.state?.offense ?? null;
  const open =
    after.unknown.includes('no_result') ||
    after.unknown.includes('no_gain') ||
    Object.keys(view.parsed.fields).length === 0;
  const turned = after.state.offense && after.state.offense !== ball;
  return (
    <section className="card arith" aria-label="Arithmetic" aria-live="polite">
      <div>
        <span className="small quiet">before{ball ? `, ${ball} has the ball` : ''}</span>
        <div className="big" data-testid="before">
          {situationWords(before).what}
        </div>
        <span className="small">{rest(before)}</span>
      </div>
      <div aria-hidden="true" className="big">
        →
      </div>
      <div>
        <span className="small quiet">{open ? 'no result yet' : explain(after.steps) || 'after'}</span>
        <div className="big" data-testid="after">
          {open ? '…' : situationWords(after.state).what}
        </div>
        <span className="small">
          {open ? '' : `${rest(after.state)}${turned ? `, ${after.state.offense} ball` : ''}`}
        </span>
      </div>
    </section>
  );
}

interface StartProps {
  readonly view: LineView;
  readonly game: LoggedGame;
  readonly nameOf: (key: string) => string;
  readonly send: (event: Event) => void;
}

export function StartCard({ view, game, nameOf, send }: StartProps) {
  if (view.starts === null) return null;
  const { ask, why } = STARTS[view.starts];
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
