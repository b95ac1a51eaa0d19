'use client';
/** The line as a drawing, with what is worth a word of it. Comes after the line itself can be typed in. */
import { memo, useMemo } from 'react';
import { lookOf, type Book } from '@/core/book';
import type { Hash } from '@/core/field';
import type { LevelProfile } from '@/core/field/profile';
import { lookSentences, peopleNote, type LookCode } from '@/core/look';
import type { SnapFields } from '@/core/snap';
import { Chalk } from '../chalk/Chalk';
import { useStaffRules } from '../StaffRules';

/** What is worth a word while a line is typed: numbers, and who is free. */
const WHILE_TYPING: ReadonlySet<LookCode> = new Set<LookCode>([
  'box',
  'count',
  'missing',
  'unblocked',
  'quick',
  'protection',
]);

/** What the drawing says in words: people that do not fit, then the numbers. */
function useLookWords(book: Book, profile: LevelProfile, drawn: SnapFields, hash: Hash | null): string {
  const rules = useStaffRules();
  return useMemo(() => {
    const look = lookOf(book, { ...drawn, hash }, profile, rules.look);
    if (!look) return '';
    const people = peopleNote(typeof drawn.personnel === 'string' ? drawn.personnel : null, look.offense.set);
    const said = look.defense ? lookSentences(look, rules.look).filter((s) => WHILE_TYPING.has(s.code)) : [];
    return [people, ...said.slice(0, people ? 2 : 3).map((s) => s.text)].filter(Boolean).join(' ');
  }, [book, drawn, hash, profile, rules]);
}

interface LineDrawingProps {
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly fields: SnapFields;
  readonly hash: Hash | null;
}

export default memo(function LineDrawing({ book, profile, fields, hash }: LineDrawingProps) {
  const says = useLookWords(book, profile, fields, hash);
  return (
    <>
      <Chalk book={book} profile={profile} fields={fields} hash={hash} height={200} />
      {says && (
        <p className="small" data-testid="says">
          {says}
        </p>
      )}
    </>
  );
});
