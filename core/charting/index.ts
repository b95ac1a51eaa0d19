export * from './passes';
export * from './offers';
export * from './session';
export * from './sharpen';
