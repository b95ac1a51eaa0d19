'use client';
/** The charting drill: a look is drawn for a moment, then named from memory. */
import { useEffect, useMemo, useReducer, useRef, useState } from 'react';
import { useRouter } from 'next/navigation';
import Button from '@mui/material/Button';
import type { Book } from '@/core/book';
import { mostMistaken, newDrill, stepDrill, type ConfusedCounts, type DrillLook } from '@/core/drill';
import type { TeamInfo } from '@/core/exchange/types';
import type { LevelProfile } from '@/core/field/profile';
import { parseLine, problemSentence } from '@/core/line';
import { Chalk } from '../../chalk/Chalk';
import { Choice } from '../../shared/Choice';
import { DrillScore } from './DrillScore';
import { Told } from './Told';

interface DrillScreenProps {
  readonly teams: readonly TeamInfo[];
  /** A team's key, or "book". */
  readonly team: string;
  readonly bookText: string;
  readonly profile: LevelProfile;
  readonly looks: readonly DrillLook[];
  readonly all: number;
  readonly due: number;
  readonly cards: readonly { readonly confused: ConfusedCounts }[];
  readonly answer: (given: unknown) => Promise<{ readonly days: number } | { readonly why: string }>;
}
const SHOWN_FOR = ['1', '2', '4', '8'] as const;

export function DrillScreen({
  teams,
  team,
  bookText,
  profile,
  looks,
  all,
  due,
  cards,
  answer,
}: DrillScreenProps) {
  const router = useRouter();
  const book = useMemo(() => JSON.parse(bookText) as Book, [bookText]);
  const [session, send] = useReducer(stepDrill, looks, newDrill);
  const [seconds, setSeconds] = useState<string>('4');
  const [kept, setKept] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const begin = useRef<HTMLButtonElement>(null);
  const { phase, at, text } = session;
  useEffect(() => {
    if (phase !== 'shown') return;
    const timer = setTimeout(() => send({ type: 'hide', now: performance.now() }), Number(seconds) * 1000);
    return () => clearTimeout(timer);
  }, [phase, seconds]);
  useEffect(() => {
    if (phase === 'shown') input.current?.focus();
    if (phase === 'ready' || phase === 'told') begin.current?.focus();
  }, [phase, at]);
  const parsed = parseLine(text, { book, profile, state: null, previous: null });
  const look = session.looks[at];
  const said = (): void => {
    const next = stepDrill(session, { type: 'answer', said: parsed.fields, now: performance.now() });
    send({ type: 'answer', said: parsed.fields, now: performance.now() });
    const last = next.answered[next.answered.length - 1];
    if (!last || last.marks.length === 0) return;
    answer({ look: last.look.key, marks: last.marks, seconds: last.seconds }).then(
      (told) =>
        setKept('why' in told ? told.why : `asked again in ${told.days} ${told.days === 1 ? 'day' : 'days'}`),
      () => setKept('the server does not answer; this answer is not scheduled'),
    );
  };
  const told = phase === 'told' ? session.answered[session.answered.length - 1] : undefined;
  const mistaken = mostMistaken(cards.map((c) => c.confused));
  return (
    <div className="stack">
      <section className="card toolbar" aria-label="Drill">
        <h1>Charting drill</h1>
        <Choice
          label="looks of"
          value={team}
          options={[['book', 'the book'] as const, ...teams.map((t) => [t.key, t.name] as const)]}
          onChange={(key) => router.push(`/log/drill?team=${encodeURIComponent(key)}`)}
          width={200}
        />
        <Choice
          label="shown for"
          value={seconds}
          options={SHOWN_FOR.map((s) => [s, `${s} s`] as const)}
          onChange={setSeconds}
          width={70}
        />
        <span className="grow" />
        <span className="small quiet">
          {all} {all === 1 ? 'look' : 'looks'}, {due} due today
        </span>
      </section>
      <div className="passgrid">
        <section className="card drill" aria-label="The look">
          {phase === 'over' ? (
            <p>
              {looks.length === 0
                ? 'No drawn looks here yet. Log some film of this team, or drill the book.'
                : 'That was the sitting. What was missed comes again tomorrow, what was known later.'}
            </p>
          ) : (
            <>
              <header>
                <h2>
                  Look {at + 1} of {session.looks.length}
                </h2>
                <span className="small quiet" role="status">
                  {phase === 'told' ? kept : phase === 'gone' ? 'gone: what was it?' : ''}
                </span>
              </header>
              <div className="drillpicture">
                {(phase === 'shown' || phase === 'told') && look ? (
                  <Chalk
                    book={book}
                    profile={profile}
                    fields={look.fields}
                    hash={null}
                    height={290}
                    caption={phase === 'told'}
                    spoken={phase === 'told' ? null : 'a look to be named'}
                  />
                ) : (
                  <p className="quiet">{phase === 'ready' ? `It is shown for ${seconds} seconds.` : ''}</p>
                )}
              </div>
              {told ? (
                <Told marks={told.marks} seconds={told.seconds} />
              ) : (
                <div className="linebox">
                  <input
                    ref={input}
                    value={text}
                    aria-label="What it was, as you would log it"
                    autoComplete="off"
                    spellCheck={false}
                    maxLength={400}
                    disabled={phase === 'ready'}
                    onChange={(e) => send({ type: 'typed', text: e.target.value })}
                    onKeyDown={(e) => {
                      if (e.key !== 'Enter') return;
                      // Else the same press would go on to the button that takes the focus.
                      e.preventDefault();
                      said();
                    }}
                  />
                </div>
              )}
              {phase !== 'ready' && phase !== 'told' && parsed.problems[0] && text.endsWith(' ') && (
                <p className="small flagtext">{problemSentence(parsed.problems[0])}</p>
              )}
              <p>
                {phase === 'ready' && (
                  <Button ref={begin} onClick={() => send({ type: 'show', now: performance.now() })}>
                    Show it
                  </Button>
                )}
                {(phase === 'shown' || phase === 'gone') && (
                  <span className="small quiet">
                    <kbd>Enter</kbd> answers
                  </span>
                )}
                {phase === 'told' && (
                  <Button ref={begin} onClick={() => send({ type: 'next' })}>
                    Next look
                  </Button>
                )}
              </p>
            </>
          )}
        </section>
        <DrillScore answered={session.answered} mistaken={mistaken} />
      </div>
    </div>
  );
}
