import 'server-only';
import { numberSheet, type SheetToPrint } from '@/core/plan';
import type { Actor } from '@/core/exchange/types';
import { listTeams } from '@/store/games';
import { programOf } from '@/store/programs';
import { loadSheet } from '@/store/plans';

/** A call sheet as it goes to paper. */
export async function sheetToPrint(actor: Actor, key: string): Promise<SheetToPrint> {
  const [sheet, program, teams] = await Promise.all([
    loadSheet(actor, key),
    programOf(actor),
    listTeams(actor),
  ]);
  const name = (k: string): string => teams.find((t) => t.key === k)?.name ?? k;
  return {
    name: sheet.name,
    title: `${name(program.team)} offense`,
    against: name(sheet.opponent),
    sections: numberSheet(sheet.list),
  };
}
