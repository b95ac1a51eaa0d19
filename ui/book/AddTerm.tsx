'use client';
/** A new word of a kind, with what it means. */
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import {
  bookFaultSentence,
  DEFINITION_HINT,
  isDefinedKind,
  phraseFault,
  readDefinition,
  TERM_KIND_LABEL,
  type Book,
  type TermKind,
} from '@/core/book';
import type { LevelProfile } from '@/core/field';
import { TextBox } from '../shared/TextBox';
import type { RowChange } from './use-book';
import { listOf } from './words';
import type { NotationFieldProps } from './NotationField';
import { part } from '../shared/part';

const PressureDesigner = part(() => import('./PressureDesigner'));
const NotationField = part<NotationFieldProps>(
  () => import('./NotationField').then((m) => ({ default: m.NotationField })),
  // As high as what comes, so that nothing below moves away from under the pointer.
  ({ kind, note }) => (
    <TextBox label="Means" disabled value="" helperText={[note, DEFINITION_HINT[kind]].join('; ')} />
  ),
);

export default function AddTerm({
  kind,
  book,
  profile,
  busy,
  onAdd,
}: {
  kind: TermKind;
  book: Book;
  profile: LevelProfile;
  busy: boolean;
  onAdd: (change: RowChange, done: () => void) => void;
}) {
  const [word, setWord] = useState('');
  const [aliases, setAliases] = useState('');
  const [definition, setDefinition] = useState('');
  const [designed, setDesigned] = useState(false);
  const clash = word.trim() === '' ? null : phraseFault(book, kind, word, null);
  const read = isDefinedKind(kind) && definition.trim() !== '' ? readDefinition(kind, definition) : null;
  return (
    <form
      className="card"
      style={{ display: 'grid', gap: 10, alignContent: 'start' }}
      onSubmit={(event) => {
        event.preventDefault();
        onAdd(
          {
            op: 'add',
            kind,
            word,
            aliases: listOf(aliases),
            definition: definition.trim() === '' ? null : definition,
          },
          () => {
            setWord('');
            setAliases('');
            setDefinition('');
          },
        );
      }}
    >
      <h2>Add to {TERM_KIND_LABEL[kind]}</h2>
      <TextBox
        label="Word"
        required
        value={word}
        onChange={(e) => setWord(e.target.value)}
        htmlInput={{ maxLength: 60 }}
        error={clash !== null}
        helperText={clash ? bookFaultSentence(clash) : undefined}
      />
      <TextBox
        label="Also said"
        placeholder="tight trips, tt"
        value={aliases}
        onChange={(e) => setAliases(e.target.value)}
        helperText="commas between"
      />
      {isDefinedKind(kind) && (
        <NotationField
          kind={kind}
          text={definition}
          read={read}
          note="may stay empty"
          onText={setDefinition}
        />
      )}
      {kind === 'pressure' && (
        <Button style={{ justifySelf: 'start' }} onClick={() => setDesigned(true)}>
          Design it on every picture
        </Button>
      )}
      {designed && (
        <PressureDesigner
          book={book}
          profile={profile}
          title={word.trim() || 'A new pressure'}
          text={definition}
          onUse={setDefinition}
          onClose={() => setDesigned(false)}
        />
      )}
      {(kind === 'formation' || kind === 'backfield') && (
        <p className="small quiet">
          A name alone is not drawn. <Link href="/book/draw">Draw a formation</Link> gives it its points.
        </p>
      )}
      <Button type="submit" variant="contained" disabled={busy || (read !== null && !read.ok)}>
        Add
      </Button>
    </form>
  );
}
