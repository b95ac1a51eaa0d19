export * from './types';
export * from './game';
export * from './view';
export * from './session';
export * from './commands';
export * from './messages';
