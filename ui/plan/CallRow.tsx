'use client';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import { callExtras, ifThenWords, playCall, playLook, type SheetCall } from '@/core/plan';

const HASH_STEPS: readonly SheetCall['hash'][] = [null, 'L', 'M', 'R'];

/** A call of the sheet: moved by mouse or keys, with its hash and the way to its look. */
export function CallRow({
  call,
  number,
  numbers,
  mayEdit,
  onRemove,
  onLook,
  onNotes,
  onHash,
}: {
  call: SheetCall;
  number: number;
  numbers: ReadonlyMap<string, number>;
  mayEdit: boolean;
  onRemove: () => void;
  onLook: () => void;
  onNotes: () => void;
  onHash: (hash: SheetCall['hash']) => void;
}) {
  const drag = useDraggable({ id: `move|${call.id}`, disabled: !mayEdit });
  const drop = useDroppable({ id: `call|${call.id}` });
  const extras = callExtras(call);
  const next = HASH_STEPS[(HASH_STEPS.indexOf(call.hash) + 1) % HASH_STEPS.length] ?? null;
  return (
    <li
      className="call"
      data-testid="call"
      data-call={call.id}
      tabIndex={0}
      aria-label={`call ${number}: ${playLook(call.play)}, ${playCall(call.play)}${mayEdit ? '. Alt with up and down moves it, Enter opens its notes, Delete removes it' : ''}`}
      ref={(node) => {
        drag.setNodeRef(node);
        drop.setNodeRef(node);
      }}
      style={{
        borderTop: drop.isOver ? '2px solid var(--us)' : undefined,
        opacity: drag.isDragging ? 0.5 : 1,
        transform: drag.transform ? `translate(${drag.transform.x}px, ${drag.transform.y}px)` : undefined,
      }}
    >
      <span className="no">{number}</span>
      <span
        className="what"
        onPointerDown={mayEdit ? (drag.listeners?.onPointerDown as React.PointerEventHandler) : undefined}
        style={{ cursor: mayEdit ? 'grab' : undefined }}
      >
        {playLook(call.play)} · <strong>{playCall(call.play)}</strong>
        {extras && <span className="small quiet"> {extras}</span>}
        {call.ifThen.length > 0 && <span className="small ifs">{ifThenWords(call.ifThen, numbers)}</span>}
      </span>
      <span style={{ display: 'flex' }}>
        <button
          type="button"
          className="plain small quiet noprint"
          style={{ padding: '0 4px' }}
          onClick={onLook}
          aria-label={`look card of call ${number}`}
        >
          look
        </button>
        {mayEdit && (
          <button
            type="button"
            className="plain small quiet noprint"
            style={{ padding: '0 4px' }}
            onClick={onNotes}
            aria-label={`notes of call ${number}`}
          >
            notes
          </button>
        )}
        <button
          type="button"
          className="plain"
          style={{ padding: '0 8px' }}
          disabled={!mayEdit}
          onClick={() => onHash(next)}
          aria-label={`hash of call ${number}: ${call.hash ?? 'any'}; press for ${next ?? 'any'}`}
        >
          {call.hash ?? '·'}
        </button>
        {mayEdit && (
          <button
            type="button"
            className="plain noprint"
            style={{ padding: '0 8px' }}
            onClick={onRemove}
            aria-label={`remove call ${number}`}
          >
            ×
          </button>
        )}
      </span>
    </li>
  );
}
