'use client';
/** A snap in the list of a reel: opened by a press, moved by mouse or keys. */
import { useSortable } from '@dnd-kit/sortable';
import type { Snap } from '@/core/snap';
import { snapCall, snapSituation } from '../ReelSnap';

interface ClipRowProps {
  readonly id: string;
  readonly index: number;
  readonly snap: Snap | null;
  readonly note: string;
  readonly current: boolean;
  readonly mayEdit: boolean;
  readonly onOpen: () => void;
  readonly onRemove: () => void;
}

export function ClipRow({ id, index, snap, note, current, mayEdit, onOpen, onRemove }: ClipRowProps) {
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id,
    disabled: !mayEdit,
  });
  const words = snap ? `${snapSituation(snap)}, ${snapCall(snap)}` : 'not there any more';
  return (
    <li
      ref={setNodeRef}
      style={{
        transform: transform ? `translate(0, ${transform.y}px)` : undefined,
        transition,
        opacity: isDragging ? 0.6 : 1,
      }}
    >
      <button
        type="button"
        className="plain clip"
        data-testid="clip"
        aria-current={current}
        aria-label={`${index + 1}: ${words}${note ? `, noted: ${note}` : ''}${mayEdit ? '. Alt with up and down moves it, Delete takes it out' : ''}`}
        onClick={onOpen}
        onFocus={onOpen}
        onPointerDown={listeners?.onPointerDown as React.PointerEventHandler | undefined}
        onKeyDown={(e) => {
          if (mayEdit && (e.key === 'Delete' || e.key === 'Backspace')) {
            e.preventDefault();
            onRemove();
          }
        }}
      >
        <span className="no">{index + 1}</span>
        <span>
          <strong>{snap ? snapSituation(snap) : 'not there any more'}</strong>
          <br />
          <span className="small quiet">{snap ? snapCall(snap) : ''}</span>
          {note && <span className="small clipnote">{note}</span>}
        </span>
      </button>
      {mayEdit && (
        <button
          type="button"
          className="plain small"
          tabIndex={-1}
          aria-label={`take snap ${index + 1} out`}
          onClick={onRemove}
        >
          ×
        </button>
      )}
    </li>
  );
}
