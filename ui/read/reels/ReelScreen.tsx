'use client';
/** A reel that the staff keeps: its snaps in their order, a note to each, shown to a room with one key a snap. */
import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Book } from '@/core/book';
import type { LevelProfile } from '@/core/field';
import { movedClip, notedClip, withoutClip, type Clip, type KeptReel } from '@/core/read/clips';
import type { Snap } from '@/core/snap';
import { useScreenCommands } from '../../shared/commands';
import { REEL } from '../../shared/screen-commands/reel';
import { useToast } from '../../shared/toasts';
import { ReelSnap } from '../ReelSnap';
import { ClipRow } from './ClipRow';
import type { Told } from './KeptReels';
import { useReelDraft, type SaveReel } from './useReelDraft';
import { part } from '../../shared/part';

const Present = part(() => import('../Present'));

export interface ReelScreenProps {
  readonly reel: KeptReel;
  /** The snaps as they were when the page was made; null: gone. */
  readonly clips: readonly {
    readonly game: string;
    readonly id: string;
    readonly snap: Snap | null;
    readonly number: number;
  }[];
  readonly names: Readonly<Record<string, string>>;
  readonly bookText: string;
  readonly profile: LevelProfile;
  /** Null: the member may only look. */
  readonly save: SaveReel | null;
  readonly drop: ((given: unknown) => Promise<Told<void>>) | null;
}

export const clipKey = ({ game, snap }: Clip): string => `${game} ${snap}`;

export function ReelScreen({ reel, clips, names, bookText, profile, save, drop }: ReelScreenProps) {
  const book = useMemo(() => JSON.parse(bookText) as Book, [bookText]);
  const snaps = useMemo(() => new Map(clips.map((c) => [`${c.game} ${c.id}`, c])), [clips]);
  const { draft, change, undo, saving, problem, again } = useReelDraft(reel, save);
  const [at, setAt] = useState(0);
  const [presented, setPresented] = useState(false);
  const [asked, setAsked] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  const router = useRouter();
  const say = useToast();
  const list = useRef<HTMLOListElement>(null);
  const last = draft.clips.length - 1;
  const here = Math.max(0, Math.min(at, last));
  const clip = draft.clips[here];
  const current = clip && snaps.get(clipKey(clip));
  const shown = draft.clips.flatMap((c) => {
    const there = snaps.get(clipKey(c));
    return there?.snap ? [{ key: clipKey(c), snap: there.snap, number: there.number, note: c.note }] : [];
  });
  const put = (next: readonly Clip[]): void => change({ ...draft, clips: next });
  const focusOn = (to: number): void => {
    setAt(to);
    requestAnimationFrame(() =>
      list.current?.querySelectorAll<HTMLElement>('[data-testid=clip]')[to]?.focus({ preventScroll: false }),
    );
  };
  const move = (from: number, to: number): void => {
    if (to < 0 || to > last || from === to) return;
    put(movedClip(draft.clips, from, to));
    focusOn(to);
  };
  const drag = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const remove = async (): Promise<void> => {
    const told = await drop!({ id: reel.id }).catch((): Told<void> => ({
      ok: false,
      words: 'The server does not answer; nothing was removed.',
    }));
    if (!told.ok) return setRefusal(told.words);
    say(`Reel “${draft.name}” is removed`);
    router.push('/read/reels');
  };
  useScreenCommands(REEL, {
    present: shown.length > 0 ? () => setPresented(true) : undefined,
    undo,
    next: here < last ? () => focusOn(here + 1) : undefined,
    previous: here > 0 ? () => focusOn(here - 1) : undefined,
    up: save && here > 0 ? () => move(here, here - 1) : undefined,
    down: save && here < last ? () => move(here, here + 1) : undefined,
  });
  return (
    <div className="stack">
      <section className="card toolbar" aria-label="Reel">
        {save ? (
          <NameField key={draft.name} name={draft.name} onName={(name) => change({ ...draft, name })} />
        ) : (
          <h1>{draft.name}</h1>
        )}
        <span className="small quiet">
          {draft.clips.length} {draft.clips.length === 1 ? 'snap' : 'snaps'} · {reel.by}
        </span>
        <span className="grow" />
        {save && (
          <label className="small">
            <input
              type="checkbox"
              checked={draft.shared}
              onChange={(e) => change({ ...draft, shared: e.target.checked })}
            />{' '}
            guests with the link see it
          </label>
        )}
        <button
          type="button"
          className="plain small"
          onClick={() =>
            void navigator.clipboard
              .writeText(window.location.href)
              .then(() => say('The link is copied'))
              .catch(() => setRefusal('The browser gave no clipboard; copy the address above.'))
          }
        >
          copy the link
        </button>
        {undo && (
          <button type="button" className="plain small" onClick={undo}>
            undo
          </button>
        )}
        {drop &&
          (asked ? (
            <span className="small">
              remove it for everybody?{' '}
              <button type="button" className="plain" onClick={() => void remove()}>
                remove this reel
              </button>{' '}
              <button type="button" className="plain" onClick={() => setAsked(false)}>
                keep it
              </button>
            </span>
          ) : (
            <button type="button" className="plain small" onClick={() => setAsked(true)}>
              remove …
            </button>
          ))}
        <button
          type="button"
          className="button"
          disabled={shown.length === 0}
          onClick={() => setPresented(true)}
        >
          present
        </button>
        {save && (
          <span className="small quiet" role="status" aria-label="Saved">
            {saving ? 'saving' : problem ? 'not saved' : 'saved'}
          </span>
        )}
      </section>
      {(problem ?? refusal) && (
        <div className="card flag" role="alert">
          {problem ?? refusal}{' '}
          {problem && (
            <>
              What you changed is shown here and is not saved.{' '}
              <button type="button" className="plain" onClick={again}>
                save again
              </button>{' '}
              <button type="button" className="plain" onClick={() => window.location.reload()}>
                load what is saved
              </button>
            </>
          )}
        </div>
      )}
      <div className="card reelpage">
        <div>
          <p className="small quiet">
            {draft.sentence}
            {reel.source && save && (
              <>
                {' '}
                <Link href={`/read?${reel.source}`}>the board it came from</Link>
              </>
            )}
          </p>
          <DndContext
            sensors={drag}
            collisionDetection={closestCenter}
            onDragEnd={({ active, over }) => {
              const keys = draft.clips.map(clipKey);
              if (over) move(keys.indexOf(String(active.id)), keys.indexOf(String(over.id)));
            }}
          >
            <SortableContext items={draft.clips.map(clipKey)} strategy={verticalListSortingStrategy}>
              <ol ref={list} aria-label="Snaps of the reel" className="cliplist">
                {draft.clips.map((c, i) => (
                  <ClipRow
                    key={clipKey(c)}
                    id={clipKey(c)}
                    index={i}
                    snap={snaps.get(clipKey(c))?.snap ?? null}
                    note={c.note}
                    current={i === here}
                    mayEdit={save !== null}
                    onOpen={() => setAt(i)}
                    onRemove={() => {
                      put(withoutClip(draft.clips, i));
                      focusOn(Math.min(i, last - 1));
                    }}
                  />
                ))}
              </ol>
            </SortableContext>
          </DndContext>
          {draft.clips.length === 0 && <p>No snap is left in this reel.</p>}
        </div>
        <div style={{ minWidth: 0 }} role="group" aria-label="The snap">
          {clip && save && (
            <label className="small clipnoted">
              note for snap {here + 1}
              <textarea
                key={clipKey(clip)}
                defaultValue={clip.note}
                maxLength={400}
                rows={2}
                onBlur={(e) => {
                  const note = e.target.value.trim();
                  if (note !== clip.note) put(notedClip(draft.clips, here, note));
                }}
              />
            </label>
          )}
          {clip && !save && clip.note && <p className="clipnote">{clip.note}</p>}
          {current?.snap ? (
            <ReelSnap
              snap={current.snap}
              number={current.number}
              game={names[current.game] ?? current.game}
              book={book}
              profile={profile}
              height={260}
              onCard={null}
              log={save !== null}
            />
          ) : (
            clip && <p>This snap is not in the game any more; take it out of the reel.</p>
          )}
        </div>
      </div>
      {presented && (
        <Present
          title={draft.name}
          snaps={shown}
          first={Math.max(
            0,
            shown.findIndex((s) => clip !== undefined && s.key === clipKey(clip)),
          )}
          book={book}
          profile={profile}
          gameName={(key) => names[key] ?? key}
          onClose={(to) => {
            setAt(
              Math.max(
                0,
                draft.clips.findIndex((c) => clipKey(c) === shown[to]?.key),
              ),
            );
            setPresented(false);
          }}
        />
      )}
    </div>
  );
}

function NameField({ name, onName }: { readonly name: string; readonly onName: (name: string) => void }) {
  const field = useRef<HTMLInputElement>(null);
  // Typed before the page was alive: said when it is.
  useEffect(() => {
    const typed = field.current?.value.trim() ?? '';
    if (typed !== '' && typed !== name) onName(typed);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- Once, when the page is alive.
  }, []);
  return (
    <h1 className="reelname">
      <input
        ref={field}
        aria-label="name of the reel"
        // A browser that puts an old name back at a reload would have it saved over a newer one.
        autoComplete="off"
        defaultValue={name}
        maxLength={80}
        onBlur={(e) => {
          const typed = e.target.value.trim();
          if (typed === '') e.target.value = name;
          else if (typed !== name) onName(typed);
        }}
        onKeyDown={(e) => {
          if (e.key === 'Enter') e.currentTarget.blur();
        }}
      />
    </h1>
  );
}
