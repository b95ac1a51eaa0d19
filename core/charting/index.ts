export * from './passes';
export * from './words';
export * from './offers';
export * from './session';
export * from './sharpen';
