/** Calls whose words the band's window cannot hold: found while they can still be said shorter. */
import { plural } from '../rules/plural';
import type { Audit } from './audits';
import { bandPages } from './band';
import type { Measure } from './marks';
import type { StaffPrints } from './prints';
import { callWords, type PrintedSection } from './sheet';

/** Sentences name so many. */
const MOST_NAMED = 4;

/** By the same setting as the band that is printed; in what order its calls stand changes no cell's width. */
export function bandAudits(
  sections: readonly PrintedSection[],
  window: StaffPrints['band'],
  measure: Measure,
): Audit[] {
  const about = { name: '', title: '', against: '', stamp: '' };
  const { cut } = bandPages({ ...about, sections }, 'letter', { ...window, seed: 0 }, () => 0, measure);
  if (cut.length === 0) return [];
  const calls = sections.flatMap((s) => s.calls).filter((c) => cut.includes(c.number));
  const named = calls.slice(0, MOST_NAMED).map((c) => `${c.number} “${callWords(c)}”`);
  const more = calls.length > MOST_NAMED ? ` and ${calls.length - MOST_NAMED} more` : '';
  return [
    {
      code: 'band_words',
      section: null,
      calls: calls.map((c) => c.id),
      facts: { calls: calls.length, columns: window.columns },
      sentence: `${plural(calls.length, 'call')} cut short on a wristband of ${window.width} × ${window.height} in, ${plural(window.columns, 'column')}: ${named.join(', ')}${more}. Shorter words in the book, or fewer columns, print whole.`,
    },
  ];
}
