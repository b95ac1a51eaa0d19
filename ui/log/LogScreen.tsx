'use client';
/** Log: the strip, the line, the drawing, the arithmetic. All of it by keyboard. */
import { gameName } from '@/core/exchange/names';
import { useCallback, useDeferredValue, useMemo, useRef } from 'react';
import { useRouter } from 'next/navigation';
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import { buildHabits, habitOf, type Habits } from '@/core/line';
import { enterHint, lineLabel, LOG_COMMANDS, statusSentence, toReview, type LoggedGame } from '@/core/log';
import { walkGame } from '@/core/rules';
import type { Snap, SnapFields } from '@/core/snap';
import { gameScope, type Pulled } from '@/core/sync';
import { snapsOfRows } from '@/core/exchange/from-rows';
import type { GameInfo, TeamInfo } from '@/core/exchange/types';
import { useScope, useSync } from '@/client/SyncProvider';
import { LookCard } from '../look/LookCard';
import { useCommandList, type ScreenCommand } from '../shared/commands';
import { chordOf } from '../shared/keys';
import { useStaffRules } from '../StaffRules';
import { useAlive } from '../useAlive';
import { FieldStrip } from './FieldStrip';
import { Arithmetic } from './Arithmetic';
import { HintLine } from './HintLine';
import { SnapLine } from './SnapLine';
import { useFindings } from './useFindings';
import { useLogSession } from './useLogSession';
import { part } from '../shared/part';

const LineDrawing = part(() => import('./LineDrawing'), <div className="drawingwait" />);
const StartCard = part(() => import('./StartCard'));
const ReviewCard = part(() => import('./ReviewCard'));
const ToSettle = part(() => import('./ToSettle'));
const ManyCard = part(() => import('./ManyCard'));
const FoundList = part(() => import('./FoundList'));
const Presence = part(() => import('./Presence'));
const LogHelp = part(() => import('./LogHelp'));

const NOT_CHECKED: LoggedGame['findings'] = [];

export interface LogScreenProps {
  readonly game: GameInfo;
  readonly teams: readonly TeamInfo[];
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly initial: Pulled;
  /** What was charted in other games. */
  readonly earlier: Habits;
  readonly letters: LoggedGame['letters'];
  readonly open: string | null;
}

/** Log with the book, which travels as one text. */
export function LogPage({
  bookText,
  ...props
}: Omit<LogScreenProps, 'book'> & { readonly bookText: string }) {
  const book = useMemo(() => JSON.parse(bookText) as Book, [bookText]);
  return <LogScreen {...props} book={book} />;
}

type Scoped = ReturnType<typeof useScope>;

/** The game as the session knows it: logged rows walked and checked, anew only when a row, the book or the rules changed. */
function useLoggedGame(
  { game, book, profile, earlier, letters }: LogScreenProps,
  { rows, refused }: Scoped,
): { readonly game: LoggedGame; readonly checked: boolean } {
  const rules = useStaffRules();
  const kept = useRef<readonly Snap[]>([]);
  const snaps = useMemo(() => (kept.current = snapsOfRows(rows, game.key, kept.current)), [rows, game.key]);
  const walked = useMemo(
    () => walkGame(snaps, profile, { buckets: rules.buckets, zones: rules.zones }),
    [snaps, profile, rules],
  );
  // The next line is typed, and the last one is on its way, before it is checked and counted.
  const counted = useDeferredValue(walked);
  const findings = useFindings(counted);
  const habits = useMemo(
    () => buildHabits(counted.filter((r) => r.before.unit === 'scrimmage').map(habitOf), book, earlier),
    [counted, book, earlier],
  );
  const logged = useMemo(
    () => ({
      home: game.home,
      away: game.away,
      rows: walked,
      findings: findings ?? NOT_CHECKED,
      refused: refused.map((queued) => ({
        id: queued.op.id,
        snapId: queued.op.row,
        fields: queued.op.do === 'put' ? (queued.op.fields as SnapFields) : {},
        after: queued.op.do === 'put' ? queued.op.after : undefined,
      })),
      book,
      profile,
      buckets: rules.buckets,
      zones: rules.zones,
      habits,
      letters,
    }),
    [game.home, game.away, walked, findings, refused, book, profile, rules, habits, letters],
  );
  return { game: logged, checked: findings !== null };
}

export function LogScreen(props: LogScreenProps) {
  const { game: info, book, teams, profile } = props;
  const scope = gameScope(info.key);
  const { owner } = useSync();
  const scoped = useScope(scope, props.initial, true);
  const { game, checked } = useLoggedGame(props, scoped);
  const input = useRef<HTMLInputElement>(null);
  const { session, view, send } = useLogSession({
    game,
    scope,
    state: scoped,
    draftKey: `${owner}.${info.key}`,
    open: props.open,
    input,
  });
  const alive = useAlive();
  const router = useRouter();
  const { hash } = view.follows.before;
  const nameOf = (key: string): string => teams.find((t) => t.key === key)?.name ?? key;
  const strip = useDeferredValue(game.rows);
  const marked = useMemo(() => new Set(toReview(game).map((f) => f.snapId)), [game]);
  // A key is echoed first; the picture of it comes right after, and stays while its snap goes to the disk.
  const pictured = useRef(view.drawn);
  if (session.pending === null) pictured.current = view.drawn;
  const drawn = useDeferredValue(pictured.current);
  const select = useCallback(
    (snapId: string, range: boolean) => send({ type: range ? 'mark-to' : 'edit', snapId }),
    [send],
  );

  const many = useMemo(
    () => new Set(session.mode.kind === 'bulk' ? session.mode.snapIds : []),
    [session.mode],
  );
  const now = useRef({ session, view });
  now.current = { session, view };
  useCommandList(
    useMemo(
      (): ScreenCommand[] =>
        LOG_COMMANDS.filter((c) => !c.id.startsWith('accept')).map((command) => ({
          id: command.id,
          label: command.label,
          chords: command.keys,
          own: true,
          run: () => {
            const event = command.event(now.current.session, now.current.view, [info.home, info.away]);
            if (event) send(event);
          },
        })),
      [send, info.home, info.away],
    ),
  );

  /** An unknown word may be a formation nobody has drawn: the line waits as a draft while it is. */
  const drawStranger = (): void => {
    const back = encodeURIComponent(`/log/${info.key}`);
    if (view.stranger) router.push(`/book/draw?name=${encodeURIComponent(view.stranger)}&back=${back}`);
  };
  const onKey = (pressed: React.KeyboardEvent<HTMLInputElement>): void => {
    const chord = chordOf(pressed.nativeEvent);
    const command = LOG_COMMANDS.find((c) => c.keys.includes(chord));
    const event = command?.event(session, view, [game.home, game.away]) ?? null;
    if (event) send(event);
    else if (chord === 'Enter') send({ type: 'enter', snapId: crypto.randomUUID() });
    else if (chord === 'Alt+D' && view.stranger) drawStranger();
    else return;
    pressed.preventDefault();
  };

  return (
    <>
      <h1 className="hide">Log: {gameName(info, nameOf)}</h1>
      {session.trouble && (
        <div className="card flag" role="alert">
          <strong>Not saved.</strong> This browser could not store it ({session.trouble}). The line stays;
          free some space and press Enter again.
        </div>
      )}
      <Presence game={info.key} snap={view.selected} rows={game.rows} />
      <ToSettle game={game} entries={[...scoped.conflicts, ...scoped.refused]} send={send} />
      <div className="loggrid">
        <div className="logside">
          {alive ? (
            <FieldStrip
              rows={strip}
              rightward={game.home}
              leftward={game.away}
              selected={view.selected}
              marked={marked}
              many={many}
              onSelect={select}
            />
          ) : (
            <section className="card stripwait" aria-label="The game so far" aria-busy="true" />
          )}
        </div>
        <div className="logside">
          <section className="card" aria-label="Chalk drawing">
            {alive ? (
              <LineDrawing book={book} profile={profile} fields={drawn} hash={hash} />
            ) : (
              <div className="drawingwait" />
            )}
          </section>
          {(view.bulk || (view.row && session.text !== session.shown)) && (
            <ManyCard session={session} view={view} game={game} />
          )}
          {!view.bulk && !view.found && <Arithmetic view={view} />}
          {view.starts && (
            <StartCard starts={view.starts} view={view} game={game} nameOf={nameOf} send={send} />
          )}
          {checked && <ReviewCard finding={view.finding} open={view.todo.length} game={game} send={send} />}
        </div>
      </div>
      <SnapLine
        ref={input}
        text={session.text}
        caret={session.caret}
        view={view}
        chosen={session.chosen}
        label={lineLabel(session, view, game.rows.length)}
        hint={enterHint(session)}
        onText={(text, caret) => send({ type: 'typed', text, caret })}
        onKey={onKey}
        onOffer={(index) => send({ type: 'take', index })}
        onCandidate={(problem, candidate) => send({ type: 'take-candidate', problem, candidate })}
        found={
          view.found && (
            <FoundList view={view} query={session.text.slice(1)} chosen={session.chosen} send={send} />
          )
        }
        onDraw={drawStranger}
      />
      <HintLine
        status={statusSentence(session.status)}
        passes={`/log/${encodeURIComponent(info.key)}/pass`}
      />
      {session.panel === 'look' && (
        <LookCard
          book={book}
          profile={profile}
          fields={view.drawn}
          hash={hash}
          onClose={() => send({ type: 'panel', panel: null })}
        />
      )}
      {session.panel === 'help' && <LogHelp onClose={() => send({ type: 'panel', panel: null })} />}
    </>
  );
}
