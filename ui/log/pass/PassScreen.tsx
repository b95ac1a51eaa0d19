'use client';
/** A charting pass: the snap drawn, the fields it asks, the likely values under single keys. */
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import Link from 'next/link';
import { gameName } from '@/core/exchange/names';
import { snapOfRow } from '@/core/exchange/from-rows';
import type { GameInfo, TeamInfo } from '@/core/exchange/types';
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field/profile';
import {
  beginPass,
  labelsOf,
  minutesLeft,
  passOf,
  progressOf,
  stepPass,
  viewPass,
  type PassEvent,
  type PassGame,
  type ChartPlan,
  type EarlierSnap,
  type PassWrite,
} from '@/core/charting';
import { walkGame } from '@/core/rules';
import { blindScope, gameScope, type Pulled } from '@/core/sync';
import { useScope } from '@/client/SyncProvider';
import { useStaffRules } from '../../StaffRules';
import { UnsettledList } from '../../sync/Unsettled';
import { useAlive } from '../../useAlive';
import { Choice } from '../../shared/Choice';
import { PassSnap } from './PassSnap';
import { PassProgress } from './PassProgress';
import { PassStrip } from './PassStrip';
import Presence from '../Presence';
import { HandIn } from './HandIn';
import { SharpenCard } from './SharpenCard';

export interface PassScreenProps {
  readonly game: GameInfo;
  readonly teams: readonly TeamInfo[];
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly initial: Pulled;
  readonly first: string | null;
  readonly plan: ChartPlan;
  /** Charted snaps of other games of these teams. */
  readonly earlier: readonly EarlierSnap[];
  /** The member's own blind charting, and the way to end it. */
  readonly blind?: { readonly handIn: (game: string) => Promise<string | null> };
}

export function PassPage({
  bookText,
  ...props
}: Omit<PassScreenProps, 'book'> & { readonly bookText: string }) {
  const book = useMemo(() => JSON.parse(bookText) as Book, [bookText]);
  return <PassScreen {...props} book={book} />;
}

/** Longer than this at one snap is a break, not a pace; seconds. */
const BREAK = 300;

function PassScreen({
  game: info,
  teams,
  book,
  profile,
  initial,
  first,
  plan,
  earlier,
  blind,
}: PassScreenProps) {
  const scope = blind ? blindScope(info.key) : gameScope(info.key);
  const scoped = useScope(scope, initial);
  const rules = useStaffRules();
  const alive = useAlive();
  const [passId, setPassId] = useState(first ?? plan.passes[0]!.id);
  const pass = passOf(passId, plan.passes) ?? plan.passes[0]!;
  const rows = useMemo(
    () =>
      walkGame(
        scoped.rows.map((r) => snapOfRow(r, info.key)),
        profile,
        { buckets: rules.buckets, zones: rules.zones },
      ),
    [scoped.rows, info.key, profile, rules],
  );
  const labels = useMemo(() => labelsOf(rows, book, profile), [rows, book, profile]);
  const game: PassGame = useMemo(
    () => ({ pass, rows, book, labels, earlier }),
    [pass, rows, book, labels, earlier],
  );
  const [session, setSession] = useState(() => beginPass(game));
  const [trouble, setTrouble] = useState('');
  const [paces, setPaces] = useState<readonly number[]>([]);
  const since = useRef<number | null>(null);
  const now = useRef({ session, game });
  now.current = { session, game };

  const write = useCallback(
    (writes: readonly PassWrite[]): void => {
      if (writes.length === 0) return;
      scoped
        .push((outbox) => writes.map((w) => outbox.patch(scope, 'snap', w.snapId, w.fields)))
        .then(
          () => setTrouble(''),
          (error: unknown) => setTrouble((error as Error).message),
        );
    },
    [scoped, scope],
  );
  const send = useCallback(
    (event: PassEvent): void => {
      const { session: before, game: on } = now.current;
      const { session: after, writes } = stepPass(before, event, on);
      if (after.snapId !== before.snapId) {
        const at = performance.now();
        const seconds = since.current === null ? null : (at - since.current) / 1000;
        since.current = at;
        if (seconds !== null && seconds < BREAK && before.keys > 1)
          setPaces((list) => [...list.slice(-59), seconds]);
      } else since.current ??= performance.now();
      now.current = { session: after, game: on };
      setSession(after);
      write(writes);
    },
    [write],
  );
  const change = (id: string): void => {
    setPassId(id);
    setPaces([]);
    since.current = null;
    setSession(beginPass({ ...game, pass: passOf(id, plan.passes)! }));
  };
  const view = useMemo(() => viewPass(session, game), [session, game]);
  const unsettled = [...scoped.conflicts, ...scoped.refused];
  const progress = progressOf(pass, rows);
  const left = progress.of - progress.done;
  const time = minutesLeft(left, paces);
  const nameOf = (key: string): string => teams.find((t) => t.key === key)?.name ?? key;
  const strip = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (alive) strip.current?.focus();
  }, [alive, passId]);

  return (
    <div className="stack">
      <section className="card passhead" aria-label="Pass">
        <div>
          <h1>
            {pass.name} pass{blind ? ', blind' : ''}
          </h1>
          <p className="small quiet">
            <Link href={`/log/${encodeURIComponent(info.key)}`}>{gameName(info, nameOf)}</Link>
            {blind ? ' · your own charting; nobody sees it before you hand it in' : ''}
            {' · '}
            <Link href="/log/charting">plan: {plan.name}</Link>
            {blind ? null : (
              <>
                {' · '}
                <Link href={`/log/${encodeURIComponent(info.key)}/agree`}>two charters</Link>
              </>
            )}
          </p>
        </div>
        <Choice
          label="pass"
          value={passId}
          options={plan.passes.map((p) => {
            const { done, of } = progressOf(p, rows);
            return [p.id, `${p.name}, ${done} of ${of}`] as const;
          })}
          onChange={(id) => change(id)}
          width={230}
        />
        <PassProgress pass={pass} rows={rows} at={session.snapId} />
        <div className="passtime">
          <strong>
            {left === 0 ? 'All charted' : `${left} ${left === 1 ? 'snap' : 'snaps'} left`}
            {time && left > 0 ? `, about ${time.minutes} ${time.minutes === 1 ? 'minute' : 'minutes'}` : ''}
          </strong>
          <span className="small quiet">
            {time ? `your pace ${time.pace} s a snap in this pass` : 'your pace shows after three snaps'}
          </span>
        </div>
      </section>
      {!blind && <Presence game={info.key} snap={session.snapId} rows={rows} />}
      {trouble && (
        <div className="card flag" role="alert">
          <strong>Not saved.</strong> This browser could not store it ({trouble}). Free some space and press
          the key again.
        </div>
      )}
      <UnsettledList
        entries={unsettled}
        place={(row) => `on snap ${rows.find((r) => r.snap.snapId === row)?.number ?? '?'}`}
        onFix={(row) => send({ type: 'snap', snapId: row })}
      />
      <div className="passgrid">
        <PassSnap row={view.row} book={book} profile={profile} />
        {blind ? (
          <HandIn game={info.key} passes={plan.passes} rows={rows} handIn={blind.handIn} />
        ) : (
          <SharpenCard passes={plan.passes} rows={rows} onPass={change} />
        )}
      </div>
      <PassStrip ref={strip} session={session} view={view} send={send} />
    </div>
  );
}
