export * from './schedule';
export * from './looks';
export * from './session';
