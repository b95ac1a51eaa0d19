export * from './types';
export * from './find';
export * from './bulk';
export * from './game';
export * from './view';
export * from './session';
export { linesOf } from './writing';
export * from './commands';
export * from './messages';
