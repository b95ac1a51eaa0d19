export * from './rates';
export * from './success';
export * from './counted';
export * from './columns';
export * from './board';
