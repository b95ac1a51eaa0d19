export * from './kappa';
export * from './compare';
