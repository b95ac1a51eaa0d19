import { Migration20261124000001 } from './0001-first';
import { Migration20261125000002 } from './0002-looks';

/** Forward only, in order. A landed migration never changes. */
export const MIGRATIONS = [{ name: '0001-first', class: Migration20261124000001 }, { name: '0002-looks', class: Migration20261125000002 }];
