'use client';
/** Plan, the defense: the check table, what it leaves open, and the chosen check drawn. */
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { gameNames } from '@/core/exchange/names';
import {
  addCheck,
  addChecks,
  answerAudit,
  answered,
  auditKey,
  draftChecks,
  findingsOf,
  ownAnswers,
  pictureOf,
  removeCheck,
  together,
} from '@/core/plan';
import type { NamedRows } from '@/core/read';
import { Reel } from '../../read/Reel';
import { useScreenCommands } from '../../shared/commands';
import { PLAN } from '../../shared/screen-commands/plan';
import { useUrlState } from '../../useUrlState';
import { Comments } from '../Comments';
import { NotedCard } from '../Findings';
import { PlanToolbar } from '../PlanToolbar';
import type { PlanScreenProps } from '../plan-props';
import { SheetTrouble } from '../SheetTrouble';
import { useSheet } from '../useSheet';
import { AddCheck } from './AddCheck';
import { CheckAudits } from './CheckAudits';
import { CheckDrawn } from './CheckDrawn';
import { CheckTable } from './CheckTable';
import { useDefenseFilm } from './useDefenseFilm';

const NO_ANSWER = { front: null, coverage: null, pressure: null, note: null };
const NO_ROWS = new Uint32Array(0);

export default function DefenseScreen(props: PlanScreenProps) {
  const { plays, team, book, level, profiles, able, games, opponentName } = props;
  const { opponent } = props.sheet;
  const sheet = useSheet(props.sheet, props.rows, plays);
  const { checks, remarks, edit } = sheet;
  const mayEdit = able.draft && (sheet.lockedBy === null || able.locked);
  const film = useDefenseFilm({ games, opponent, book, level, profiles }, checks);
  const [url, setUrl] = useUrlState();
  const router = useRouter();
  const [chosenId, setChosen] = useState<string | null>(null);
  const chosen = checks.find((c) => c.id === chosenId) ?? checks[0] ?? null;
  const own = useMemo(
    () => (chosen && film.shown ? ownAnswers(film.columns, team, pictureOf(chosen.picture), chosen) : []),
    [chosen, film.shown, film.columns, team],
  );
  const noted = useMemo(
    () => findingsOf(props.noted, film.columns, 'offense', opponent),
    [props.noted, film.columns, opponent],
  );
  const openReel = (name: string): void => setUrl({ reel: name }, true);
  const add = (picture: string): void => {
    const id = crypto.randomUUID();
    edit(
      addCheck(id, { picture, personnel: null, situation: null, ...NO_ANSWER }, checks.at(-1)?.id ?? null),
    );
    setChosen(id);
  };
  const open = film.shown ? answerAudit(film.columns, opponent, checks).open : [];
  const draft = (): void => {
    const wanted = new Set(open.map((o) => o.picture.key));
    const empty = checks.filter((c) => !answered(c) && c.personnel === null && c.situation === null);
    const drafted = draftChecks(film.columns, team, opponent).filter((d) => wanted.has(d.shown.picture.key));
    const answer = ({ answer: a }: (typeof drafted)[number]) => ({
      ...NO_ANSWER,
      front: a?.front ?? null,
      coverage: a?.coverage ?? null,
    });
    // A check that stands empty is removed with what takes its place, and one undo brings all back.
    const removed = empty.filter((c) => drafted.some((d) => d.shown.picture.key === c.picture));
    const added = addChecks(
      checks.filter((c) => !removed.includes(c)),
      drafted
        .filter((d) => d.answer !== null)
        .map((d) => ({
          id: crypto.randomUUID(),
          picture: d.shown.picture.key,
          personnel: null,
          situation: null,
          ...answer(d),
        })),
    );
    edit(together([...(added ? [added] : []), ...removed.map((c) => removeCheck(checks, c))]));
  };
  useScreenCommands(PLAN, {
    undo: mayEdit ? sheet.undo : undefined,
    print: () => router.push(`/plan/${props.sheet.key}/print`),
    remove: mayEdit
      ? () => {
          const id = (document.activeElement as HTMLElement | null)?.dataset.check;
          const check = checks.find((c) => c.id === id);
          if (check) edit(removeCheck(checks, check));
          return check !== undefined;
        }
      : undefined,
  });
  const reel = url.get('reel');
  const named = (name: string): NamedRows => {
    const [kind, which = ''] = name.split('|');
    if (kind === 'check') {
      const check = checks.find((c) => c.id === which);
      return {
        title: `${opponentName} offense: ${check ? (pictureOf(check.picture)?.label ?? '') : ''}`,
        rows: film.uses.get(which)?.rows ?? NO_ROWS,
      };
    }
    if (kind === 'own') {
      const answer = own[Number(which)];
      return { title: `${answer?.front}, ${answer?.coverage}`, rows: answer?.rows ?? NO_ROWS };
    }
    const audit = film.audits.find((a) => auditKey(a) === which);
    return { title: audit?.sentence ?? '', rows: audit?.rows ?? NO_ROWS };
  };
  const reelOf = reel === null || film.shown === null ? null : named(reel);
  return (
    <>
      <PlanToolbar
        sheet={sheet}
        sheetKey={props.sheet.key}
        against={`${props.teamName} defense against ${opponentName}`}
        counted={`${checks.length} ${checks.length === 1 ? 'check' : 'checks'}`}
        mayEdit={mayEdit}
        able={able}
        copy={props.copy}
        versions={props.versions}
        plays={plays}
      />
      <SheetTrouble sheet={sheet} />
      <NotedCard about={`${opponentName} offense`} findings={noted} />
      <div className="defensegrid">
        <section className="card" aria-label="Checks">
          <header>
            <h2>What we play against what they line up in</h2>
            <span className="small quiet">
              {film.shown
                ? `shares of ${film.shown.known} snaps whose structure is known`
                : 'their looks are being measured'}
            </span>
          </header>
          {checks.length === 0 && (
            <p>
              No check yet. Add a picture, or have a first draft made of what our defense allowed least with.
            </p>
          )}
          {checks.length > 0 && (
            <CheckTable
              checks={checks}
              uses={film.uses}
              looks={film.looks}
              book={book}
              chosen={chosen?.id ?? null}
              mayEdit={mayEdit}
              onChoose={setChosen}
              onEdit={edit}
              onRemove={(check) => edit(removeCheck(checks, check))}
              onReel={openReel}
            />
          )}
          {mayEdit && (
            <AddCheck
              checks={checks}
              shown={film.shown}
              reached={film.reached}
              onAdd={add}
              onDraft={open.length > 0 ? draft : null}
            />
          )}
        </section>
        <CheckAudits
          audits={film.shown ? film.audits : null}
          remarks={remarks}
          mayEdit={mayEdit}
          onEdit={edit}
          onChoose={setChosen}
          onAdd={add}
          onReel={openReel}
        />
      </div>
      {chosen && (
        <CheckDrawn
          check={chosen}
          look={film.looks.get(chosen.id) ?? null}
          own={own}
          mayEdit={mayEdit}
          onEdit={edit}
          onReel={openReel}
        />
      )}
      <Comments remarks={remarks} mayRemark={able.remark} onEdit={edit} />
      {reelOf && (
        <Reel
          title={reelOf.title}
          snaps={[...reelOf.rows].map((i) => film.snaps[i]!)}
          book={book}
          profile={profiles[level]}
          gameName={gameNames(games.map((g) => g.info))}
          onClose={() => setUrl({ reel: null })}
        />
      )}
    </>
  );
}
