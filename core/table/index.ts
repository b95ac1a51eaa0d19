export * from './schema';
export * from './fault';
export * from './read';
export * from './package';
export * from './write';
export * from './archive';
export * from './limits';
export * from './cells';
