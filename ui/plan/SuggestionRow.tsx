'use client';
import { useDraggable } from '@dnd-kit/core';
import Button from '@mui/material/Button';
import { playCall, playLook, type Argument, type SectionSpec, type Suggestion } from '@/core/plan';
import { RateBar } from '../charts/RateBar';

/** A play with what to expect of it, and its own success here and anywhere; dragged or added to the section. */
export function SuggestionRow({
  s: suggestion,
  argument,
  section,
  mayEdit,
  on,
  onAdd,
  onReel,
}: {
  s: Suggestion;
  argument: Argument | null;
  section: SectionSpec;
  mayEdit: boolean;
  on: boolean;
  onAdd: () => void;
  onReel: (which: string) => void;
}) {
  const drag = useDraggable({ id: `play|${suggestion.play.id}`, disabled: !mayEdit });
  return (
    <li
      ref={drag.setNodeRef}
      style={{
        opacity: drag.isDragging ? 0.5 : 1,
        transform: drag.transform ? `translate(${drag.transform.x}px, ${drag.transform.y}px)` : undefined,
        position: 'relative',
        zIndex: drag.isDragging ? 5 : undefined,
        background: 'var(--card)',
      }}
    >
      <div style={{ display: 'flex', justifyContent: 'space-between', alignItems: 'start', gap: 6 }}>
        <span
          {...(mayEdit ? { onPointerDown: drag.listeners?.onPointerDown as React.PointerEventHandler } : {})}
          style={{ cursor: mayEdit ? 'grab' : undefined, flex: 1 }}
        >
          <strong>{suggestion.play.name}</strong>
          <br />
          <span className="small quiet">
            {playLook(suggestion.play)} · {playCall(suggestion.play)}
          </span>
        </span>
        {mayEdit && (
          <Button
            variant="outlined"
            onClick={onAdd}
            aria-label={`add ${suggestion.play.name} to ${section.label}`}
          >
            {on ? 'again' : 'add'}
          </Button>
        )}
      </div>
      {argument && <Argued argument={argument} onReel={onReel} />}
      {suggestion.here.n > 0 ? (
        <RateBar rate={suggestion.here} label="success" onOpen={() => onReel('here')} />
      ) : (
        <span className="small quiet">not run in this situation</span>
      )}
      <div className="small quiet">
        <button type="button" className="plain" onClick={() => onReel('all')}>
          anywhere {suggestion.all.k} of {suggestion.all.n}
        </button>
      </div>
    </li>
  );
}

/** The looks that carry most of it. */
const MOST_LOOKS = 2;
const percent = (share: number): number => Math.round(100 * share);

/** What to expect against what they show then: their snaps and ours behind it, look by look. */
function Argued({
  argument: { score, low, high, n, structure, looks },
  onReel,
}: {
  argument: Argument;
  onReel: (which: string) => void;
}) {
  return (
    <div className="small argued">
      <div>
        expect success {percent(score)} %{' '}
        <span className="quiet">
          ({percent(low)}–{percent(high)} %)
        </span>{' '}
        against {structure === null ? 'what they show' : `what ${structure} draws`}, n {n}
      </div>
      {looks.slice(0, MOST_LOOKS).map(({ look, words, theirs, ours, k }) => (
        <div key={look}>
          {words}:{' '}
          <button type="button" className="plain" onClick={() => onReel(`theirs:${look}`)}>
            theirs {theirs.length} of {n}
          </button>
          ,{' '}
          {ours.length === 0 ? (
            'not run against it'
          ) : (
            <button type="button" className="plain" onClick={() => onReel(`ours:${look}`)}>
              ours, anywhere, {k} of {ours.length}
            </button>
          )}
        </div>
      ))}
    </div>
  );
}
