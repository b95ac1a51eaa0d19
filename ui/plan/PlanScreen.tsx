'use client';
/** Plan, the offense: suggestions argued by what the opponent shows at the left, the sheet as it prints at the right. */
import {
  DndContext,
  PointerSensor,
  pointerWithin,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { Book } from '@/core/book';
import { gameNames } from '@/core/exchange/names';
import {
  addCall,
  dropOn,
  findingsOf,
  missingSetups,
  noteCall,
  placeFindings,
  playFields,
  setSections,
  type PlayCard,
} from '@/core/plan';
import { plural } from '@/core/rules/plural';
import { filmPath } from '../film/path';
import { WithFilm } from '../film/WithFilm';
import { LookCard } from '../look/LookCard';
import { part } from '../shared/part';
import { useUrlState } from '../useUrlState';
import { Audits } from './Audits';
import { Comments } from './Comments';
import type { PlanScreenProps } from './plan-props';
import { PlanReel } from './PlanReel';
import { NotedCard } from './Findings';
import { PlanToolbar } from './PlanToolbar';
import { SheetBody } from './SheetBody';
import { SizeUpFront } from './SizeUpFront';
import { SheetTrouble } from './SheetTrouble';
import { Suggestions } from './Suggestions';
import { useAudits } from './useAudits';
import { useDraft } from './useDraft';
import { useMarks } from './useMarks';
import { useFigures } from './useFigures';
import { usePlanCommands } from './usePlanCommands';
import { usePlanFilm } from './usePlanFilm';
import { useSheet } from './useSheet';

const DefenseScreen = part(() => import('./defense/DefenseScreen'));
const CallNotesForm = part(() => import('./CallNotesForm'));
const Wrinkles = part(() => import('./Wrinkles'));
const PasteForm = part(() => import('./PasteForm'));
const EarlierForm = part(() => import('./EarlierForm'));
const CallMix = part(() => import('./CallMix'));
const SectionsForm = part(() => import('./SectionsForm'));

/** Plan with its film: own film ranks the plays and the answers, the opponent's says what it shows. */
export function PlanPage({
  bookText,
  ...props
}: Omit<PlanScreenProps, 'games' | 'book'> & { readonly bookText: string }) {
  const book = useMemo(() => JSON.parse(bookText) as Book, [bookText]);
  const Screen = props.sheet.side === 'defense' ? DefenseScreen : PlanScreen;
  return (
    <WithFilm path={filmPath(props.team, props.sheet.opponent)}>
      {(games) => <Screen {...props} book={book} games={games} />}
    </WithFilm>
  );
}

export function PlanScreen(props: PlanScreenProps) {
  const { plays, team, book, level, profiles, able, games, opponentName } = props;
  const sheet = useSheet(props.sheet, props.rows, plays);
  const { calls, printed, numbers, sections, edit } = sheet;
  const mayEdit = able.draft && (sheet.lockedBy === null || able.locked);
  const router = useRouter();
  const [url, setUrl] = useUrlState();
  const [looked, setLooked] = useState<PlayCard | null>(null);
  const [noted, setNoted] = useState<string | null>(null);
  const [arranged, setArranged] = useState(false);
  const [mixed, setMixed] = useState(false);
  const { figures, keep } = useFigures(props.figures, props.saveFigures);
  const [wrinkled, setWrinkled] = useState(false);
  const [taking, setTaking] = useState(false);
  const section = sections.find((s) => s.key === url.get('section')) ?? sections[1] ?? sections[0]!;
  const film = usePlanFilm({ ...props, opponent: props.sheet.opponent }, sections, section, looked);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 5 } }));
  const missing = useMemo(
    () => missingSetups(calls, numbers, plays, film.columns, team),
    [calls, numbers, plays, film.columns, team],
  );
  const findings = useMemo(() => {
    const theirs = findingsOf(props.noted, film.columns, 'defense', props.sheet.opponent);
    return placeFindings(theirs, film.columns, sections);
  }, [props.noted, props.sheet.opponent, film.columns, sections]);
  const audits = useAudits(sheet, film, plays, {
    team,
    opponent: props.sheet.opponent,
    book,
    profile: profiles[level],
    week: props.practice,
    figures,
    bodies: props.bodies,
  });
  const draft = useDraft(sheet, film, { plays, team, opponent: props.sheet.opponent });
  const marks = useMarks(sheet, { plays, section, mayEdit });
  const openReel = (name: string): void => setUrl({ reel: name }, true);
  const chooseSection = (key: string): void => setUrl({ section: key, reel: null });
  usePlanCommands({
    sheet,
    marks,
    mayEdit,
    section: section.key,
    draft,
    stepSection: (by) => {
      const at = sections.indexOf(section) + by;
      chooseSection(sections[(at + sections.length) % sections.length]!.key);
    },
    print: () => router.push(`/plan/${props.sheet.key}/print`),
    note: (call) => setNoted(call.id),
  });
  const dropped = ({ active, over }: DragEndEvent): void => {
    if (over && mayEdit)
      edit(dropOn(printed, plays, String(active.id), String(over.id), crypto.randomUUID(), marks.ids));
  };
  const reel = url.get('reel');
  const notes = calls.find((c) => c.id === noted);
  return (
    <DndContext id="plan" sensors={sensors} collisionDetection={pointerWithin} onDragEnd={dropped}>
      <PlanToolbar
        sheet={sheet}
        sheetKey={props.sheet.key}
        against={`${props.teamName} offense against ${opponentName}`}
        counted={`${plural(calls.length, 'call')}${sheet.pages === 1 ? ', fits one page' : `, ${sheet.pages} pages`}`}
        mayEdit={mayEdit}
        able={able}
        copy={props.copy}
        versions={props.versions}
        plays={plays}
      >
        {mayEdit && (
          <>
            <Button disabled={draft === null} onClick={draft ?? undefined}>
              Draft open sections
            </Button>
            <Button onClick={() => setTaking(true)}>From an earlier sheet</Button>
            <Button onClick={() => marks.ask('')}>Paste calls</Button>
            <Button onClick={() => setArranged(true)}>Sections</Button>
          </>
        )}
        <Button disabled={film.argued === null} onClick={() => setMixed(true)}>
          Call mix
        </Button>
        <Button onClick={() => setWrinkled(true)}>Wrinkles</Button>
      </PlanToolbar>
      <SheetTrouble sheet={sheet} />
      <Audits
        audits={audits}
        remarks={sheet.remarks}
        sections={sections}
        calls={calls}
        numbers={numbers}
        sizes={film.sizes}
        mayEdit={mayEdit}
        onEdit={edit}
        onSection={chooseSection}
        onSetup={(play) => openReel(`${play}|link`)}
        figures={figures}
        onFigures={keep}
      />
      <NotedCard about={`${opponentName} defense`} findings={findings.all} />
      <div className="plangrid">
        <Suggestions
          sections={sections}
          section={section}
          film={film}
          listed={plays.length}
          calls={calls}
          mayEdit={mayEdit}
          onSection={chooseSection}
          onAdd={(play) => edit(addCall(printed, crypto.randomUUID(), play, section.key, null))}
          onReel={openReel}
        >
          <SizeUpFront
            load={props.weighTeams}
            columns={film.columns}
            team={team}
            opponent={props.sheet.opponent}
            onReel={openReel}
          />
        </Suggestions>
        <SheetBody
          sheet={sheet}
          film={film}
          section={section}
          findings={findings}
          mayEdit={mayEdit}
          marks={marks}
          onSection={chooseSection}
          onLook={setLooked}
          onNotes={(call) => setNoted(call.id)}
        />
      </div>
      <Comments remarks={sheet.remarks} mayRemark={able.remark} onEdit={edit} />
      {notes && (
        <CallNotesForm
          key={notes.id}
          call={notes}
          calls={calls}
          numbers={numbers}
          onSave={(fields) => edit(noteCall(notes, fields))}
          onClose={() => setNoted(null)}
        />
      )}
      {marks.asked !== null && (
        <PasteForm
          text={marks.asked}
          plays={plays}
          sections={sections}
          section={section}
          numbers={numbers}
          onAdd={marks.add}
          onClose={() => marks.ask(null)}
        />
      )}
      {arranged && (
        <SectionsForm
          sections={sections}
          calls={calls}
          film={{ columns: film.columns, team, opponent: props.sheet.opponent }}
          earlier={props.earlier}
          onSave={(next) => edit(setSections(sheet.ownSections, next))}
          onTemplate={able.draft ? props.saveTemplate : null}
          onClose={() => setArranged(false)}
        />
      )}
      {mixed && (
        <CallMix
          section={section}
          calls={calls}
          columns={film.columns}
          team={team}
          opponent={props.sheet.opponent}
          opponentName={opponentName}
          solve={props.mixOf}
          onReel={openReel}
          onClose={() => setMixed(false)}
        />
      )}
      {wrinkled && (
        <Wrinkles
          film={film}
          plays={plays}
          profile={profiles[level]}
          team={team}
          opponent={props.sheet.opponent}
          opponentName={opponentName}
          mayEdit={able.draft}
          onReel={openReel}
          onClose={() => setWrinkled(false)}
        />
      )}
      {taking && (
        <EarlierForm
          load={props.earlier}
          sheet={sheet}
          plays={plays}
          columns={film.columns}
          team={team}
          onReel={openReel}
          onClose={() => setTaking(false)}
        />
      )}
      {looked && (
        <LookCard
          key={looked.id}
          book={book}
          profile={profiles[level]}
          fields={playFields(looked)}
          hash={null}
          answers={film.answers.map((answer, i) => ({
            ...answer,
            onOpen: () => openReel(`${looked.id}|answer${i}`),
          }))}
          onClose={() => setLooked(null)}
        />
      )}
      {reel !== null && (
        <PlanReel
          name={reel}
          of={{ film, missing, section, opponentName, team, opponent: props.sheet.opponent, plays }}
          book={book}
          profile={profiles[level]}
          gameName={gameNames(games.map((g) => g.info))}
          onClose={() => setUrl({ reel: null })}
        />
      )}
    </DndContext>
  );
}
