'use server';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { clock } from '@/app/lib/session';
import { isTarget } from '@/core/foreign';
import type { ReadingInfo } from '@/core/exchange/types';
import { saveReading } from '@/store/readings';

const text = z.string().max(400);
const schema = z.object({
  headings: z.string().min(1).max(2000),
  mapping: z
    .array(z.object({ column: text, field: text.refine(isTarget, 'That is no field.').nullable() }))
    .max(250),
  values: z.array(z.object({ field: text, from: text, to: text.nullable() })).max(2000),
});

const saving = action('program.import', schema, (actor, reading) => saveReading(actor, reading, clock()));

/** Null when it was kept, else why not. */
export async function keepReading(reading: ReadingInfo): Promise<string | null> {
  const done = await saving(reading);
  return done.ok ? null : done.words;
}
