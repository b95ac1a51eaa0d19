'use client';
/** A field, then one of its words with the snaps it would leave. */
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { FILTER_MENU, filterLabel, groupBy, type Counted, type FilterField } from '@/core/read';
import { wordOf } from './words';

interface FilterMenuProps {
  readonly anchor: HTMLElement;
  readonly counted: Counted;
  readonly onAdd: (field: FilterField, word: string) => void;
  readonly onClose: () => void;
}

export default function FilterMenu({ anchor, counted, onAdd, onClose }: FilterMenuProps) {
  const [field, setField] = useState<FilterField | null>(null);
  return (
    <Menu open anchorEl={anchor} onClose={onClose}>
      {field === null
        ? FILTER_MENU.map((filterField) => (
            <MenuItem key={filterField} onClick={() => setField(filterField)}>
              {filterLabel(filterField)}
            </MenuItem>
          ))
        : groupBy(counted.columns, counted.rows, [field]).map((group) => (
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
          ))}
    </Menu>
  );
}
