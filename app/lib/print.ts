import 'server-only';
import { z } from 'zod';
import {
  BAND_LIMITS,
  checkUses,
  lookOfCheck,
  numberSheet,
  papersOf,
  pictureDrawn,
  pictureOf,
  pictureRows,
  PRINT_KINDS,
  printsOf,
  SECTIONS,
  SHEET_PAPERS,
  USUAL_BAND,
  type CheckToPrint,
  type PrintChoice,
  type PrintSource,
  type SheetPaper,
  type SheetSide,
} from '@/core/plan';
import type { Actor, SheetDetail } from '@/core/exchange/types';
import { buildColumns } from '@/core/read';
import { listTeams } from '@/store/games';
import { loadSheet } from '@/store/plans';
import { programOf } from '@/store/programs';
import { countedFilm } from './counted-film';

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

/** A call sheet as it goes to paper. */
export async function sheetToPrint(actor: Actor, key: string, now: Date): Promise<PrintSource> {
  const [sheet, program, teams] = await Promise.all([
    loadSheet(actor, key),
    programOf(actor),
    listTeams(actor),
  ]);
  const name = (k: string): string => teams.find((t) => t.key === k)?.name ?? k;
  const about = {
    name: sheet.name,
    title: `${name(program.team)} ${sheet.side}`,
    against: name(sheet.opponent),
    stamp: now.toISOString().slice(0, 16).replace('T', ' '),
  };
  return {
    side: sheet.side,
    sheet: { ...about, sections: numberSheet(sheet.list, sheet.sections ?? SECTIONS) },
    checks: { ...about, checks: sheet.side === 'defense' ? await withFilm(actor, sheet) : [] },
  };
}

const within = ({ from, to }: { readonly from: number; readonly to: number }, usual: number) =>
  z.coerce.number().min(from).max(to).catch(usual).default(usual);
const query = z.object({
  print: z.enum(PRINT_KINDS).optional().catch(undefined),
  paper: z
    .enum(Object.keys(SHEET_PAPERS) as [SheetPaper])
    .catch('letter')
    .default('letter'),
  width: within(BAND_LIMITS.width, USUAL_BAND.width),
  height: within(BAND_LIMITS.height, USUAL_BAND.height),
  columns: within(BAND_LIMITS.columns, USUAL_BAND.columns).transform(Math.round),
  seed: within(BAND_LIMITS.seed, USUAL_BAND.seed).transform(Math.round),
});

/** What an address asks to print of a sheet; what it cannot be is the usual. */
export function printChoice(params: Readonly<Record<string, unknown>>, side: SheetSide): PrintChoice {
  const { print, paper, ...band } = query.parse(params);
  const kinds = printsOf(side);
  const kind = print && kinds.includes(print) ? print : kinds[0]!;
  return { kind, paper: papersOf(kind).includes(paper) ? paper : 'letter', band };
}
