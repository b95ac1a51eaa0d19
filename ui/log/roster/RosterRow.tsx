'use client';
/** A player of the roster: every cell is written when it is left. */
import { useState } from 'react';
import { heightWords, readHeight, type RosterEntryInfo, type RosterLine } from '@/core/roster';

export type SendChange = (what: unknown, done: string) => Promise<boolean>;

interface RosterRowProps {
  readonly entry: RosterEntryInfo;
  readonly snaps: number;
  readonly send: SendChange;
  readonly onProblem: (words: string) => void;
}
type Draft = Record<keyof RosterLine, string>;

const draftOf = (e: RosterLine): Draft => ({
  number: e.number,
  name: e.name ?? '',
  letters: e.letters ?? '',
  depth: e.depth?.toString() ?? '',
  class: e.class ?? '',
  height: heightWords(e.height),
  weight: e.weight?.toString() ?? '',
});
const CELLS: readonly (readonly [keyof RosterLine, number])[] = [
  ['number', 3],
  ['name', 18],
  ['letters', 5],
  ['depth', 3],
  ['class', 5],
  ['height', 5],
  ['weight', 4],
];

export function RosterRow({ entry, snaps, send, onProblem }: RosterRowProps) {
  const [draft, setDraft] = useState(() => draftOf(entry));
  const who = entry.name ?? `number ${entry.number}`;
  const keep = (field: keyof RosterLine): void => {
    const before = draftOf(entry);
    if (draft[field].trim() === before[field]) return;
    const height = draft.height.trim() === '' ? null : readHeight(draft.height);
    if (height === null && draft.height.trim() !== '')
      return onProblem(`“${draft.height}” is no height; write 5-10.`);
    const whole = (text: string): number | null => (text.trim() === '' ? null : Number(text));
    const line = {
      number: draft.number.trim(),
      name: draft.name,
      letters: draft.letters.toUpperCase(),
      class: draft.class,
      height,
      weight: whole(draft.weight),
      depth: whole(draft.depth),
    };
    void send({ op: 'change', id: entry.id, line }, `${who} is changed`);
  };
  return (
    <tr>
      {CELLS.map(([field, width]) => (
        <td key={field}>
          <input
            aria-label={`${field} of ${who}`}
            value={draft[field]}
            size={width}
            inputMode={['number', 'depth', 'weight'].includes(field) ? 'numeric' : 'text'}
            onChange={(e) => setDraft({ ...draft, [field]: e.target.value })}
            onBlur={() => keep(field)}
            onKeyDown={(e) => {
              if (e.key === 'Enter') e.currentTarget.blur();
              if (e.key === 'Escape') setDraft(draftOf(entry));
            }}
          />
        </td>
      ))}
      <td className="n num">{snaps === 0 ? '' : snaps}</td>
      <td>
        <button
          type="button"
          className="plain small"
          aria-label={`remove ${who} from the roster`}
          onClick={() => void send({ op: 'remove', id: entry.id }, `${who} is removed`)}
        >
          remove
        </button>
      </td>
    </tr>
  );
}
