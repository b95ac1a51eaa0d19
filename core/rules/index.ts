export * from './state';
export * from './messages';
export * from './next-state';
export * from './walk';
export * from './check';
export * from './strip';
