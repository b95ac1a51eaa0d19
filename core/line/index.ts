export * from './tokenize';
export * from './grammar';
export * from './problem';
export * from './tree';
export * from './resolve';
export * from './format';
export * from './complete';
export * from './edit';
