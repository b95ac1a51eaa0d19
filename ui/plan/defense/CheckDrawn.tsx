'use client';
/** The chosen check: drawn on their line-up, who owns what, what he has against each scheme, and what ours answered on film. */
import {
  answerWords,
  changeCheck,
  pictureOf,
  type Check,
  type CheckLook,
  type OwnAnswer,
  type SheetEdit,
} from '@/core/plan';
import { plural } from '@/core/rules/plural';
import { Marks } from '../../chalk/Marks';
import { OwnedTable, SchemesTable } from '../../look/Owned';
import { RateBar } from '../../charts/RateBar';
import { TextBox } from '../../shared/TextBox';

interface CheckDrawnProps {
  readonly check: Check;
  readonly look: CheckLook | null;
  readonly own: readonly OwnAnswer[];
  readonly mayEdit: boolean;
  readonly onEdit: (edit: SheetEdit | null) => void;
  readonly onReel: (name: string) => void;
}

const MOST_ANSWERS = 6;

export function CheckDrawn({ check, look, own, mayEdit, onEdit, onReel }: CheckDrawnProps) {
  const label = pictureOf(check.picture)?.label ?? check.picture;
  const owned = look?.owned;
  return (
    <div className="checkgrid">
      <section className="card" aria-label="The check, drawn">
        <header>
          <h2>
            {label}: {answerWords(check)}
          </h2>
          <span className="small quiet">
            {look === null
              ? 'no line-up of it can be drawn'
              : look.picture.k === 0
                ? 'not on their film: as the book draws it'
                : `${look.drawing.words}, ${look.picture.k} of ${plural(look.picture.n, 'snap')}`}
          </span>
        </header>
        {look && (
          <svg
            className="checkdrawing"
            viewBox={look.drawing.drawing.view.join(' ')}
            role="img"
            aria-label={`${label} against ${answerWords(check)}`}
          >
            <Marks drawing={look.drawing.drawing} />
          </svg>
        )}
        {(mayEdit || check.note !== null) && (
          <TextBox
            key={`${check.id}${check.note ?? ''}`}
            fullWidth
            label="note on the card"
            defaultValue={check.note ?? ''}
            disabled={!mayEdit}
            htmlInput={{
              maxLength: 200,
              onBlur: (e) => onEdit(changeCheck(check, { note: e.target.value.trim() || null })),
            }}
            onKeyDown={(e) => {
              if (e.key === 'Enter') (e.target as HTMLElement).blur();
            }}
          />
        )}
        {look && look.faults.length > 0 && (
          <ul className="plainlist">
            {look.faults.map((f) => (
              <li key={f.sentence} className="flag">
                {f.sentence}
              </li>
            ))}
          </ul>
        )}
      </section>
      <section className="card" aria-label="Who owns what">
        <header>
          <h2>Everything owned?</h2>
        </header>
        {owned ? (
          <OwnedTable owned={owned} />
        ) : (
          <p className="small quiet">Type a front and a coverage that the book draws.</p>
        )}
      </section>
      <section className="card" aria-label="Jobs by scheme">
        <header>
          <h2>Who has what against</h2>
          <span className="small quiet">common practice; the staff’s rules go before it</span>
        </header>
        {owned && <SchemesTable owned={owned} />}
      </section>
      <section className="card" aria-label="What ours answered">
        <header>
          <h2>What we answered it with</h2>
          <span className="small quiet">their success, the least at the worst first</span>
        </header>
        {own.length === 0 && <p className="small quiet">Our defense was not charted against it.</p>}
        <ul className="plainlist">
          {own.slice(0, MOST_ANSWERS).map((answer, i) => (
            <li key={`${answer.front}${answer.coverage}`}>
              <div className="apart">
                <span>
                  {answer.front}, {answer.coverage}
                </span>
                {mayEdit && (
                  <button
                    type="button"
                    className="plain"
                    onClick={() =>
                      onEdit(changeCheck(check, { front: answer.front, coverage: answer.coverage }))
                    }
                  >
                    use it
                  </button>
                )}
              </div>
              <RateBar rate={answer.allowed} label="success allowed" onOpen={() => onReel(`own|${i}`)} />
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
