'use client';
/** A formation placed by words or begun from another, and the name it is kept under. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Book, Spot } from '@/core/book';
import { TextBox } from '../shared/TextBox';
import { listOf } from './words';

export interface WordsFormProps {
  readonly book: Book;
  readonly onPlace: (text: string) => void;
  readonly onBegin: (spots: readonly Spot[]) => void;
}

export function WordsForm({ book, onPlace, onBegin }: WordsFormProps) {
  const [typed, setTyped] = useState('');
  const formations = book.terms.filter((t) => t.kind === 'formation' && t.spots);
  return (
    <form
      className="card stack"
      onSubmit={(event) => {
        event.preventDefault();
        onPlace(typed);
      }}
    >
      <TextBox
        label="By words"
        placeholder="trips r h tight"
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
        helperText="a formation and its side, then letter and landmark (tight, wing, slot, hash, numbers, wide, split, stack, on, off), or points such as X-16 H+6o1"
        htmlInput={{ className: 'mono', maxLength: 200 }}
      />
      <Button type="submit" variant="outlined">
        Place them
      </Button>
      <TextBox
        select
        label="Begin from"
        value=""
        onChange={(event) => {
          const term = formations.find((t) => t.id === event.target.value);
          if (term?.spots) onBegin(term.spots);
        }}
      >
        {formations.map((term) => (
          <option key={term.id} value={term.id}>
            {term.word}
          </option>
        ))}
      </TextBox>
    </form>
  );
}

export interface NameFormProps {
  readonly word: string;
  readonly aliases: string;
  /** The term is there already and keeps its word. */
  readonly known: boolean;
  readonly turned: boolean;
  /** The points as text. */
  readonly spots: string;
  readonly disabled: boolean;
  readonly onWord: (word: string) => void;
  readonly onKeep: (aliases: readonly string[]) => void;
}

export function NameForm(props: NameFormProps) {
  const { word, known, turned, spots, disabled, onWord, onKeep } = props;
  const [aliases, setAliases] = useState(props.aliases);
  return (
    <form
      className="card stack"
      onSubmit={(event) => {
        event.preventDefault();
        onKeep(listOf(aliases));
      }}
    >
      <TextBox
        label="Name"
        required
        value={word}
        disabled={known}
        onChange={(e) => onWord(e.target.value)}
        helperText={
          known
            ? 'the word stays; logged snaps are written with it'
            : `kept strong right${turned ? ' (turned round)' : ''}; say l or r after the word`
        }
        htmlInput={{ maxLength: 60 }}
      />
      <TextBox
        label="Also said"
        value={aliases}
        onChange={(e) => setAliases(e.target.value)}
        helperText="commas between"
      />
      <p className="small quiet mono">{spots}</p>
      <Button type="submit" variant="contained" disabled={disabled || word.trim() === ''}>
        {known ? 'Save the drawing' : 'Save in the Book'}
      </Button>
    </form>
  );
}
