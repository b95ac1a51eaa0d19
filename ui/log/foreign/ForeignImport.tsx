'use client';
/** Somebody else's table: proposed, corrected by hand, checked, and imported as a game. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import { phraseFault, type Book, type TermKind } from '@/core/book';
import { BOOK_SCOPE } from '@/core/sync';
import type { Outbox } from '@/client/outbox';
import { useSync } from '@/client/SyncProvider';
import type { LevelProfile } from '@/core/field/profile';
import type { ForeignSheet } from '@/core/foreign';
import type { ReadingInfo, TeamInfo } from '@/core/exchange/types';
import { PHASES } from '@/core/table/schema';
import { Choice } from '../../shared/Choice';
import { sendImport } from '../import-request';
import { ArithmeticCard, RefusedCard, WordsCard } from './ForeignCards';
import { ForeignColumns } from './ForeignColumns';
import { NEW, useForeign, type Foreign } from './useForeign';

export interface ForeignImportProps {
  readonly file: string;
  readonly sheets: readonly ForeignSheet[];
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly level: string;
  readonly teams: readonly TeamInfo[];
  readonly readings: readonly ReadingInfo[];
  readonly save: (reading: ReadingInfo) => Promise<string | null>;
  readonly onLeave: () => void;
}

type Sent =
  | { readonly kind: 'idle' }
  | { readonly kind: 'busy' }
  | { readonly kind: 'failed'; readonly words: string }
  | { readonly kind: 'done'; readonly snaps: number; readonly game: string };

export default function ForeignImport({
  file,
  sheets,
  book,
  profile,
  level,
  teams,
  readings,
  save,
  onLeave,
}: ForeignImportProps) {
  const foreign = useForeign(file, sheets, book, profile, level, teams, readings);
  const { understood, out } = foreign;
  const [sent, setSent] = useState<Sent>({ kind: 'idle' });
  const [kept, setKept] = useState<string | null>(null);
  /** Sheets that are games by now. */
  const [games, setGames] = useState<ReadonlySet<number>>(new Set());
  const { opened } = useSync();
  const why = whyNot(foreign);
  const next = sheets.findIndex((_, i) => i > foreign.at && !games.has(i));
  const left = next >= 0 ? next : sheets.findIndex((_, i) => i !== foreign.at && !games.has(i));
  const turnTo = (index: number): void => {
    foreign.choose(index);
    setSent({ kind: 'idle' });
    setKept(null);
  };
  const remember = async (): Promise<void> =>
    setKept(
      (await save(foreign.reading()).catch(() => 'The server does not answer; the reading was not kept.')) ??
        'Kept: the next file with these columns is read so.',
    );
  const start = async (): Promise<void> => {
    setSent({ kind: 'busy' });
    const form = new FormData();
    for (const { name, text } of foreign.files())
      form.append('files', new File([text], name, { type: 'text/csv' }));
    let end: Sent = {
      kind: 'failed',
      words: 'The import ended without an answer; look at the week before you import again.',
    };
    try {
      await sendImport(
        form,
        'leave',
        () => undefined,
        (line) => {
          if (line.error !== undefined) end = { kind: 'failed', words: line.error };
          else if (line.outcome)
            end = line.outcome.imported
              ? { kind: 'done', snaps: out.snaps.length, game: out.game!.key }
              : {
                  kind: 'failed',
                  words: line.outcome.details.some((d) => d.value === out.game!.key)
                    ? 'These two teams have a game of that date and file already: it was imported before, or it is another one and needs its own date.'
                    : line.outcome.faults.slice(0, 5).join('; '),
                };
        },
      ).done;
    } catch (error) {
      end = { kind: 'failed', words: (error as Error).message };
    }
    const ended = end as Sent;
    setSent(ended);
    // What was decided for these columns is decided for the next file of them.
    if (ended.kind === 'done') {
      setGames((all) => new Set(all).add(foreign.at));
      void remember();
      await addWords(await opened(), book, foreign.fresh);
    }
  };
  return (
    <div className="stack">
      <header className="toolbar">
        <h1>{file}</h1>
        {sheets.length > 1 && (
          <Choice
            label="sheet"
            value={String(foreign.at)}
            options={sheets.map(
              (s, i) => [String(i), games.has(i) ? `${s.name}, imported` : s.name] as const,
            )}
            onChange={(i) => turnTo(Number(i))}
          />
        )}
        <span className="quiet">
          {understood.total} rows{foreign.remembered ? ', read as the last file with these columns' : ''}
        </span>
        <span className="grow" />
        <Button onClick={onLeave}>Another file</Button>
        <Button variant="outlined" onClick={() => void remember()}>
          Save this reading
        </Button>
        <Button
          variant="contained"
          disabled={why !== null || sent.kind === 'busy' || sent.kind === 'done'}
          onClick={() => void start()}
        >
          Import {out.snaps.length} {out.snaps.length === 1 ? 'snap' : 'snaps'}
        </Button>
      </header>
      {kept !== null && (
        <p className="small" role="status">
          {kept}
        </p>
      )}
      {sent.kind === 'failed' && (
        <Alert severity="error" variant="outlined">
          {sent.words}
        </Alert>
      )}
      {sent.kind === 'done' ? (
        <Alert severity="success" variant="outlined">
          Imported {sent.snaps} snaps. <Link href={`/log/${encodeURIComponent(sent.game)}`}>To the game</Link>
          {left >= 0 && (
            <>
              {' '}
              <Button size="small" onClick={() => turnTo(left)}>
                Next sheet: {sheets[left]!.name}
              </Button>
            </>
          )}
        </Alert>
      ) : (
        <>
          <GameLine foreign={foreign} teams={teams} />
          {why !== null && <p className="small flag">{why}</p>}
          <ForeignColumns foreign={foreign} />
          <div className="foreigncards">
            <WordsCard foreign={foreign} book={book} />
            <RefusedCard foreign={foreign} file={file} />
            <ArithmeticCard foreign={foreign} />
          </div>
        </>
      )}
    </div>
  );
}

/** The words that were said to be new, as terms without a meaning yet. One the book has meanwhile is left alone. */
async function addWords(outbox: Outbox, book: Book, fresh: ReadonlySet<string>): Promise<void> {
  const last = book.terms[book.terms.length - 1]?.id ?? null;
  const ops = [...fresh].flatMap((key) => {
    const cut = key.indexOf('|');
    const [kind, word] = [key.slice(0, cut) as TermKind, key.slice(cut + 1)];
    if (phraseFault(book, kind, word, null)) return [];
    const fields = { kind, word, aliases: [], notes: null, spots: null, definition: null };
    return [outbox.put('term', `${kind}-${crypto.randomUUID()}`, fields, last)];
  });
  if (ops.length > 0) await outbox.push(BOOK_SCOPE, ops);
}

/** What is still missing before it can be imported; null when nothing is. */
function whyNot({ out, chosen, understood, teamOf }: Foreign): string | null {
  if (!chosen.home || !chosen.away) return 'Say who played: away and home.';
  if (out.game === null) return 'A game has two teams.';
  const unnamed = understood.teams.filter((written) => teamOf(written) === null);
  if (unnamed.length > 0)
    return `Choose which team ${unnamed.map((name) => `“${name}”`).join(' and ')} ${unnamed.length === 1 ? 'is' : 'are'}.`;
  if (understood.rows.length === 0) return 'No row can be read yet; say what the columns are.';
  if (out.homeless > 0)
    return `${out.homeless} ${out.homeless === 1 ? 'row does' : 'rows do'} not say who has the ball: choose which team each name is.`;
  return null;
}

function GameLine({ foreign, teams }: { readonly foreign: Foreign; readonly teams: readonly TeamInfo[] }) {
  const { game, setGame, understood, chosen, teamOf, sayTeam } = foreign;
  const names: readonly (readonly [string, string])[] = [
    ['', 'choose'],
    ...teams.map((t) => [t.key, t.name] as const),
    [NEW, 'a new team …'],
  ];
  const side = (which: 'home' | 'away'): string => chosen[which]?.team.name ?? which;
  const names2: readonly (readonly [string, string])[] = [
    ['away', side('away')],
    ['home', side('home')],
  ];
  return (
    <section className="card toolbar" aria-label="The game">
      {(['away', 'home'] as const).map((which) => (
        <span key={which} className="toolbar">
          <Choice
            label={which}
            value={game[which]}
            options={names}
            onChange={(key) => setGame({ [which]: key })}
            width={170}
          />
          {game[which] === NEW && (
            <input
              aria-label={`name of the ${which} team`}
              placeholder="its name"
              value={game[`${which}Name`]}
              onChange={(e) => setGame({ [`${which}Name`]: e.target.value })}
            />
          )}
        </span>
      ))}
      <span className="choice">
        <label htmlFor="foreign-date">date</label>
        <input
          id="foreign-date"
          type="date"
          value={game.date}
          onChange={(e) => setGame({ date: e.target.value })}
        />
      </span>
      <Choice
        label="kind of film"
        value={game.phase}
        options={PHASES.map((p) => [p, p.replace(/_/g, ' ')] as const)}
        onChange={(phase) => setGame({ phase })}
      />
      <Choice
        label={understood.teams.length > 0 ? 'O means' : 'offense of'}
        value={game.ours}
        options={names2}
        onChange={(ours) => setGame({ ours: ours as 'home' | 'away' })}
        width={150}
      />
      {understood.teams.map((written) => {
        const key = teamOf(written);
        return (
          <Choice
            key={written}
            label={`“${written}” is`}
            value={key === null ? '' : key === chosen.home?.team.key ? 'home' : 'away'}
            options={[['', 'choose'], ...names2]}
            onChange={(which) => which && sayTeam(written, which as 'home' | 'away')}
            width={150}
          />
        );
      })}
    </section>
  );
}
