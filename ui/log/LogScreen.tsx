'use client';
/** Log: the strip, the line, the drawing, the arithmetic. All of it by keyboard. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useRouter } from 'next/navigation';
import { lookOf, type Book } from '@/core/book';
import { lookSentences, peopleNote } from '@/core/look';
import { bucketOf } from '@/core/field/situation';
import type { LevelProfile } from '@/core/field/profile';
import {
  changedFields,
  complete,
  editLine,
  formatLine,
  frequenciesOf,
  HELP,
  parseLine,
  stateAfter,
  type FrequencyRow,
  type LineContext,
} from '@/core/line';
import {
  carryInto,
  checkRows,
  describeState,
  explain,
  walkGame,
  type GameState,
  type Remedy,
  type WalkedSnap,
} from '@/core/rules';
import { sameValue, type Snap, type SnapField, type SnapFields } from '@/core/snap';
import { gameScope, type Operation, type Pulled } from '@/core/sync';
import { snapOfRow } from '@/core/exchange/from-rows';
import type { GameInfo, TeamInfo } from '@/core/exchange/types';
import { draftOf, keepDraft } from '@/client/offline';
import type { Outbox, View } from '@/client/outbox';
import { useScope, useSync } from '@/client/SyncProvider';
import { Chalk } from '../chalk/Chalk';
import { FieldStrip } from './FieldStrip';
import { LookCard } from '../look/LookCard';
import { useStaffRules } from '../StaffRules';
import { useAlive } from '../useAlive';
import { Unsettled } from '../sync/SaveStatus';
import { SnapLine } from './SnapLine';

export interface LogScreenProps {
  readonly game: GameInfo;
  readonly teams: readonly TeamInfo[];
  readonly book: Book;
  readonly profile: LevelProfile;
  readonly initial: Pulled;
  readonly history: Readonly<Record<string, readonly FrequencyRow[]>>;
  readonly open: string | null;
}

type Mode =
  | { readonly kind: 'next' }
  | { readonly kind: 'edit'; readonly snapId: string }
  | { readonly kind: 'insert'; readonly before: string }
  | { readonly kind: 'fix'; readonly id: string };
type Make = (outbox: Outbox) => readonly Operation[];
interface Undo {
  readonly undo: Make;
  readonly redo: Make;
}

const NEXT: Mode = { kind: 'next' };

/** Log with the book, which travels as one text. */
export function LogPage({
  bookText,
  ...props
}: Omit<LogScreenProps, 'book'> & { readonly bookText: string }) {
  const book = useMemo(() => JSON.parse(bookText) as Book, [bookText]);
  return <LogScreen {...props} book={book} />;
}

export function LogScreen(props: LogScreenProps) {
  const { game, book, teams, profile } = props;
  const scope = gameScope(game.key);
  const { owner, opened: outboxOpened } = useSync();
  const { rows: stored, conflicts, refused, push, view } = useScope(scope, props.initial);
  const snaps = useMemo(() => stored.map((r) => snapOfRow(r, game.key)), [stored, game.key]);
  const alive = useAlive();
  const rules = useStaffRules();
  const router = useRouter();
  const rows = useMemo(
    () => walkGame(snaps, profile, { buckets: rules.buckets, zones: rules.zones }),
    [snaps, profile, rules],
  );
  const findings = useMemo(() => checkRows(rows), [rows]);
  const [mode, setMode] = useState<Mode>(() => (props.open ? { kind: 'edit', snapId: props.open } : NEXT));
  const [text, setText] = useState('');
  const [shown, setShown] = useState('');
  const [caret, setCaret] = useState(0);
  const [chosen, setChosen] = useState(0);
  const [start, setStart] = useState<string | null>(null);
  const [confirm, setConfirm] = useState(false);
  const [help, setHelp] = useState(false);
  const [card, setCard] = useState(false);
  const [said, setSaid] = useState('');
  const [trouble, setTrouble] = useState('');
  /** The line on its way to this browser's disk, and whether Enter was pressed again meanwhile. */
  const openedOn = useRef<View | undefined>(undefined);
  const holding = useRef<string | null>(null);
  const enterAgain = useRef(false);
  const latest = useRef('');
  latest.current = text;
  const input = useRef<HTMLInputElement>(null);
  const undo = useRef<{ done: Undo[]; undone: Undo[] }>({ done: [], undone: [] });
  const draftKey = `${owner}.${game.key}`;

  const fixing = mode.kind === 'fix' ? refused.find((q) => q.op.id === mode.id) : undefined;
  const placeOf = (after: string | null): number =>
    after === null ? 0 : rows.findIndex((r) => r.snap.snapId === after) + 1 || rows.length;
  const at =
    mode.kind === 'edit' || mode.kind === 'insert'
      ? rows.findIndex((r) => r.snap.snapId === (mode.kind === 'edit' ? mode.snapId : mode.before))
      : fixing?.op.do === 'put'
        ? placeOf(fixing.op.after)
        : rows.length;
  const row: WalkedSnap | null = mode.kind === 'edit' ? (rows[at] ?? null) : null;
  const previousRow = rows[at - 1] ?? null;

  /** The situation the line is typed in; a typed quarter may open a half, where nothing is carried. */
  const stateFor = useCallback(
    (quarter: number | null): GameState => {
      if (row) return { ...row.expected, ...fill(row) };
      const { expected, anchored } = carryInto(
        previousRow && { state: previousRow.after.state, quarter: previousRow.before.quarter },
        quarter,
      );
      if (!anchored || start === null) return expected;
      const other = start === game.home ? game.away : game.home;
      const kicking = quarter === null || quarter <= 4;
      return {
        ...expected,
        offense: start,
        defense: other,
        unit: kicking ? 'kickoff' : 'scrimmage',
        quarter: quarter ?? (previousRow ? null : 1),
        score: { [game.home]: 0, [game.away]: 0, ...expected.score },
        toGoal: kicking ? profile.kickoffToGoal : profile.overtimeToGoal,
        down: kicking ? null : 1,
        distance: kicking ? null : 10,
      };
    },
    [row, previousRow, start, game.home, game.away, profile],
  );

  const quarterTyped = /(?:^|\s)q(\d{1,2})(?=\s|$)/i.exec(text);
  const typedQuarter = quarterTyped ? Number(quarterTyped[1]) : null;
  const state = useMemo(() => stateFor(typedQuarter), [stateFor, typedQuarter]);
  const opensHalf = carryInto(
    previousRow && { state: previousRow.after.state, quarter: previousRow.before.quarter },
    quarterTyped ? Number(quarterTyped[1]) : null,
  ).anchored;
  const previousLook = useMemo(() => {
    for (let i = at - 1; i >= 0; i--)
      if (rows[i]!.before.unit === 'scrimmage' && rows[i]!.before.offense === state.offense)
        return rows[i]!.snap;
    return null;
  }, [rows, at, state.offense]);
  const context: LineContext = useMemo(
    () => ({ book, profile, state, previous: previousLook }),
    [book, profile, state, previousLook],
  );
  const parsed = useMemo(() => parseLine(text, context), [text, context]);
  const follows = useMemo(() => stateAfter(parsed, context), [parsed, context]);
  const frequencies = useMemo(
    () => frequenciesOf(props.history[state.offense ?? ''] ?? []),
    [props.history, state.offense],
  );
  const offers = useMemo(() => {
    const bucket = bucketOf(
      {
        unit: state.unit,
        down: follows.before.down,
        distance: follows.before.distance,
        toGoal: follows.before.toGoal,
        fresh: state.fresh,
      },
      rules.buckets,
    );
    const fields = new Set(Object.keys(parsed.fields) as SnapField[]);
    if (state.unit !== 'scrimmage' && text.trim() === '') return [];
    return complete(text, caret, book, frequencies, bucket, fields, 4);
  }, [text, caret, book, frequencies, state, follows, parsed, rules]);

  // A word still being typed is not wrong yet: completions stand where its problem would.
  const problems = useMemo(
    () => parsed.problems.filter((p) => !(p.code === 'unknown-word' && p.end === caret && offers.length > 0)),
    [parsed, caret, offers],
  );

  // The draft survives a reload; an edit opens with the snap's line.
  const opened = useRef('');
  const begun = useRef(false);
  useEffect(() => {
    const key = mode.kind === 'edit' ? mode.snapId : mode.kind === 'fix' ? mode.id : mode.kind;
    if (opened.current === key) {
      // A line nobody has touched yet follows its snap: an undo on its way, another member's change.
      if (mode.kind !== 'edit' || !row || latest.current !== shown) return;
      const line = editLine(row, { book, profile, state: { ...row.expected, ...fill(row) }, previous: null });
      if (line === shown) return;
      openedOn.current = view();
      setText(line);
      setShown(line);
      return;
    }
    const first = !begun.current && mode.kind === 'next';
    begun.current = true;
    opened.current = key;
    if (first) {
      // Keys typed before the page was alive are in the field already: they come after the draft, none is lost.
      const early = input.current?.value ?? '';
      const draft = draftOf(draftKey);
      setText((now) =>
        [draft, now === '' ? early : now].filter(Boolean).join(draft.endsWith(' ') ? '' : ' '),
      );
      setShown('');
    } else if (mode.kind === 'edit' && row) {
      openedOn.current = view();
      const line = editLine(row, { book, profile, state: { ...row.expected, ...fill(row) }, previous: null });
      setText(line);
      setShown(line);
    } else if (fixing) {
      setText(
        formatLine(fixing.op.do === 'put' ? (fixing.op.fields as SnapFields) : {}, {
          book,
          profile,
          state,
          previous: null,
        }),
      );
      setShown('');
      openedOn.current = undefined;
    } else {
      openedOn.current = undefined;
      setText(mode.kind === 'next' ? draftOf(draftKey) : '');
      setShown('');
    }
    setConfirm(false);
    input.current?.focus();
  }, [mode, row, book, profile, draftKey, fixing]); // eslint-disable-line react-hooks/exhaustive-deps
  useEffect(() => {
    if (mode.kind !== 'next') return;
    keepDraft(draftKey, text);
  }, [text, mode.kind, draftKey]);
  const onText = (value: string, position: number) => {
    if (value === '?') return setHelp(true);
    latest.current = value;
    setText(value);
    setCaret(position);
    setChosen(0);
    setConfirm(false);
  };
  const replace = (from: number, to: number, words: string) => {
    const next = `${text.slice(0, from)}${words} ${text.slice(to).replace(/^ /, '')}`;
    const position = from + words.length + 1;
    setText(next);
    setCaret(position);
    setChosen(0);
    setConfirm(false);
    requestAnimationFrame(() => input.current?.setSelectionRange(position, position));
    input.current?.focus();
  };
  const takeOffer = (i: number) => {
    const o = offers[i];
    if (o) replace(o.start, o.end, o.insert);
  };
  const takeCandidate = (p: number, c: number) => {
    const problem = problems[p];
    const candidate = problem?.candidates[c];
    if (problem && candidate) replace(problem.start, problem.end, candidate.text);
  };

  /** True when the change is on this browser's disk. The line stays until it is. */
  const act = async (doing: Make, undoing: Make, words: string, redoing: Make = doing): Promise<boolean> => {
    try {
      await push(doing);
    } catch (e) {
      setTrouble(
        `This browser could not keep it (${(e as Error).name === 'QuotaExceededError' ? 'its storage is full' : (e as Error).message}). The line stays; free some space and press Enter again.`,
      );
      return false;
    }
    undo.current.done.push({ undo: undoing, redo: redoing });
    undo.current.undone = [];
    setTrouble('');
    setSaid(words);
    return true;
  };
  const step = async (back: boolean) => {
    const from = back ? undo.current.done : undo.current.undone;
    const entry = from.pop();
    if (!entry) return setSaid(back ? 'nothing to undo' : 'nothing to redo');
    try {
      await push(back ? entry.undo : entry.redo);
    } catch (e) {
      from.push(entry);
      return setTrouble(`This browser could not keep it (${(e as Error).message}).`);
    }
    (back ? undo.current.undone : undo.current.done).push(entry);
    setSaid(back ? 'undone' : 'done again');
    opened.current = '';
    setMode(NEXT);
  };

  const patchWith = async (
    patches: readonly { snapId: string; fields: SnapFields }[],
    words: string,
    readAt?: View,
  ): Promise<boolean> => {
    const changes = patches.flatMap(({ snapId, fields }) => {
      const now = snaps.find((s) => s.snapId === snapId);
      const changed = now
        ? Object.keys(fields).filter(
            (f) => !sameValue(now[f as keyof Snap] ?? null, fields[f as SnapField] ?? null),
          )
        : [];
      return now && changed.length > 0
        ? [
            {
              snapId,
              after: Object.fromEntries(changed.map((f) => [f, fields[f as SnapField] ?? null])),
              before: Object.fromEntries(changed.map((f) => [f, now[f as keyof Snap]])),
            },
          ]
        : [];
    });
    if (changes.length === 0) return true;
    return act(
      (o) => changes.map((c) => o.patch(scope, 'snap', c.snapId, c.after, readAt)),
      (o) => changes.map((c) => o.patch(scope, 'snap', c.snapId, c.before)),
      words,
    );
  };
  const removeSnap = (snapId: string) =>
    act(
      (o) => [o.remove('snap', snapId)],
      (o) => [o.restore('snap', snapId)],
      'removed; Ctrl Z brings it back',
    );

  /** Keeps the line. It is cleared when it is on this browser's disk; what was typed meanwhile is the next one. */
  const keep = async () => {
    if (holding.current !== null) {
      enterAgain.current = true;
      return;
    }
    if (text.trim() === '') return setSaid('the line is empty');
    if (parsed.problems.length > 0 && !confirm) {
      setConfirm(true);
      return setSaid('Enter again keeps it as it is; the words not understood go into the note');
    }
    holding.current = text;
    const done = await write();
    const held = holding.current;
    holding.current = null;
    if (!done) return;
    const rest = latest.current.startsWith(held) ? latest.current.slice(held.length) : '';
    setText(rest);
    setCaret(rest.length);
    setConfirm(false);
    opened.current = 'next';
    setMode(NEXT);
  };
  useEffect(() => {
    if (!enterAgain.current || holding.current !== null) return;
    enterAgain.current = false;
    void keep();
  });

  const write = async (): Promise<boolean> => {
    const unread = parsed.problems
      .map((p) => p.text)
      .filter(Boolean)
      .join(' ');
    if (mode.kind === 'edit') {
      const fields = { ...changedFields(shown, text, context) };
      if (unread) fields.note = [parsed.fields.note, `unread: ${unread}`].filter(Boolean).join('; ');
      return patchWith([{ snapId: mode.snapId, fields }], 'changed', openedOn.current);
    }
    const fields: Record<string, unknown> = { ...parsed.fields };
    if (unread) fields.note = [parsed.fields.note, `unread: ${unread}`].filter(Boolean).join('; ');
    // Nothing is carried in: who puts the ball in play, and from where, is written with the snap.
    if (
      start !== null &&
      state.offense === start &&
      (opensHalf || previousRow?.after.state.offense == null)
    ) {
      Object.assign(fields, {
        offense: fields.offense ?? start,
        defense: fields.defense ?? (start === game.home ? game.away : game.home),
        quarter: fields.quarter ?? state.quarter,
        toGoal: fields.toGoal ?? state.toGoal,
      });
    }
    const clean = Object.fromEntries(Object.entries(fields).filter(([, v]) => v !== undefined));
    if (fixing) {
      try {
        const o = await outboxOpened();
        await o.replace(fixing, [
          o.put('snap', fixing.op.row, clean, fixing.op.do === 'put' ? fixing.op.after : null),
        ]);
      } catch (e) {
        setTrouble(`This browser could not keep it (${(e as Error).message}). The line stays.`);
        return false;
      }
      setSaid('fixed');
      return true;
    }
    const snapId = crypto.randomUUID();
    const after = rows[at - 1]?.snap.snapId ?? null;
    const made = await act(
      (o) => [o.put('snap', snapId, clean, after)],
      (o) => [o.remove('snap', snapId)],
      mode.kind === 'insert' ? 'inserted' : 'kept',
      (o) => [o.restore('snap', snapId)],
    );
    if (made) setStart(null);
    return made;
  };

  const select = (snapId: string) => setMode({ kind: 'edit', snapId });
  const walk = (by: number) => {
    const index = Math.max(0, Math.min(rows.length, at + by));
    if (index === rows.length) leave();
    else select(rows[index]!.snap.snapId);
  };
  const leave = () => {
    setMode(NEXT);
  };
  const remedy = (r: Remedy) => {
    if (r.insertBefore) setMode({ kind: 'insert', before: r.insertBefore });
    else void patchWith(r.patches, `mended: ${r.label}`);
    input.current?.focus();
  };

  const selectedId = mode.kind === 'edit' ? mode.snapId : mode.kind === 'insert' ? mode.before : null;
  const todo = findings.filter((f) => f.level !== 'note');
  const finding =
    (selectedId ? findings.find((f) => f.snapId === selectedId) : undefined) ??
    [...todo].reverse().find((f) => f.number > rows.length - 2) ??
    todo[0] ??
    findings[0] ??
    null;
  const ball = state.offense;
  const needsStart = mode.kind === 'next' && (ball === null || (start !== null && opensHalf));

  const onKey = (e: React.KeyboardEvent<HTMLInputElement>) => {
    const take = (work: () => void) => {
      e.preventDefault();
      work();
    };
    if (e.key === 'Enter') return take(() => void keep());
    const ways = problems[0]?.candidates.length ?? 0;
    if (e.key === 'Tab' && !e.shiftKey && (ways || offers.length))
      return take(() => (ways ? takeCandidate(0, chosen % ways) : takeOffer(chosen)));
    if (e.key === 'Escape')
      return take(() => {
        if (mode.kind === 'next') setText('');
        leave();
      });
    if (e.key === 'ArrowUp') return take(() => walk(-1));
    if (e.key === 'ArrowDown')
      return take(() =>
        mode.kind === 'next' ? setChosen((c) => (c + 1) % Math.max(1, ways || offers.length)) : walk(1),
      );
    if (e.altKey && e.code === 'KeyI' && selectedId)
      return take(() => setMode({ kind: 'insert', before: selectedId }));
    if (e.altKey && e.code === 'KeyL') return take(() => setCard(true));
    if (e.altKey && e.code === 'KeyD' && stranger) return take(drawStranger);
    if (e.altKey && e.code === 'KeyX' && mode.kind === 'edit')
      return take(() => {
        void removeSnap(mode.snapId);
        leave();
      });
    if ((e.ctrlKey || e.metaKey) && e.code === 'KeyZ' && (text === '' || text === shown))
      return take(() => void step(!e.shiftKey));
    if ((e.ctrlKey || e.metaKey) && e.code === 'KeyY' && (text === '' || text === shown))
      return take(() => void step(false));
    const f = /^F([1-4])$/.exec(e.key);
    if (f && finding) {
      if (f[1] === '4')
        return take(() => {
          const i = todo.findIndex((x) => x.snapId === selectedId);
          const next = todo[(i + 1) % todo.length];
          if (next) select(next.snapId);
        });
      const r = finding.remedies[Number(f[1]) - 1];
      if (r) return take(() => remedy(r));
    }
    if (e.key === 'F6' || e.key === 'F7') return take(() => setStart(e.key === 'F6' ? game.home : game.away));
  };

  const nameOf = (key: string) => teams.find((t) => t.key === key)?.name ?? key;
  const label =
    mode.kind === 'fix'
      ? `fixing a refused snap, after snap ${at}`
      : mode.kind === 'next'
        ? `snap ${rows.length + 1}${ball ? `, ${ball}` : ''}`
        : mode.kind === 'edit'
          ? `editing snap ${at + 1}`
          : `inserting before snap ${at + 1}`;
  const hint = confirm
    ? 'keep it as it is'
    : mode.kind === 'edit'
      ? 'keep the change'
      : mode.kind === 'insert' || mode.kind === 'fix'
        ? 'put it in'
        : 'keep, next snap';
  const open =
    follows.after.unknown.includes('no_result') ||
    follows.after.unknown.includes('no_gain') ||
    Object.keys(parsed.fields).length === 0;
  const drawn = useMemo(
    (): SnapFields => (text.trim() === '' && previousLook ? {} : parsed.fields),
    [text, previousLook, parsed],
  );
  const says = useMemo(() => {
    if (!alive) return '';
    const look = lookOf(book, { ...drawn, hash: follows.before.hash }, profile, rules.look);
    const people = look
      ? peopleNote(typeof drawn.personnel === 'string' ? drawn.personnel : null, look.offense.set)
      : null;
    return [
      people,
      ...(look?.defense
        ? lookSentences(look, rules.look)
            .filter((t) => /box|hats|receivers|to block|Unblocked|Nobody/.test(t))
            .slice(0, people ? 2 : 3)
        : []),
    ]
      .filter(Boolean)
      .join(' ');
  }, [alive, book, drawn, follows.before.hash, profile, rules]);
  const stranger = problems[0]?.code === 'unknown-word' ? problems[0].text : null;
  /** An unknown word may be a formation nobody has drawn: the line waits as a draft while it is. */
  const drawStranger = () => {
    if (stranger)
      router.push(
        `/book/draw?name=${encodeURIComponent(stranger)}&back=${encodeURIComponent(`/log/${game.key}`)}`,
      );
  };

  return (
    <>
      <h1 className="hide">
        Log: {nameOf(game.away)} at {nameOf(game.home)}
      </h1>
      {trouble && (
        <div className="card flag" role="alert">
          <strong>Not kept.</strong> {trouble}
        </div>
      )}
      {conflicts.length + refused.length > 0 && (
        <div className="card" role="alert">
          <ul className="plainlist" aria-label="Changes to settle">
            {conflicts.map((q) => (
              <Unsettled
                key={q.op.id}
                entry={q}
                place={`on snap ${rows.findIndex((r) => r.snap.snapId === q.op.row) + 1}`}
                onFix={() => select(q.op.row)}
              />
            ))}
            {refused.map((q) => (
              <Unsettled
                key={q.op.id}
                entry={q}
                {...(q.op.do === 'put'
                  ? {
                      line: formatLine(q.op.fields as SnapFields, {
                        book,
                        profile,
                        state: null,
                        previous: null,
                      }),
                    }
                  : {})}
                place={
                  q.op.do === 'put'
                    ? `after snap ${placeOf(q.op.after)}`
                    : `on snap ${rows.findIndex((r) => r.snap.snapId === q.op.row) + 1}`
                }
                onFix={() => (q.op.do === 'put' ? setMode({ kind: 'fix', id: q.op.id }) : select(q.op.row))}
              />
            ))}
          </ul>
        </div>
      )}
      <div className="loggrid">
        <div className="logside">
          {alive ? (
            <FieldStrip
              rows={rows}
              rightward={game.home}
              leftward={game.away}
              selected={selectedId}
              marked={new Set(todo.map((f) => f.snapId))}
              onSelect={select}
            />
          ) : (
            <section
              className="card"
              aria-label="The game so far"
              aria-busy="true"
              style={{ minHeight: 320 }}
            />
          )}
        </div>
        <div className="logside">
          <section className="card" aria-label="Chalk drawing">
            {alive ? (
              <Chalk book={book} profile={profile} fields={drawn} hash={follows.before.hash} height={200} />
            ) : (
              <div style={{ height: 200 }} />
            )}
            {says && (
              <p className="small" data-testid="says">
                {says}
              </p>
            )}
          </section>
          <section className="card arith" aria-label="Arithmetic" aria-live="polite">
            <div>
              <span className="small quiet">before{ball ? `, ${ball} has the ball` : ''}</span>
              <div className="big" data-testid="before">
                {short(follows.before)}
              </div>
              <span className="small">{rest(follows.before)}</span>
            </div>
            <div aria-hidden="true" className="big">
              →
            </div>
            <div>
              <span className="small quiet">
                {open ? 'no result yet' : explain(follows.after.steps) || 'after'}
              </span>
              <div className="big" data-testid="after">
                {open ? '…' : short(follows.after.state)}
              </div>
              <span className="small">
                {open
                  ? ''
                  : `${rest(follows.after.state)}${follows.after.state.offense && follows.after.state.offense !== ball ? `, ${follows.after.state.offense} ball` : ''}`}
              </span>
            </div>
          </section>
          {needsStart && (
            <section className="card flag" aria-label="Who starts">
              <strong>Who puts the ball in play?</strong> Nothing carries into this snap.
              <span className="remedies">
                {[game.home, game.away].map((t, i) => (
                  <Button
                    key={t}
                    variant={start === t ? 'contained' : 'outlined'}
                    onClick={() => {
                      setStart(t);
                      input.current?.focus();
                    }}
                  >
                    <kbd>F{6 + i}</kbd>&nbsp;{nameOf(t)}
                  </Button>
                ))}
              </span>
            </section>
          )}
          {finding ? (
            <section
              className={`card ${finding.level === 'note' ? '' : 'flag'}`}
              aria-label="What does not follow"
              data-testid="finding"
            >
              <button type="button" className="plain" onClick={() => select(finding.snapId)}>
                <strong>
                  Snap {finding.number}
                  {finding.level === 'finding'
                    ? ' does not follow'
                    : finding.level === 'note'
                      ? ', rounding'
                      : ', cannot know'}
                  .
                </strong>
              </button>{' '}
              {finding.sentence}
              <span className="remedies">
                {finding.remedies.slice(0, 3).map((r, i) => (
                  <button key={r.label} type="button" className="plain" onClick={() => remedy(r)}>
                    <kbd>F{i + 1}</kbd> {r.label}
                  </button>
                ))}
                {todo.length > 1 && (
                  <span className="quiet small">
                    <kbd>F4</kbd> next of {todo.length}
                  </span>
                )}
              </span>
            </section>
          ) : (
            rows.length > 0 && (
              <section className="card small quiet">All {rows.length} snaps follow from one another.</section>
            )
          )}
        </div>
      </div>
      <SnapLine
        ref={input}
        text={text}
        parsed={parsed}
        problems={problems}
        offers={offers}
        chosen={chosen}
        label={label}
        hint={hint}
        onText={onText}
        onKey={onKey}
        onOffer={takeOffer}
        onCandidate={takeCandidate}
        onDraw={stranger ? drawStranger : null}
      />
      <p className="small quiet" style={{ display: 'flex', gap: 16, flexWrap: 'wrap' }}>
        <span role="status" data-testid="said">
          {said}
        </span>
        <span>
          <kbd>↑</kbd> <kbd>↓</kbd> earlier snaps
        </span>
        <span>
          <kbd>Alt I</kbd> insert before
        </span>
        <span>
          <kbd>Alt X</kbd> remove
        </span>
        <span>
          <kbd>Alt L</kbd> look card
        </span>
        <span>
          <kbd>Ctrl Z</kbd> undo
        </span>
        <span>
          <kbd>Esc</kbd> back to the next snap
        </span>
      </p>
      {card && (
        <LookCard
          book={book}
          profile={profile}
          fields={drawn}
          hash={follows.before.hash}
          onClose={() => {
            setCard(false);
            requestAnimationFrame(() => input.current?.focus());
          }}
        />
      )}
      <Dialog
        open={help}
        onClose={() => {
          setHelp(false);
          setText('');
        }}
        aria-labelledby="help-title"
        maxWidth="md"
      >
        <DialogTitle id="help-title">The snap line</DialogTitle>
        <DialogContent>
          <table className="rows">
            <thead>
              <tr>
                <th>written</th>
                <th>means</th>
              </tr>
            </thead>
            <tbody>
              {HELP.map(([w, m]) => (
                <tr key={w}>
                  <td className="mono">{w}</td>
                  <td>{m}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="small">
            Words come in any order. Any word of your book counts, the longest match wins. <kbd>Esc</kbd>{' '}
            closes this.
          </p>
        </DialogContent>
      </Dialog>
    </>
  );
}

const short = (s: GameState): string => describeState(s).split(',')[0]!;
const rest = (s: GameState): string => describeState(s).split(', ').slice(1).join(', ');

/** In an edit, blanks of the expected situation are filled by what the snap itself anchors. */
function fill(row: WalkedSnap): Partial<GameState> {
  const { before, expected } = row;
  return {
    offense: before.offense,
    defense: before.defense,
    ...(expected.unit === null || before.offense !== expected.offense
      ? { unit: before.unit, score: before.score }
      : {}),
  };
}
