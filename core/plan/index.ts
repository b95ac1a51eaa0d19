export * from './sheet';
export * from './layout';
export * from './print';
export * from './answers';
export * from './editing';
