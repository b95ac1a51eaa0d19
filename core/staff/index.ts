export * from './permissions';
