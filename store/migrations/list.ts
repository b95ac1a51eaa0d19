import { Migration20261124000001 } from './0001-first';

/** Forward only, in order. A landed migration never changes. */
export const MIGRATIONS = [{ name: '0001-first', class: Migration20261124000001 }];
