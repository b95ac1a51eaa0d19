/** Finding, marking and changing many snaps of a demo game, by the words a charter would use. */
import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field/profile';
import { DEFAULT_BUCKETS, DEFAULT_ZONES } from '../field/situation';
import { NO_HABITS } from '../line/habits';
import { checkRows, walkGame } from '../rules';
import { blankSnap, isTagged, type Snap, type SnapFields } from '../snap';
import { bulkPatches, bulkSentence, planBulk } from './bulk';
import { findSnaps } from './find';
import { LOG_COMMANDS, newSession, step, viewLine, type Event, type LoggedGame, type Session } from './index';
import { touchedBy, touchedSentence } from './touched';

const OPTIONS = { buckets: DEFAULT_BUCKETS, zones: DEFAULT_ZONES };
const snap = (n: number, fields: SnapFields): Snap => ({ ...blankSnap(`s${n}`, 'g', n), ...fields });
const first = {
  unit: 'scrimmage',
  offense: 'HER',
  defense: 'MIR',
  quarter: 1,
  down: 1,
  distance: 10,
  toGoal: 65,
} as const;
const SNAPS: Snap[] = [
  snap(1, {
    ...first,
    formation: 'trips',
    formationSide: 'L',
    play: 'run',
    concept: 'power',
    gain: 2,
    result: 'gain',
  }),
  snap(2, {
    formation: 'trips',
    motion: 'jet',
    motionBy: 'H',
    play: 'run',
    concept: 'sweep',
    gain: 0,
    result: 'gain',
  }),
  snap(3, {
    formation: 'trips',
    motion: 'orbit',
    play: 'pass',
    concept: 'stick',
    conceptWeak: 'snag',
    gain: 9,
    result: 'complete',
    coverage: 'quarters',
    notSure: ['coverage'],
  }),
  snap(4, {
    formation: 'wing',
    motion: '-',
    play: 'run',
    concept: 'power',
    gain: 3,
    result: 'gain',
    note: 'puller slipped',
  }),
  snap(5, { formation: 'trips', play: 'pass', result: 'incomplete', gain: 0, coverage: '?' }),
  snap(6, { formation: 'doubles', play: 'pass', result: 'sack', gain: -7, coverage: 'cover 3', kept: true }),
];
function gameOf(snaps: readonly Snap[]): LoggedGame {
  const rows = walkGame(snaps, COLLEGE, OPTIONS);
  return {
    home: 'HER',
    away: 'MIR',
    rows,
    findings: checkRows(rows),
    refused: [],
    book: DEFAULT_BOOK,
    profile: COLLEGE,
    buckets: DEFAULT_BUCKETS,
    zones: DEFAULT_ZONES,
    letters: {},
    habits: NO_HABITS,
  };
}
const game = gameOf(SNAPS);
const numbers = (query: string, on = game): number[] => findSnaps(query, on).rows.map((r) => r.number);

describe('finding', () => {
  it.each([
    ['3rd long trips motion', [3]],
    ['trips', [1, 2, 3, 5]],
    ['trips l', [1]],
    ['motion', [2, 3]],
    ['no motion', [4]],
    ['h jet', [2]],
    ['blank motion', [1, 5, 6]],
    ['power', [1, 4]],
    ['snag', [3]],
    ['run', [1, 2, 4]],
    ['sack', [6]],
    ['inc', [5]],
    ['+3', [4]],
    ['coverage unseen', [5]],
    ['coverage', [3, 6]],
    ['not sure', [3]],
    ['puller', [4]],
    ['kept', [6]],
    ['2nd', [2, 5]],
    ['2nd long', [2, 5]],
    ['3rd & goal', []],
    ['HER trips 1st', [1]],
    ['6', [6]],
    ['TRIPS  MOTION', [2, 3]],
  ])('%s', (query, wanted) => expect(numbers(query)).toEqual(wanted));
  it('says which word nobody logged, and finds nothing by it', () => {
    expect(findSnaps('trips zebra', game)).toMatchObject({ rows: [], unknown: ['zebra'] });
    expect(findSnaps('', game)).toEqual({ rows: [], unknown: [] });
  });
  it('finds every snap by its own formation, and none besides', () => {
    for (const { snap } of game.rows)
      if (isTagged(snap.formation))
        expect(numbers(snap.formation)).toEqual(
          game.rows.filter((r) => r.snap.formation === snap.formation).map((r) => r.number),
        );
  });
});

describe('many at once', () => {
  const marked = ['s2', 's3', 's4'];
  it('sets what is typed and says what is written over', () => {
    const plan = planBulk('quarters', marked, game);
    expect(plan.changes.map((c) => c.number)).toEqual([2, 4]);
    expect(plan).toMatchObject({ same: 1, over: 0, problem: null });
    expect(bulkSentence(plan)).toBe('set coverage on 2 snaps; 1 snap has it already');
    expect(planBulk('cover 3', marked, game)).toMatchObject({ same: 0, over: 1 });
  });
  it('clears and copies with what is said in one breath', () => {
    expect(bulkPatches(planBulk('clear motion', marked, game))).toEqual([
      { snapId: 's2', fields: { motion: null, motionBy: null } },
      { snapId: 's3', fields: { motion: null } },
      { snapId: 's4', fields: { motion: null } },
    ]);
    expect(bulkPatches(planBulk('copy formation', ['s1', 's5', 's4'], game))).toEqual([
      { snapId: 's4', fields: { formation: 'trips', formationSide: 'L' } },
      { snapId: 's5', fields: { formationSide: 'L' } },
    ]);
  });
  it.each([
    ['+6', 'gain is each snap’s own'],
    ['3&4', 'down is each snap’s own'],
    ['zebra', '“zebra” is no value'],
    ['clear zebra', 'no field “zebra”'],
    ['clear', 'clear what?'],
  ])('refuses %s', (text, why) => expect(planBulk(text, marked, game).problem).toContain(why));
});

describe('what else changes', () => {
  it('is the situations after it, up to the next that is typed', () => {
    const touched = touchedBy(game.rows, [{ snapId: 's2', fields: { gain: 12 } }], COLLEGE, OPTIONS);
    expect(touched.snaps.map((s) => s.number)).toEqual([3, 4, 5, 6]);
    expect(touched.snaps[0]!.to).toMatchObject({ down: 1, distance: 10, toGoal: 51 });
    expect(touchedSentence(touched)).toBe('also changes snaps 3 to 6');
  });
  it('says what adds up then, and what no longer does', () => {
    const typed = gameOf(
      SNAPS.map((s) => (s.snapId === 's3' ? { ...s, down: 3, distance: 8, toGoal: 63 } : s)),
    );
    const change = [{ snapId: 's2', fields: { gain: 4 } }];
    const touched = touchedBy(typed.rows, change, COLLEGE, OPTIONS);
    expect(touched.snaps).toEqual([]);
    expect(touchedSentence(touched)).toMatch(/^then snap 3 doesn’t add up$/);
    const back = touchedBy(
      gameOf(typed.rows.map((r) => (r.snap.snapId === 's2' ? { ...r.snap, gain: 4 } : r.snap))).rows,
      [{ snapId: 's2', fields: { gain: 0 } }],
      COLLEGE,
      OPTIONS,
    );
    expect(touchedSentence(back)).toBe('then snap 3 adds up');
  });
  it('is nothing for a field that nothing follows from', () =>
    expect(
      touchedSentence(
        touchedBy(game.rows, [{ snapId: 's2', fields: { coverage: 'cover 3' } }], COLLEGE, OPTIONS),
      ),
    ).toBe(''));
});

describe('by keys', () => {
  function play(events: readonly (Event | string)[], on = game) {
    let session: Session = { ...newSession(), begun: true };
    const writes: unknown[] = [];
    for (const given of events) {
      const view = viewLine(session, on);
      const event =
        typeof given === 'string' && given.length > 1 && LOG_COMMANDS.some((c) => c.id === given)
          ? LOG_COMMANDS.find((c) => c.id === given)!.event(session, view, ['HER', 'MIR'])
          : typeof given === 'string'
            ? ({ type: 'typed', text: given, caret: given.length } as const)
            : given;
      if (!event) throw new Error(`${String(given)} means nothing now`);
      const stepped = step(session, event, on, view);
      session = stepped.session;
      for (const effect of stepped.effects) if (effect.kind === 'write') writes.push(effect.write.changes);
    }
    return { session, writes, view: viewLine(session, on) };
  }
  const enter: Event = { type: 'enter', snapId: 'new' };

  it('a slash looks, Enter opens, Alt N goes on, and the draft stays', () => {
    const { session, view } = play(['/', '/trips motion']);
    expect(session.mode.kind).toBe('find');
    expect(view.found!.rows.map((r) => r.number)).toEqual([2, 3]);
    expect(play(['/', '/trips motion', enter]).session.mode).toEqual({ kind: 'edit', snapId: 's2' });
    expect(play(['/', '/trips motion', 'later', enter]).session.mode).toEqual({ kind: 'edit', snapId: 's3' });
    expect(play(['/', '/trips motion', enter, 'find-next']).session.mode).toEqual({
      kind: 'edit',
      snapId: 's3',
    });
    expect(play(['/', '/trips motion', enter, 'find-next', 'find-next']).session.mode).toEqual({
      kind: 'edit',
      snapId: 's2',
    });
    expect(play(['power r', 'find', '/wing', enter, 'leave']).session).toMatchObject({
      mode: { kind: 'next' },
      text: 'power r',
    });
    expect(play(['/', '']).session.mode.kind).toBe('next');
    expect(play(['/', '/zebra', enter]).session).toMatchObject({
      mode: { kind: 'find' },
      status: 'not-found',
    });
  });
  it('Shift and the arrows mark, the line changes them all, one undo takes it back', () => {
    const { session, writes } = play([
      { type: 'edit', snapId: 's2' },
      'mark-later',
      'mark-later',
      'cover 3',
      enter,
      { type: 'written' },
    ]);
    expect(session.mode.kind).toBe('next');
    expect(session.done).toHaveLength(1);
    expect(writes).toEqual([
      ['s2', 's3', 's4'].map((snapId) => ({ do: 'patch', snapId, fields: { coverage: 'cover 3' } })),
    ]);
    expect(session.done[0]!.undo).toEqual([
      { do: 'patch', snapId: 's2', fields: { coverage: null } },
      { do: 'patch', snapId: 's3', fields: { coverage: 'quarters' } },
      { do: 'patch', snapId: 's4', fields: { coverage: null } },
    ]);
  });
  it('marks all that were found, and a range from the first to a click', () => {
    expect(play(['/', '/power', 'mark-found']).session.mode).toEqual({ kind: 'bulk', snapIds: ['s1', 's4'] });
    expect(
      play([
        { type: 'edit', snapId: 's4' },
        { type: 'mark-to', snapId: 's2' },
      ]).session.mode,
    ).toEqual({
      kind: 'bulk',
      snapIds: ['s4', 's3', 's2'],
    });
    expect(play(['mark-earlier', 'mark-earlier']).session.mode).toEqual({
      kind: 'bulk',
      snapIds: ['s6', 's5'],
    });
  });
  it('takes the second offer by a key of its own, but not inside a note', () => {
    const at = LOG_COMMANDS.find((c) => c.id === 'accept-2')!;
    const ask = (text: string) => {
      const session = { ...newSession(), begun: true, text, caret: text.length };
      return at.event(session, viewLine(session, game), ['HER', 'MIR']);
    };
    expect(ask('tr')).toEqual({ type: 'take', index: 1 });
    expect(ask('"tr')).toBeNull();
    expect(ask('tags=tr')).toBeNull();
  });
});
