/** The board that Read opens with: drawn by the server first, by the page from then on. */
import { Board, type BoardProps } from './Board';

export function SituationCard({ busy, ...board }: BoardProps & { readonly busy?: boolean }) {
  return (
    <section className="card" aria-label="Situation board" aria-busy={busy}>
      <header>
        <h2>What they call, by situation and field</h2>
        <span className="small" aria-hidden="true">
          solid run · hatched pass · open run-pass option · line = 95 % interval
        </span>
      </header>
      <Board {...board} />
    </section>
  );
}
