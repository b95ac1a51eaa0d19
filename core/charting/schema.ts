/** A charting plan where it enters: chosen on screen, imported, stored. */
import { z } from 'zod';
import { SNAP_FACTS, type SnapFact } from '../snap';
import { OVERS } from './passes';

const facts: ReadonlySet<string> = new Set(SNAP_FACTS);
const passSchema = z.object({
  id: z.string().regex(/^[a-z0-9-]{1,40}$/),
  name: z.string().trim().min(1, 'A pass has a name.').max(40, 'A pass has a name of up to 40 characters.'),
  over: z.enum(OVERS),
  fields: z
    .array(z.string().refine((f): f is SnapFact => facts.has(f), 'There is no such field.'))
    .min(1, 'A pass asks at least one field.')
    .max(20, 'A pass asks up to 20 fields.')
    .refine((list) => new Set(list).size === list.length, 'A pass asks a field once.'),
});
export const planSchema = z.object({
  id: z.string().max(40),
  name: z.string().max(40),
  passes: z
    .array(passSchema)
    .min(1, 'A plan has at least one pass.')
    .max(12, 'A plan has up to twelve passes.')
    .refine((list) => new Set(list.map((p) => p.id)).size === list.length, 'Two passes have one id.'),
});
/** Plans by team; * for every other. */
export const plansSchema = z
  .record(z.string().max(12), planSchema)
  .refine((plans) => Object.keys(plans).length <= 200, 'Up to 200 teams have a plan of their own.');
