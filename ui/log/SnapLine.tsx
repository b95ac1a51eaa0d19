'use client';
/** The line itself: text with its meaning underlined, the echo above, the offers below. */
import { forwardRef, useDeferredValue, useRef } from 'react';
import { SNAP_FIELDS } from '@/core/snap';
import { echoOf, problemSentence } from '@/core/line';
import { isBegun, type LineView } from '@/core/log';

export interface SnapLineProps {
  readonly text: string;
  readonly caret: number;
  readonly view: LineView;
  readonly chosen: number;
  readonly label: string;
  readonly hint: string;
  readonly onText: (text: string, caret: number) => void;
  readonly onKey: (event: React.KeyboardEvent<HTMLInputElement>) => void;
  readonly onOffer: (index: number) => void;
  readonly onCandidate: (problem: number, candidate: number) => void;
  /** What was found, where snaps are looked for. */
  readonly found: React.ReactNode;
  /** Draws the unknown word as a formation. */
  readonly onDraw: () => void;
}

/** The key that takes an offer: Tab the one that is chosen, the others each their own. */
const KEYS = ['', '[', ']', '\\', ';'];
function capOf(at: number, chosen: number) {
  const key = at === chosen ? 'Tab' : KEYS[at];
  return key ? <kbd>{key}</kbd> : null;
}

export const SnapLine = forwardRef<HTMLInputElement, SnapLineProps>(function SnapLine(
  { text, caret, view, chosen, label, hint, onText, onKey, onOffer, onCandidate, found, onDraw },
  input,
) {
  const { parsed } = view;
  // A key is echoed before what may follow is ranked; the offers and what is wrong come right after.
  const ranked = useDeferredValue(view);
  const { offers, problems, stranger } = ranked;
  // Offers of the text as it was: a key takes those of the text as it stands, the pointer waits for them.
  const behind = ranked !== view;
  // A line longer than the box scrolls; its underlines go with it.
  const mirror = useRef<HTMLDivElement>(null);
  const spans: React.ReactNode[] = [];
  let at = 0;
  const shown = [...problems, ...(view.bulk ? [] : parsed.problems.filter((p) => !isBegun(p, caret)))];
  for (const piece of parsed.pieces) {
    if (piece.start < at) continue;
    spans.push(
      text.slice(at, piece.start),
      <span
        key={piece.start}
        className={`p-${piece.kind === 'problem' && !shown.some((x) => x.start === piece.start) ? 'begun' : piece.kind}`}
      >
        {text.slice(piece.start, piece.end)}
      </span>,
    );
    at = piece.end;
  }
  spans.push(text.slice(at));
  const echo = echoOf(parsed.fields);
  return (
    <section className="card snapline" aria-label="Snap line">
      <dl className="echo" aria-live="polite">
        {echo.length === 0 && (
          <div>
            <dt>{label}</dt>
            <dd className="quiet">
              {found ? 'a number, or words as they are logged' : 'type the snap as you would say it'}
            </dd>
          </div>
        )}
        {echo.map((echo) => (
          <div
            key={echo.field}
            className={`e-${SNAP_FIELDS[echo.field].group}${echo.unsure ? ' unsure' : ''}`}
          >
            <dt>{echo.label}</dt>
            <dd>{echo.value}</dd>
          </div>
        ))}
      </dl>
      <div className="linebox">
        <div className="mirror" aria-hidden="true" ref={mirror}>
          {spans}
        </div>
        <input
          ref={input}
          value={text}
          aria-label={label}
          autoComplete="off"
          autoCorrect="off"
          autoCapitalize="off"
          spellCheck={false}
          data-testid="snap-line"
          maxLength={1200}
          onChange={(e) => onText(e.target.value, e.target.selectionStart ?? e.target.value.length)}
          onKeyDown={onKey}
          onScroll={(event) => {
            if (mirror.current) mirror.current.scrollLeft = event.currentTarget.scrollLeft;
          }}
          autoFocus
        />
      </div>
      <div className="offers" aria-busy={behind}>
        {found ? (
          found
        ) : problems.length > 0 ? (
          <>
            <span className="flag" role="alert">
              {problemSentence(problems[0]!)}
            </span>
            {problems[0]!.candidates.map((candidate, i) => (
              <button
                key={candidate.text}
                type="button"
                className="plain"
                onClick={() => !behind && onCandidate(0, i)}
                tabIndex={-1}
              >
                {capOf(i, chosen % Math.max(1, problems[0]!.candidates.length))}{' '}
                <strong>{candidate.label}</strong>
              </button>
            ))}
            {stranger && (
              <button type="button" className="plain" onClick={onDraw} tabIndex={-1}>
                <kbd>Alt D</kbd> draw it as a formation
              </button>
            )}
          </>
        ) : (
          <>
            <span className="keep">
              <kbd>Enter</kbd> {hint}
            </span>
            {offers.map((completion, i) => (
              <button
                key={completion.insert}
                type="button"
                className="plain"
                onClick={() => !behind && onOffer(i)}
                tabIndex={-1}
              >
                {capOf(i, chosen)} <strong>{completion.insert}</strong>
                {completion.of > 0 && (
                  <>
                    <span className="share" aria-hidden="true">
                      <i style={{ width: `${(46 * completion.count) / completion.of}px` }} />
                    </span>
                    <span className="small quiet">
                      {completion.count} of {completion.of}
                    </span>
                  </>
                )}
              </button>
            ))}
          </>
        )}
        <span className="end small">
          <kbd>..</kbd> same look <kbd>?</kbd> help
        </span>
      </div>
    </section>
  );
});
