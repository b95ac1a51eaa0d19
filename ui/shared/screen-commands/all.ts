import { BOOK } from './book';
import { DRAW } from './draw';
import { GAMES } from './games';
import { PLAN } from './plan';
import { READ } from './read';
import { REEL } from './reel';
import { STAFF } from './staff';
import { WEEK } from './week';
import type { CommandSpec } from './spec';

/** All of them, for the docs and the checks: a screen asks for its own module only, which its first view pays for. */
export const SCREEN_COMMANDS: Readonly<Record<string, readonly CommandSpec[]>> = {
  Week: WEEK,
  Games: GAMES,
  Read: READ,
  Reel: REEL,
  Plan: PLAN,
  Book: BOOK,
  Draw: DRAW,
  Staff: STAFF,
};
