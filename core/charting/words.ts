/** Values in words. */
import { NONE, UNSEEN } from '../snap';

const SIDE: Readonly<Record<string, string>> = { L: 'left', R: 'right' };
export const valueWords = (value: unknown): string =>
  value === NONE
    ? 'none'
    : value === UNSEEN
      ? 'not visible'
      : typeof value === 'boolean'
        ? value
          ? 'yes'
          : 'no'
        : (SIDE[String(value)] ?? String(value).replace(/_/g, ' '));
