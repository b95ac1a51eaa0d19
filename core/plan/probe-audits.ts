/** Pictures that a sheet counts on and they have hardly faced: shown among the openers, their answer is known early. */
import { group } from 'd3-array';
import { FEW_COUNT } from '../read/rates';
import { select, type Columns } from '../read/columns';
import { plural } from '../rules/plural';
import type { Audit } from './audits';
import type { DrawnOf } from './book-audits';
import type { SectionSpec } from './sections';
import type { SheetCall } from './sheet';

/** The section that a game begins with. */
const OPENERS = 'openers';
/** A picture on the sheet so often is counted on; a film of so many snaps would have shown more (common practice). */
const COUNTED_ON = 3;
const A_GAME = 40;

interface Picture {
  readonly structure: string;
  readonly motion: string | null;
}

export function probeAudits(
  calls: readonly SheetCall[],
  sections: readonly SectionSpec[],
  drawn: DrawnOf,
  columns: Columns,
  opponent: string,
): Audit[] {
  if (!sections.some((s) => s.key === OPENERS)) return [];
  if (select(columns, { defense: [opponent] }).length < A_GAME) return [];
  const pictureOf = ({ play }: SheetCall): Picture | null => {
    const structure = drawn(play)?.assignment.structure.label;
    return structure === undefined ? null : { structure, motion: play.motion };
  };
  const shown = calls.flatMap((call) => {
    const picture = pictureOf(call);
    return picture ? [{ call, picture }] : [];
  });
  return [...group(shown, ({ picture }) => `${picture.structure}|${picture.motion ?? ''}`).values()].flatMap(
    (uses): Audit[] => {
      const { structure, motion } = uses[0]!.picture;
      if (uses.length < COUNTED_ON || uses.some(({ call }) => call.section === OPENERS)) return [];
      const faced = select(columns, {
        defense: [opponent],
        structureSnap: [structure],
        ...(motion === null ? {} : { motion: [motion] }),
      }).length;
      if (faced >= FEW_COUNT) return [];
      const words = motion === null ? structure : `${structure} after “${motion}”`;
      return [
        {
          code: 'no_probe',
          section: null,
          calls: uses.map(({ call }) => call.id),
          facts: { calls: uses.length, faced },
          sentence: `${words} stands on the sheet ${uses.length} times, and they have faced it ${plural(faced, 'time')} on film: none of the openers shows it, so how they answer is learned late.`,
        },
      ];
    },
  );
}
