export * from './profile';
export * from './spot';
export * from './situation';
