export * from './stats';
export * from './box-score';
export type { OfficialFigure } from './official';
