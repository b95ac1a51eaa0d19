'use client';
/** The report before it is printed: its first page, each sentence a door to its snaps; which sections it has, in which order. */
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import {
  boardsOf,
  FIRST_PAGE,
  ofKicks,
  orderOf,
  OWN_SECTIONS,
  REPORT_PARTS,
  SIDE_WORDS,
  type BoardSide,
  type ReportUnits,
} from '@/core/read';
import { PAPERS, type Paper } from '@/core/plan/layout';
import { Choice } from '../../shared/Choice';
import { useToast } from '../../shared/toasts';
import { withWords } from './address';
import { FirstPage, type First, type SaveWords } from './FirstPage';
import { PdfButton } from './PdfButton';
import { SinceCard, type SinceShown } from './SinceCard';

interface ReportScreenProps {
  readonly title: string;
  readonly of: string;
  readonly rests: string;
  readonly side: BoardSide;
  readonly snaps: number;
  readonly looked: number;
  readonly first: First;
  /** Null: this report was not printed before. */
  readonly since: SinceShown | null;
  /** What stands beside the name of a chosen section; missing: it says nothing and is not printed. */
  readonly notes: Readonly<Record<string, string>>;
  /** Null: the usual ones. */
  readonly sections: readonly string[] | null;
  /** What the staff saved; null: nothing. */
  readonly template: readonly string[] | null;
  /** The address of the film it rests on. */
  readonly query: string;
  /** Null: the member may not. */
  readonly save: ((given: unknown) => Promise<string | null>) | null;
  readonly saveWords: SaveWords | null;
}

export function ReportScreen(props: ReportScreenProps) {
  const { title, of, rests, side, snaps, looked, first, since, notes, sections, template, query, save } =
    props;
  const router = useRouter();
  const say = useToast();
  const [paper, setPaper] = useState<Paper>('letter');
  const [breaks, setBreaks] = useState(false);
  const [units, setUnits] = useState<ReportUnits | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const all = [...REPORT_PARTS.filter((part) => part.sides.includes(side)), ...boardsOf(side)];
  const saved = sections !== null && sections.join() === template?.join();
  // A choice stands at once; the first page follows from the server.
  const [asked, setAsked] = useState<readonly string[] | null>(null);
  useEffect(() => setAsked(null), [sections]);
  const chosen = orderOf(side, asked ?? sections);
  const named = [FIRST_PAGE, ...chosen];
  const put = (next: readonly string[] | null): void => {
    setAsked(next);
    router.replace(`/read/report?${withWords(query, { sections: next === null ? null : next.join(',') })}`, {
      scroll: false,
    });
  };
  /** A board stands behind the last board, a part at the end. */
  const add = (id: string): void => {
    const isPart = (id: string): boolean => REPORT_PARTS.some((part) => part.id === id);
    const at = isPart(id) ? chosen.length : chosen.findLastIndex((c) => !isPart(c)) + 1;
    put([FIRST_PAGE, ...chosen.slice(0, at), id, ...chosen.slice(at)]);
  };
  const move = (id: string, by: -1 | 1): void => {
    const from = chosen.indexOf(id);
    const next = [...chosen];
    next.splice(from, 1);
    next.splice(from + by, 0, id);
    put([FIRST_PAGE, ...next]);
  };
  const keep = async (next: readonly string[] | null, words: string): Promise<void> => {
    if (save === null) return;
    const why = await save({ side, sections: next }).catch(
      () => 'The server does not answer; nothing was saved.',
    );
    setProblem(why);
    if (why !== null) return;
    say(words);
    put(null);
  };
  const file = (as: string): string =>
    `/api/report?${withWords(query, { as, paper, breaks: breaks ? 'yes' : null, units, sections: named.join(',') })}`;
  const left = all.filter((s) => !chosen.includes(s.id));
  const own = orderOf(side, OWN_SECTIONS);
  return (
    <div className="stack">
      <section className="card toolbar" aria-label="Print">
        <h1>{title}: report</h1>
        <Choice
          label="paper"
          value={paper}
          width={110}
          options={Object.entries(PAPERS).map(([key, { label }]) => [key, label])}
          onChange={(to) => setPaper(to as Paper)}
        />
        <Choice
          label="of"
          value={units ?? 'one'}
          width={160}
          options={[
            ['one', `the ${SIDE_WORDS[side]}`],
            ...(ofKicks(side) ? [['special', 'special teams'] as const] : []),
            ['all', 'all units'],
          ]}
          onChange={(to) => setUnits(to === 'one' ? null : (to as ReportUnits))}
        />
        <label className="small">
          <input type="checkbox" checked={breaks} onChange={(e) => setBreaks(e.target.checked)} /> a page a
          section
        </label>
        <span className="grow" />
        {snaps > 0 && (
          <>
            <PdfButton
              order={{
                query: withWords(query, { sections: named.join(',') }),
                paper,
                breaks,
                ...(units === null ? {} : { units }),
              }}
              onPrinted={() => router.refresh()}
            />
            <a className="button" href={file('players')} target="_blank" rel="noreferrer">
              a page for players
            </a>
            <a className="button" href={file('xlsx')}>
              XLSX
            </a>
            <a className="button" href={file('csv')}>
              CSV
            </a>
            <a className="button" href={file('json')}>
              JSON
            </a>
          </>
        )}
      </section>
      <div className="reportgrid">
        <section className="card" aria-label="First page">
          <header>
            <h2>What the first page says</h2>
            <span className="small quiet">{of}</span>
          </header>
          {first.sentences.length === 0 && (
            <p>
              {snaps === 0
                ? 'No snaps fit. Choose another team, more games or fewer filters in Read.'
                : 'No row of these tables stands apart from the rest on this film.'}
            </p>
          )}
          <FirstPage first={first} query={query} save={props.saveWords} />
          {looked > 0 && (
            <p className="small quiet">
              Chosen among {looked} rates by how far each stands from all the other snaps of its board: the
              least that its 95 % interval allows, times its snaps. Counts to look up on film, not tests: who
              looks at many finds some by luck, and the situation is not taken out.
            </p>
          )}
          <p className="small quiet">{rests}.</p>
        </section>
        <section className="card" aria-label="Sections">
          <header>
            <h2>Sections</h2>
            <span className="small quiet">
              {sections === null ? 'the usual ones' : saved ? 'as the staff saved them' : ''}
            </span>
          </header>
          {problem && (
            <div className="card flag" role="alert">
              {problem}
            </div>
          )}
          {side === 'offense' && (
            <p className="toolbar small">
              <button
                type="button"
                className="plain"
                disabled={chosen.join() === own.join()}
                onClick={() => put([FIRST_PAGE, ...own])}
              >
                how it was done: our own film
              </button>
            </p>
          )}
          <ol className="plainlist sections">
            {chosen.map((id, i) => {
              const { title } = all.find((s) => s.id === id)!;
              return (
                <li key={id}>
                  <label>
                    <input
                      type="checkbox"
                      checked
                      disabled={chosen.length === 1}
                      onChange={() => put(named.filter((c) => c !== id))}
                    />{' '}
                    {title}
                  </label>{' '}
                  <span className="small quiet">{notes[id] ?? 'nothing known, not printed'}</span>
                  <span className="grow" />
                  <button
                    type="button"
                    className="plain"
                    disabled={i === 0}
                    aria-label={`${title} up`}
                    onClick={() => move(id, -1)}
                  >
                    ↑
                  </button>
                  <button
                    type="button"
                    className="plain"
                    disabled={i === chosen.length - 1}
                    aria-label={`${title} down`}
                    onClick={() => move(id, 1)}
                  >
                    ↓
                  </button>
                </li>
              );
            })}
            {left.map(({ id, title }) => (
              <li key={id}>
                <label>
                  <input type="checkbox" checked={false} onChange={() => add(id)} /> {title}
                </label>
              </li>
            ))}
          </ol>
          {save !== null && (
            <p className="toolbar">
              <button
                type="button"
                className="button"
                disabled={sections === null || saved}
                onClick={() => void keep(named, 'Saved for the staff')}
              >
                save for the staff
              </button>
              {template !== null && (
                <button
                  type="button"
                  className="plain small"
                  onClick={() => void keep(null, 'The usual sections again')}
                >
                  the usual sections again
                </button>
              )}
            </p>
          )}
        </section>
      </div>
      {since && <SinceCard since={since} query={query} />}
    </div>
  );
}
