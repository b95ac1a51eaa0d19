import { Migration20261124000001 } from './0001-first';
import { Migration20261125000002 } from './0002-looks';
import { Migration20261126000003 } from './0003-sync';
import { Migration20261126000004 } from './0004-meanings';
import { Migration20261126000005 } from './0005-admin';
import { Migration20261126000006 } from './0006-words';
import { Migration20261126000007 } from './0007-charted';
import { Migration20261126000008 } from './0008-readings';
import { Migration20261126000009 } from './0009-official';
import { Migration20261127000010 } from './0010-people';
import { Migration20261127000011 } from './0011-weights';
import { Migration20261127000012 } from './0012-reels';
import { Migration20261128000013 } from './0013-sheets';
import { Migration20261129000014 } from './0014-defenders-out';
import { Migration20261129000015 } from './0015-availability';

/** Forward only, in order. A landed migration never changes. */
export const MIGRATIONS = [
  { name: '0001-first', class: Migration20261124000001 },
  { name: '0002-looks', class: Migration20261125000002 },
  { name: '0003-sync', class: Migration20261126000003 },
  { name: '0004-meanings', class: Migration20261126000004 },
  { name: '0005-admin', class: Migration20261126000005 },
  { name: '0006-words', class: Migration20261126000006 },
  { name: '0007-charted', class: Migration20261126000007 },
  { name: '0008-readings', class: Migration20261126000008 },
  { name: '0009-official', class: Migration20261126000009 },
  { name: '0010-people', class: Migration20261127000010 },
  { name: '0011-weights', class: Migration20261127000011 },
  { name: '0012-reels', class: Migration20261127000012 },
  { name: '0013-sheets', class: Migration20261128000013 },
  { name: '0014-defenders-out', class: Migration20261129000014 },
  { name: '0015-availability', class: Migration20261129000015 },
];
