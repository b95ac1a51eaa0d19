'use client';
/** The sheet's own name in the page's heading: pressed, it is typed anew. */
import { useState } from 'react';
import { TextBox } from '../shared/TextBox';

export function SheetName({
  name,
  rest,
  onRename,
}: {
  readonly name: string;
  readonly rest: string;
  readonly onRename: ((name: string) => void) | null;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const done = (): void => {
    const next = typed?.trim() ?? '';
    if (next !== '' && next !== name) onRename?.(next);
    setTyped(null);
  };
  if (typed === null)
    return (
      <>
        <h1>
          {name}: {rest}
        </h1>
        {onRename && (
          <button
            type="button"
            className="plain small quiet"
            onClick={() => setTyped(name)}
            aria-label={`rename ${name}`}
          >
            rename
          </button>
        )}
      </>
    );
  return (
    <>
      <h1 className="hide">
        {name}: {rest}
      </h1>
      <TextBox
        autoFocus
        label="name of the sheet"
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={done}
        htmlInput={{ maxLength: 120 }}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Enter') done();
          if (event.key === 'Escape') setTyped(null);
        }}
      />
    </>
  );
}
