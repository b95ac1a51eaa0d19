export * from './sheet';
export * from './layout';
