export * from './schema';
export * from './read';
export * from './write';
export * from './archive';
export * from './limits';
export * from './cells';
