export * from './formation';
export * from './paths';
