'use client';
/** A drawing's marks as SVG: the one place where inks become the theme's colors. */
import { memo } from 'react';
import { pathData } from '@/core/look/svg';
import type { Drawing, Ink } from '@/core/look/marks';

const color = (ink: Ink): string => `var(--${ink})`;

export const Marks = memo(function Marks({ drawing }: { drawing: Drawing }) {
  return drawing.marks.map((m, i) => {
    switch (m.mark) {
      case 'path':
        return (
          <path
            key={i}
            d={pathData(m.d)}
            fill="none"
            stroke={color(m.ink)}
            strokeWidth={m.width}
            strokeDasharray={m.dash?.join(' ')}
            strokeLinejoin="round"
          />
        );
      case 'circle':
        return (
          <circle
            key={i}
            cx={m.x}
            cy={m.y}
            r={m.r}
            fill={color(m.fill)}
            stroke={color(m.ink)}
            strokeWidth={m.width}
          />
        );
      case 'ellipse':
        return (
          <ellipse
            key={i}
            cx={m.x}
            cy={m.y}
            rx={m.rx}
            ry={m.ry}
            fill="none"
            stroke={color(m.ink)}
            strokeWidth={m.width}
            strokeDasharray={m.dash.join(' ')}
          />
        );
      case 'box':
        return (
          <rect
            key={i}
            x={m.x - m.r}
            y={m.y - m.r}
            width={2 * m.r}
            height={2 * m.r}
            fill={color(m.fill)}
            stroke={color(m.ink)}
            strokeWidth={m.width}
          />
        );
      case 'shape':
        return <path key={i} d={`${pathData(m.points)}Z`} fill={color(m.fill)} />;
      case 'text':
        return (
          <text
            key={i}
            x={m.x}
            y={m.y}
            fontSize={m.size}
            fontWeight={m.bold ? 700 : 400}
            textAnchor={m.anchor}
            fill={color(m.ink)}
          >
            {m.text}
          </text>
        );
    }
  });
});
