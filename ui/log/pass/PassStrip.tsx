'use client';
/** The strip: fields, the one that is asked, its values under keys. Every key is also a click. */
import { type KeyboardEvent, type Ref } from 'react';
import { valueWords, type PassEvent, type PassSession, type PassView } from '@/core/charting';
import { SNAP_FIELDS, writeFieldText, type SnapFact } from '@/core/snap';
import { sureOf, SURENESS_MARK } from '@/core/snap/sureness';

interface PassStripProps {
  readonly ref: Ref<HTMLDivElement>;
  readonly session: PassSession;
  readonly view: PassView;
  readonly send: (event: PassEvent) => void;
}

function said(view: PassView, field: SnapFact): string | null {
  const value = view.row?.snap[field];
  if (value === null || value === undefined || (Array.isArray(value) && value.length === 0)) return null;
  if (value === '-') return 'none';
  if (value === '?') return 'not visible';
  return typeof value === 'object' ? writeFieldText(field, value) : valueWords(value);
}

/** A key as the session names it; null: it is the browser's. */
function keyOf(event: KeyboardEvent): string | null {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') return 'Control+Z';
  if (event.ctrlKey || event.metaKey || event.altKey) return null;
  return event.key === 'Tab' && event.shiftKey ? 'Shift+Tab' : event.key;
}

const HINTS: readonly (readonly [string, string])[] = [
  ['Enter', 'next snap'],
  ['Tab', 'next field'],
  ['Backspace', 'field before'],
  ['.', 'rest as the snap before'],
  ['↑ ↓', 'any snap'],
  ['Ctrl Z', 'undo'],
];

/** Keys that stand beside the values, and when. */
const KEYS: readonly {
  readonly key: string;
  readonly words: string;
  readonly of: 'words' | 'tag' | 'always';
}[] = [
  { key: 'a', words: 'any term', of: 'words' },
  { key: 'x', words: 'not visible', of: 'tag' },
  { key: '-', words: 'none', of: 'tag' },
  { key: '?', words: 'think so, a guess', of: 'always' },
];

export function PassStrip({ ref, session, view, send }: PassStripProps) {
  const { fields, field, shown, offers, number, row } = view;
  const key = (event: KeyboardEvent<HTMLDivElement>): void => {
    const pressed = keyOf(event);
    if (pressed === null) return;
    // Out of the strip at its ends: nobody is held in it.
    if (pressed === 'Tab' && field === null) return;
    if (pressed === 'Shift+Tab' && session.at === 0) return;
    if (event.target !== event.currentTarget && (pressed === 'Enter' || pressed === ' ')) return;
    send({ type: 'key', key: pressed });
    event.preventDefault();
  };
  const tag = field !== null && SNAP_FIELDS[field].tag === true;
  return (
    <div
      ref={ref}
      className="card passstrip"
      role="group"
      tabIndex={0}
      aria-label={
        field === null
          ? 'Charting strip: every field is answered; Enter goes on'
          : `Charting strip: ${SNAP_FIELDS[field].label}`
      }
      onKeyDown={key}
      data-testid="pass-strip"
    >
      <dl className="echo">
        {fields.map((name, i) => {
          const value = said(view, name);
          return (
            <div
              key={name}
              data-now={i === session.at}
              className={row && sureOf(row.snap, name) !== 'sure' ? 'unsure' : ''}
            >
              <dt>
                <button
                  type="button"
                  className="plain"
                  tabIndex={-1}
                  onClick={() => send({ type: 'field', at: i })}
                >
                  {SNAP_FIELDS[name].label}
                </button>
              </dt>
              <dd>
                {i === session.at && (session.typed !== '' || session.searching)
                  ? `${session.typed}…`
                  : (value ?? (i === session.at ? '…' : 'next'))}
                {row && ` ${SURENESS_MARK[sureOf(row.snap, name)]}`}
              </dd>
            </div>
          );
        })}
      </dl>
      <div className="offers" role="group" aria-label="Values">
        {shown.map((offer, i) => (
          <button
            type="button"
            key={String(offer.value)}
            tabIndex={-1}
            className="plain"
            onClick={() => send({ type: 'offer', index: i })}
          >
            <kbd>{number ? String(offer.value) : session.searching ? (i === 0 ? 'Enter' : '·') : i + 1}</kbd>{' '}
            <strong>{offer.words}</strong>{' '}
            {offer.n > 0 && (
              <span className="small quiet">
                {offer.k} of {offer.n}
              </span>
            )}
          </button>
        ))}
        {field !== null && number && (
          <span className="small quiet">
            type the figure{SNAP_FIELDS[field].unit ? `, ${SNAP_FIELDS[field].unit}` : ''}
          </span>
        )}
        {field === null && row && <span>Every field is answered.</span>}
        <span className="end">
          {KEYS.filter(
            ({ of }) =>
              of === 'always' || (of === 'tag' ? tag : field !== null && !number && !session.searching),
          ).map(({ key: name, words }) => (
            <button
              type="button"
              key={name}
              className="plain"
              tabIndex={-1}
              onClick={() => send({ type: 'key', key: name })}
            >
              <kbd>{name}</kbd> {words}
            </button>
          ))}
        </span>
      </div>
      <p className="small quiet" role="status">
        {session.problem ??
          (offers && offers.n > 0
            ? `offered in the order of ${offers.situation}, ${offers.n} tagged so far`
            : field === null || number
              ? ''
              : 'nothing like it is tagged yet: in the order of the book')}
      </p>
      <p className="small quiet hints">
        {HINTS.map(([keys, words]) => (
          <span key={keys}>
            <kbd>{keys}</kbd> {words}
          </span>
        ))}
        {session.lastKeys !== null && <span>{session.lastKeys} keys on the last snap</span>}
      </p>
    </div>
  );
}
