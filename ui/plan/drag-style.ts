import type { useDraggable } from '@dnd-kit/core';
import type { CSSProperties } from 'react';

/** How a row looks while it is dragged. */
export const dragStyle = ({
  isDragging,
  transform,
}: Pick<ReturnType<typeof useDraggable>, 'isDragging' | 'transform'>): CSSProperties => ({
  opacity: isDragging ? 0.5 : 1,
  // A layer of its own: what it passes over is not painted again.
  willChange: isDragging ? 'transform' : undefined,
  transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
});
