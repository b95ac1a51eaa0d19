/** Boards of the kicking game: a team's own kicks, and kicks to it. */
import type { BoardSpec } from './board-spec';
import type { FilterField } from './filters';
import type { BoardSide } from './sides';

const kicks = (
  side: BoardSide,
  id: string,
  title: string,
  by: readonly FilterField[],
  more: Partial<BoardSpec> = {},
): BoardSpec => ({
  id,
  title,
  side,
  by,
  measures: ['returned', 'blocked', 'kickYards', 'returnYards', 'hang', 'operation'],
  ...more,
});

export const KICK_BOARDS: readonly BoardSpec[] = [
  kicks('kicking', 'k-unit', 'Kicks by kind', ['unit']),
  kicks('kicking', 'k-end', 'How their kicks end', ['unit'], { across: 'kickEnd', measures: ['kickYards'] }),
  kicks('kicking', 'k-formation', 'Kicks by formation', ['unit', 'formation']),
  kicks('kicking', 'k-direction', 'Where they kick to', ['unit', 'kickDirection']),
  kicks('kicking', 'k-zone', 'Punts by field zone', ['zone'], { filter: { unit: ['punt'] } }),
  kicks('kicking', 'k-goals', 'Field goals by field zone', ['zone'], {
    filter: { unit: ['field_goal'] },
    measures: ['good', 'blocked', 'operation'],
  }),
  kicks('kicking', 'k-kicker', 'Who kicks', ['kicker', 'unit'], {
    measures: ['good', 'returned', 'kickYards', 'hang', 'operation'],
  }),
  kicks('kicking', 'k-fake', 'Fakes and onside kicks', ['unit', 'fake', 'onside'], { measures: ['blocked'] }),
  kicks('kicking', 'k-lanes', 'Coverage lanes', ['unit', 'lanes'], { measures: ['returned', 'returnYards'] }),
  kicks('returning', 'r-unit', 'Kicks to them by kind', ['unit']),
  kicks('returning', 'r-end', 'What they do with a kick', ['unit'], {
    across: 'kickEnd',
    measures: ['returnYards'],
  }),
  kicks('returning', 'r-returner', 'Who returns', ['returner', 'unit'], {
    filter: { kickEnd: ['returned', 'muffed'] },
    measures: ['returnYards'],
  }),
  kicks('returning', 'r-formation', 'Against kicks by formation', ['unit', 'formation'], {
    measures: ['blocked', 'returned', 'returnYards'],
  }),
  kicks('returning', 'r-zone', 'Punts to them by field zone', ['zone'], { filter: { unit: ['punt'] } }),
];
