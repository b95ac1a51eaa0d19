'use client';
/** The check table: a row a picture, what they show of it, and what we play; each word is typed with the book's own at hand. */
import { memo, useId } from 'react';
import { findTerm, type Book } from '@/core/book';
import {
  changeCheck,
  CHECK_SITUATIONS,
  pictureOf,
  type Check,
  type CheckAnswer,
  type CheckLook,
  type CheckUse,
  type SheetEdit,
} from '@/core/plan';
import { Marks } from '../../chalk/Marks';

interface CheckTableProps {
  readonly checks: readonly Check[];
  readonly uses: ReadonlyMap<string, CheckUse>;
  readonly looks: ReadonlyMap<string, CheckLook | null>;
  readonly book: Book;
  readonly chosen: string | null;
  readonly mayEdit: boolean;
  readonly onChoose: (id: string) => void;
  readonly onEdit: (edit: SheetEdit | null) => void;
  readonly onRemove: (check: Check) => void;
  readonly onReel: (name: string) => void;
}

const KINDS = ['front', 'coverage', 'pressure'] as const;
type Kind = (typeof KINDS)[number];

export function CheckTable(props: CheckTableProps) {
  const { checks, book } = props;
  const id = useId();
  return (
    <div className="scroll">
      {KINDS.map((kind) => (
        <datalist key={kind} id={`${id}${kind}`}>
          {book.terms
            .filter((t) => t.kind === kind)
            .map((t) => (
              <option key={t.id} value={t.word} />
            ))}
        </datalist>
      ))}
      <table className="rows checks">
        <thead>
          <tr>
            <th>
              <span className="hide">drawn</span>
            </th>
            <th>they line up in</th>
            <th>when</th>
            <th className="r">theirs</th>
            <th className="r">a game</th>
            <th>front</th>
            <th>coverage</th>
            <th>pressure</th>
            <th>#3 is</th>
            <th>
              <span className="hide">remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {checks.map((check) => (
            <Row key={check.id} check={check} list={id} {...props} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

interface RowProps extends CheckTableProps {
  readonly check: Check;
  readonly list: string;
}

const Row = memo(function Row(props: RowProps) {
  const { check, uses, looks, book, chosen, mayEdit, list, onChoose, onEdit, onRemove, onReel } = props;
  const use = uses.get(check.id);
  const look = looks.get(check.id);
  const label = pictureOf(check.picture)?.label ?? check.picture;
  const type = (kind: Kind, text: string): void => {
    const typed = text.trim();
    // The book's own word where it knows the text under another name.
    const word = typed === '' ? null : (findTerm(book, kind, typed)?.word ?? typed);
    onEdit(changeCheck(check, { [kind]: word } as Partial<CheckAnswer>));
  };
  const third = look?.owned?.third;
  return (
    <tr
      data-check={check.id}
      tabIndex={0}
      className={chosen === check.id ? 'chosen' : undefined}
      aria-label={`check for ${label}${mayEdit ? '. Delete removes it' : ''}`}
      onFocus={() => onChoose(check.id)}
    >
      <td className="drawn">
        {look && (
          <svg viewBox={look.small.view.join(' ')} aria-hidden="true">
            <Marks drawing={look.small} />
          </svg>
        )}
      </td>
      <td>
        <button
          type="button"
          className="plain"
          aria-pressed={chosen === check.id}
          onClick={() => onChoose(check.id)}
        >
          <strong>{label}</strong>
        </button>
      </td>
      <td className="when">
        <select
          aria-label={`situation of ${label}`}
          value={check.situation ?? ''}
          disabled={!mayEdit}
          autoComplete="off"
          onChange={(e) => onEdit(changeCheck(check, { situation: e.target.value || null }))}
        >
          <option value="">any</option>
          {CHECK_SITUATIONS.map((s) => (
            <option key={s.key} value={s.key}>
              {s.label}
            </option>
          ))}
        </select>
        <input
          className="num"
          aria-label={`personnel of ${label}`}
          defaultValue={check.personnel ?? ''}
          key={check.personnel ?? ''}
          placeholder="any"
          size={3}
          maxLength={2}
          pattern="[0-5][0-5]"
          title="Two digits such as 11; empty: any personnel"
          readOnly={!mayEdit}
          onBlur={(e) => {
            if (e.target.validity.valid)
              onEdit(changeCheck(check, { personnel: e.target.value.trim() || null }));
          }}
          onKeyDown={blurOnEnter}
        />
      </td>
      <td className="r">
        {use ? (
          <button
            type="button"
            className="plain num"
            onClick={() => onReel(`check|${check.id}`)}
            aria-label={`${label}: ${use.rate.k} of ${use.rate.n} of their snaps, ${use.aGame.toFixed(1)} a game, open the reel`}
          >
            {use.rate.k} of {use.rate.n}
          </button>
        ) : (
          <span className="quiet">…</span>
        )}
      </td>
      <td className="r">{use?.aGame.toFixed(1)}</td>
      {KINDS.map((kind) => (
        <td key={kind}>
          <input
            aria-label={`${kind} against ${label}`}
            list={`${list}${kind}`}
            defaultValue={check[kind] ?? ''}
            key={check[kind] ?? ''}
            placeholder={kind === 'pressure' ? 'none' : 'no answer'}
            autoComplete="off"
            spellCheck={false}
            maxLength={80}
            readOnly={!mayEdit}
            onBlur={(e) => type(kind, e.target.value)}
            onKeyDown={blurOnEnter}
          />
        </td>
      ))}
      <td className={third === null ? 'finding' : 'quiet'}>
        {third === undefined ? '—' : (third ?? 'nobody’s')}
      </td>
      <td>
        {mayEdit && (
          <button
            type="button"
            className="plain noprint"
            aria-label={`remove the check for ${label}`}
            onClick={() => onRemove(check)}
          >
            ×
          </button>
        )}
      </td>
    </tr>
  );
});

function blurOnEnter(event: React.KeyboardEvent<HTMLInputElement>): void {
  if (event.key === 'Enter') event.currentTarget.blur();
}
