export * from './roster';
