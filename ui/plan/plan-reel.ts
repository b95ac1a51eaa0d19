/** The snaps behind a number of Plan: "<play>|here", "<play>|all", "<play>|answer<n>", "<play>|link", "<play>|theirs:<look>", "<play>|ours:<look>", "<play>|mix:<look>", "<play>|fact:<n>", "|mixtheirs:<look>", "<play>|against:<opponent>", "|faced:<structure>", "|lined:<formation>:<motion>", "|runs:<team>,<team>". */
import {
  filmsOf,
  mixGame,
  rowsAgainst,
  runsAgainst,
  type MissingSetup,
  type PlayCard,
  type SectionSpec,
} from '@/core/plan';
import { facedRows, linedRows } from '@/core/plan/pictures-shown';
import type { NamedRows } from '@/core/read';
import type { PlanFilm } from './usePlanFilm';

interface Of {
  readonly film: PlanFilm;
  readonly missing: readonly MissingSetup[];
  readonly section: SectionSpec;
  readonly opponentName: string;
  readonly team: string;
  readonly opponent: string;
  readonly plays: readonly PlayCard[];
}
const NONE = new Uint32Array(0);

/** Snaps of a call, or theirs, against a look of the call mix. */
function mixReel(
  id: string,
  which: string,
  { film, section, opponentName, team, opponent, plays }: Of,
): NamedRows {
  const play = plays.find((p) => p.id === id);
  const game = mixGame(filmsOf(film.columns, team, opponent, section), play ? [play] : []);
  const at = game.looks.findIndex((look) => look.key === which.split(':')[1]);
  const look = game.looks[at];
  if (!look) return { title: '', rows: NONE };
  return play
    ? { title: `${play.name} against ${look.words}`, rows: game.evidence[0]?.met[at] ?? NONE }
    : { title: `${opponentName} defense, ${section.label}: ${look.words}`, rows: look.theirs };
}

export function planReel(name: string, of: Of): NamedRows {
  const { film, missing, section, opponentName } = of;
  const [id, which = ''] = name.split('|');
  const { columns } = film;
  if (which.startsWith('faced:')) {
    const structure = which.slice('faced:'.length);
    return {
      title: `${opponentName} defense against ${structure}`,
      rows: facedRows(columns, of.opponent, structure),
    };
  }
  if (which.startsWith('lined:')) {
    const [, formation = '', motion = ''] = which.split(':');
    return {
      title: `Our calls from ${formation}${motion ? ` with ${motion}` : ''}`,
      rows: linedRows(columns, of.team, formation, motion || null),
    };
  }
  if (which.startsWith('runs:')) {
    const teams = which.slice('runs:'.length).split(',');
    return { title: `Our runs against ${teams.join(', ')}`, rows: runsAgainst(columns, of.team, teams) };
  }
  if (which.startsWith('mix')) return mixReel(id!, which, of);
  if (which.startsWith('against')) {
    const [play, them] = [of.plays.find((p) => p.id === id), which.split(':')[1]!];
    return play
      ? { title: `${play.name} against ${them}`, rows: rowsAgainst(columns, of.team, them, play) }
      : { title: '', rows: NONE };
  }
  if (which.startsWith('answer'))
    return { title: `${opponentName} defense`, rows: film.answers[Number(which.slice(6))]?.rows ?? NONE };
  if (which.startsWith('fact:')) {
    const play = of.plays.find((p) => p.id === id);
    return (play && film.factsOf(play)[Number(which.slice(5))]?.counts) ?? { title: '', rows: NONE };
  }
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
