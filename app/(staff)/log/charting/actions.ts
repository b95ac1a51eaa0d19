'use server';
/** Charting: plans, blind chartings, drills. */
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { action } from '@/app/lib/action';
import { clock } from '@/app/lib/session';
import type { ChartPlan } from '@/core/charting';
import { planSchema } from '@/core/charting/schema';
import { beginBlind, handIn } from '@/store/chartings';
import { setChartingPlan } from '@/store/programs';

const planned = action(
  'charting.plan',
  z.object({ team: z.string().min(1).max(12), plan: planSchema.nullable() }),
  async (actor, { team, plan }) => {
    await setChartingPlan(actor, team, plan as ChartPlan | null);
    revalidatePath('/log', 'layout');
  },
);
/** Null when it was saved, else why not. */
export async function savePlan(plan: unknown): Promise<string | null> {
  const done = await planned(plan);
  return done.ok ? null : done.words;
}

const game = z.string().min(1).max(200);
const begun = action('snap.log', game, (actor, key) => beginBlind(actor, key, clock()));
export async function beginBlindCharting(key: string): Promise<string | null> {
  const done = await begun(key);
  return done.ok ? null : done.words;
}

const handed = action('snap.log', game, (actor, key) => handIn(actor, key, clock()));
export async function handInCharting(key: string): Promise<string | null> {
  const done = await handed(key);
  return done.ok ? null : done.words;
}
