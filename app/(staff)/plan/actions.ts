'use server';
/** Call sheets: started and copied. Their calls, names and locks are rows and travel as operations. */
import { randomUUID } from 'node:crypto';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { clock } from '@/app/lib/session';
import { sheetScope } from '@/core/sync';
import { Invalid } from '@/store/errors';
import { copySheet } from '@/store/plans';
import { epochOf, synchronize } from '@/store/sync';

const started = action(
  'sheet.create',
  z.object({
    name: z.string().max(120, 'A name has up to 120 characters.').default(''),
    opponent: z.string().min(1, 'Choose the opponent.').max(12),
  }),
  async (actor, typed) => {
    const key = randomUUID();
    const { answers } = await synchronize(
      actor,
      sheetScope(key),
      [
        {
          id: randomUUID(),
          kind: 'sheet',
          row: key,
          epoch: await epochOf(),
          do: 'put',
          fields: { name: typed.name.trim() || `At ${typed.opponent}`, opponent: typed.opponent },
          after: null,
        },
      ],
      clock(),
    );
    if (answers[0]?.status === 'refused') throw new Invalid(answers[0].reason.replace(/\.$/, ''));
    return key;
  },
);

export async function startSheet(_: string | null, form: FormData): Promise<string | null> {
  const done = await started(form);
  if (!done.ok) return done.words;
  redirect(`/plan/${done.value}`);
}

const copied = action('sheet.copy', z.string().min(1).max(120), async (actor, key) =>
  copySheet(actor, key, clock()),
);

/** Leads to the copy, or says why there is none. */
export async function copyOf(key: string): Promise<string> {
  const done = await copied(key);
  if (!done.ok) return done.words;
  redirect(`/plan/${done.value}`);
}
