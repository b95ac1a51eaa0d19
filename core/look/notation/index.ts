export * from './defense';
export * from './offense';
export * from './reader';
export * from './words';
