'use client';
import { useDraggable } from '@dnd-kit/core';
import Button from '@mui/material/Button';
import { playCall, playLook, type SectionSpec, type Suggestion } from '@/core/plan';
import { RateBar } from '../charts/RateBar';

/** A play with its own success here and anywhere; dragged or added to the section. */
export function SuggestionRow({
  s: suggestion,
  section,
  mayEdit,
  on,
  onAdd,
  onReel,
}: {
  s: Suggestion;
  section: SectionSpec;
  mayEdit: boolean;
  on: boolean;
  onAdd: () => void;
  onReel: (which: 'here' | 'all') => void;
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
