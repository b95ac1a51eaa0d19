'use client';
/** A new play: a look and a concept of the book. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { storedValue, type Book } from '@/core/book';
import type { LevelProfile } from '@/core/field';
import { TextBox } from '../shared/TextBox';
import type { RowChange } from './use-book';

interface AddPlayProps {
  readonly book: Book;
  readonly busy: boolean;
  readonly profile: LevelProfile;
  readonly onAdd: (change: RowChange) => void;
}

export function AddPlay({ book, busy, profile, onAdd }: AddPlayProps) {
  const [play, setPlay] = useState({
    name: '',
    personnel: '',
    formation: '',
    formationSide: '',
    backfield: '',
    motion: '',
    motionBy: '',
    concept: '',
    direction: '',
  });
  const concepts = book.terms.filter((t) => t.kind === 'run' || t.kind === 'pass');
  const chosen = concepts.find((t) => `${t.kind}|${storedValue(t)}` === play.concept);
  const field = (name: keyof typeof play) => ({
    value: play[name],
    onChange: (e: { target: { value: string } }) => setPlay({ ...play, [name]: e.target.value }),
  });
  const words = (kind: 'formation' | 'backfield' | 'motion') =>
    book.terms
      .filter((t) => t.kind === kind)
      .map((term) => (
        <option key={term.id} value={storedValue(term)}>
          {term.word}
        </option>
      ));
  const noRun = profile.players !== 11 && chosen?.kind === 'run';
  return (
    <form
      className="card"
      style={{ display: 'grid', gap: 10, alignContent: 'start' }}
      onSubmit={(event) => {
        event.preventDefault();
        onAdd({
          op: 'play',
          name: play.name,
          kind: chosen?.kind === 'run' ? 'run' : 'pass',
          personnel: play.personnel || null,
          formation: play.formation || null,
          formationSide: (play.formationSide || null) as 'L' | 'R' | null,
          backfield: play.backfield || null,
          motion: play.motion || null,
          motionBy: play.motionBy || null,
          concept: chosen ? storedValue(chosen) : '',
          conceptWeak: null,
          direction: (play.direction || null) as 'L' | 'R' | null,
        });
      }}
    >
      <h2>Add a play</h2>
      <TextBox label="Name" required {...field('name')} htmlInput={{ maxLength: 80 }} />
      <TextBox
        label="Personnel"
        placeholder="11"
        {...field('personnel')}
        error={play.personnel !== '' && !/^[0-5][0-5]$/.test(play.personnel)}
        helperText="two digits: backs, tight ends"
      />
      <TextBox select label="Formation" {...field('formation')}>
        <option value="">any</option>
        {words('formation')}
      </TextBox>
      <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 8 }}>
        <TextBox select label="Strong side" {...field('formationSide')}>
          <option value="">either</option>
          <option value="L">left</option>
          <option value="R">right</option>
        </TextBox>
        <TextBox select label="Backfield" {...field('backfield')}>
          <option value="">any</option>
          {words('backfield')}
        </TextBox>
        <TextBox select label="Motion" {...field('motion')}>
          <option value="">none</option>
          {words('motion')}
        </TextBox>
        <TextBox select label="by" {...field('motionBy')} disabled={play.motion === ''}>
          <option value="">nobody</option>
          {book.letters.map((line) => (
            <option key={line} value={line}>
              {line}
            </option>
          ))}
        </TextBox>
      </div>
      <TextBox
        select
        required
        label="Concept"
        {...field('concept')}
        error={noRun}
        helperText={noRun ? `${profile.name} has no runs from scrimmage; check your organizer’s rules` : ''}
      >
        {concepts.map((term) => (
          <option key={term.id} value={`${term.kind}|${storedValue(term)}`}>
            {term.word}, {term.kind}
          </option>
        ))}
      </TextBox>
      <TextBox select label="Direction" {...field('direction')}>
        <option value="">either</option>
        <option value="L">left</option>
        <option value="R">right</option>
      </TextBox>
      <Button type="submit" variant="contained" disabled={busy || !chosen}>
        Add
      </Button>
    </form>
  );
}
