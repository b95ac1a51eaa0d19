'use client';
import Button from '@mui/material/Button';
import { Fragment, useMemo, useState } from 'react';
import {
  playOf,
  presentationsOf,
  type Book,
  type NamedPresentation,
  type RankedPresentation,
} from '@/core/book';
import { sideWord, type LevelProfile, type Side } from '@/core/field';
import { playFields, type PlayCard } from '@/core/plan';
import type { SnapFields } from '@/core/snap';
import { Chalk } from '../chalk/Chalk';
import { useStaffRules } from '../StaffRules';

const FIRST_SHOWN = 12;
const MORE_SHOWN = 24;

const presentationName = (shown: NamedPresentation, base: NamedPresentation): string =>
  `${shown.formationWord}${shown.side ? ` ${sideWord(shown.side)}` : ''}, ${shown.backfieldWord}${shown.motionWord && shown.motion !== base.motion ? `, ${shown.motionBy} ${shown.motionWord}` : ''}`;

interface PresentationsProps {
  readonly play: PlayCard;
  readonly book: Book;
  readonly profile: LevelProfile;
}

/** Other ways to show the same jobs: most different to a defense for fewest new jobs first. */
export default function Presentations({ play, book, profile }: PresentationsProps) {
  const [most, setMost] = useState(FIRST_SHOWN);
  const [open, setOpen] = useState<number | null>(null);
  const { strength } = useStaffRules().look;
  const known = useMemo(() => playOf(book, playFields(play)), [book, play]);
  const to = play.direction ?? play.formationSide ?? 'R';
  const ranked = useMemo(
    () => (known ? presentationsOf(known.def, known.base, to, book, profile, play.personnel, strength) : []),
    [known, to, book, profile, play.personnel, strength],
  );
  if (!known) return null;
  return (
    <section aria-label="Other ways to show it" className="below">
      <div className="cardhead">
        <h2>Other ways to show {play.name}</h2>
        <span className="small">
          {ranked.length} can be shown{play.personnel ? ` with ${play.personnel} personnel` : ''}; most
          different for fewest new jobs first
        </span>
      </div>
      <table className="rows tight">
        <thead>
          <tr>
            <th>look</th>
            <th>structure</th>
            <th className="n">looks new</th>
            <th>new jobs</th>
          </tr>
        </thead>
        <tbody>
          {ranked.slice(0, most).map((rankedPresentation, i) => (
            <Fragment
              key={`${rankedPresentation.shown.formationWord}${rankedPresentation.shown.side}${rankedPresentation.shown.backfieldWord}${rankedPresentation.shown.motionBy}${rankedPresentation.shown.motionWord}`}
            >
              <tr>
                <td>
                  <button
                    type="button"
                    className="plain"
                    aria-expanded={open === i}
                    onClick={() => setOpen(open === i ? null : i)}
                  >
                    {presentationName(rankedPresentation.shown, known.base)}
                  </button>
                </td>
                <td>
                  {rankedPresentation.assignment.structure.label}, {rankedPresentation.people} shows
                </td>
                <td className="n">{rankedPresentation.distance.toFixed(1)}</td>
                <td>
                  {rankedPresentation.changes.length === 0
                    ? 'new for nobody'
                    : `new for ${rankedPresentation.changes.length} of ${rankedPresentation.assignment.men.length}: ${rankedPresentation.changes.map((c) => `${c.letter} ${c.before ?? 'new man'} → ${c.after}`).join(', ')}`}
                </td>
              </tr>
              {open === i && (
                <Compared
                  play={play}
                  book={book}
                  profile={profile}
                  ranked={rankedPresentation}
                  name={presentationName(rankedPresentation.shown, known.base)}
                  to={to}
                />
              )}
            </Fragment>
          ))}
        </tbody>
      </table>
      {ranked.length > most && (
        <Button onClick={() => setMost(most + MORE_SHOWN)}>
          {Math.min(MORE_SHOWN, ranked.length - most)} more
        </Button>
      )}
    </section>
  );
}

interface ComparedProps extends PresentationsProps {
  readonly ranked: RankedPresentation;
  readonly name: string;
  readonly to: Side;
}

/** The play as it is beside the other way to show it. */
function Compared({ play, book, profile, ranked, name, to }: ComparedProps) {
  const { shown, changes, assignment } = ranked;
  const fields = playFields(play);
  const half = (title: string, drawn: SnapFields) => (
    <div>
      <h2>{title}</h2>
      <Chalk
        book={book}
        profile={profile}
        fields={drawn}
        hash={null}
        jobs
        defense={false}
        height={190}
        caption={false}
      />
    </div>
  );
  return (
    <tr>
      <td colSpan={4}>
        <div className="lookgrid">
          {half(`As it is: ${play.formation}`, fields)}
          {half(`${name}: new for ${changes.length} of ${assignment.men.length}`, {
            ...fields,
            formation: shown.formationWord,
            formationSide: shown.side,
            backfield: shown.backfieldWord,
            direction: to,
            motion: shown.motionWord,
            motionBy: shown.motionBy,
          })}
        </div>
      </td>
    </tr>
  );
}
