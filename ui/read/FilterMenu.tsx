'use client';
/** A field, then one of its words with the snaps it would leave; or a figure between two bounds. */
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { parseClock } from '@/core/field';
import {
  FILTER_MENU,
  filterLabel,
  groupBy,
  RANGE_FIELDS,
  RANGE_LABEL,
  type Counted,
  type FilterField,
  type Range,
  type RangeField,
} from '@/core/read';
import { wordOf } from './words';

interface FilterMenuProps {
  readonly anchor: HTMLElement;
  readonly counted: Pick<Counted, 'columns' | 'rows'>;
  readonly onAdd: (field: FilterField, word: string) => void;
  readonly onRange: (field: RangeField, range: Range) => void;
  readonly onClose: () => void;
}

export default function FilterMenu({ anchor, counted, onAdd, onRange, onClose }: FilterMenuProps) {
  const [field, setField] = useState<FilterField | null>(null);
  const [figure, setFigure] = useState<RangeField | null>(null);
  return (
    // The focus goes back when the board of the choice stands: asked for at once, the page is laid out twice.
    <Menu open anchorEl={anchor} onClose={onClose} disableRestoreFocus disableScrollLock>
      {figure !== null ? (
        <RangeForm
          field={figure}
          onDone={(range) => {
            onRange(figure, range);
            onClose();
          }}
        />
      ) : field === null ? (
        [
          ...RANGE_FIELDS.map((f) => (
            <MenuItem key={f} onClick={() => setFigure(f)}>
              {RANGE_LABEL[f]}, from … to …
            </MenuItem>
          )),
          ...FILTER_MENU.map((filterField) => (
            <MenuItem key={filterField} onClick={() => setField(filterField)}>
              {filterLabel(filterField)}
            </MenuItem>
          )),
        ]
      ) : (
        groupBy(counted.columns, counted.rows, [field]).map((group) => (
          <MenuItem
            key={group.words[0]}
            onClick={() => {
              onAdd(field, group.words[0]!);
              onClose();
            }}
          >
            {wordOf(group.words[0]!)}{' '}
            <span className="quiet small" style={{ marginLeft: 8 }}>
              {group.rows.length}
            </span>
          </MenuItem>
        ))
      )}
    </Menu>
  );
}

/** Two bounds as they are typed: whole numbers, a clock as 2:00. */
function RangeForm({
  field,
  onDone,
}: {
  readonly field: RangeField;
  readonly onDone: (range: Range) => void;
}) {
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const read = (text: string): number | null =>
    field === 'clock' ? parseClock(text.trim()) : /^-?\d{1,3}$/.test(text.trim()) ? Number(text) : null;
  const done = (): void => {
    const [a, b] = [read(from), read(to)];
    if (a === null || b === null)
      setProblem(field === 'clock' ? 'Write both as a clock, 2:00.' : 'Write two whole numbers.');
    else if (a > b) setProblem('Write the smaller first.');
    else onDone({ from: a, to: b });
  };
  const bound = (label: string, value: string, set: (v: string) => void, first = false) => (
    <label className="choice">
      <span className="small">{label}</span>
      <input
        autoFocus={first}
        value={value}
        size={6}
        onChange={(e) => set(e.target.value)}
        onKeyDown={(e) => {
          // The menu takes letters as a search, and Tab to close.
          e.stopPropagation();
          if (e.key !== 'Enter') return;
          // Else the key goes on to the button that gets the focus back, and opens the menu again.
          e.preventDefault();
          done();
        }}
      />
    </label>
  );
  return (
    <li className="rangeform">
      <strong>{RANGE_LABEL[field]}</strong>
      {bound('from', from, setFrom, true)}
      {bound('to', to, setTo)}
      <button type="button" className="button" onClick={done}>
        add
      </button>
      {problem && (
        <span role="alert" className="small">
          {problem}
        </span>
      )}
    </li>
  );
}
