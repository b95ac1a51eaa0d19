'use client';
import { useDraggable } from '@dnd-kit/core';
import Button from '@mui/material/Button';
import { memo, useMemo, useState } from 'react';
import {
  playCall,
  playLook,
  type Argument,
  type PlayCard,
  type PlayFact,
  type SectionSpec,
  type Suggestion,
} from '@/core/plan';
import { plural } from '@/core/rules/plural';
import { dragStyle } from './drag-style';
import { RateBar } from '../charts/RateBar';

interface SuggestionRowProps {
  readonly suggestion: Suggestion;
  readonly argument: Argument | null;
  readonly section: SectionSpec;
  readonly mayEdit: boolean;
  /** It stands in the section already. */
  readonly on: boolean;
  readonly onAdd: (play: PlayCard) => void;
  readonly onReel: (name: string) => void;
  readonly factsOf: (play: PlayCard) => readonly PlayFact[];
}

/** A play with what to expect of it, and its own success here and anywhere; dragged or added to the section. */
export function SuggestionRow(props: SuggestionRowProps) {
  const { suggestion, mayEdit } = props;
  const drag = useDraggable({ id: `play|${suggestion.play.id}`, disabled: !mayEdit });
  return (
    <li
      ref={drag.setNodeRef}
      style={{
        ...dragStyle(drag),
        position: 'relative',
        zIndex: drag.isDragging ? 5 : undefined,
        background: 'var(--card)',
      }}
    >
      <SuggestionBody
        {...props}
        onGrab={mayEdit ? (drag.listeners?.onPointerDown as React.PointerEventHandler) : undefined}
      />
    </li>
  );
}

interface SuggestionBodyProps extends SuggestionRowProps {
  readonly onGrab: React.PointerEventHandler | undefined;
}

/** What a drag that passes does not touch. */
const SuggestionBody = memo(function SuggestionBody(props: SuggestionBodyProps) {
  const { suggestion, argument, section, mayEdit, on, onAdd, onReel, factsOf, onGrab } = props;
  const open = (which: string): void => onReel(`${suggestion.play.id}|${which}`);
  return (
    <>
      <div style={{ display: 'flex', justifyContent: 'space-between', alignItems: 'start', gap: 6 }}>
        <span onPointerDown={onGrab} style={{ cursor: mayEdit ? 'grab' : undefined, flex: 1 }}>
          <strong>{suggestion.play.name}</strong>
          <br />
          <span className="small quiet">
            {playLook(suggestion.play)} · {playCall(suggestion.play)}
          </span>
        </span>
        {mayEdit && (
          <Button
            variant="outlined"
            onClick={() => onAdd(suggestion.play)}
            aria-label={`add ${suggestion.play.name} to ${section.label}`}
          >
            {on ? 'again' : 'add'}
          </Button>
        )}
      </div>
      {argument && <Argued argument={argument} onReel={open} />}
      {suggestion.here.n > 0 ? (
        <RateBar rate={suggestion.here} label="success" onOpen={() => open('here')} />
      ) : (
        <span className="small quiet">not run in this situation</span>
      )}
      <div className="small quiet">
        <button type="button" className="plain" onClick={() => open('all')}>
          anywhere {suggestion.all.k} of {suggestion.all.n}
        </button>
      </div>
      <Facts play={suggestion.play} factsOf={factsOf} onOpen={(i) => open(`fact:${i}`)} />
    </>
  );
});

/** Blocks or routes against what they show most, new jobs, film, set-ups: worked out when it is opened. */
function Facts({
  play,
  factsOf,
  onOpen,
}: {
  play: PlayCard;
  factsOf: SuggestionRowProps['factsOf'];
  onOpen: (fact: number) => void;
}) {
  const [open, setOpen] = useState(false);
  const facts = useMemo(() => (open ? factsOf(play) : []), [open, factsOf, play]);
  return (
    <details className="small facts" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary aria-label={`what else is known of ${play.name}`}>what else is known</summary>
      <ul className="plainlist">
        {facts.map(({ text, counts }, i) => (
          <li key={text}>
            {text}{' '}
            {counts !== null && counts.rows.length > 0 && (
              <button type="button" className="plain" onClick={() => onOpen(i)}>
                show {plural(counts.rows.length, 'snap')}
              </button>
            )}
          </li>
        ))}
        {open && facts.length === 0 && <li className="quiet">Nothing: the book does not draw it.</li>}
      </ul>
    </details>
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
