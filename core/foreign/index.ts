export * from './sheet';
export { isTarget, targetLabel, TARGETS, type Target } from './headings';
export { SKIP_REASONS, type Skipped, type SkipReason } from './rows';
export type { ColumnReading } from './propose';
export { sameTeam } from './settle';
export * from './understand';
export * from './package';
