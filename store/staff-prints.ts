/** Figures that the staff's prints begin with: the window of its wristbands, what its decision card reckons with. */
import 'server-only';
import { staffPrintsOf } from '../core/exchange/settings';
import type { StaffPrints } from '../core/plan/prints';
import { staffPrintsSchema } from '../core/plan/schema';
import type { Actor } from '../core/exchange/types';
import { permit } from './access';
import { Invalid } from './errors';
import { changeSettings, isNew } from './programs';

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
