/** The real page under random schedules, with the servers killed as well. */
import { seededRandom } from '../demo/random';
import { logByPage, type PagesDone } from './pages';
import { GAME, withStage } from './stage';

export function pagesUnderKills({
  schedules,
  least,
  seed,
}: {
  readonly schedules: number;
  readonly least: number;
  readonly seed: number;
}): Promise<PagesDone> {
  const source = seededRandom(seed + 1);
  return withStage({ cluster: 'kills', members: 1 }, (stage) =>
    logByPage({
      base: stage.base,
      game: GAME,
      member: /Okafor/,
      schedules,
      least,
      seed,
      restart: () => source.pick([stage.killPostmaster, stage.killBackends, stage.killServer])(),
    }),
  );
}
