/** What a staff keeps of its reading: reels, the words of a report's first page, and what was printed. */
import 'server-only';
import { defineEntity, p } from '@mikro-orm/core';
import type { Clip } from '../core/read/clips';
import type { PrintedFigures } from '../core/read/printed';
import { BOARD_SIDES, type BoardSide } from '../core/read/sides';
import type { SentenceEdits } from '../core/read/sentences';
import { member, program } from './entities';

const side = () => p.enum(() => BOARD_SIDES).$type<BoardSide>();

/** Snaps in an order of its own, each with a note. */
export const Reel = defineEntity({
  name: 'Reel',
  tableName: 'reel',
  uniques: [{ properties: ['program', 'nameKey'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    name: p.string(),
    /** Lower case: names are compared without case. */
    nameKey: p.string(),
    sentence: p.text(),
    source: p.text().nullable(),
    shared: p.boolean(),
    clips: p.json<readonly Clip[]>(),
    version: p.integer(),
    by: member(),
    at: p.datetime(),
  },
});

/** What a staff changed on the first page of its report of a team. */
export const ReportWords = defineEntity({
  name: 'ReportWords',
  tableName: 'report_words',
  uniques: [{ properties: ['program', 'team', 'side'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    team: p.string(),
    side: side(),
    edits: p.json<SentenceEdits>(),
    version: p.integer(),
    by: member(),
    at: p.datetime(),
  },
});

/** The figures of a report as they were printed. */
export const ReportPrint = defineEntity({
  name: 'ReportPrint',
  tableName: 'report_print',
  indexes: [{ properties: ['program', 'team', 'side', 'at'] }],
  properties: {
    id: p.uuid().primary(),
    program: program(),
    team: p.string(),
    side: side(),
    figures: p.json<PrintedFigures>(),
    by: member(),
    at: p.datetime(),
  },
});
