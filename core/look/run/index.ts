export * from './jobs';
export * from './ledger';
export * from './option';
export * from './run';
export * from './run-def';
export * from './run-jobs';
export { dutyWords } from './run-words';
