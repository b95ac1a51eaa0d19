import 'server-only';
import { z } from 'zod';
import {
  BAND_LIMITS,
  buildScript,
  CARDS_A_PAGE,
  checkQuestions,
  checkUses,
  conversions,
  longThrows,
  type DecisionsToPrint,
  COPY_LIMITS,
  DECISION_LIMITS,
  EVERY_MAN,
  lookOfCheck,
  looksShown,
  menOf,
  numberSheet,
  papersOf,
  pictureDrawn,
  pictureOf,
  pictureRows,
  playQuestions,
  PRINT_KINDS,
  printsOf,
  SCOUT_LIMITS,
  scoutCards,
  SECTIONS,
  SHEET_PAPERS,
  stampWords,
  USUAL_BAND,
  USUAL_SCOUT,
  USUAL_SHAPE,
  type CheckToPrint,
  type DecisionSettings,
  type PrintChoice,
  type PlayCard,
  type PrintSource,
  type Question,
  type TestedMan,
  type ScoutCard,
  type ScoutFilm,
  type ScoutSettings,
  type SheetPaper,
  type StaffPrints,
  type SheetSide,
} from '@/core/plan';
import { practiceOf, staffPrintsOf } from '@/core/exchange/settings';
import type { Actor, SheetDetail } from '@/core/exchange/types';
import { profilesFor } from '@/core/field';
import { buildColumns } from '@/core/read';
import { listTeams } from '@/store/games';
import { loadSheet } from '@/store/plans';
import { programOf } from '@/store/programs';
import { versionNow } from '@/store/sheet-versions';
import { toRep } from './practice';
import { columnsOfFilm, countedFilm } from './counted-film';
import { localTime } from './local-time';

/** Checks with what their film says of each: how often it comes, and who has the third receiver. */
async function withFilm(actor: Actor, { checks, opponent }: SheetDetail): Promise<CheckToPrint[]> {
  if (checks.length === 0) return [];
  const { program, book, profiles, rules, counted } = await countedFilm(
    actor,
    new URLSearchParams({ team: opponent, side: 'offense' }),
  );
  const columns = buildColumns(counted, rules);
  const uses = checkUses(columns, opponent, checks);
  const profile = profiles[program.level];
  return checks.map((check) => {
    const picture = pictureOf(check.picture);
    const rows = picture ? pictureRows(columns, { offense: [opponent] }, picture) : new Uint32Array(0);
    const drawn = pictureDrawn(book, profile, check.picture, counted, rows);
    const use = uses.get(check.id);
    return {
      ...check,
      k: counted.length === 0 ? null : (use?.rate.k ?? 0),
      n: counted.length === 0 ? null : (use?.rate.n ?? 0),
      third: drawn ? lookOfCheck(book, profile, rules.look, drawn, check).owned?.third : undefined,
    };
  });
}

/** The opponent's film with the book that draws it. */
async function filmToDraw(actor: Actor, opponent: string): Promise<ScoutFilm> {
  const film = await countedFilm(actor, new URLSearchParams({ team: opponent }));
  return {
    book: film.book,
    profile: film.profiles[film.program.level],
    settings: film.rules.look,
    snaps: film.counted,
    columns: await columnsOfFilm(film),
    opponent,
  };
}

const playsOf = ({ list }: SheetDetail): PlayCard[] => list.map(({ play }) => play);

/** Scout cards of what the opponent does against that side of ours. */
const cardsOf = async (actor: Actor, sheet: SheetDetail, settings: ScoutSettings): Promise<ScoutCard[]> =>
  scoutCards(await filmToDraw(actor, sheet.opponent), { ...sheet, plays: playsOf(sheet) }, settings);

/** What a test asks of a sheet, and the men it can be asked of. */
async function testOf(
  actor: Actor,
  sheet: SheetDetail,
  man: TestedMan,
): Promise<{ readonly questions: readonly Question[]; readonly men: readonly string[] }> {
  const film = await filmToDraw(actor, sheet.opponent);
  if (sheet.side === 'defense') return { questions: checkQuestions(film, sheet.checks), men: [] };
  const plays = playsOf(sheet);
  return { questions: playQuestions(film, plays, man), men: menOf(film, plays) };
}

/** Our own third and fourth downs, by distance, and throws on third and very long. */
async function downsOf(actor: Actor, team: string): Promise<Pick<DecisionsToPrint, 'converted' | 'long'>> {
  const film = await countedFilm(actor, new URLSearchParams({ team }));
  const columns = await columnsOfFilm(film);
  return { converted: conversions(columns, team), long: longThrows(film.counted, columns, team) };
}
const NO_DOWNS = { converted: [], long: null };

/** A call sheet as it goes to paper, by what an address asks of it. */
export async function sheetToPrint(
  actor: Actor,
  key: string,
  params: Readonly<Record<string, unknown>>,
  now: Date,
): Promise<{
  readonly source: PrintSource;
  readonly choice: PrintChoice;
  readonly men: readonly string[];
  /** What the staff's prints begin with. */
  readonly staff: StaffPrints;
}> {
  const [sheet, version, program, teams] = await Promise.all([
    loadSheet(actor, key),
    versionNow(actor, key),
    programOf(actor),
    listTeams(actor),
  ]);
  const staff = staffPrintsOf(program.settings);
  const choice = printChoice(params, sheet.side, staff);
  const name = (k: string): string => teams.find((t) => t.key === k)?.name ?? k;
  const about = {
    name: sheet.name,
    title: `${name(program.team)} ${sheet.side}`,
    against: name(sheet.opponent),
    stamp: stampWords(localTime(now.toISOString()), version),
  };
  const sections = numberSheet(sheet.list, sheet.sections ?? SECTIONS);
  const test = choice.kind === 'test' ? await testOf(actor, sheet, choice.man) : { questions: [], men: [] };
  const source = {
    side: sheet.side,
    sheet: { ...about, sections },
    checks: { ...about, checks: choice.kind === 'checks' ? await withFilm(actor, sheet) : [] },
    looks:
      choice.kind === 'checks' && sheet.side === 'offense'
        ? looksShown((await filmToDraw(actor, sheet.opponent)).columns, sheet.opponent, sections)
        : [],
    cards: choice.kind === 'scout' ? await cardsOf(actor, sheet, choice.scout) : [],
    script:
      choice.kind === 'script'
        ? buildScript(await toRep(actor, sheet, program.team), practiceOf(program.settings))
        : [],
    questions: test.questions,
    decisions: {
      ...about,
      profile: profilesFor(program.level, program.season, program.settings.profile ?? null)[program.level],
      ...(choice.kind === 'decisions' ? await downsOf(actor, program.team) : NO_DOWNS),
    },
  };
  return { source, choice, men: test.men, staff };
}

const within = ({ from, to }: { readonly from: number; readonly to: number }, usual: number) =>
  z.coerce.number().min(from).max(to).catch(usual).default(usual);
const decisionFigures = (usual: DecisionSettings) =>
  Object.fromEntries(
    (Object.keys(DECISION_LIMITS) as (keyof DecisionSettings)[]).map((key) => [
      key,
      within(DECISION_LIMITS[key], usual[key]),
    ]),
  ) as Record<keyof DecisionSettings, ReturnType<typeof within>>;
const yes = (usual: boolean) =>
  z
    .enum(['true', 'false'])
    .transform((v) => v === 'true')
    .catch(usual)
    .default(usual);
const asked = (staff: StaffPrints) =>
  z.object({
    print: z.enum(PRINT_KINDS).optional().catch(undefined),
    paper: z
      .enum(Object.keys(SHEET_PAPERS) as [SheetPaper])
      .optional()
      .catch(undefined),
    width: within(BAND_LIMITS.width, staff.band.width),
    height: within(BAND_LIMITS.height, staff.band.height),
    columns: within(BAND_LIMITS.columns, staff.band.columns).transform(Math.round),
    seed: within(BAND_LIMITS.seed, USUAL_BAND.seed).transform(Math.round),
    cards: within(SCOUT_LIMITS.cards, USUAL_SCOUT.cards).transform(Math.round),
    aPage: z.coerce
      .number()
      .pipe(z.literal(CARDS_A_PAGE))
      .catch(USUAL_SCOUT.aPage)
      .default(USUAL_SCOUT.aPage),
    flip: yes(USUAL_SCOUT.flip),
    turn: yes(USUAL_SCOUT.turn),
    large: yes(USUAL_SHAPE.large),
    folded: yes(USUAL_SHAPE.folded),
    man: z
      .string()
      .regex(/^[A-Z]{1,2}\d?$/)
      .catch(EVERY_MAN)
      .default(EVERY_MAN),
    copies: within(COPY_LIMITS, 1).transform(Math.round),
    ...decisionFigures(staff.decisions),
  });

/** What an address asks to print of a sheet; what it cannot be is the usual. */
function printChoice(
  params: Readonly<Record<string, unknown>>,
  side: SheetSide,
  staff: StaffPrints,
): PrintChoice {
  const {
    print,
    paper,
    width,
    height,
    columns,
    seed,
    man,
    large,
    folded,
    cards,
    aPage,
    flip,
    turn,
    copies,
    ...decisions
  } = asked(staff).parse(params);
  const kinds = printsOf(side);
  const kind = print && kinds.includes(print) ? print : kinds[0]!;
  return {
    kind,
    paper: papersOf(kind).find((p) => p === paper) ?? papersOf(kind)[0]!,
    band: { width, height, columns, seed },
    scout: { cards, aPage, flip, turn },
    man,
    shape: { large, folded },
    decisions,
    copies,
  };
}
