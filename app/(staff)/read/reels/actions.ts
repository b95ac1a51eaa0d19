'use server';
/** Reels that a staff keeps. */
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { clock } from '@/app/lib/session';
import { addedClipsSchema, changedReelSchema, reelSchema } from '@/core/read/schema';
import { addToReel, changeReel, createReel, listReels, removeReel } from '@/store/reels';

const listed = action('reel.save', z.undefined(), async (actor) => listReels(actor));
export const keptReels = async () => listed(undefined);

const made = action('reel.save', reelSchema, async (actor, reel) => {
  const id = await createReel(actor, reel, clock());
  revalidatePath('/read', 'layout');
  return id;
});
/** Its id. */
export const keepReel = async (given: unknown) => made(given);

const longer = action('reel.save', addedClipsSchema, async (actor, { id, clips }) => {
  const holds = await addToReel(actor, id, clips, clock());
  revalidatePath('/read', 'layout');
  return holds;
});
/** How many snaps it holds then. */
export const addClips = async (given: unknown) => longer(given);

const changed = action('reel.save', changedReelSchema, async (actor, reel) =>
  changeReel(actor, reel, clock()),
);
/** Its version then. */
export const saveReel = async (given: unknown) => changed(given);

const away = action('reel.save', z.object({ id: z.uuid('there is no such reel') }), async (actor, { id }) => {
  await removeReel(actor, id, clock());
  revalidatePath('/read', 'layout');
});
export const dropReel = async (given: unknown) => away(given);
