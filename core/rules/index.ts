export * from './state';
export * from './arithmetic';
export * from './derive';
export * from './messages';
export * from './next-state';
export * from './walk';
export * from './check';
export * from './strip';
