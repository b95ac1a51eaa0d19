'use client';
/** How much is counted and on how much it is tagged; the doors to the sheet, the boards, the report and the files. */
import { memo } from 'react';
import { plural } from '@/core/rules/plural';
import {
  blankLabel,
  blanksOf,
  coverageOf,
  ofKicks,
  rateOf,
  type BlankField,
  type Counted,
  type Doubts,
} from '@/core/read';
import type { GameInfo } from '@/core/exchange/types';
import { useStaffRules } from '../StaffRules';
import type { SetAddress } from './ReadFilters';
import Download from './Download';
import ReportLink from './ReportLink';

interface ReadTotalsProps {
  readonly counted: Counted;
  readonly team: string;
  readonly games: readonly { readonly info: GameInfo }[];
  readonly setUrl: SetAddress;
}

const DOUBTED: Readonly<Record<Doubts, string>> = {
  whole: '',
  half: ', counting half',
  none: ', which counts as not sure',
};

/** How many snaps, and on how many the call and the formation are tagged. */
export default memo(function ReadTotals({ counted, team, games, setUrl }: ReadTotalsProps) {
  const { columns, rows, side } = counted;
  const { worth } = rateOf(columns.weight, rows, []);
  const { doubts } = useStaffRules();
  const doubted = rows.filter((i) => columns.doubted[i] === 1).length;
  const theirs = games.filter(({ info }) => info.home === team || info.away === team);
  const out = theirs.filter(({ info }) => info.weight === 0).length;
  const less = theirs.filter(({ info }) => (info.weight ?? 1) < 1).length - out;
  const weighed = [less > 0 ? `${less} counting less` : '', out > 0 ? `${out} left out` : ''].filter(Boolean);
  const door = (reel: string, words: string, label?: string) => (
    <button type="button" className="plain" onClick={() => setUrl({ reel }, true)} aria-label={label}>
      {words}
    </button>
  );
  const blank = (field: BlankField, words: string) => {
    const { tagged, of } = coverageOf(columns, rows, field);
    const name = blankLabel(field);
    return door(
      `blank.${field}`,
      `${name} ${words} ${tagged} of ${of}`,
      `${name} tagged on ${tagged} of ${of}, open those without`,
    );
  };
  const blanks = blanksOf(side).map((field, i) => (
    <span key={field}>
      {i > 0 && ' · '}
      {blank(field, i === 0 ? 'tagged on' : 'on')}
    </span>
  ));
  return (
    <span className="small quiet totals">
      {door('all', `${plural(rows.length, 'snap')}${columns.weight ? `, worth ${worth.toFixed(1)}` : ''}`)} ·{' '}
      {weighed.length > 0 && (
        <>
          <a className="door" href="/log/season">
            games: {weighed.join(', ')}
          </a>{' '}
          ·{' '}
        </>
      )}{' '}
      {blanks} · {doubted > 0 && <>{door('doubt', `${doubted} with a tag in doubt${DOUBTED[doubts]}`)} · </>}
      {ofKicks(side)
        ? 'kicks that a foul wiped out are left out'
        : 'kneels, spikes and no-plays left out; a run-pass option is a call of its own'}{' '}
      ·{' '}
      {side === 'offense' && (
        <>
          <a className="door" href={`/api/book/cards?team=${team}`}>
            formation sheet
          </a>{' '}
          ·{' '}
        </>
      )}
      <a className="door" href="#boards">
        boards
      </a>{' '}
      · <ReportLink /> · <Download />
    </span>
  );
});
