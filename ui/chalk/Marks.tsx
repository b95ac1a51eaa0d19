'use client';
/** A drawing's marks as SVG: the one place where inks become the theme's colors. */
import { memo } from 'react';
import { pathData } from '@/core/look/svg';
import type { Drawing, Ink } from '@/core/look/marks';

const color = (ink: Ink): string => `var(--${ink})`;

export const Marks = memo(function Marks({ drawing }: { drawing: Drawing }) {
  return drawing.marks.map((drawMark, i) => {
    switch (drawMark.mark) {
      case 'path':
        return (
          <path
            key={i}
            d={pathData(drawMark.d)}
            fill="none"
            stroke={color(drawMark.ink)}
            strokeWidth={drawMark.width}
            strokeDasharray={drawMark.dash?.join(' ')}
            strokeLinejoin="round"
          />
        );
      case 'circle':
        return (
          <circle
            key={i}
            cx={drawMark.x}
            cy={drawMark.y}
            r={drawMark.r}
            fill={color(drawMark.fill)}
            stroke={color(drawMark.ink)}
            strokeWidth={drawMark.width}
          />
        );
      case 'ellipse':
        return (
          <ellipse
            key={i}
            cx={drawMark.x}
            cy={drawMark.y}
            rx={drawMark.rx}
            ry={drawMark.ry}
            fill="none"
            stroke={color(drawMark.ink)}
            strokeWidth={drawMark.width}
            strokeDasharray={drawMark.dash.join(' ')}
          />
        );
      case 'box':
        return (
          <rect
            key={i}
            x={drawMark.x - drawMark.r}
            y={drawMark.y - drawMark.r}
            width={2 * drawMark.r}
            height={2 * drawMark.r}
            fill={color(drawMark.fill)}
            stroke={color(drawMark.ink)}
            strokeWidth={drawMark.width}
          />
        );
      case 'shape':
        return <path key={i} d={`${pathData(drawMark.points)}Z`} fill={color(drawMark.fill)} />;
      case 'text':
        return (
          <text
            key={i}
            x={drawMark.x}
            y={drawMark.y}
            fontSize={drawMark.size}
            fontWeight={drawMark.bold ? 700 : 400}
            textAnchor={drawMark.anchor}
            fill={color(drawMark.ink)}
          >
            {drawMark.text}
          </text>
        );
    }
  });
});
