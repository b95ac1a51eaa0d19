'use client';
/** The play list: each play drawn with every man's job, the other pictures it can be shown from and what they cost, its set-ups and complements. */
import { gameNames } from '@/core/exchange/names';
import Button from '@mui/material/Button';
import { Fragment, useMemo, useState } from 'react';
import {
  drawSnap,
  playOf,
  presentationsOf,
  storedValue,
  TRIGGERS,
  type Book,
  type NamedPresentation,
} from '@/core/book';
import { sideWord, type LevelProfile } from '@/core/field';
import { structureWords } from '@/core/look';
import {
  countLinks,
  LINK_KINDS,
  playCall,
  playFields,
  playLook,
  type PlayCard,
  type PlayLink,
} from '@/core/plan';
import { buildColumns, countGame, filmKind, ownFilm } from '@/core/read';
import { fullSnap } from '@/core/snap';
import { Chalk, Picture } from '../chalk/Chalk';
import { LookCard } from '../look/LookCard';
import { Reel } from '../read/Reel';
import { useStaffRules } from '../StaffRules';
import { useUrlState } from '../useUrlState';
import type { BookScreenProps, Run } from './BookScreen';
import type { RowChange } from './use-book';
import { TextBox } from '../shared/TextBox';

interface PlayListProps extends Omit<BookScreenProps, 'base' | 'terms' | 'plays'> {
  readonly book: Book;
  readonly plays: readonly PlayCard[];
  readonly profile: LevelProfile;
  readonly busy: boolean;
  readonly run: Run;
}

export function PlayList(props: PlayListProps) {
  const { book, plays, profile, mayPlay, run, busy } = props;
  const [url, setUrl] = useUrlState();
  const chosen = plays.find((p) => p.id === url.get('play')) ?? null;
  return (
    <div className="bookgrid">
      <section className="card" aria-label="Play list">
        <div
          style={chosen ? { maxHeight: 250, overflowY: 'auto' } : {}}
          tabIndex={0}
          role="group"
          aria-label="Plays"
        >
          <table className="rows tight">
            <thead>
              <tr>
                <th>Name</th>
                <th>From</th>
                <th>Call</th>
              </tr>
            </thead>
            <tbody>
              {plays.map((p) => (
                <tr key={p.id}>
                  <td>
                    <button
                      type="button"
                      className="plain"
                      aria-pressed={chosen?.id === p.id}
                      onClick={() => setUrl({ play: p.id }, true)}
                    >
                      <strong>{p.name}</strong>
                    </button>
                  </td>
                  <td>{playLook(p)}</td>
                  <td>{playCall(p)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {plays.length === 0 && <p>No plays yet. Add one at the right: a look and a concept of your book.</p>}
        {chosen && <Pictures key={chosen.id} {...props} play={chosen} />}
      </section>
      <div style={{ display: 'grid', gap: 12, alignContent: 'start' }}>
        {chosen && (
          <PlayPanel key={chosen.id} {...props} play={chosen} onClose={() => setUrl({ play: null })} />
        )}
        {mayPlay && (
          <AddPlay
            book={book}
            busy={busy}
            onAdd={(change) => run(change, (a) => setUrl({ play: a.id }))}
            profile={profile}
          />
        )}
      </div>
    </div>
  );
}

function PlayPanel({
  play,
  book,
  plays,
  profile,
  level,
  own,
  team,
  profiles,
  mayPlay,
  busy,
  run,
  onClose,
}: PlayListProps & { play: PlayCard; onClose: () => void }) {
  const rules = useStaffRules();
  const [url, setUrl] = useUrlState();
  const [card, setCard] = useState(false);
  const [draft, setDraft] = useState<PlayLink>({ kind: 'set-up', play: '', least: 2, trigger: null });
  const counted = useMemo(
    () =>
      own
        .filter((g) => filmKind(g.info) === ownFilm(level))
        .flatMap((g) => countGame(g.snaps.map(fullSnap), profiles[g.info.level], book, rules)),
    [own, profiles, level, book, rules],
  );
  const columns = useMemo(() => buildColumns(counted, rules.success), [counted, rules]);
  const links = countLinks(play, plays, columns, team);
  const fields = playFields(play);
  const drawn = drawSnap(book, fields, null, profile, {
    jobs: true,
    defense: false,
    crop: true,
    settings: rules.look,
  });
  const known = playOf(book, playFields(play));
  const reel = url.get('reel');
  const shown = reel === null ? null : links.find((l) => l.link.play === reel);
  const nameOfGame = gameNames(own.map((g) => g.info));
  return (
    <section className="card termpanel" aria-label={`The play ${play.name}`}>
      <header>
        <h2>{play.name}</h2>
        <span className="small">{playCall(play)}</span>
      </header>
      <Picture drawn={drawn} profile={profile} hash={null} height={230} caption={false} />
      <p className="small">
        {drawn.look ? structureWords(drawn.look.offense.set) : 'No formation the book can draw.'}
        {known ? '' : ' The book does not say what this concept means, so nobody’s job is known.'}
      </p>
      <div className="toolbar">
        <Button variant="outlined" onClick={() => setCard(true)}>
          Look card
        </Button>
        <Button onClick={onClose}>Close</Button>
      </div>
      <h2>Set-ups and complements</h2>
      <ul className="todo">
        {links.map((l) => (
          <li key={`${l.link.kind}${l.link.play}`} className={l.ready ? '' : 'flag'}>
            {l.link.kind === 'set-up' ? (
              <>
                Show <strong>{l.play?.name ?? 'a play that is gone'}</strong> first, {l.link.least}{' '}
                {l.link.least === 1 ? 'time' : 'times'}:{' '}
                <button type="button" className="plain" onClick={() => setUrl({ reel: l.link.play }, true)}>
                  shown {l.rows.length}
                </button>
                {l.ready ? '' : ', not yet enough'}.
              </>
            ) : (
              <>
                {l.link.trigger ? `When ${l.link.trigger}: ` : ''}
                <strong>{l.play?.name ?? 'a play that is gone'}</strong> (
                <button type="button" className="plain" onClick={() => setUrl({ reel: l.link.play }, true)}>
                  shown {l.rows.length}
                </button>
                ).
              </>
            )}
            {mayPlay && (
              <button
                type="button"
                className="plain small quiet"
                style={{ marginLeft: 8 }}
                disabled={busy}
                aria-label={`take ${l.play?.name ?? 'the link'} off`}
                onClick={() =>
                  run({ op: 'links', play: play.id, links: play.links.filter((x) => x !== l.link) })
                }
              >
                remove
              </button>
            )}
          </li>
        ))}
        {links.length === 0 && <li className="quiet small">None said yet.</li>}
      </ul>
      {mayPlay && (
        <form
          style={{ display: 'grid', gap: 8 }}
          onSubmit={(e) => {
            e.preventDefault();
            run({ op: 'links', play: play.id, links: [...play.links, draft] }, () =>
              setDraft({ ...draft, play: '' }),
            );
          }}
        >
          <div style={{ display: 'grid', gridTemplateColumns: '1fr 1.4fr', gap: 8 }}>
            <TextBox
              select
              label="Link"
              value={draft.kind}
              onChange={(e) => setDraft({ ...draft, kind: e.target.value as PlayLink['kind'] })}
            >
              {LINK_KINDS.map((k) => (
                <option key={k} value={k}>
                  {k}
                </option>
              ))}
            </TextBox>
            <TextBox
              select
              label="Play"
              value={draft.play}
              onChange={(e) => setDraft({ ...draft, play: e.target.value })}
            >
              {plays
                .filter((p) => p.id !== play.id)
                .map((p) => (
                  <option key={p.id} value={p.id}>
                    {p.name}
                  </option>
                ))}
            </TextBox>
          </div>
          {draft.kind === 'set-up' ? (
            <TextBox
              label="Shown at least"
              type="number"
              value={draft.least}
              onChange={(e) => setDraft({ ...draft, least: Number(e.target.value) })}
              htmlInput={{ min: 1, max: 99 }}
            />
          ) : (
            <TextBox
              select
              label="When"
              value={draft.trigger ?? ''}
              onChange={(e) => setDraft({ ...draft, trigger: e.target.value || null })}
            >
              <option value="">any time</option>
              {Object.values(TRIGGERS).map((t) => (
                <option key={t} value={t}>
                  {t}
                </option>
              ))}
            </TextBox>
          )}
          <Button type="submit" variant="outlined" disabled={busy || draft.play === ''}>
            Link it
          </Button>
        </form>
      )}
      {card && (
        <LookCard book={book} profile={profile} fields={fields} hash={null} onClose={() => setCard(false)} />
      )}
      {shown && (
        <Reel
          title={`${shown.play?.name ?? ''} on own film`}
          snaps={[...shown.rows].map((i) => counted[i]!)}
          book={book}
          profile={profile}
          gameName={nameOfGame}
          onClose={() => setUrl({ reel: null })}
        />
      )}
    </section>
  );
}

const pictureName = (shown: NamedPresentation, base: NamedPresentation): string =>
  `${shown.formationWord}${shown.side ? ` ${sideWord(shown.side)}` : ''}, ${shown.backfieldWord}${shown.motionWord && shown.motion !== base.motion ? `, ${shown.motionBy} ${shown.motionWord}` : ''}`;

/** Other ways to show the same jobs: most different to a defense for fewest new jobs first. */
function Pictures({ play, book, profile }: PlayListProps & { play: PlayCard }) {
  const [all, setAll] = useState(12);
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
    <section aria-label="Other ways to show it" style={{ marginTop: 14 }}>
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
          {ranked.slice(0, all).map((r, i) => (
            <Fragment
              key={`${r.shown.formationWord}${r.shown.side}${r.shown.backfieldWord}${r.shown.motionBy}${r.shown.motionWord}`}
            >
              <tr>
                <td>
                  <button
                    type="button"
                    className="plain"
                    aria-expanded={open === i}
                    onClick={() => setOpen(open === i ? null : i)}
                  >
                    {pictureName(r.shown, known.base)}
                  </button>
                </td>
                <td>
                  {r.assignment.structure.label}, {r.people} shows
                </td>
                <td className="n">{r.distance.toFixed(1)}</td>
                <td>
                  {r.changes.length === 0
                    ? 'new for nobody'
                    : `new for ${r.changes.length} of ${r.assignment.men.length}: ${r.changes.map((c) => `${c.letter} ${c.before ?? 'new man'} → ${c.after}`).join(', ')}`}
                </td>
              </tr>
              {open === i && (
                <tr>
                  <td colSpan={4}>
                    <div className="lookgrid">
                      <div>
                        <h2>As it is: {play.formation}</h2>
                        <Chalk
                          book={book}
                          profile={profile}
                          fields={playFields(play)}
                          hash={null}
                          jobs
                          defense={false}
                          height={190}
                          caption={false}
                        />
                      </div>
                      <div>
                        <h2>
                          {pictureName(r.shown, known.base)}: new for {r.changes.length} of{' '}
                          {r.assignment.men.length}
                        </h2>
                        <Chalk
                          book={book}
                          profile={profile}
                          fields={{
                            ...playFields(play),
                            formation: r.shown.formationWord,
                            formationSide: r.shown.side,
                            backfield: r.shown.backfieldWord,
                            direction: to,
                            motion: r.shown.motionWord,
                            motionBy: r.shown.motionBy,
                          }}
                          hash={null}
                          jobs
                          defense={false}
                          height={190}
                          caption={false}
                        />
                      </div>
                    </div>
                  </td>
                </tr>
              )}
            </Fragment>
          ))}
        </tbody>
      </table>
      {ranked.length > all && (
        <Button onClick={() => setAll(all + 24)}>{Math.min(24, ranked.length - all)} more</Button>
      )}
    </section>
  );
}

function AddPlay({
  book,
  busy,
  profile,
  onAdd,
}: {
  book: Book;
  busy: boolean;
  profile: LevelProfile;
  onAdd: (change: RowChange) => void;
}) {
  const [play, setPlay] = useState({
    name: '',
    personnel: '',
    formation: '',
    formationSide: '',
    backfield: '',
    motion: '',
    motionBy: '',
    concept: '',
    direction: '',
  });
  const concepts = book.terms.filter((t) => t.kind === 'run' || t.kind === 'pass');
  const chosen = concepts.find((t) => `${t.kind}|${storedValue(t)}` === play.concept);
  const field = (name: keyof typeof play) => ({
    value: play[name],
    onChange: (e: { target: { value: string } }) => setPlay({ ...play, [name]: e.target.value }),
  });
  const words = (kind: 'formation' | 'backfield' | 'motion') =>
    book.terms
      .filter((t) => t.kind === kind)
      .map((t) => (
        <option key={t.id} value={storedValue(t)}>
          {t.word}
        </option>
      ));
  const noRun = profile.players !== 11 && chosen?.kind === 'run';
  return (
    <form
      className="card"
      style={{ display: 'grid', gap: 10, alignContent: 'start' }}
      onSubmit={(e) => {
        e.preventDefault();
        onAdd({
          op: 'play',
          name: play.name,
          kind: chosen?.kind === 'run' ? 'run' : 'pass',
          personnel: play.personnel || null,
          formation: play.formation || null,
          formationSide: (play.formationSide || null) as 'L' | 'R' | null,
          backfield: play.backfield || null,
          motion: play.motion || null,
          motionBy: play.motionBy || null,
          concept: chosen ? storedValue(chosen) : '',
          conceptWeak: null,
          direction: (play.direction || null) as 'L' | 'R' | null,
        });
      }}
    >
      <h2>Add a play</h2>
      <TextBox label="Name" required {...field('name')} htmlInput={{ maxLength: 80 }} />
      <TextBox
        label="Personnel"
        placeholder="11"
        {...field('personnel')}
        error={play.personnel !== '' && !/^[0-5][0-5]$/.test(play.personnel)}
        helperText="two digits: backs, tight ends"
      />
      <TextBox select label="Formation" {...field('formation')}>
        <option value="">any</option>
        {words('formation')}
      </TextBox>
      <div style={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 8 }}>
        <TextBox select label="Strong side" {...field('formationSide')}>
          <option value="">either</option>
          <option value="L">left</option>
          <option value="R">right</option>
        </TextBox>
        <TextBox select label="Backfield" {...field('backfield')}>
          <option value="">any</option>
          {words('backfield')}
        </TextBox>
        <TextBox select label="Motion" {...field('motion')}>
          <option value="">none</option>
          {words('motion')}
        </TextBox>
        <TextBox select label="by" {...field('motionBy')} disabled={play.motion === ''}>
          <option value="">nobody</option>
          {book.letters.map((l) => (
            <option key={l} value={l}>
              {l}
            </option>
          ))}
        </TextBox>
      </div>
      <TextBox
        select
        required
        label="Concept"
        {...field('concept')}
        error={noRun}
        helperText={noRun ? `${profile.name} has no runs from scrimmage; check your organizer’s rules` : ''}
      >
        {concepts.map((t) => (
          <option key={t.id} value={`${t.kind}|${storedValue(t)}`}>
            {t.word}, {t.kind}
          </option>
        ))}
      </TextBox>
      <TextBox select label="Direction" {...field('direction')}>
        <option value="">either</option>
        <option value="L">left</option>
        <option value="R">right</option>
      </TextBox>
      <Button type="submit" variant="contained" disabled={busy || !chosen}>
        Add
      </Button>
    </form>
  );
}
