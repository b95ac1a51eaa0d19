export * from './types';
export * from './find';
export * from './bulk';
export * from './game';
export * from './view';
export * from './session';
export * from './commands';
export * from './messages';
