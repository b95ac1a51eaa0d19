'use client';
/** Plan: suggestions argued by what the opponent shows at the left, the sheet as it prints at the right. */
import {
  DndContext,
  PointerSensor,
  pointerWithin,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { Book } from '@/core/book';
import { gameNames } from '@/core/exchange/names';
import type { SheetDetail } from '@/core/exchange/types';
import type { LevelKey, Profiles } from '@/core/field/profile';
import {
  addCall,
  dropOn,
  missingSetups,
  nudgeCall,
  playFields,
  preferHash,
  removeCall,
  SECTIONS,
  type PlayCard,
  type SheetCall,
} from '@/core/plan';
import type { Pulled } from '@/core/sync';
import type { FilmGames } from '@/client/film';
import { filmPath } from '../film/path';
import { WithFilm } from '../film/WithFilm';
import { LookCard } from '../look/LookCard';
import { Reel } from '../read/Reel';
import { useScreenCommands } from '../shared/commands';
import { PLAN } from '../shared/screen-commands/plan';
import { Unsettled } from '../sync/Unsettled';
import { useUrlState } from '../useUrlState';
import { Audits } from './Audits';
import { CallRow } from './CallRow';
import { planReel } from './plan-reel';
import { PlanToolbar } from './PlanToolbar';
import { SetupsMissing } from './SetupsMissing';
import { SheetSection } from './SheetSection';
import { Suggestions } from './Suggestions';
import { callsText, usageText } from './usage';
import { usePlanFilm } from './usePlanFilm';
import { useSheet } from './useSheet';

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
  readonly games: FilmGames;
  readonly able: { readonly draft: boolean; readonly locked: boolean; readonly lock: boolean };
  readonly copy: () => Promise<string>;
}

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
  const { plays, team, book, level, profiles, able, games, opponentName } = props;
  const sheet = useSheet(props.sheet, props.rows, plays);
  const { calls, printed, numbers, edit } = sheet;
  const mayEdit = able.draft && (sheet.lockedBy === null || able.locked);
  const profile = profiles[level];
  const router = useRouter();
  const [url, setUrl] = useUrlState();
  const [looked, setLooked] = useState<PlayCard | null>(null);
  const section = SECTIONS.find((s) => s.key === url.get('section')) ?? SECTIONS[1]!;
  const film = usePlanFilm({ ...props, opponent: props.sheet.opponent }, section, looked);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const missing = useMemo(
    () => missingSetups(calls, numbers, plays, film.columns, team),
    [calls, numbers, plays, film.columns, team],
  );
  const openReel = (name: string): void => setUrl({ reel: name }, true);
  const chooseSection = (key: string): void => setUrl({ section: key, reel: null });
  const stepSection = (by: 1 | -1): void => {
    const at = SECTIONS.indexOf(section) + by;
    chooseSection(SECTIONS[(at + SECTIONS.length) % SECTIONS.length]!.key);
  };
  /** Does it to the call that has the focus; false where none has. */
  const onFocused = (work: (call: SheetCall) => void): boolean => {
    const id = (document.activeElement as HTMLElement | null)?.dataset.call;
    const call = calls.find((c) => c.id === id);
    if (call) work(call);
    return call !== undefined;
  };
  useScreenCommands(PLAN, {
    undo: mayEdit ? sheet.undo : undefined,
    next: () => stepSection(1),
    previous: () => stepSection(-1),
    print: () => router.push(`/plan/${props.sheet.key}/print`),
    up: mayEdit ? () => onFocused((call) => edit(nudgeCall(printed, call, -1))) : undefined,
    down: mayEdit ? () => onFocused((call) => edit(nudgeCall(printed, call, 1))) : undefined,
    remove: mayEdit ? () => onFocused((call) => edit(removeCall(printed, call))) : undefined,
  });
  const dropped = ({ active, over }: DragEndEvent): void => {
    if (over && mayEdit)
      edit(dropOn(printed, plays, String(active.id), String(over.id), crypto.randomUUID()));
  };
  const reel = url.get('reel');
  const shown = reel === null ? null : planReel(reel, { film, missing, section, opponentName });
  return (
    <DndContext id="plan" sensors={sensors} collisionDetection={pointerWithin} onDragEnd={dropped}>
      <PlanToolbar
        sheet={sheet}
        sheetKey={props.sheet.key}
        against={`${props.teamName} offense against ${opponentName}`}
        mayEdit={mayEdit}
        able={able}
        copy={props.copy}
      />
      {sheet.trouble && (
        <div className="card flag" role="alert">
          {sheet.trouble}
        </div>
      )}
      {sheet.unsettled.length > 0 && (
        <div className="card" role="alert">
          <ul className="plainlist" aria-label="Changes to settle">
            {sheet.unsettled.map((queued) => (
              <Unsettled key={queued.op.id} entry={queued} />
            ))}
          </ul>
        </div>
      )}
      <Audits calls={calls} numbers={numbers} sizes={film.sizes} onSection={chooseSection} />
      <SetupsMissing missing={missing} numbers={numbers} onReel={openReel} />
      <div className="plangrid">
        <Suggestions
          section={section}
          size={film.sizes.get(section.key) ?? null}
          suggestions={film.suggestions}
          argued={film.argued}
          calls={calls}
          mayEdit={mayEdit}
          onSection={chooseSection}
          onAdd={(play) => edit(addCall(printed, crypto.randomUUID(), play, section.key, null))}
          onReel={openReel}
        />
        <div className="sheet" aria-label="The sheet" role="region">
          {SECTIONS.map((sectionSpec) => (
            <SheetSection
              key={sectionSpec.key}
              section={sectionSpec}
              active={sectionSpec.key === section.key}
              filled={calls.some((c) => c.section === sectionSpec.key)}
              usage={usageText(film.sizes.get(sectionSpec.key))}
              size={callsText(
                calls.filter((c) => c.section === sectionSpec.key).length,
                film.sizes.get(sectionSpec.key),
              )}
              onActivate={() => chooseSection(sectionSpec.key)}
            >
              {printed
                .find((p) => p.section.key === sectionSpec.key)
                ?.calls.map((call) => (
                  <CallRow
                    key={call.id}
                    call={call}
                    number={call.number}
                    mayEdit={mayEdit}
                    onRemove={() => edit(removeCall(printed, call))}
                    onLook={() => setLooked(call.play)}
                    onHash={(hash) => edit(preferHash(call, hash))}
                  />
                ))}
            </SheetSection>
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
          answers={film.answers.map((answer, i) => ({
            ...answer,
            onOpen: () => openReel(`${looked.id}|answer${i}`),
          }))}
          onClose={() => setLooked(null)}
        />
      )}
      {shown && (
        <Reel
          title={shown.title}
          snaps={[...shown.rows].map((i) => film.snaps[i]!)}
          book={book}
          profile={profile}
          gameName={gameNames(games.map((g) => g.info))}
          onClose={() => setUrl({ reel: null })}
        />
      )}
    </DndContext>
  );
}
