'use client';
/** What the line would do beyond the snap it stands for: many snaps changed together, or others derived anew. */
import { useDeferredValue, useMemo } from 'react';
import { bulkPatches, bulkSentence, type LineView, type LoggedGame, type Session } from '@/core/log';
import { touchedBy, touchedSentence } from '@/core/log/touched';
import { changedFields } from '@/core/line';
import { SNAP_FIELDS } from '@/core/snap';
import { valueWords } from '@/core/charting/words';

const MOST_ROWS = 8;

interface ManyCardProps {
  readonly session: Session;
  readonly view: LineView;
  readonly game: LoggedGame;
}

function usePatches({ session, view, game }: ManyCardProps) {
  return useMemo(() => {
    if (view.bulk) return bulkPatches(view.bulk);
    if (session.mode.kind !== 'edit' || session.text === session.shown || !view.row) return [];
    if (view.parsed.problems.length > 0) return [];
    const fields = changedFields(session.shown, session.text, view.context);
    return Object.keys(fields).length === 0 ? [] : [{ snapId: view.row.snap.snapId, fields }];
    // The game's rows change what an edit changes.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [session.mode, session.text, session.shown, view, game.rows]);
}

export default function ManyCard(props: ManyCardProps) {
  const { view, game } = props;
  const patches = useDeferredValue(usePatches(props));
  const { profile, buckets, zones, rows } = game;
  const also = useMemo(
    () =>
      patches.length === 0 ? '' : touchedSentence(touchedBy(rows, patches, profile, { buckets, zones })),
    [patches, rows, profile, buckets, zones],
  );
  const { bulk } = view;
  if (!bulk && also === '') return null;
  return (
    <section
      className="card small"
      aria-label={bulk ? 'Marked snaps' : 'What else changes'}
      aria-live="polite"
    >
      {bulk && bulk.verb === null && (
        <p>
          Type what all of them get (<kbd>cover 3</kbd>), <kbd>clear coverage</kbd>, or <kbd>copy front</kbd>{' '}
          from the first. Shift with the arrows marks more.
        </p>
      )}
      {bulk?.problem && <p className="flagtext">{bulk.problem}</p>}
      {bulk && bulk.verb !== null && !bulk.problem && (
        <>
          <p>
            <strong>{capital(bulkSentence(bulk))}.</strong>
          </p>
          <ul className="plainlist">
            {bulk.changes.slice(0, MOST_ROWS).map(({ snapId, number, fields }) => (
              <li key={snapId}>
                snap {number}:{' '}
                {fields
                  .map((c) => `${SNAP_FIELDS[c.field].label} ${words(c.from)} → ${words(c.to)}`)
                  .join(', ')}
              </li>
            ))}
          </ul>
          {bulk.changes.length > MOST_ROWS && <p>and {bulk.changes.length - MOST_ROWS} more</p>}
        </>
      )}
      {also !== '' && <p>This {also}.</p>}
    </section>
  );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const words = (value: unknown): string =>
  value === null || (Array.isArray(value) && value.length === 0) ? 'blank' : valueWords(value);
