'use client';
import { useDroppable } from '@dnd-kit/core';
import type { SectionSpec } from '@/core/plan';

/** A section of the sheet, with what to expect of it. */
export function SheetSection({
  section,
  active,
  filled,
  usage,
  size,
  onActivate,
  notes,
  children,
}: {
  section: SectionSpec;
  active: boolean;
  filled: boolean;
  usage: string;
  /** Calls that stand in it, of those that are enough. */
  size: string;
  onActivate: () => void;
  /** What was noted of it in Read. */
  notes: React.ReactNode;
  children: React.ReactNode;
}) {
  const drop = useDroppable({ id: `section|${section.key}` });
  return (
    <section
      ref={drop.setNodeRef}
      className={`section${active ? ' active' : ''}${filled ? ' filled' : ''}${drop.isOver ? ' over' : ''}`}
      aria-label={section.label}
    >
      <header>
        <button type="button" className="plain" onClick={onActivate} aria-pressed={active}>
          <strong style={{ whiteSpace: 'nowrap' }}>{section.label}</strong>
        </button>
        <span className="small quiet">
          {size} · {usage}
        </span>
      </header>
      {notes}
      {filled ? (
        <ol className="plainlist">{children}</ol>
      ) : (
        <p className="small quiet" style={{ padding: '4px 8px' }}>
          no call yet
        </p>
      )}
    </section>
  );
}
