'use server';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { clock } from '@/app/lib/session';
import { SEEN } from '@/core/drill';
import { answerLook } from '@/store/drills';

const word = z.string().max(120).nullable();
const schema = z.object({
  look: z.string().min(1).max(255),
  seconds: z.number().min(0).max(3600),
  marks: z
    .array(
      z.object({
        field: z.enum(SEEN),
        label: z.string().max(60),
        there: word,
        said: word,
        right: z.boolean(),
      }),
    )
    .min(1)
    .max(SEEN.length),
});
const answered = action('game.read', schema, (actor, given) => answerLook(actor, given, clock()));

/** Days until the look is asked again, or why it was not kept. */
export async function answerDrill(
  given: unknown,
): Promise<{ readonly days: number } | { readonly why: string }> {
  const done = await answered(given);
  return done.ok ? done.value : { why: done.words };
}
