'use client';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import { useForkRef } from '@mui/material/utils';
import { memo, useMemo } from 'react';
import { callExtras, ifThenWords, playCall, playLook, type SheetCall } from '@/core/plan';

import { dragStyle } from './drag-style';

const HASH_STEPS: readonly SheetCall['hash'][] = [null, 'L', 'M', 'R'];

interface CallRowProps {
  readonly call: SheetCall;
  readonly number: number;
  readonly numbers: ReadonlyMap<string, number>;
  readonly mayEdit: boolean;
  readonly marked: boolean;
  /** Marked, and on its way elsewhere. */
  readonly cut: boolean;
  /** `through`: all from the one that was marked last. */
  readonly onMark: (through: boolean) => void;
  readonly onRemove: () => void;
  readonly onLook: () => void;
  readonly onNotes: () => void;
  readonly onHash: (hash: SheetCall['hash']) => void;
}

/** A call of the sheet: moved by mouse or keys, with its hash and the way to its look. */
export function CallRow(props: CallRowProps) {
  const { call, number, mayEdit, marked, cut } = props;
  const drag = useDraggable({ id: `move|${call.id}`, disabled: !mayEdit });
  const drop = useDroppable({ id: `call|${call.id}` });
  // One and the same at every drawing: another would have each row of the sheet measured anew at every step of a drag.
  const ref = useForkRef(drag.setNodeRef, drop.setNodeRef);
  const said = useMemo(
    () => `call ${number}: ${playLook(call.play)}, ${playCall(call.play)}`,
    [call, number],
  );
  return (
    <li
      className={`call${marked ? ' marked' : ''}${cut ? ' cut' : ''}${drop.isOver ? ' over' : ''}`}
      data-testid="call"
      data-call={call.id}
      tabIndex={0}
      aria-label={`${said}${marked ? (cut ? ', cut' : ', marked') : ''}${mayEdit ? '. Space marks it, Alt with up and down moves it, Enter opens its notes, Delete removes it' : ''}`}
      ref={ref}
      style={dragStyle(drag)}
    >
      <CallBody
        {...props}
        onGrab={mayEdit ? (drag.listeners?.onPointerDown as React.PointerEventHandler) : undefined}
      />
    </li>
  );
}

interface CallBodyProps extends CallRowProps {
  readonly onGrab: React.PointerEventHandler | undefined;
}

/** What a drag that passes does not touch: two hundred of them stand on a sheet. */
const CallBody = memo(function CallBody({
  call,
  number,
  numbers,
  mayEdit,
  marked,
  onMark,
  onRemove,
  onLook,
  onNotes,
  onHash,
  onGrab,
}: CallBodyProps) {
  const extras = callExtras(call);
  const next = HASH_STEPS[(HASH_STEPS.indexOf(call.hash) + 1) % HASH_STEPS.length] ?? null;
  return (
    <>
      {mayEdit ? (
        <button
          type="button"
          className="plain no"
          tabIndex={-1}
          aria-pressed={marked}
          aria-label={`mark call ${number}`}
          onClick={(event) => onMark(event.shiftKey)}
        >
          {number}
        </button>
      ) : (
        <span className="no">{number}</span>
      )}
      <span className="what" onPointerDown={onGrab} style={{ cursor: mayEdit ? 'grab' : undefined }}>
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
    </>
  );
});
