export * from './roster';
export * from './availability';
