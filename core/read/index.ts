export * from './rates';
export * from './success';
export * from './counted';
export * from './filters';
export * from './columns';
export * from './board';
export * from './film';
export * from './staff-rules';
