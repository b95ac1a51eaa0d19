'use client';
/** The card beside the line: what the rules make of it. */
import type { LineView } from '@/core/log';
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
