/** What the server says of itself: JSON lines on standard error. No name, film or word of a member stands in it. */
import 'server-only';
import pino, { type Logger } from 'pino';
import { environment } from './environment';
import { keptInProcess } from './process';

export type { Logger };

/** Facts that must never be read by who reads logs. */
const SECRET = [
  'password',
  'cookie',
  'authorization',
  'token',
  '*.password',
  '*.cookie',
  '*.authorization',
  '*.token',
];

/** A log; the environment says what is worth a line. Lines are written before the process goes on. */
export const openLog = (write: pino.DestinationStream = pino.destination({ dest: 2, sync: true })): Logger =>
  pino({ base: null, level: environment().VOBRIK_LOG, redact: SECRET }, write);

export const serverLog = (): Logger => keptInProcess('log', () => openLog());
