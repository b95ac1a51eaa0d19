/** `report FILE --team KEY --out DIR`: the scouting report of a file's film as PDF, XLSX, CSV and report.json. */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import {
  OWN_SECTIONS,
  BOARD_SIDES,
  besidesOf,
  boardsOf,
  FIRST_PAGE,
  REPORT_PARTS,
  buildColumns,
  buildReport,
  glossaryOf,
  countGame,
  filmKind,
  ofKicks,
  REPORT_UNITS,
  reportCsvs,
  reportJson,
  repsOf,
  rowsAt,
  SIDE_WORDS,
  weightsOf,
  FILM_KINDS,
  type BoardSide,
  type FilmKind,
  type ReportUnits,
  type UnitReport,
} from '../core/read';
import { PAPERS, type Paper } from '../core/plan';
import { plural } from '../core/rules/plural';
import { lookCards } from '../render/report-print';
import { playersPdf, reportPdf, type ReportToPrint } from '../render/report-pdf';
import { reportWorkbook } from '../store/report-xlsx';
import { print, readOptions } from './options';
import { Plain } from './paths';
import { readGames } from './tables';

type Unit = ReportToPrint & UnitReport;

/** The units of a word of --side; "self" is how the offense itself did it. */
function sidesOf(word: string): readonly BoardSide[] {
  if (word === 'self') return ['offense'];
  if (Object.hasOwn(REPORT_UNITS, word)) return REPORT_UNITS[word as ReportUnits];
  const side = BOARD_SIDES.find((s) => s === word);
  if (side) return [side];
  const words = [...BOARD_SIDES, ...Object.keys(REPORT_UNITS), 'self'];
  throw new Plain(`--side ${word} is none of ${words.join(', ')}`);
}

export async function report(args: string[]): Promise<number> {
  const { values, flags, rest } = readOptions(
    args,
    ['team', 'side', 'out', 'level', 'film', 'half-life', 'doubts', 'paper', 'sections'],
    ['breaks'],
  );
  if (!values.team) throw new Plain('name the team that is reported on: --team KEY');
  if (!values.out) throw new Plain('name a folder to write to: --out FOLDER');
  const wanted = values.side ?? 'offense';
  const self = wanted === 'self';
  const sides = sidesOf(wanted);
  const paper = (values.paper ?? 'letter') as Paper;
  if (!Object.hasOwn(PAPERS, paper))
    throw new Plain(`--paper ${values.paper} is none of ${Object.keys(PAPERS).join(', ')}`);
  const film = (values.film ?? 'eleven') as FilmKind;
  if (!FILM_KINDS.includes(film)) throw new Plain(`--film ${film} is none of ${FILM_KINDS.join(', ')}`);
  const sections = values.sections?.split(',') ?? (self ? OWN_SECTIONS : null);
  const known = [
    ...sides.flatMap(boardsOf),
    ...REPORT_PARTS.filter((p) => sides.some((side) => p.sides.includes(side))),
  ].map((s) => s.id);
  const strange = sections?.find((id) => id !== FIRST_PAGE && !known.includes(id));
  if (strange !== undefined)
    throw new Plain(`--sections ${strange} is none of ${[...known, FIRST_PAGE].join(', ')}`);
  const halfLife = values['half-life'] === undefined ? null : Number(values['half-life']);
  if (halfLife !== null && !(halfLife > 0))
    throw new Plain(`--half-life ${values['half-life']} is not a number of games above 0`);
  const { games, phaseOf, weighed, book, staff, profileOf } = readGames(rest[0], values);
  const { rules, level: fallback } = staff;
  const weightOf = (key: string): number | null => weighed.find((g) => g.key === key)?.weight ?? null;
  // Film that a staff left out, and seven-on-seven, do not count here.
  const chosen = [...games].filter(
    ([key]) => filmKind({ level: profileOf(key).key, phase: phaseOf(key), weight: weightOf(key) }) === film,
  );
  const theirs = chosen.filter(([, snaps]) =>
    snaps.some((s) => s.offense === values.team || s.defense === values.team),
  );
  if (theirs.length === 0) throw new Plain(`${values.team} plays in no game of ${rest[0]} that counts`);
  const keys = new Set(theirs.map(([key]) => key));
  const inTime = weighed.filter((g) => keys.has(g.key));
  const counted = theirs.flatMap(([key, snaps]) => countGame(snaps, profileOf(key), book, rules));
  const columns = buildColumns(counted, rules, weightsOf(inTime, halfLife));
  const practiced = [...games].map(([key, snaps]) => ({ info: { phase: phaseOf(key) ?? 'regular' }, snaps }));
  const reps = repsOf(practiced, values.team);
  const names = inTime.map((g) => g.key);
  const unitOf = (side: BoardSide): Unit => {
    const rows = rowsAt(
      columns,
      { team: values.team!, side, filter: {}, ranges: {}, cell: null },
      rules.zones,
    );
    const made = buildReport(columns, rows, { team: values.team!, side, sections }, rules.zones);
    const beside = besidesOf(
      {
        snaps: counted,
        columns,
        rows,
        team: values.team!,
        side,
        whole: true,
        drawn: book && { book, profile: fallback, settings: rules.look },
        reps,
      },
      made,
    );
    return {
      title: `${values.team} ${SIDE_WORDS[side]}`,
      of: `scouting report of ${plural(names.length, 'game')}`,
      rests: `Film: ${names.join(', ')}. Rules of ${fallback.name}. ${ofKicks(side) ? 'Kicks that a foul wiped out' : 'Kneels, spikes and no-plays'} left out.`,
      printed: new Date().toISOString().slice(0, 10),
      report: made,
      zones: rules.zones,
      looks: lookCards(columns, rows, side, book, fallback, rules.look),
      since: null,
      beside,
      words: book && made.order.includes('words') ? glossaryOf(columns, rows, book, fallback) : [],
    };
  };
  const all = sides.map(unitOf);
  // A unit without a snap says nothing beside one that has some.
  const some = all.filter((u) => u.report.snaps > 0);
  const units = some.length > 0 ? some : all.slice(0, 1);
  const files: [string, Uint8Array | string][] = [
    [
      'report.json',
      `${JSON.stringify(reportJson(units, names, wanted as BoardSide | ReportUnits | 'self'), null, 2)}\n`,
    ],
    ['report.pdf', await reportPdf(units, { paper, breaks: flags.has('breaks') })],
    ['players.pdf', await playersPdf(units, paper)],
    [
      'report.xlsx',
      await reportWorkbook(
        units.map((u) => ({ ...u, about: [u.title, u.of, u.rests] })),
        columns.weight !== null,
      ),
    ],
    ...reportCsvs(units),
  ];
  mkdirSync(values.out, { recursive: true });
  for (const [name, bytes] of files) writeFileSync(path.join(values.out, name), bytes);
  print({
    team: values.team,
    side: wanted,
    games: names,
    snaps: units.reduce((n, u) => n + u.report.snaps, 0),
    tables: units.reduce((n, u) => n + u.report.tables.length + u.beside.length, 0),
    files: files.map(([name]) => name),
  });
  return 0;
}
