import type { EvenAfterMotion, StrengthRule } from '@/core/look';

export const STRENGTH_WORD: Readonly<Record<StrengthRule, string>> = {
  receivers: 'more receivers',
  tight_end: 'the tight end',
  field: 'the field',
  back: 'the back',
};

export const EVEN_WORD: Readonly<Record<EvenAfterMotion, string>> = {
  stays: 'stays where it was',
  moves: 'goes with the motion',
  'declared again': 'is declared again',
};

export type RunChange = (
  change: { readonly op: string; readonly [field: string]: unknown },
  after?: () => void,
) => void;

/** What was done, by the change. */
export const DONE_WORDS: Readonly<Record<string, string>> = {
  week: 'The week is saved.',
  add: 'The member is added.',
  roles: 'The roles are saved.',
  remove: 'The member is removed; what he tagged keeps his name.',
  rules: 'The rules are saved; all counts follow them.',
  profile: 'The level is saved.',
  'end-session': 'That session is ended.',
  password: 'The password is changed; your other sessions are ended.',
};

/** A time in UTC: the same text on the server and in the browser until it is alive. */
export const moment = (iso: string): string => iso.slice(0, 16).replace('T', ' ');
