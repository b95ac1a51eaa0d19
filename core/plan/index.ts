export * from './sheet';
export * from './layout';
export * from './answers';
