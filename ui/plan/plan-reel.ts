/** The snaps behind a number of Plan: "<play>|here", "<play>|all", "<play>|answer<n>", "<play>|link", "<play>|theirs:<look>", "<play>|ours:<look>". */
import type { MissingSetup, SectionSpec } from '@/core/plan';
import type { NamedRows } from '@/core/read';
import type { PlanFilm } from './usePlanFilm';

interface Of {
  readonly film: PlanFilm;
  readonly missing: readonly MissingSetup[];
  readonly section: SectionSpec;
  readonly opponentName: string;
}
const NONE = new Uint32Array(0);

export function planReel(name: string, { film, missing, section, opponentName }: Of): NamedRows {
  const [id, which = ''] = name.split('|');
  if (which.startsWith('answer'))
    return { title: `${opponentName} defense`, rows: film.answers[Number(which.slice(6))]?.rows ?? NONE };
  if (which === 'link') {
    const link = missing.find((m) => m.link.link.play === id)?.link;
    return { title: `${link?.play?.name ?? ''} on own film`, rows: link?.rows ?? NONE };
  }
  const found = film.suggestions.find((s) => s.play.id === id);
  const [whose, key] = which.split(':');
  const look = film.argued?.get(id!)?.looks.find((l) => l.look === key);
  if (found && look)
    return whose === 'theirs'
      ? { title: `${opponentName} defense, ${section.label}: ${look.words}`, rows: look.theirs }
      : { title: `${found.play.name} against ${look.words}`, rows: look.ours };
  if (!found) return { title: '', rows: NONE };
  return which === 'here'
    ? { title: `${found.play.name}, ${section.label}`, rows: found.hereRows }
    : { title: `${found.play.name}, anywhere`, rows: found.allRows };
}
