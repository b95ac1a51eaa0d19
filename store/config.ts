/** Database configuration, shared by the server, the migrations and the command line. */
import { defineConfig, UnderscoreNamingStrategy } from '@mikro-orm/postgresql';
import { Migrator } from '@mikro-orm/migrations';
import path from 'node:path';
import { z } from 'zod';
import { ENTITIES } from './entities';
import { MIGRATIONS } from './migrations/list';

const environment = z.object({
  DATABASE_URL: z.string().regex(/^postgresql:\/\//, 'must be a postgresql:// address'),
});

/** Reads the environment once; throws a sentence that names the variable. */
export function databaseUrl(env: Record<string, string | undefined> = process.env): string {
  const read = environment.safeParse(env);
  if (!read.success) throw new Error('DATABASE_URL is not set; start the application with ./vobrik');
  return read.data.DATABASE_URL;
}

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
