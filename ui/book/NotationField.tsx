'use client';
/** A meaning as text: each part that cannot be read is underlined where it stands and named below, a click away. */
import TextareaAutosize from '@mui/material/TextareaAutosize';
import { createContext, forwardRef, use, useRef, type ComponentProps } from 'react';
import { DEFINITION_HINT, type DefinedKind, type DefinitionRead } from '@/core/book';
import { notationSentence, type NotationProblem } from '@/core/look';
import { TextBox } from '../shared/TextBox';

/** Problems named at once; the others follow as these are mended. */
const MOST_NAMED = 4;
const NO_PROBLEMS: readonly NotationProblem[] = [];

const Marks = createContext<{ readonly text: string; readonly problems: readonly NotationProblem[] }>({
  text: '',
  problems: NO_PROBLEMS,
});

/** The text once more behind the letters, with the underlines. */
const MarkedTextarea = forwardRef<HTMLTextAreaElement, ComponentProps<typeof TextareaAutosize>>(
  function MarkedTextarea(props, ref) {
    const { text, problems } = use(Marks);
    const spans: React.ReactNode[] = [];
    let at = 0;
    for (const { start, end } of problems) {
      spans.push(text.slice(at, start), <mark key={start}>{text.slice(start, end)}</mark>);
      at = end;
    }
    return (
      <span className="notation">
        <span className={`notationmarks ${props.className ?? ''}`} aria-hidden="true">
          {spans}
          {text.slice(at)}
        </span>
        <TextareaAutosize {...props} ref={ref} />
      </span>
    );
  },
);

export interface NotationFieldProps {
  readonly kind: DefinedKind;
  readonly text: string;
  /** What the text reads as; null where nothing was typed. */
  readonly read: DefinitionRead | null;
  readonly disabled?: boolean;
  /** Before the hint: "may stay empty". */
  readonly note?: string;
  readonly onText: (text: string) => void;
}

export function NotationField({ kind, text, read, disabled, note, onText }: NotationFieldProps) {
  const input = useRef<HTMLTextAreaElement>(null);
  const problems = read && !read.ok ? read.problems : NO_PROBLEMS;
  const goTo = ({ start, end }: NotationProblem): void => {
    input.current?.focus();
    input.current?.setSelectionRange(start, end);
  };
  return (
    <Marks value={{ text, problems }}>
      <TextBox
        label="Means"
        multiline
        value={text}
        disabled={disabled}
        inputRef={input}
        error={problems.length > 0}
        helperText={note ? `${note}; ${DEFINITION_HINT[kind]}` : DEFINITION_HINT[kind]}
        onChange={(e) => onText(e.target.value)}
        inputComponent={MarkedTextarea as never}
        htmlInput={{ className: 'mono', maxLength: 2000, spellCheck: false }}
      />
      {problems.length > 0 && (
        <ul className="todo small" aria-label="What cannot be read" aria-live="polite">
          {problems.slice(0, MOST_NAMED).map((notationProblem) => (
            <li key={`${notationProblem.start} ${notationProblem.code}`} className="flag">
              <button type="button" className="plain" onClick={() => goTo(notationProblem)}>
                {notationSentence(notationProblem)}
              </button>
            </li>
          ))}
          {problems.length > MOST_NAMED && <li className="quiet">and {problems.length - MOST_NAMED} more</li>}
        </ul>
      )}
    </Marks>
  );
}
