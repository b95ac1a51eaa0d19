'use client';
/** A formation made by hand: eleven points on a field to scale, dragged or moved by keys, typed, or begun from another. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useRef, useState, useTransition } from 'react';
import {
  backfieldSpots,
  formationSpots,
  formatSpots,
  nearestFormations,
  retypeMen,
  SAME_FORMATION,
  type Book,
} from '@/core/book';
import type { BookAnswer } from '@/core/exchange/types';
import { fieldSides, LEVEL_KEYS, sideWord, type Hash, type LevelKey, type Profiles } from '@/core/field';
import {
  atSnap,
  draw,
  landmarks,
  legality,
  lineUp,
  mirrorLineUp,
  motionChange,
  recognizeMotion,
  shapeOf,
  snapSpot,
  structure,
  structureWords,
  type Man,
  type Point,
} from '@/core/look';
import { Marks } from '../chalk/Marks';
import { savePng, saveSvg } from '../chalk/save';
import { useStaffRules } from '../StaffRules';
import { useBook } from './use-book';
import { listOf } from './WordDialogs';
import type { Pulled } from '@/core/sync';
import type { View } from '@/client/outbox';
import { TextBox } from '../shared/TextBox';

export interface FormationEditorProps {
  readonly base: Book;
  readonly terms: Pulled;
  readonly mayAdd: boolean;
  readonly profiles: Profiles;
  readonly level: LevelKey;
  /** Term to change, or to begin from. */
  readonly edit: string | null;
  readonly from: string | null;
  readonly name: string;
  readonly back: string | null;
}

const AHEAD = 10;
const BEHIND = 13;

export function FormationEditor({
  base,
  terms,
  mayAdd,
  profiles,
  level,
  edit,
  from,
  name,
  back,
}: FormationEditorProps) {
  const { book, view, change: changeRow } = useBook(base, terms);
  const openedOn = useRef<View | undefined>(undefined);
  openedOn.current ??= view();
  const rules = useStaffRules();
  const router = useRouter();
  const source = book.terms.find((t) => t.id === (edit ?? from)) ?? null;
  const asBackfield = source?.kind === 'backfield';
  const [levelKey, setLevelKey] = useState(level);
  const profile = profiles[levelKey];
  const shape = shapeOf(profile.players);
  const begin = useCallback(
    (): Man[] =>
      asBackfield
        ? lineUp(
            book.terms.find((t) => t.kind === 'formation' && t.spots)?.spots ?? null,
            'R',
            source!.spots ?? null,
            shape,
          )
        : lineUp(
            source?.spots ?? book.terms.find((t) => t.kind === 'formation' && t.spots)?.spots ?? null,
            'R',
            null,
            shape,
          ),
    [asBackfield, book, source, shape],
  );
  const [men, setMen] = useState<readonly Man[]>(begin);
  const [past, setPast] = useState<readonly (readonly Man[])[]>([]);
  const [future, setFuture] = useState<readonly (readonly Man[])[]>([]);
  const [hash, setHash] = useState<Hash>('M');
  const [typed, setTyped] = useState('');
  const [word, setWord] = useState(edit ? (source?.word ?? '') : name);
  const [aliases, setAliases] = useState(edit ? (source?.aliases.join(', ') ?? '') : '');
  const [answer, setAnswer] = useState<BookAnswer | null>(null);
  const [said, setSaid] = useState('');
  const [busy, start] = useTransition();
  const field = useRef<SVGSVGElement>(null);
  const drag = useRef<{ letter: string; before: readonly Man[] } | null>(null);
  const [moving, setMoving] = useState(false);
  const [trail, setTrail] = useState<{ letter: string; path: readonly Point[] } | null>(null);

  const change = (next: readonly Man[]) => {
    setPast((p) => [...p.slice(-199), men]);
    setFuture([]);
    setMen(next);
  };
  const undo = () => {
    const last = past[past.length - 1];
    if (!last) return setSaid('nothing to undo');
    setPast(past.slice(0, -1));
    setFuture([men, ...future]);
    setMen(last);
    setSaid('undone');
  };
  const redo = () => {
    const next = future[0];
    if (!next) return setSaid('nothing to redo');
    setFuture(future.slice(1));
    setPast([...past, men]);
    setMen(next);
    setSaid('done again');
  };
  const place = (list: readonly Man[], letter: string, x: number, depth: number, snap: boolean): Man[] => {
    const at = snap
      ? snapSpot(x, depth, profile, hash)
      : {
          x: Math.round(x * 10) / 10,
          depth: Math.round(Math.max(0.3, Math.min(12, depth)) * 10) / 10,
          onLine: depth < 0.8,
        };
    return list.map((m) =>
      m.letter === letter
        ? { ...m, x: at.x, depth: at.onLine && m.role === 'line' ? 0.4 : at.depth, onLine: at.onLine }
        : m,
    );
  };
  const point = (e: { clientX: number; clientY: number }): [number, number] | null => {
    const matrix = field.current?.getScreenCTM();
    if (!matrix) return null;
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix.inverse());
    return [p.x, p.y - 0.35];
  };
  const onMove = (e: React.PointerEvent) => {
    const p = drag.current && point(e);
    if (p && moving) {
      const at: Point = [Math.round(p[0] * 10) / 10, -Math.max(0.3, Math.round(p[1] * 10) / 10)];
      setTrail((t) =>
        t && Math.hypot(t.path[t.path.length - 1]![0] - at[0], t.path[t.path.length - 1]![1] - at[1]) < 0.6
          ? t
          : t && { ...t, path: [...t.path, at] },
      );
    } else if (p) setMen((list) => place(list, drag.current!.letter, p[0], p[1], !e.altKey));
  };
  const onUp = () => {
    const moved = drag.current;
    drag.current = null;
    if (moved && moved.before !== men) {
      setPast((p) => [...p.slice(-199), moved.before]);
      setFuture([]);
    }
  };
  const onKey = (m: Man) => (e: React.KeyboardEvent) => {
    const step = { ArrowLeft: [-0.5, 0], ArrowRight: [0.5, 0], ArrowUp: [0, -0.5], ArrowDown: [0, 0.5] }[
      e.key
    ];
    if (!step) return;
    e.preventDefault();
    if (e.shiftKey && step[0] !== 0) {
      // With Shift from landmark to landmark.
      const list = landmarks(profile, hash);
      const next =
        step[0]! > 0 ? list.find((l) => l.x > m.x + 0.1) : [...list].reverse().find((l) => l.x < m.x - 0.1);
      if (next) return change(place(men, m.letter, next.x, m.depth, true));
    }
    const depth = step[1] === 0 ? m.depth : m.onLine && step[1]! > 0 ? 1 : m.depth + step[1]!;
    change(place(men, m.letter, m.x + step[0]!, depth, false));
  };
  useEffect(() => {
    const keys = (e: KeyboardEvent) => {
      if (
        !(e.ctrlKey || e.metaKey) ||
        (e.target instanceof HTMLElement && e.target.closest('input, textarea'))
      )
        return;
      if (e.code === 'KeyZ') {
        e.preventDefault();
        if (e.shiftKey) redo();
        else undo();
      }
      if (e.code === 'KeyY') {
        e.preventDefault();
        redo();
      }
    };
    window.addEventListener('keydown', keys);
    return () => window.removeEventListener('keydown', keys);
  });

  const sides = fieldSides(profile, hash);
  const s = useMemo(() => structure(men, sides.field, rules.look.strength), [men, sides.field, rules]);
  const notes = useMemo(() => legality(men, profile), [men, profile]);
  const near = useMemo(
    () => nearestFormations(men, { ...book, terms: book.terms.filter((t) => t.id !== edit) }, 2),
    [men, book, edit],
  );
  const drawing = useMemo(
    () =>
      draw({
        men,
        hash,
        profile,
        numbers: true,
        ahead: AHEAD,
        behind: BEHIND,
        mover: trail?.letter ?? null,
        paths:
          trail && trail.path.length > 1
            ? [{ kind: 'motion', points: trail.path, end: 'arrow', by: trail.letter }]
            : [],
      }),
    [men, hash, profile, trail],
  );
  const motion = useMemo(() => {
    if (!trail || trail.path.length < 2) return null;
    const kind = recognizeMotion(men, trail.letter, trail.path);
    const change = motionChange(men, atSnap(men, trail.letter, trail.path));
    return {
      kind,
      change,
      term: book.terms.find((t) => t.definition?.kind === 'motion' && t.definition.motion === kind) ?? null,
    };
  }, [trail, men, book]);
  const best = near[0];
  const bestWords = best ? `${best.term.word} ${sideWord(best.side)}` : '';
  const same = best !== undefined && best.distance < SAME_FORMATION;

  const take = (text: string) => {
    const read = retypeMen(men, text, book, profile);
    change(read.men);
    setSaid(read.unknown.length > 0 ? `not understood: ${read.unknown.join(' ')}` : 'placed');
  };
  const keep = () =>
    start(async () => {
      // Formations are kept strong right; a side after the word turns them.
      const turned = !asBackfield && s.side === 'L' ? mirrorLineUp(men) : men;
      const spots = asBackfield ? backfieldSpots(turned) : formationSpots(turned, profile);
      const kind = asBackfield ? 'backfield' : 'formation';
      const result = await changeRow(
        edit
          ? { op: 'change', id: edit, kind, aliases: listOf(aliases), spots }
          : { op: 'add', kind, word, aliases: listOf(aliases), spots },
        openedOn.current,
      );
      openedOn.current = undefined;
      setAnswer(result);
      if (!result.ok) return;
      setSaid(result.words);
      if (back) router.push(back);
    });

  return (
    <>
      <div className="toolbar">
        <h1>{edit ? `Draw “${source?.word ?? ''}”` : 'Draw a formation'}</h1>
        <Button onClick={undo} disabled={past.length === 0}>
          Undo
        </Button>
        <Button onClick={redo} disabled={future.length === 0}>
          Redo
        </Button>
        <Button onClick={() => change(mirrorLineUp(men))}>Mirror</Button>
        <Button onClick={() => change(begin())}>From the start</Button>
        <Button
          variant={moving ? 'contained' : 'outlined'}
          aria-pressed={moving}
          onClick={() => {
            setMoving(!moving);
            setTrail(null);
          }}
        >
          Try a motion
        </Button>
        <TextBox select label="ball on" value={hash} onChange={(e) => setHash(e.target.value as Hash)}>
          <option value="L">left hash</option>
          <option value="M">middle</option>
          <option value="R">right hash</option>
        </TextBox>
        <TextBox
          select
          label="game"
          value={levelKey}
          onChange={(e) => {
            const k = e.target.value as LevelKey;
            setLevelKey(k);
            change(lineUp(formationSpots(men, profile), 'R', null, shapeOf(profiles[k].players)));
          }}
        >
          {LEVEL_KEYS.map((k) => (
            <option key={k} value={k}>
              {profiles[k].name}
            </option>
          ))}
        </TextBox>
        <span style={{ marginLeft: 'auto', display: 'flex', gap: 8 }}>
          <Button onClick={() => saveSvg(drawing, word || 'formation')}>SVG</Button>
          <Button onClick={() => void savePng(drawing, word || 'formation')}>PNG</Button>
          <Button component={Link} href={back ?? '/book'}>
            {back ? 'Back' : 'To the Book'}
          </Button>
        </span>
      </div>
      {answer && (
        <Alert severity={answer.ok ? 'success' : 'error'} variant="outlined" onClose={() => setAnswer(null)}>
          {answer.words}
          {answer.ok && !back && (
            <>
              {' '}
              · <Link href={`/book?term=${encodeURIComponent(answer.id ?? '')}`}>
                see it in the Book
              </Link> ·{' '}
              <Link href={`/api/book/cards?term=${encodeURIComponent(answer.id ?? '')}`}>print its card</Link>
            </>
          )}
        </Alert>
      )}
      <div className="drawgrid">
        <section className="card" aria-label="The field">
          <svg
            ref={field}
            className="drawfield"
            viewBox={drawing.view.join(' ')}
            role="group"
            aria-label={`The formation: ${structureWords(s)}`}
            onPointerMove={onMove}
            onPointerUp={onUp}
            onPointerCancel={onUp}
          >
            <Marks drawing={drawing} />
            {landmarks(profile, hash)
              .filter((l) => Math.abs(l.x) < 24.4)
              .map((l, i) => (
                <g key={`${l.name}${l.x}`}>
                  <line
                    x1={l.x}
                    x2={l.x}
                    y1={BEHIND - 3}
                    y2={BEHIND - 2.6}
                    stroke="var(--ink2)"
                    strokeWidth="0.1"
                  />
                  <text
                    x={l.x}
                    y={BEHIND - 1.7 + (i % 3) * 0.8}
                    fontSize="0.8"
                    textAnchor="middle"
                    fill="var(--ink2)"
                  >
                    {l.name}
                  </text>
                </g>
              ))}
            {men.map((m) => (
              <g
                key={m.letter}
                role="button"
                tabIndex={0}
                data-letter={m.letter}
                aria-label={`${m.letter}: ${Math.abs(m.x).toFixed(1)} yards ${m.x < 0 ? 'left' : m.x > 0 ? 'right' : 'over the ball'}, ${m.onLine ? 'on the line' : `${m.depth.toFixed(1)} deep`}; arrow keys move him`}
                transform={`translate(${m.x} ${m.depth + 0.35})`}
                onKeyDown={onKey(m)}
                onPointerDown={(e) => {
                  e.preventDefault();
                  (e.currentTarget as SVGGElement).focus();
                  field.current?.setPointerCapture(e.pointerId);
                  drag.current = { letter: m.letter, before: men };
                  if (moving) setTrail({ letter: m.letter, path: [[m.x, -m.depth]] });
                }}
              >
                <circle r="1.05" fill="transparent" stroke="transparent" />
              </g>
            ))}
          </svg>
          <p className="small quiet">
            Drag a man; he snaps to the line and the landmarks (Alt leaves him where you put him). By keys:
            Tab to him, arrows move half a yard, Shift with left and right goes from landmark to landmark.
            Ctrl Z undoes. <span role="status">{said}</span>
          </p>
        </section>
        <div style={{ display: 'grid', gap: 10, alignContent: 'start' }}>
          <section className="card" aria-label="What it is" aria-live="polite">
            <h2 data-testid="structure">{structureWords(s)}</h2>
            <p className="small">
              {profile.players === 11
                ? `Surface ${s.left.surface} left, ${s.right.surface} right; gaps ${s.left.gaps} and ${s.right.gaps}. `
                : ''}
              {sides.field
                ? `Field ${sideWord(sides.field)} ${sides.fieldYards.toFixed(1)}, short side ${sides.boundaryYards.toFixed(1)} yards.`
                : ''}
            </p>
            {!asBackfield && best && (
              <p data-testid="nearest">
                {same ? (
                  <>
                    This is <strong>{bestWords}</strong>.
                  </>
                ) : (
                  <>
                    Nearest is <strong>{bestWords}</strong>
                    {best.differs.length > 0 ? `, but ${best.differs.join(', ')}` : ''}. Call it …?
                  </>
                )}
              </p>
            )}
            {moving && (
              <p data-testid="motion">
                {motion ? (
                  <>
                    <strong>
                      {trail?.letter}: {motion.kind ?? 'hardly moved'}
                    </strong>
                    {motion.term ? `, “${motion.term.word}” in this book` : ''}. {motion.change.before}{' '}
                    becomes {motion.change.after}
                    {motion.change.strengthAfter ? ` to the ${sideWord(motion.change.strengthAfter)}` : ''}
                    {motion.change.numbers.length > 0
                      ? `; ${motion.change.numbers.map((c) => `${c.letter} ${c.before ?? 'backfield'} → ${c.after ?? 'backfield'}`).join(', ')}`
                      : ''}
                    .
                  </>
                ) : (
                  'Drag a man along his path: its kind and what it changes are said here.'
                )}
              </p>
            )}
            {notes.map((n) => (
              <p key={n.sentence} className="flag small">
                {n.sentence}.
              </p>
            ))}
          </section>
          {!asBackfield && (
            <form
              className="card"
              style={{ display: 'grid', gap: 8 }}
              onSubmit={(e) => {
                e.preventDefault();
                take(typed);
              }}
            >
              <TextBox
                label="By words"
                placeholder="trips r h tight"
                value={typed}
                onChange={(e) => setTyped(e.target.value)}
                helperText="a formation and its side, then letter and landmark (tight, wing, slot, hash, numbers, wide, split, stack, on, off), or points such as X-16 H+6o1"
                htmlInput={{ className: 'mono', maxLength: 200 }}
              />
              <Button type="submit" variant="outlined">
                Place them
              </Button>
              <TextBox
                select
                label="Begin from"
                value=""
                onChange={(e) => {
                  const t = book.terms.find((x) => x.id === e.target.value);
                  if (t?.spots) change(lineUp(t.spots, 'R', null, shape));
                }}
              >
                {book.terms
                  .filter((t) => t.kind === 'formation' && t.spots)
                  .map((t) => (
                    <option key={t.id} value={t.id}>
                      {t.word}
                    </option>
                  ))}
              </TextBox>
            </form>
          )}
          <form
            className="card"
            style={{ display: 'grid', gap: 8 }}
            onSubmit={(e) => {
              e.preventDefault();
              keep();
            }}
          >
            <TextBox
              label="Name"
              required
              value={word}
              disabled={edit !== null}
              onChange={(e) => setWord(e.target.value)}
              helperText={
                edit
                  ? 'the word stays; logged snaps are written with it'
                  : `kept strong right${s.side === 'L' ? ' (turned round)' : ''}; say l or r after the word`
              }
              htmlInput={{ maxLength: 60 }}
            />
            <TextBox
              label="Also said"
              value={aliases}
              onChange={(e) => setAliases(e.target.value)}
              helperText="commas between"
            />
            <p className="small quiet mono">
              {formatSpots(asBackfield ? backfieldSpots(men) : formationSpots(men, profile))}
            </p>
            <Button type="submit" variant="contained" disabled={busy || !mayAdd || word.trim() === ''}>
              {edit ? 'Save the drawing' : 'Save in the Book'}
            </Button>
          </form>
        </div>
      </div>
    </>
  );
}
