import type { StrengthRule } from '@/core/look';

export const STRENGTH_WORD: Readonly<Record<StrengthRule, string>> = {
  receivers: 'more receivers',
  tight_end: 'the tight end',
  field: 'the field',
  back: 'the back',
};
