'use client';
/** What the staff says of the sheet, the oldest first. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { addRemark, MOST_REMARK, removeRemark, type Remark, type SheetEdit } from '@/core/plan';
import { plural } from '@/core/rules/plural';
import { TextBox } from '../shared/TextBox';
import { formatDay } from './usage';

interface CommentsProps {
  readonly remarks: readonly Remark[];
  readonly mayRemark: boolean;
  readonly onEdit: (edit: SheetEdit | null) => void;
}

export function Comments({ remarks, mayRemark, onEdit }: CommentsProps) {
  const [text, setText] = useState('');
  const comments = remarks.filter((r) => r.kind === 'comment');
  const said = text.trim();
  return (
    <details className="card comments">
      <summary>
        <h2>Comments</h2>{' '}
        <span className="small quiet">
          {comments.length === 0 ? 'none' : plural(comments.length, 'comment')}
        </span>
      </summary>
      <ul className="plainlist" aria-label="Comments">
        {comments.map((c) => (
          <li key={c.id}>
            {c.text}{' '}
            <span className="small quiet">
              {c.by}
              {c.at === '' ? '' : `, ${formatDay(c.at)}`}
            </span>{' '}
            {mayRemark && (
              <button
                type="button"
                className="plain small"
                aria-label={`remove the comment “${c.text}”`}
                onClick={() => onEdit(removeRemark(c))}
              >
                remove
              </button>
            )}
          </li>
        ))}
      </ul>
      {mayRemark && (
        <form
          className="toolbar"
          onSubmit={(event) => {
            event.preventDefault();
            if (said === '') return;
            onEdit(addRemark(crypto.randomUUID(), { kind: 'comment', about: 'sheet', text: said }));
            setText('');
          }}
        >
          <TextBox
            label="a comment"
            value={text}
            htmlInput={{ maxLength: MOST_REMARK }}
            onChange={(e) => setText(e.target.value)}
          />
          <Button type="submit" disabled={said === ''}>
            add
          </Button>
        </form>
      )}
    </details>
  );
}
