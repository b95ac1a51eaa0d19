/** Database configuration, shared by the server, the migrations and the command line. */
import 'server-only';
import { defineConfig, UnderscoreNamingStrategy } from '@mikro-orm/postgresql';
import { Migrator } from '@mikro-orm/migrations';
import path from 'node:path';
import { ENTITIES } from './all-entities';
import { MIGRATIONS } from './migrations/list';

export const ormConfig = (clientUrl: string) =>
  defineConfig({
    clientUrl,
    entities: ENTITIES,
    namingStrategy: UnderscoreNamingStrategy,
    extensions: [Migrator],
    migrations: {
      migrationsList: MIGRATIONS,
      path: path.join(process.cwd(), 'store/migrations'),
      snapshot: false,
      transactional: true,
      allOrNothing: true,
    },
    pool: { min: 2, max: 20, acquireTimeoutMillis: 12_000 },
    driverOptions: { connection: { connectionTimeoutMillis: 8_000 } },
    discovery: { disableDynamicFileAccess: true },
    forceUtcTimezone: true,
    debug: false,
  });
