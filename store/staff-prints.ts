/** Figures that the staff's prints begin with: the window of its wristbands, what its decision card reckons with. */
import 'server-only';
import { USUAL_PRINTS, type StaffPrints } from '../core/plan/prints';
import { staffPrintsSchema } from '../core/plan/schema';
import type { Actor, ProgramSettings } from '../core/exchange/types';
import { permit } from './access';
import { Invalid } from './errors';
import { changeSettings, isNew } from './programs';

/** As they stand in the settings; the usual ones until a staff says others. */
export const staffPrintsOf = (settings: ProgramSettings): StaffPrints =>
  staffPrintsSchema.safeParse(settings.prints).data ?? USUAL_PRINTS;

/** `before`: as they stood where they were changed; another member's are not written over. */
export async function setStaffPrints(actor: Actor, given: StaffPrints, before: StaffPrints): Promise<void> {
  permit(actor, 'sheet.draft');
  const read = staffPrintsSchema.safeParse(given);
  if (!read.success) throw new Invalid(read.error.issues[0]!.message.replace(/\.$/, ''));
  await changeSettings(actor, async (_tx, program) =>
    isNew(staffPrintsOf(program.settings), read.data, before, 'the figures of prints')
      ? { prints: read.data }
      : {},
  );
}
