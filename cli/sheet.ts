/** `sheet`: a first draft of a call sheet with its wristband, or of a check table, from a file's film. */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import {
  auditChecks,
  buildScript,
  callsToRep,
  CATALOG,
  checkUses,
  draftCalls,
  draftChecks,
  looksShown,
  NO_NOTES,
  numberSheet,
  papersOf,
  checkQuestions,
  conversions,
  longThrows,
  EVERY_MAN,
  playFitter,
  playQuestions,
  playsToRep,
  SHEET_SIDES,
  sheetJson,
  structuresOf,
  scoutCards,
  USUAL_SCOUT,
  USUAL_SHAPE,
  type Check,
  type PrintChoice,
  type PrintSource,
  type SectionSpec,
  type SheetCall,
  type SheetPaper,
  type SheetSide,
} from '../core/plan';
import { uniform } from '../core/stats/uniform';
import { sheetPdf } from '../render/sheet-pdf';
import { print, readOptions } from './options';
import { Plain } from './paths';
import { auditsOf, filmOf, looksOf, type Film } from './sheet-film';

const sideOf = (word = 'offense'): SheetSide => {
  const side = SHEET_SIDES.find((s) => s === word);
  if (!side) throw new Plain(`--side ${word} is neither offense nor defense`);
  return side;
};

function seedOf(word = '1'): number {
  if (!/^\d{1,5}$/.test(word)) throw new Plain(`--seed ${word} is not a number from 0 to 99999`);
  return Number(word);
}

interface Common {
  readonly team: string;
  readonly opponent: string;
  readonly side: SheetSide;
  readonly seed: number;
}
interface Drafted {
  readonly source: Omit<PrintSource, 'decisions'>;
  readonly json: ReturnType<typeof sheetJson>;
}
type About = Omit<PrintSource['sheet'], 'sections'>;

const repSource = ({ book, snaps, columns, staff }: Film, { team, opponent }: Common) => ({
  book,
  profile: staff.level,
  settings: staff.rules.look,
  snaps,
  columns,
  team,
  opponent,
  practiced: [],
});

const cardsOf = (
  film: Film,
  common: Common,
  calls: readonly SheetCall[],
  checks: readonly Check[],
): PrintSource['cards'] =>
  scoutCards(
    repSource(film, common),
    { side: common.side, checks, plays: calls.map((call) => call.play) },
    USUAL_SCOUT,
  );

function draftOffense(film: Film, common: Common, about: About, sections: readonly SectionSpec[]): Drafted {
  const { columns, plays, book, staff } = film;
  const { team, opponent, side, seed } = common;
  const structures = structuresOf(book, staff.level, staff.rules.look, plays);
  const random = (stream: number) => uniform(seed + stream);
  const fits = playFitter(book, staff.level, staff.rules.look);
  const drafted = draftCalls({ columns, team, opponent, plays, structures, sections, fits, random });
  const calls = drafted.map(({ section, play }, i): SheetCall => ({
    id: `call-${i + 1}`,
    section,
    order: i,
    play,
    ...NO_NOTES,
  }));
  const { sizes, audits } = auditsOf(film, common, calls, sections, { book, ...staff });
  return {
    json: sheetJson({
      ...common,
      sections,
      sizes,
      calls,
      argued: new Map(drafted.map(({ argument, reasons }, i) => [`call-${i + 1}`, { argument, reasons }])),
      checks: [],
      audits,
    }),
    source: {
      side,
      sheet: { ...about, sections: numberSheet(calls, sections) },
      checks: { ...about, checks: [] },
      looks: looksShown(columns, opponent, numberSheet(calls, sections)),
      cards: cardsOf(film, common, calls, []),
      script: buildScript(callsToRep(repSource(film, common), numberSheet(calls, sections)), staff.practice),
      questions: playQuestions(
        repSource(film, common),
        calls.map((call) => call.play),
        EVERY_MAN,
      ),
    },
  };
}

function draftDefense(film: Film, common: Common, about: About, _: readonly SectionSpec[]): Drafted {
  const { team, opponent, side } = common;
  const checks = draftChecks(film.columns, team, opponent).map(({ shown, answer }, i): Check => ({
    id: `check-${i + 1}`,
    order: i,
    picture: shown.picture.key,
    personnel: null,
    situation: null,
    front: answer?.front ?? null,
    coverage: answer?.coverage ?? null,
    pressure: null,
    note: null,
  }));
  const uses = checkUses(film.columns, opponent, checks);
  const looks = looksOf(film, opponent, checks);
  const rateOf = (c: Check) => uses.get(c.id)!.rate;
  return {
    json: sheetJson({
      ...common,
      sections: [],
      sizes: new Map(),
      calls: [],
      argued: new Map(),
      checks: checks.map((c) => ({ ...c, share: rateOf(c).k / rateOf(c).n })),
      audits: auditChecks(film.columns, opponent, checks, looks),
    }),
    source: {
      side,
      sheet: { ...about, sections: [] },
      checks: {
        ...about,
        checks: checks.map((c) => ({
          ...c,
          k: rateOf(c).k,
          n: rateOf(c).n,
          third: looks.get(c.id)?.owned?.third,
        })),
      },
      looks: [],
      cards: cardsOf(film, common, [], checks),
      script: buildScript(playsToRep(repSource(film, common), checks), film.staff.practice),
      questions: checkQuestions(repSource(film, common), checks),
    },
  };
}

export async function sheet(args: string[]): Promise<number> {
  const { values, flags, rest } = readOptions(
    args,
    ['team', 'opponent', 'side', 'out', 'level', 'paper', 'seed'],
    ['all-sections'],
  );
  const { team, opponent, out } = values;
  if (!team) throw new Plain('name your team: --team KEY');
  if (!opponent) throw new Plain('name the opponent: --opponent KEY');
  if (!out) throw new Plain('name a folder to write to: --out FOLDER');
  const side = sideOf(values.side);
  const seed = seedOf(values.seed);
  const paper = (values.paper ?? 'letter') as SheetPaper;
  const kind = side === 'defense' ? 'checks' : 'sheet';
  if (!papersOf(kind).includes(paper))
    throw new Plain(`--paper ${values.paper} is none of ${papersOf(kind).join(', ')}`);
  const film = filmOf(rest[0], values, team, null);
  const plays = (who: string, as: 'offense' | 'defense'): boolean => film.columns.text[as].codeOf.has(who);
  for (const who of [team, opponent])
    if (!plays(who, 'offense') && !plays(who, 'defense'))
      throw new Plain(`${who} plays in no eleven-man game of ${rest[0]}`);
  const { staff } = film;
  const sections = flags.has('all-sections') ? CATALOG : staff.sections;
  const about = {
    name: `${team} at ${opponent}`,
    title: `${team} ${side}`,
    against: opponent,
    stamp: new Date().toISOString().slice(0, 10),
  };
  const common = { team, opponent, side, seed };
  const drafted = (side === 'offense' ? draftOffense : draftDefense)(film, common, about, sections);
  const { json } = drafted;
  const source: PrintSource = {
    ...drafted.source,
    decisions: {
      ...about,
      profile: staff.level,
      converted: conversions(film.columns, team),
      long: longThrows(film.snaps, film.columns, team),
    },
  };
  const band = { ...staff.figures.band, seed };
  const pdf = (choice: Pick<PrintChoice, 'kind' | 'paper'>): Promise<Uint8Array> =>
    sheetPdf(source, {
      ...choice,
      band,
      scout: USUAL_SCOUT,
      man: EVERY_MAN,
      shape: USUAL_SHAPE,
      decisions: staff.figures.decisions,
      copies: 1,
    });
  const upright = paper.startsWith('a') ? 'a4' : 'letter';
  const files: [string, Uint8Array | string][] = [
    ['sheet.json', `${JSON.stringify(json, null, 2)}\n`],
    ...(side === 'offense'
      ? ([
          ['sheet.pdf', await pdf({ kind: 'sheet', paper })],
          ['checks.pdf', await pdf({ kind: 'checks', paper })],
          ['decisions.pdf', await pdf({ kind: 'decisions', paper: upright })],
          ['wristband.pdf', await pdf({ kind: 'band', paper: upright })],
        ] as [string, Uint8Array][])
      : ([['checks.pdf', await pdf({ kind: 'checks', paper })]] as [string, Uint8Array][])),
    ['practice.pdf', await pdf({ kind: 'script', paper: upright })],
    ['scout-cards.pdf', await pdf({ kind: 'scout', paper: values.paper ? paper : papersOf('scout')[0]! })],
    ['test.pdf', await pdf({ kind: 'test', paper: values.paper ? paper : papersOf('test')[0]! })],
  ];
  mkdirSync(out, { recursive: true });
  for (const [name, bytes] of files) writeFileSync(path.join(out, name), bytes);
  print({
    ...common,
    games: film.games,
    calls: json.sections.reduce((n, s) => n + s.calls.length, 0),
    checks: json.checks.length,
    audits: json.audits.length,
    files: files.map(([name]) => name),
  });
  return 0;
}
