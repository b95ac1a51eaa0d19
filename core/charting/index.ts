export * from './passes';
export * from './plans';
export * from './words';
export * from './offers';
export * from './session';
export * from './sharpen';
