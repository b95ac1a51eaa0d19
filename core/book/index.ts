export * from './term';
export * from './default-book';
export * from './index-terms';
export * from './book-json';
