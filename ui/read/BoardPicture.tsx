'use client';
/** A board's picture: the marks that paper has, and over each cell a door to its snaps. */
import { useMemo } from 'react';
import type { Zone } from '@/core/field/situation';
import { gridPicture, rowsPicture, type BoardTable } from '@/core/read';
import { Marks } from '../chalk/Marks';

interface BoardPictureProps {
  readonly table: BoardTable;
  readonly zones: readonly Zone[];
  readonly onOpen: (row: string) => void;
}

const share = (part: number, whole: number): string => `${(100 * part) / whole}%`;

export default function BoardPicture({ table, zones, onOpen }: BoardPictureProps) {
  const picture = useMemo(() => gridPicture(table, zones) ?? rowsPicture(table), [table, zones]);
  if (!picture) return null;
  const { view } = picture.drawing;
  return (
    <div
      className="boardpicture"
      role="group"
      aria-label={`${table.title}, drawn`}
      style={{ minWidth: view[2] * 9, maxWidth: view[2] * 11, aspectRatio: `${view[2]} / ${view[3]}` }}
    >
      <svg viewBox={view.join(' ')} aria-hidden="true">
        <Marks drawing={picture.drawing} />
      </svg>
      {picture.cells.map(({ key, label, box }) => (
        <button
          key={key}
          type="button"
          title={label}
          aria-label={`${label}, open the reel`}
          onClick={() => onOpen(key)}
          style={{
            left: share(box.x - view[0], view[2]),
            top: share(box.y - view[1], view[3]),
            width: share(box.width, view[2]),
            height: share(box.height, view[3]),
          }}
        />
      ))}
    </div>
  );
}
