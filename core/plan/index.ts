export * from './sheet';
export * from './argue';
export * from './sizing';
export * from './audits';
export * from './layout';
export * from './print';
export * from './answers';
export * from './editing';
