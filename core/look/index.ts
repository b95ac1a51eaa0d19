export * from './formation';
