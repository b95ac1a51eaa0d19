import type { Mean } from '@/core/read';

/** Calls to expect of a section in a game. */
export const usageText = (usage: Mean | null | undefined): string => {
  if (!usage) return 'no own film';
  const { mean, low, high, n } = usage;
  const interval = low === null ? '' : ` (${low.toFixed(1)}–${high!.toFixed(1)})`;
  return `expect ${mean.toFixed(1)} a game${interval}, ${n} ${n === 1 ? 'game' : 'games'}`;
};
