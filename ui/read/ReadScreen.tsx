'use client';
/** Read: slice bar, situation board, formations of the chosen cell, the reel behind every number. */
import { gameNames } from '@/core/exchange/names';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import type { Book } from '@/core/book';
import { bucketLabel, type BucketKey } from '@/core/field/situation';
import type { LevelKey, Profiles } from '@/core/field/profile';
import { answersIn } from '@/core/plan';
import {
  buildColumns,
  countGame,
  coverageOf,
  FILM_KINDS,
  FILM_LABEL,
  FILM_PLAYERS,
  filmKind,
  FIRST_VALUE,
  groupBy,
  looksOf,
  ownFilm,
  select,
  situationBoard,
  callsWords,
  isFilterField,
  FILTER_MENU,
  filterLabel,
  type CountedSnap,
  type FilmKind,
  type Filter,
  type FilterField,
} from '@/core/read';
import { fullSnap, type SlimSnap } from '@/core/snap';
import type { GameInfo, TeamInfo } from '@/core/exchange/types';
import { Chalk } from '../chalk/Chalk';
import { LookCard } from '../look/LookCard';
import { useStaffRules } from '../StaffRules';
import { RateBar } from '../charts/RateBar';
import { filmPath, WithFilm } from '../film/WithFilm';
import { useUrlState } from '../useUrlState';
import { Board, type Cell } from './Board';
import { Reel } from './Reel';

export interface ReadScreenProps {
  readonly games: readonly { readonly info: GameInfo; readonly snaps: readonly SlimSnap[] }[];
  readonly teams: readonly TeamInfo[];
  readonly book: Book;
  readonly level: LevelKey;
  readonly profiles: Profiles;
  readonly opponent: string | null;
}

const wordOf = (w: string): string => w.replace(/_/g, ' ');

/** "personnel:11,12;hash:L" in the address. */
function readFilter(text: string | null): Filter {
  const out: Partial<Record<FilterField, string[]>> = {};
  for (const part of (text ?? '').split(';')) {
    const [field, words] = part.split(':');
    if (field && words && isFilterField(field)) out[field] = words.split(',').filter(Boolean);
  }
  return out;
}
const writeFilter = (slice: Filter): string | null =>
  Object.entries(slice)
    .filter(([, w]) => w && w.length > 0)
    .map(([f, w]) => `${f}:${w!.join(',')}`)
    .join(';') || null;

/** Read with its film. */
export function ReadPage({
  bookText,
  ...props
}: Omit<ReadScreenProps, 'games' | 'book'> & { readonly bookText: string }) {
  const book = useMemo(() => JSON.parse(bookText) as Book, [bookText]);
  return (
    <WithFilm path={filmPath()}>{(games) => <ReadScreen {...props} book={book} games={games} />}</WithFilm>
  );
}

export function ReadScreen({ games, teams, book, level, profiles, opponent }: ReadScreenProps) {
  const [url, setUrl] = useUrlState();
  const rules = useStaffRules();
  const film: FilmKind = (FILM_KINDS as readonly string[]).includes(url.get('film') ?? '')
    ? (url.get('film') as FilmKind)
    : ownFilm(level);
  // Drawn on the field of the film: the program's own level, or that of seven or five men.
  const profile =
    profiles[
      FILM_PLAYERS[film] === profiles[level].players
        ? level
        : film === 'seven'
          ? 'seven_on_seven'
          : film === 'five'
            ? 'flag_five'
            : 'college'
    ];
  const team = url.get('team') ?? opponent ?? teams[0]?.key ?? '';
  const last = url.get('last');
  const slice = readFilter(url.get('filter'));
  const theirs = useMemo(
    () =>
      games
        .filter((g) => (g.info.home === team || g.info.away === team) && filmKind(g.info) === film)
        .sort((a, b) => (a.info.week ?? 0) - (b.info.week ?? 0)),
    [games, team, film],
  );
  const chosen = useMemo(() => (last ? theirs.slice(-Number(last)) : theirs), [theirs, last]);
  const counted: readonly CountedSnap[] = useMemo(
    () => chosen.flatMap((g) => countGame(g.snaps.map(fullSnap), profiles[g.info.level], book, rules)),
    [chosen, profiles, book, rules],
  );
  const columns = useMemo(() => buildColumns(counted, rules.success), [counted, rules]);
  const key = writeFilter(slice);
  const rows = useMemo(() => select(columns, { ...readFilter(key), offense: [team] }), [columns, key, team]);
  const board = useMemo(() => situationBoard(columns, rows), [columns, rows]);
  const cellText = url.get('cell');
  const cell: Cell | null = cellText
    ? { bucket: cellText.split('.')[0]!, zone: cellText.split('.')[1] ?? null }
    : null;
  const zone = rules.zones.find((z) => z.key === cell?.zone) ?? null;
  const bucket = cell?.bucket ?? null;
  const cellRows = useMemo(
    () =>
      bucket !== null
        ? select(
            columns,
            { ...readFilter(key), offense: [team], bucket: [bucket] },
            zone ? { from: zone.from, to: zone.to } : null,
          )
        : rows,
    [columns, key, team, bucket, zone, rows],
  );
  const looks = useMemo(() => looksOf(columns, cellRows), [columns, cellRows]);
  const tagged = coverageOf(columns, rows, 'formation');
  const played = coverageOf(columns, rows, 'play');
  const [card, setCard] = useState<number | null>(null);
  const [menu, setMenu] = useState<{ anchor: HTMLElement; field: FilterField | null } | null>(null);

  const nameOf = (k: string) => teams.find((t) => t.key === k)?.name ?? k;
  const nameOfGame = gameNames(
    games.map((g) => g.info),
    nameOf,
  );
  const setFilter = (next: Filter) => setUrl({ filter: writeFilter(next), reel: null });
  const reel = url.get('reel');
  const reelRows = reel === null ? null : reelOf(reel);
  const cellTitle = cell
    ? `${bucketLabel(cell.bucket as BucketKey)}${zone ? `, ${zone.label}` : ''}`
    : 'All situations';

  /** A reel by name: "all", "row.<bucket>.runs", "look.<n>.<kind>", "blank.<field>", "cell". */
  function reelOf(name: string): { rows: Uint32Array; title: string } {
    const [what, a, b] = name.split('.');
    if (what === 'row') {
      const r = board.find((x) => x.key === a);
      return {
        rows:
          (b === 'runs' ? r?.calls.byKind.run : b === 'all' ? r?.calls.rows : undefined) ??
          new Uint32Array(0),
        title: `${r?.label ?? a}, ${b === 'runs' ? 'called run' : 'all'}`,
      };
    }
    if (what === 'look') {
      const l = looks[Number(a)];
      const part = l?.calls.bySide.find((x) => `${x.kind}${x.side ?? ''}` === b);
      return {
        rows:
          (b === 'all' ? l?.calls.rows : b === 'runs' ? l?.calls.byKind.run : part?.rows) ??
          new Uint32Array(0),
        title: l
          ? `${l.formation}${l.side ? ` ${l.side}` : ''}${l.backfield ? `, ${l.backfield}` : ''}${part ? `, ${callsWords(part)}` : b === 'runs' ? ', called run' : ''}`
          : '',
      };
    }
    if (what === 'blank') {
      const column = columns.text[a === 'play' ? 'play' : 'formation'];
      return {
        rows: rows.filter((i) => column.codes[i]! < FIRST_VALUE),
        title: `${a === 'play' ? 'Call' : 'Formation'} not tagged`,
      };
    }
    if (what === 'answer') {
      const l = looks[Number(a)];
      const answer = l && answersIn(columns, l.calls.rows)[Number(b)];
      return {
        rows: answer?.rows ?? new Uint32Array(0),
        title: answer
          ? `${l.formation} against ${answer.front ?? 'no front tagged'}${answer.coverage ? `, ${answer.coverage}` : ''}`
          : '',
      };
    }
    if (what === 'cell') return { rows: cellRows, title: cellTitle };
    return { rows, title: `${nameOf(team)} offense` };
  }

  return (
    <>
      <h1 className="hide">Read: {nameOf(team)}</h1>
      <div className="toolbar" role="toolbar" aria-label="Filters">
        <TextField
          select
          label="whose offense"
          value={team}
          onChange={(e) => setUrl({ team: e.target.value, cell: null, reel: null, filter: null })}
          sx={{ minWidth: 190 }}
        >
          {teams.map((t) => (
            <MenuItem key={t.key} value={t.key}>
              {t.name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="games"
          value={last ?? 'all'}
          onChange={(e) => setUrl({ last: e.target.value === 'all' ? null : e.target.value, reel: null })}
          sx={{ minWidth: 110 }}
        >
          <MenuItem value="all">all {theirs.length}</MenuItem>
          {[1, 2, 3, 4]
            .filter((n) => n < theirs.length)
            .map((n) => (
              <MenuItem key={n} value={String(n)}>
                last {n}
              </MenuItem>
            ))}
        </TextField>
        {(film !== ownFilm(level) ||
          games.some((g) => {
            const k = filmKind(g.info);
            return k !== null && k !== ownFilm(level);
          })) && (
          <TextField
            select
            label="film"
            value={film}
            onChange={(e) =>
              setUrl({
                film: e.target.value === ownFilm(level) ? null : e.target.value,
                last: null,
                cell: null,
                reel: null,
                filter: null,
              })
            }
            sx={{ minWidth: 150 }}
          >
            {FILM_KINDS.map((k) => (
              <MenuItem key={k} value={k}>
                {FILM_LABEL[k]}
              </MenuItem>
            ))}
          </TextField>
        )}
        {Object.entries(slice).map(([f, words]) => (
          <Chip
            key={f}
            label={`${filterLabel(f as FilterField)}: ${words!.map(wordOf).join(' or ')}`}
            onDelete={() => setFilter({ ...slice, [f]: [] })}
            variant="outlined"
          />
        ))}
        <Button
          variant="outlined"
          onClick={(e) => setMenu({ anchor: e.currentTarget, field: null })}
          aria-haspopup="menu"
        >
          add a filter
        </Button>
        <span className="small quiet" style={{ marginLeft: 'auto' }}>
          <button type="button" className="plain" onClick={() => setUrl({ reel: 'all' }, true)}>
            {rows.length} snaps
          </button>{' '}
          ·{' '}
          <button
            type="button"
            className="plain"
            onClick={() => setUrl({ reel: 'blank.play' }, true)}
            aria-label={`call tagged on ${played.tagged} of ${played.of}, open those without`}
          >
            call tagged on {played.tagged} of {played.of}
          </button>{' '}
          ·{' '}
          <button
            type="button"
            className="plain"
            onClick={() => setUrl({ reel: 'blank.formation' }, true)}
            aria-label={`formation tagged on ${tagged.tagged} of ${tagged.of}, open those without`}
          >
            formation on {tagged.tagged} of {tagged.of}
          </button>{' '}
          · kneels, spikes and no-plays left out; a run-pass option is a call of its own ·{' '}
          <a className="door" href={`/api/book/cards?team=${team}`}>
            formation sheet
          </a>
        </span>
        <Menu open={menu !== null} anchorEl={menu?.anchor ?? null} onClose={() => setMenu(null)}>
          {menu?.field == null
            ? FILTER_MENU.map((f) => (
                <MenuItem key={f} onClick={() => setMenu((m) => m && { ...m, field: f })}>
                  {filterLabel(f)}
                </MenuItem>
              ))
            : groupBy(columns, rows, [menu.field]).map((g) => (
                <MenuItem
                  key={g.words[0]}
                  onClick={() => {
                    setFilter({
                      ...slice,
                      [menu.field!]: [...new Set([...(slice[menu.field!] ?? []), g.words[0]!])],
                    });
                    setMenu(null);
                  }}
                >
                  {wordOf(g.words[0]!)}{' '}
                  <span className="quiet small" style={{ marginLeft: 8 }}>
                    {g.rows.length}
                  </span>
                </MenuItem>
              ))}
        </Menu>
      </div>
      {rows.length === 0 ? (
        <section className="card">
          <p>
            No snaps fit.{' '}
            {games.length === 0
              ? 'Log a game first, then read it here.'
              : 'Take a slice away, or choose another team.'}
          </p>
        </section>
      ) : (
        <div className="readgrid">
          <section className="card" aria-label="Situation board">
            <header>
              <h2>What they call, by situation and field</h2>
              <span className="small" aria-hidden="true">
                solid run · hatched pass · open run-pass option · line = 95 % interval
              </span>
            </header>
            <Board
              board={board}
              cell={cell}
              zones={rules.zones}
              onCell={(c) =>
                setUrl({
                  cell:
                    cell?.bucket === c.bucket && cell.zone === c.zone
                      ? null
                      : c.zone
                        ? `${c.bucket}.${c.zone}`
                        : c.bucket,
                  reel: null,
                })
              }
              onReel={(bucket, kind) => setUrl({ reel: `row.${bucket}.${kind}` }, true)}
            />
          </section>
          <section className="card looks" aria-label="Formations" tabIndex={0}>
            <header>
              <h2>{cellTitle}</h2>
              <button
                type="button"
                className="plain small"
                onClick={() => setUrl({ reel: cell ? 'cell' : 'all' }, true)}
              >
                {cellRows.length} snaps
              </button>
            </header>
            {looks.slice(0, 8).map((l, i) => (
              <div className="look" key={`${l.formation}${l.side}${l.backfield}`}>
                <div className="cardhead">
                  <h2>
                    {l.formation}
                    {l.side ? (l.side === 'L' ? ' left' : ' right') : ''}
                    {l.backfield ? `, ${l.backfield}` : ''}
                  </h2>
                  <RateBar
                    rate={l.calls.run}
                    label="run"
                    onOpen={() => setUrl({ reel: `look.${i}.runs` }, true)}
                  />
                </div>
                <Chalk
                  book={book}
                  profile={profile}
                  fields={{ formation: l.formation, formationSide: l.side, backfield: l.backfield }}
                  hash={null}
                  arrows={l.calls.bySide.flatMap(({ kind, side, rows: to }) =>
                    side === null ? [] : [{ kind, side, n: to.length }],
                  )}
                  height={120}
                  caption={false}
                />
                <div className="small" style={{ display: 'flex', gap: 14 }}>
                  <button
                    type="button"
                    className="plain"
                    onClick={() => setCard(i)}
                    aria-label={`look card of ${l.formation}${l.side ? (l.side === 'L' ? ' left' : ' right') : ''}`}
                  >
                    look card
                  </button>
                  {l.calls.bySide.map((part) => (
                    <button
                      key={callsWords(part)}
                      type="button"
                      className="plain"
                      onClick={() => setUrl({ reel: `look.${i}.${part.kind}${part.side ?? ''}` }, true)}
                    >
                      {callsWords(part)} {part.rows.length} of {l.calls.run.n}
                    </button>
                  ))}
                  <button
                    type="button"
                    className="plain quiet"
                    onClick={() => setUrl({ reel: `look.${i}.all` }, true)}
                  >
                    all {l.calls.rows.length}
                  </button>
                </div>
              </div>
            ))}
            {looks.length > 8 && (
              <p className="small quiet">
                {looks.length - 8} further looks, none seen more than {looks[8]!.calls.rows.length}{' '}
                {looks[8]!.calls.rows.length === 1 ? 'time' : 'times'}
              </p>
            )}
            {looks.length === 0 && <p className="quiet">No formation is tagged here.</p>}
          </section>
        </div>
      )}
      {card !== null && looks[card] && (
        <LookCard
          book={book}
          profile={profile}
          fields={{
            formation: looks[card].formation,
            formationSide: looks[card].side,
            backfield: looks[card].backfield,
          }}
          hash={null}
          answers={answersIn(columns, looks[card].calls.rows).map((a, i) => ({
            ...a,
            onOpen: () => setUrl({ reel: `answer.${card}.${i}` }, true),
          }))}
          onClose={() => setCard(null)}
        />
      )}
      {reelRows && (
        <Reel
          title={reelRows.title}
          snaps={[...reelRows.rows].map((i) => counted[i]!)}
          book={book}
          profile={profile}
          gameName={nameOfGame}
          onClose={() => setUrl({ reel: null })}
        />
      )}
    </>
  );
}
