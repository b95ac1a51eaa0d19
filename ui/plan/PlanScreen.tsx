'use client';
/** Plan: suggestions by own success in the chosen situation at the left, the sheet as it prints at the right. */
import { gameNames } from '@/core/exchange/names';
import {
  DndContext,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useMemo, useRef, useState } from 'react';
import type { Book } from '@/core/book';
import type { LevelKey, Profiles } from '@/core/field/profile';
import {
  answersTo,
  countLinks,
  expectedUsage,
  layoutSheet,
  numberSheet,
  playCall,
  playFields,
  playLook,
  SECTIONS,
  suggestCalls,
  type PlayCard,
  type SectionSpec,
  type SheetCall,
  type Suggestion,
} from '@/core/plan';
import { buildColumns, countGame, filmKind, ownFilm, type Mean } from '@/core/read';
import { fullSnap, type SlimSnap } from '@/core/snap';
import { callOfRow } from '@/core/exchange/from-rows';
import { sheetScope, type Operation, type Pulled } from '@/core/sync';
import type { GameInfo, SheetDetail } from '@/core/exchange/types';
import type { Outbox } from '@/client/outbox';
import { useScope } from '@/client/SyncProvider';
import { drawSnap } from '@/core/book';
import { RateBar } from '../charts/RateBar';
import { LookCard } from '../look/LookCard';
import { useStaffRules } from '../StaffRules';
import { Reel } from '../read/Reel';
import { Unsettled } from '../sync/SaveStatus';
import { filmPath, WithFilm } from '../film/WithFilm';
import { useUrlState } from '../useUrlState';
import { SheetName } from './SheetName';

export interface PlanScreenProps {
  readonly sheet: SheetDetail;
  readonly rows: Pulled;
  readonly plays: readonly PlayCard[];
  readonly team: string;
  readonly teamName: string;
  readonly opponentName: string;
  readonly book: Book;
  readonly level: LevelKey;
  readonly profiles: Profiles;
  readonly games: readonly { readonly info: GameInfo; readonly snaps: readonly SlimSnap[] }[];
  readonly able: { readonly draft: boolean; readonly locked: boolean; readonly lock: boolean };
  readonly copy: () => Promise<void>;
}

type Make = (outbox: Outbox) => readonly Operation[];
const usageText = (m: Mean | null): string =>
  m === null
    ? 'no own film'
    : `expect ${m.mean.toFixed(1)} a game${m.low === null ? '' : ` (${m.low.toFixed(1)}–${m.high!.toFixed(1)})`}, ${m.n} ${m.n === 1 ? 'game' : 'games'}`;

/** Plan with its film: own film ranks the plays, the opponent's says what it answers with. */
export function PlanPage({
  bookText,
  ...props
}: Omit<PlanScreenProps, 'games' | 'book'> & { readonly bookText: string }) {
  const book = useMemo(() => JSON.parse(bookText) as Book, [bookText]);
  return (
    <WithFilm path={filmPath(props.team, props.sheet.opponent)}>
      {(games) => <PlanScreen {...props} book={book} games={games} />}
    </WithFilm>
  );
}

export function PlanScreen(props: PlanScreenProps) {
  const { plays, team, book, level, profiles, able } = props;
  const scope = sheetScope(props.sheet.key);
  const { rows, conflicts, refused, push } = useScope(scope, props.rows);
  const cards = useMemo(() => new Map(plays.map((p) => [p.id, p])), [plays]);
  const calls = useMemo(() => rows.flatMap((r) => callOfRow(r, cards) ?? []), [rows, cards]);
  const head = rows.find((r) => r.kind === 'sheet')?.fields ?? {};
  const locked = head.locked === true;
  const lockedBy = locked ? String(head.lockedBy ?? 'a coordinator') : null;
  const sheetName = String(head.name ?? props.sheet.name);
  const mayEdit = able.draft && (!locked || able.locked);
  const profile = profiles[level];
  const [url, setUrl] = useUrlState();
  const [trouble, setTrouble] = useState('');
  const undo = useRef<Make[]>([]);
  const rules = useStaffRules();
  const counted = useMemo(
    () =>
      props.games
        .filter((g) => filmKind(g.info) === ownFilm(level))
        .flatMap((g) => countGame(g.snaps.map(fullSnap), profiles[g.info.level], book, rules)),
    [props.games, profiles, level, book, rules],
  );
  const own = useMemo(() => buildColumns(counted, rules.success), [counted, rules]);
  const [looked, setLooked] = useState<PlayCard | null>(null);
  const section = SECTIONS.find((s) => s.key === url.get('section')) ?? SECTIONS[1]!;
  const suggestions = useMemo(() => suggestCalls(plays, own, team, section), [plays, own, team, section]);
  const usage = useMemo(
    () => new Map(SECTIONS.map((s) => [s.key, expectedUsage(own, team, s)])),
    [own, team],
  );
  const printed = useMemo(() => numberSheet(calls), [calls]);
  const numbers = new Map(printed.flatMap((p) => p.calls.map((c) => [c.id, c.number])));
  const paperPages = useMemo(
    () => Math.max(layoutSheet(printed, 'letter').pages.length, layoutSheet(printed, 'a4').pages.length),
    [printed],
  );
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const reel = url.get('reel');

  /** Shown at once, durable in this browser, sent in order; what the store refuses is listed with its reason. */
  const send = async (make: Make, back: Make | null): Promise<void> => {
    try {
      await push(make);
      setTrouble('');
      if (back) undo.current.push(back);
    } catch (e) {
      setTrouble(`This browser could not store the change (${(e as Error).message}); nothing was changed.`);
    }
  };
  const inSection = (section: string): readonly SheetCall[] =>
    printed.find((p) => p.section.key === section)?.calls ?? [];
  /** The call a place follows: the one before `before`, or the last of the section. */
  const afterOf = (section: string, before: string | null, except: string | null): string | null => {
    const list = inSection(section).filter((x) => x.id !== except);
    const at = before === null ? -1 : list.findIndex((x) => x.id === before);
    return (at < 0 ? list[list.length - 1] : list[at - 1])?.id ?? null;
  };
  const putCall =
    (id: string, section: string, play: PlayCard, after: string | null, more: object = {}): Make =>
    (o) => [o.put('call', id, { section, play: play.id, hash: null, note: null, ...more }, after)];
  const add = (play: PlayCard, to: string, before: string | null) => {
    const id = crypto.randomUUID();
    void send(putCall(id, to, play, afterOf(to, before, null)), (o) => [o.remove('call', id)]);
  };
  const remove = (c: SheetCall) =>
    void send(
      (o) => [o.remove('call', c.id)],
      putCall(c.id, c.section, c.play, afterOf(c.section, c.id, null), { hash: c.hash, note: c.note }),
    );
  const move = (c: SheetCall, to: string, before: string | null) => {
    const from = afterOf(c.section, c.id, null);
    void send(
      (o) => [o.move('call', c.id, { section: to }, afterOf(to, before, c.id))],
      (o) => [o.move('call', c.id, { section: c.section }, from)],
    );
  };
  const nudge = (c: SheetCall, by: number) => {
    const list = inSection(c.section);
    const i = list.findIndex((x) => x.id === c.id);
    if (by < 0 && i > 0) move(c, c.section, list[i - 1]!.id);
    if (by > 0 && i < list.length - 1) move(c, c.section, list[i + 2]?.id ?? null);
  };
  const takeBack = () => {
    const back = undo.current.pop();
    if (back) void send(back, null);
  };

  const dropped = (e: DragEndEvent) => {
    const to = e.over?.id;
    if (typeof to !== 'string' || !mayEdit) return;
    const [kind, id] = String(e.active.id).split('|') as [string, string];
    const target = to.startsWith('call|') ? calls.find((c) => c.id === to.slice(5)) : undefined;
    const where = target?.section ?? to.slice('section|'.length);
    if (kind === 'play') {
      const play = plays.find((p) => p.id === id);
      if (play) add(play, where, target?.id ?? null);
    } else {
      const call = calls.find((c) => c.id === id);
      if (call && call.id !== target?.id) move(call, where, target?.id ?? null);
    }
  };
  const answers = looked
    ? (() => {
        const structure = drawSnap(book, playFields(looked), null, profile, { settings: rules.look }).look
          ?.offense.snap.label;
        return structure === undefined ? [] : answersTo(own, props.sheet.opponent, structure);
      })()
    : [];
  /** Set-ups that stand neither on the film nor before their play on this sheet. */
  const waiting = calls.flatMap((c) =>
    countLinks(c.play, plays, own, team)
      .filter(
        (l) =>
          l.link.kind === 'set-up' &&
          !l.ready &&
          !calls.some(
            (x) => x.play.id === l.link.play && (numbers.get(x.id) ?? 0) < (numbers.get(c.id) ?? 0),
          ),
      )
      .map((l) => ({ call: c, l })),
  );
  const reelSnaps = (name: string) => {
    const [id, which] = name.split('|');
    if (which?.startsWith('answer'))
      return {
        title: `${props.opponentName} defense`,
        rows: answers[Number(which.slice(6))]?.rows ?? new Uint32Array(0),
      };
    if (which === 'link') {
      const w = waiting.find((x) => x.l.link.play === id);
      return { title: `${w?.l.play?.name ?? ''} on own film`, rows: w?.l.rows ?? new Uint32Array(0) };
    }
    const s = suggestions.find((x) => x.play.id === id);
    return {
      title: s ? `${s.play.name}, ${which === 'here' ? section.label : 'anywhere'}` : '',
      rows: (which === 'here' ? s?.hereRows : s?.allRows) ?? new Uint32Array(0),
    };
  };
  const shown = reel ? reelSnaps(reel) : null;
  const nameOfGame = gameNames(props.games.map((g) => g.info));
  const never = suggestions.filter((s) => s.all.n === 0);

  return (
    <DndContext id="plan" sensors={sensors} onDragEnd={dropped}>
      <div
        className="toolbar"
        onKeyDown={(e) => {
          if ((e.ctrlKey || e.metaKey) && e.key === 'z') {
            e.preventDefault();
            takeBack();
          }
        }}
      >
        <SheetName
          name={sheetName}
          rest={`${props.teamName} offense against ${props.opponentName}`}
          onRename={
            mayEdit
              ? (name) =>
                  void send(
                    (o) => [o.patch(scope, 'sheet', props.sheet.key, { name })],
                    (o) => [o.patch(scope, 'sheet', props.sheet.key, { name: sheetName })],
                  )
              : null
          }
        />
        <span className="small quiet">
          {calls.length} {calls.length === 1 ? 'call' : 'calls'}
          {paperPages === 1 ? ', fits one page' : `, ${paperPages} pages`}
          {lockedBy ? ` · locked by ${lockedBy}` : ''}
        </span>
        <span style={{ marginLeft: 'auto', display: 'flex', gap: 8 }}>
          {mayEdit && <Button onClick={takeBack}>Undo</Button>}
          {able.draft && (
            <form action={props.copy}>
              <Button type="submit">Copy</Button>
            </form>
          )}
          {able.lock && (
            <Button
              onClick={() =>
                void send((o) => [o.patch(scope, 'sheet', props.sheet.key, { locked: !locked })], null)
              }
            >
              {locked ? 'Unlock' : 'Lock'}
            </Button>
          )}
          <Button variant="outlined" component={Link} href={`/plan/${props.sheet.key}/print`}>
            Print preview
          </Button>
        </span>
      </div>
      {trouble && (
        <div className="card flag" role="alert">
          {trouble}
        </div>
      )}
      {conflicts.length + refused.length > 0 && (
        <div className="card" role="alert">
          <ul className="plainlist" aria-label="Changes to settle">
            {[...conflicts, ...refused].map((q) => (
              <Unsettled key={q.op.id} entry={q} />
            ))}
          </ul>
        </div>
      )}
      {waiting.length > 0 && (
        <ul className="card plainlist" aria-label="Set-ups that are missing">
          {waiting.map(({ call, l }) => (
            <li key={`${call.id}${l.link.play}`} className="flag">
              <strong>{call.play.name}</strong> needs its set-up: {l.play?.name ?? 'a play that is gone'} has
              been{' '}
              <button
                type="button"
                className="plain"
                onClick={() => setUrl({ reel: `${l.link.play}|link` }, true)}
              >
                shown {l.rows.length}
              </button>{' '}
              of {l.link.least} {l.link.least === 1 ? 'time' : 'times'} and stands nowhere before call{' '}
              {numbers.get(call.id)}.
            </li>
          ))}
        </ul>
      )}
      <div className="plangrid">
        <section className="card" aria-label="Suggestions">
          <TextField
            select
            fullWidth
            label="plays for"
            value={section.key}
            onChange={(e) => setUrl({ section: e.target.value, reel: null })}
            helperText={`${usageText(usage.get(section.key) ?? null)}; ranked by the low end of own success there`}
          >
            {SECTIONS.map((s) => (
              <MenuItem key={s.key} value={s.key}>
                {s.label}
              </MenuItem>
            ))}
          </TextField>
          <ul className="plainlist suggest" tabIndex={0} aria-label={`Plays for ${section.label}`}>
            {suggestions
              .filter((s) => s.all.n > 0)
              .map((s) => (
                <SuggestionRow
                  key={s.play.id}
                  s={s}
                  section={section}
                  mayEdit={mayEdit}
                  on={calls.some((c) => c.section === section.key && c.play.id === s.play.id)}
                  onAdd={() => add(s.play, section.key, null)}
                  onReel={(which) => setUrl({ reel: `${s.play.id}|${which}` }, true)}
                />
              ))}
            {never.length > 0 && (
              <li>
                <span className="quiet small">
                  {never.length} {never.length === 1 ? 'play has' : 'plays have'} no own film:
                </span>
                {never.map((s) => (
                  <div key={s.play.id} style={{ display: 'flex', justifyContent: 'space-between' }}>
                    <span>{s.play.name}</span>
                    {mayEdit && (
                      <Button
                        onClick={() => add(s.play, section.key, null)}
                        aria-label={`add ${s.play.name} to ${section.label}`}
                      >
                        add
                      </Button>
                    )}
                  </div>
                ))}
              </li>
            )}
            {plays.length === 0 && (
              <li className="quiet">
                The play list is empty; add plays in the <Link href="/book">Book</Link>.
              </li>
            )}
          </ul>
        </section>
        <div className="sheet" aria-label="The sheet" role="region">
          {SECTIONS.map((s) => (
            <Section
              key={s.key}
              section={s}
              active={s.key === section.key}
              filled={calls.some((c) => c.section === s.key)}
              usage={usageText(usage.get(s.key) ?? null)}
              onActivate={() => setUrl({ section: s.key, reel: null })}
            >
              {(printed.find((p) => p.section.key === s.key)?.calls ?? []).map((c) => (
                <CallRow
                  key={c.id}
                  call={c}
                  number={numbers.get(c.id) ?? 0}
                  mayEdit={mayEdit}
                  onRemove={() => remove(c)}
                  onNudge={(by) => nudge(c, by)}
                  onLook={() => setLooked(c.play)}
                  onHash={(hash) =>
                    void send(
                      (o) => [o.patch(scope, 'call', c.id, { hash })],
                      (o) => [o.patch(scope, 'call', c.id, { hash: c.hash })],
                    )
                  }
                />
              ))}
            </Section>
          ))}
        </div>
      </div>
      {looked && (
        <LookCard
          key={looked.id}
          book={book}
          profile={profile}
          fields={playFields(looked)}
          hash={null}
          answers={answers.map((a, i) => ({
            ...a,
            onOpen: () => setUrl({ reel: `${looked.id}|answer${i}` }, true),
          }))}
          onClose={() => setLooked(null)}
        />
      )}
      {shown && (
        <Reel
          title={shown.title}
          snaps={[...shown.rows].map((i) => counted[i]!)}
          book={book}
          profile={profile}
          gameName={nameOfGame}
          onClose={() => setUrl({ reel: null })}
        />
      )}
    </DndContext>
  );
}

function SuggestionRow({
  s,
  section,
  mayEdit,
  on,
  onAdd,
  onReel,
}: {
  s: Suggestion;
  section: SectionSpec;
  mayEdit: boolean;
  on: boolean;
  onAdd: () => void;
  onReel: (which: 'here' | 'all') => void;
}) {
  const drag = useDraggable({ id: `play|${s.play.id}`, disabled: !mayEdit });
  return (
    <li
      ref={drag.setNodeRef}
      style={{
        opacity: drag.isDragging ? 0.5 : 1,
        transform: drag.transform ? `translate(${drag.transform.x}px, ${drag.transform.y}px)` : undefined,
        position: 'relative',
        zIndex: drag.isDragging ? 5 : undefined,
        background: 'var(--card)',
      }}
    >
      <div style={{ display: 'flex', justifyContent: 'space-between', alignItems: 'start', gap: 6 }}>
        <span
          {...(mayEdit ? { onPointerDown: drag.listeners?.onPointerDown as React.PointerEventHandler } : {})}
          style={{ cursor: mayEdit ? 'grab' : undefined, flex: 1 }}
        >
          <strong>{s.play.name}</strong>
          <br />
          <span className="small quiet">
            {playLook(s.play)} · {playCall(s.play)}
          </span>
        </span>
        {mayEdit && (
          <Button variant="outlined" onClick={onAdd} aria-label={`add ${s.play.name} to ${section.label}`}>
            {on ? 'again' : 'add'}
          </Button>
        )}
      </div>
      {s.here.n > 0 ? (
        <RateBar rate={s.here} label="success" onOpen={() => onReel('here')} />
      ) : (
        <span className="small quiet">not run in this situation</span>
      )}
      <div className="small quiet">
        <button type="button" className="plain" onClick={() => onReel('all')}>
          anywhere {s.all.k} of {s.all.n}
        </button>
      </div>
    </li>
  );
}

function Section({
  section,
  active,
  filled,
  usage,
  onActivate,
  children,
}: {
  section: SectionSpec;
  active: boolean;
  filled: boolean;
  usage: string;
  onActivate: () => void;
  children: React.ReactNode;
}) {
  const drop = useDroppable({ id: `section|${section.key}` });
  return (
    <section
      ref={drop.setNodeRef}
      className={`section${active ? ' active' : ''}${filled ? ' filled' : ''}${drop.isOver ? ' over' : ''}`}
      aria-label={section.label}
    >
      <header>
        <button type="button" className="plain" onClick={onActivate} aria-pressed={active}>
          <strong>{section.label}</strong>
        </button>
        <span className="small quiet">{usage}</span>
      </header>
      {filled ? (
        <ol className="plainlist">{children}</ol>
      ) : (
        <p className="small quiet" style={{ padding: '4px 8px' }}>
          no call yet
        </p>
      )}
    </section>
  );
}

const HASH_STEPS: readonly SheetCall['hash'][] = [null, 'L', 'M', 'R'];

function CallRow({
  call,
  number,
  mayEdit,
  onRemove,
  onNudge,
  onLook,
  onHash,
}: {
  call: SheetCall;
  number: number;
  mayEdit: boolean;
  onRemove: () => void;
  onNudge: (by: number) => void;
  onLook: () => void;
  onHash: (hash: SheetCall['hash']) => void;
}) {
  const drag = useDraggable({ id: `move|${call.id}`, disabled: !mayEdit });
  const drop = useDroppable({ id: `call|${call.id}` });
  const next = HASH_STEPS[(HASH_STEPS.indexOf(call.hash) + 1) % HASH_STEPS.length] ?? null;
  return (
    <li
      className="call"
      data-testid="call"
      tabIndex={0}
      aria-label={`call ${number}: ${playLook(call.play)}, ${playCall(call.play)}${mayEdit ? '. Alt with up and down moves it, Delete removes it' : ''}`}
      ref={(node) => {
        drag.setNodeRef(node);
        drop.setNodeRef(node);
      }}
      style={{
        borderTop: drop.isOver ? '2px solid var(--us)' : undefined,
        opacity: drag.isDragging ? 0.5 : 1,
        transform: drag.transform ? `translate(${drag.transform.x}px, ${drag.transform.y}px)` : undefined,
      }}
      onKeyDown={(e) => {
        if (!mayEdit || e.target !== e.currentTarget) return;
        if (e.key === 'Delete' || e.key === 'Backspace') {
          e.preventDefault();
          onRemove();
        }
        if (e.altKey && e.key === 'ArrowUp') {
          e.preventDefault();
          onNudge(-1);
        }
        if (e.altKey && e.key === 'ArrowDown') {
          e.preventDefault();
          onNudge(1);
        }
      }}
    >
      <span className="no">{number}</span>
      <span
        className="what"
        onPointerDown={mayEdit ? (drag.listeners?.onPointerDown as React.PointerEventHandler) : undefined}
        style={{ cursor: mayEdit ? 'grab' : undefined }}
      >
        {playLook(call.play)} · <strong>{playCall(call.play)}</strong>
      </span>
      <span style={{ display: 'flex' }}>
        <button
          type="button"
          className="plain small quiet noprint"
          style={{ padding: '0 4px' }}
          onClick={onLook}
          aria-label={`look card of call ${number}`}
        >
          look
        </button>
        <button
          type="button"
          className="plain"
          style={{ padding: '0 8px' }}
          disabled={!mayEdit}
          onClick={() => onHash(next)}
          aria-label={`hash of call ${number}: ${call.hash ?? 'any'}; press for ${next ?? 'any'}`}
        >
          {call.hash ?? '·'}
        </button>
        {mayEdit && (
          <button
            type="button"
            className="plain noprint"
            style={{ padding: '0 8px' }}
            onClick={onRemove}
            aria-label={`remove call ${number}`}
          >
            ×
          </button>
        )}
      </span>
    </li>
  );
}
