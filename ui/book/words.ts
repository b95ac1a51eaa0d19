import type { PassDef } from '@/core/book/play';

/** "tight trips, tt" as a list. */
export const listOf = (text: string): string[] =>
  text
    .split(',')
    .map((part) => part.trim())
    .filter(Boolean);

/** The routes of a side, outside in: "go, flat, stick; or go, stick, the back flat". */
export const routeWords = (pass: PassDef, side: 'strong' | 'weak'): string =>
  [{ routes: pass[side], back: null }, ...(pass.others?.[side] ?? [])]
    .map(({ routes, back }) => `${routes.join(', ') || 'nobody'}${back === null ? '' : `, the back ${back}`}`)
    .join('; or ');
