'use client';
/** A picture to add a check for: what they have shown first, then what cuts across, one motion away, and any other. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import {
  COMMON_STRUCTURES,
  NAMED_PICTURES,
  pictureOf,
  type Check,
  type ReachedPicture,
  type ShownBy,
} from '@/core/plan';

interface AddCheckProps {
  readonly checks: readonly Check[];
  readonly shown: ShownBy | null;
  readonly reached: readonly ReachedPicture[];
  readonly onAdd: (picture: string) => void;
  /** Null: nothing is left to draft. */
  readonly onDraft: (() => void) | null;
}

type Group = readonly [title: string, options: readonly (readonly [key: string, words: string])[]];

export function AddCheck({ checks, shown, reached, onAdd, onDraft }: AddCheckProps) {
  const [picture, setPicture] = useState('');
  const has = new Set(checks.map((c) => c.picture));
  const label = (key: string): string => pictureOf(key)!.label;
  const ofShown = shown?.structures ?? [];
  const known = new Set([...ofShown.map((s) => s.picture.key), ...reached.map((r) => r.structure)]);
  const named = shown?.named ?? [];
  const groups: readonly Group[] = [
    [
      'they have shown',
      ofShown.map((s) => [s.picture.key, `${label(s.picture.key)}, ${s.rate.k} of ${s.rate.n}`]),
    ],
    [
      'pictures that cut across',
      named.map((s) => [s.picture.key, `${s.picture.label}, ${s.rate.k} of ${s.rate.n}`]),
    ],
    ['one motion away', reached.map((r) => [r.structure, `${r.structure}, from ${r.from.length}`])],
    [
      'not on their film',
      [...COMMON_STRUCTURES, ...NAMED_PICTURES.map((p) => p.key)]
        .filter((key) => !known.has(key) && !named.some((s) => s.picture.key === key))
        .map((key) => [key, label(key)]),
    ],
  ];
  return (
    <form
      className="toolbar addcheck"
      onSubmit={(event) => {
        event.preventDefault();
        if (picture === '') return;
        onAdd(picture);
        setPicture('');
      }}
    >
      <label className="choice">
        <span>a picture</span>
        <select value={picture} autoComplete="off" onChange={(e) => setPicture(e.target.value)}>
          <option value="">choose</option>
          {groups.map(
            ([title, options]) =>
              options.length > 0 && (
                <optgroup key={title} label={title}>
                  {options.map(([key, words]) => (
                    <option key={key} value={key}>
                      {has.has(key) ? `${words} (again)` : words}
                    </option>
                  ))}
                </optgroup>
              ),
          )}
        </select>
      </label>
      <Button type="submit" disabled={picture === ''}>
        add a check
      </Button>
      <Button variant="outlined" disabled={onDraft === null} onClick={onDraft ?? undefined}>
        draft what has no answer
      </Button>
    </form>
  );
}
