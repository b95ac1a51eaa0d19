/** Expected failures of the store, by meaning. Conversion to HTTP happens once, in app/api/respond.ts. */
import 'server-only';
import { rolesWords, type Role } from '../core/staff';

export class Refused extends Error {
  override readonly name = 'Refused';
  constructor(
    readonly what: string,
    readonly could: readonly Role[],
  ) {
    super(`${what} is for ${rolesWords(could)}`);
  }
}

export class NotFound extends Error {
  override readonly name = 'NotFound';
  constructor(what: string) {
    super(`there is no such ${what} in this program`);
  }
}

export class Invalid extends Error {
  override readonly name = 'Invalid';
}

/** Not now: worth asking again, nothing was done. */
export class Busy extends Error {
  override readonly name = 'Busy';
}

export class SignInRefused extends Error {
  override readonly name = 'SignInRefused';
  constructor(
    readonly code: 'wrong' | 'too-many',
    seconds = 0,
  ) {
    super(
      code === 'wrong'
        ? 'Name or password is wrong.'
        : `Too many attempts from here; try again in ${seconds} seconds.`,
    );
  }
}

const DOWN_CODES = new Set([
  '53100',
  '53200',
  '53300',
  '55000',
  '3D000',
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  '57P01',
  '57P02',
  '57P03',
  '08000',
  '08001',
  '08003',
  '08004',
  '08006',
]);

/** True when the disk of the database is full: nothing was decided, and nothing will be until there is room. */
function isDiskFull(error: unknown): boolean {
  for (
    let e = error as { code?: string; cause?: unknown } | undefined, depth = 0;
    e && depth < 6;
    depth++, e = e.cause as typeof e
  )
    if (e.code === '53100' || e.code === 'ENOSPC') return true;
  return false;
}

/** What stands in the way of the database, as the beginning of a sentence; null when it is nothing that passes. */
export const outage = (error: unknown): string | null =>
  isDiskFull(error)
    ? 'The disk of the server is full'
    : isStoreDown(error)
      ? 'The database does not answer'
      : null;

/** True when the database could not be reached or went away: worth trying again, nothing was decided. */
export function isStoreDown(error: unknown): boolean {
  for (let e: unknown = error, depth = 0; e && depth < 6; depth++) {
    const { code, message, name, cause, errors } = e as {
      code?: string;
      message?: string;
      name?: string;
      cause?: unknown;
      errors?: unknown[];
    };
    if (code && DOWN_CODES.has(code)) return true;
    if (name === 'ConnectionException' || name === 'KnexTimeoutError') return true;
    if (message && /Connection terminated|connection timeout|server closed the connection/i.test(message))
      return true;
    e = cause ?? errors?.[0];
  }
  return false;
}
