export * from './stats';
export * from './box-score';
