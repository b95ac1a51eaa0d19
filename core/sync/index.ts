export * from './operation';
export * from './queue';
export * from './overlay';
