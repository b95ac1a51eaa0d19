export * from './schema';
export * from './read';
export * from './write';
export * from './archive';
