export * from './snap';
export * from './fields';
export * from './order';
export * from './text';
export * from './sureness';
