/** Charting without a browser: a game in memory stands for the disk and the store. */
import { expect, describe, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field/profile';
import { DEFAULT_BUCKETS, DEFAULT_ZONES } from '../field/situation';
import { NO_HABITS } from '../line/habits';
import { checkRows, walkGame } from '../rules';
import { blankSnap, type Snap } from '../snap';
import { enterHint, linesOf, LOG_COMMANDS, newSession, statusSentence, step, viewLine } from './index';
import type { Change, Event, LoggedGame, RefusedSnap, Session } from './index';

/** A session over a game that takes what is written, or refuses to, like a browser's disk. */
class Table {
  snaps: Snap[] = [];
  refused: RefusedSnap[] = [];
  session: Session = newSession();
  full = false;
  slow = false;
  effects: string[] = [];
  private held: readonly Change[] | null = null;
  private ids = 0;

  get game(): LoggedGame {
    const rows = walkGame(this.snaps, COLLEGE);
    return {
      home: 'HER',
      away: 'MIR',
      rows,
      findings: checkRows(rows),
      refused: this.refused,
      book: DEFAULT_BOOK,
      profile: COLLEGE,
      buckets: DEFAULT_BUCKETS,
      letters: {},
      habits: NO_HABITS,
      zones: DEFAULT_ZONES,
    };
  }
  get view() {
    return viewLine(this.session, this.game);
  }
  get says() {
    return statusSentence(this.session.status);
  }

  send(event: Event): this {
    const { session, effects } = step(this.session, event, this.game, this.view);
    this.session = session;
    for (const e of effects) {
      this.effects.push(e.kind);
      if (e.kind !== 'write') continue;
      if (this.full) this.send({ type: 'not-written', why: 'full' });
      else if (this.slow) this.held = e.write.changes;
      else this.land(e.write.changes);
      if (e.write.replaces !== null) this.refused = this.refused.filter((r) => r.id !== e.write.replaces);
    }
    return this;
  }
  private land(changes: readonly Change[]): void {
    for (const c of changes) this.apply(c);
    this.send({ type: 'written' });
    this.send({ type: 'game-changed' });
    while (this.session.waiting.length > 0 && this.session.pending === null) this.send({ type: 'resume' });
  }
  /** The disk answers at last. */
  arrive(): this {
    const changes = this.held!;
    this.held = null;
    this.land(changes);
    return this;
  }
  private gone = new Map<string, Snap>();
  private apply(c: Change): void {
    const at = this.snaps.findIndex((s) => s.snapId === c.snapId);
    if (c.do === 'patch') this.snaps[at] = { ...this.snaps[at]!, ...c.fields };
    else if (c.do === 'remove') this.gone.set(c.snapId, this.snaps.splice(at, 1)[0]!);
    else if (c.do === 'restore') this.snaps.push(this.gone.get(c.snapId)!);
    else if (c.do === 'put') {
      const after = c.after === null ? -1 : this.snaps.findIndex((s) => s.snapId === c.after);
      const before = this.snaps[after]?.order ?? 0;
      const next = [...this.snaps].map((s) => s.order).filter((o) => o > before);
      const order = next.length > 0 ? (before + Math.min(...next)) / 2 : before + 1;
      this.snaps.splice(after + 1, 0, { ...blankSnap(c.snapId, 'g', order), ...c.fields });
    }
    this.snaps.sort((a, b) => a.order - b.order);
  }

  type(text: string): this {
    return this.send({ type: 'typed', text, caret: text.length });
  }
  enter(): this {
    return this.send({ type: 'enter', snapId: `s${++this.ids}` });
  }
  line(text: string): this {
    return this.type(text).enter();
  }
  log = (): string[] =>
    this.snaps.map((s) => `${s.offense ?? ''} ${s.formation ?? s.unit} ${s.gain ?? ''}`.trim());
}

const started = (): Table =>
  new Table().line('her kickoff >o25').line('1&10 trips power r +4').line('trips stick +3');

describe('who has the ball first', () => {
  it('the first snap of a game is not stored before somebody said it', () => {
    const t = new Table().line('kickoff 60 tb');
    expect(t.snaps).toEqual([]);
    expect([t.session.text, t.session.asked, t.view.starts]).toEqual(['kickoff 60 tb', 'start', 'game']);
    expect(t.says).toMatch(/^Say who has the ball first/);
    expect(enterHint(t.session)).toBe('who has the ball?');
    // Asked again as often as it is not said.
    expect(t.enter().snaps).toEqual([]);
    t.send({ type: 'start', team: 'MIR' }).enter();
    expect(t.snaps).toMatchObject([
      { offense: 'MIR', defense: 'HER', unit: 'kickoff', quarter: 1, toGoal: 65 },
    ]);
    expect(t.session.text).toBe('');
    // The receivers have it now, by the rules.
    expect(t.view.context.state).toMatchObject({ offense: 'HER', down: 1, distance: 10, toGoal: 75 });
  });

  it.each([
    'mir kickoff 60 tb',
    'MIR kickoff 60 tb',
    'kickoff 60 tb mir',
    'q1 mir kickoff 60 tb',
    'offense=MIR kickoff 60 tb',
  ])('the key typed in the line says it: %s', (text) => {
    const t = new Table().line(text);
    expect(t.snaps).toMatchObject([{ offense: 'MIR', defense: 'HER', unit: 'kickoff', toGoal: 65 }]);
  });

  it('the third quarter begins by a key in the line too, and a note names nobody', () => {
    expect(started().line('q3 mir kickoff 60 tb').snaps[3]).toMatchObject({
      offense: 'MIR',
      quarter: 3,
      toGoal: 65,
    });
    expect(new Table().line('kickoff 60 tb "mir late"').snaps).toEqual([]);
  });

  it('film that begins in the middle is given no spot that nobody typed', () => {
    const t = new Table().line('mir trips power r +4');
    expect(t.snaps).toMatchObject([{ offense: 'MIR', defense: 'HER', toGoal: null, gain: 4 }]);
    expect(new Table().line('mir fg 34 good').snaps).toMatchObject([{ kickYards: 34, toGoal: null }]);
    expect(new Table().type('mir trips').view.follows.before).toMatchObject({
      unit: 'scrimmage',
      toGoal: null,
    });
    expect(new Table().line('mir 2&7 @o35 trips power r +4').snaps).toMatchObject([{ toGoal: 65, down: 2 }]);
  });

  it('a half begins the same way; within a half it is carried', () => {
    const t = started();
    expect(t.view.starts).toBeNull();
    t.type('q3 kickoff 60 tb');
    expect(t.view.starts).toBe('half');
    expect(t.enter().snaps).toHaveLength(3);
    t.send({ type: 'start', team: 'MIR' }).enter();
    expect(t.snaps[3]).toMatchObject({ offense: 'MIR', quarter: 3, unit: 'kickoff' });
  });
});

describe('Enter', () => {
  it('saves and clears; what was typed meanwhile is the next line, and a second Enter waits its turn', () => {
    const t = started();
    t.slow = true;
    t.line('doubles mesh +5');
    expect([t.session.text, linesOf(t.session)]).toEqual(['', 'doubles mesh +5']);
    t.type('wing').enter();
    expect([t.snaps.length, t.session.waiting.length]).toEqual([3, 1]);
    t.type('wing power l +1');
    t.arrive();
    expect(t.snaps.map((s) => s.formation).slice(1)).toEqual(['trips', 'trips', 'doubles']);
    expect(t.session.pending).not.toBeNull();
    t.arrive();
    expect(t.snaps.map((s) => s.formation).slice(1)).toEqual(['trips', 'trips', 'doubles', 'wing']);
    expect([t.snaps.at(-1)!.concept, t.session.text]).toEqual([null, ' power l +1']);
  });

  it('three snaps typed before the disk answers once are three snaps', () => {
    const t = started();
    t.slow = true;
    // The first is cleared at once; what follows stands in one box until its turn.
    t.line('doubles mesh +5').line('wing power l +1').line('wing power l +1trips curl-flat inc');
    t.send({ type: 'walk', by: -1 });
    for (let i = 0; i < 3; i++) t.arrive();
    expect(t.snaps.map((s) => s.concept).slice(3)).toEqual(['mesh', 'power', 'curl-flat']);
    // The arrow was pressed last and is done last: it opens the last of them.
    expect(t.session.mode).toEqual({ kind: 'edit', snapId: t.snaps.at(-1)!.snapId });
    expect(t.session.draft).toBe('');
  });

  it('a key pressed after two undos is done after both', () => {
    const t = started().line('doubles mesh +5').line('wing power l +1');
    t.slow = true;
    t.send({ type: 'undo' }).send({ type: 'undo' }).send({ type: 'walk', by: -1 });
    t.arrive().arrive();
    expect(t.snaps).toHaveLength(3);
    expect(t.session.mode).toEqual({ kind: 'edit', snapId: t.snaps[2]!.snapId });
  });

  it('asks once before it saves words it does not understand; they go into the note', () => {
    const t = started().line('trips blorp power r +2');
    expect(t.snaps).toHaveLength(3);
    expect(enterHint(t.session)).toBe('save it as it is');
    expect(t.enter().snaps[3]).toMatchObject({ formation: 'trips', note: 'unread: blorp' });
  });

  it('keeps the line when the browser cannot store it', () => {
    const t = started();
    t.full = true;
    t.line('trips power r +2');
    expect([t.snaps.length, t.session.text, t.session.trouble]).toEqual([3, 'trips power r +2', 'full']);
    t.full = false;
    expect(t.enter().snaps).toHaveLength(4);
    expect(t.session.trouble).toBe('');
  });

  it('puts the line back when the disk refuses late, with what was typed since', () => {
    const t = started();
    t.slow = true;
    t.line('doubles mesh +5').type('wing').send({ type: 'not-written', why: 'full' });
    expect([t.session.text, t.session.draft]).toEqual(['doubles mesh +5 wing', 'doubles mesh +5 wing']);
    const edited = started().send({ type: 'walk', by: -1 });
    edited.slow = true;
    const changed = `${edited.session.text} "seen twice"`;
    edited.line(changed).type('wing').send({ type: 'not-written', why: 'full' });
    expect([edited.session.mode.kind, edited.session.text, edited.session.draft]).toEqual([
      'edit',
      changed,
      'wing',
    ]);
    edited.slow = false;
    expect(edited.enter().snaps.at(-1)).toMatchObject({ note: 'seen twice' });
    expect(edited.session.text).toBe('wing');
  });

  it('on an empty line saves nothing', () => {
    expect(started().enter().says).toBe('the snap line is empty');
  });
});

describe('earlier snaps', () => {
  it('an edit patches what was changed only, over what it was opened on, and the draft comes back', () => {
    const t = started().type('wing pow');
    t.send({ type: 'walk', by: -1 });
    expect(t.session.mode).toMatchObject({ kind: 'edit', snapId: 's3' });
    expect(t.session.text).toContain('stick');
    t.type(t.session.text.replace('+3', '+5')).enter();
    expect(t.snaps[2]).toMatchObject({ gain: 5, formation: 'trips' });
    expect([t.session.mode.kind, t.session.text, t.says]).toEqual(['next', 'wing pow', 'changed']);
    expect(t.effects).toContain('opened');
  });

  it('an edit that changes nothing writes nothing', () => {
    const t = started();
    t.send({ type: 'walk', by: -1 });
    t.effects = [];
    t.enter();
    expect(t.effects).not.toContain('write');
    expect(t.session.mode.kind).toBe('next');
  });

  it('insert stands before the chosen one', () => {
    const t = started();
    t.send({ type: 'insert-before', snapId: 's3' }).line('doubles draw +1');
    expect(t.snaps.map((s) => s.concept)).toEqual([null, 'power', 'draw', 'stick']);
    expect(t.says).toBe('inserted');
  });

  it('a line nobody touched follows its snap; one that was touched does not; one whose snap is gone closes', () => {
    const t = started();
    t.send({ type: 'walk', by: -1 });
    t.snaps[2] = { ...t.snaps[2]!, gain: 8 };
    expect(t.send({ type: 'game-changed' }).session.text).toContain('+8');
    t.type(`${t.session.text} "mine"`);
    t.snaps[2] = { ...t.snaps[2]!, gain: 9 };
    expect(t.send({ type: 'game-changed' }).session.text).toContain('"mine"');
    t.send({ type: 'edit', snapId: 's3' });
    t.snaps = t.snaps.slice(0, 2);
    expect(t.send({ type: 'game-changed' }).session).toMatchObject({
      mode: { kind: 'next' },
      status: 'gone',
    });
  });
});

describe('undo', () => {
  it('takes back a snap, a change, a removal; and does them again', () => {
    const t = started();
    const before = t.log();
    t.send({ type: 'undo' });
    expect(t.log()).toEqual(before.slice(0, 2));
    t.send({ type: 'redo' });
    expect(t.log()).toEqual(before);
    t.send({ type: 'walk', by: -1 }).send({ type: 'remove' });
    expect(t.log()).toEqual(before.slice(0, 2));
    t.send({ type: 'undo' });
    expect([t.log(), t.says]).toEqual([before, 'undone']);
    for (let i = 0; i < 5; i++) t.send({ type: 'undo' });
    expect([t.snaps.length, t.says]).toEqual([0, 'nothing to undo']);
    for (let i = 0; i < 3; i++) t.send({ type: 'redo' });
    expect(t.log()).toEqual(before);
    // The removal that was undone is done again too, then there is nothing more.
    t.send({ type: 'redo' }).send({ type: 'redo' });
    expect([t.log(), t.says]).toEqual([before.slice(0, 2), 'nothing to redo']);
  });

  it('what is opened while the disk is slow stays open', () => {
    const slow = (t: Table): Table => {
      t.slow = true;
      return t;
    };
    // Undone, and a snap opened before the disk answers.
    const undone = slow(started())
      .send({ type: 'undo' })
      .send({ type: 'walk', by: -1 })
      .send({ type: 'walk', by: -1 });
    const { mode, text } = undone.session;
    expect(mode.kind).toBe('edit');
    undone.arrive();
    expect([undone.session.mode, undone.session.text]).toEqual([mode, text]);
    // A line entered, and an earlier snap opened meanwhile: the line is saved, no draft is left of it.
    const entered = slow(started()).line('trips stick +6').send({ type: 'walk', by: -1 });
    const opened = entered.session;
    entered.arrive();
    expect([entered.session.mode, entered.session.text]).toEqual([opened.mode, opened.text]);
    entered.send({ type: 'leave' });
    expect([entered.session.text, entered.snaps.length]).toEqual(['', 4]);
  });

  it('a step that could not be written stays to be undone', () => {
    const t = started();
    t.full = true;
    t.send({ type: 'undo' });
    expect([t.snaps.length, t.session.done.length]).toEqual([3, 3]);
  });
});

it('a remedy fixes what needs review, and is undone as one', () => {
  const t = started().line('3&9 doubles mesh +2');
  const { finding } = t.view;
  expect(finding).not.toBeNull();
  const fix = LOG_COMMANDS.find((c) => c.id === 'fix-1')!.event(t.session, t.view, ['HER', 'MIR'])!;
  t.send(fix);
  expect(t.game.findings.filter((f) => f.level === 'finding')).toEqual([]);
  t.send({ type: 'undo' });
  expect(t.view.finding).toEqual(finding);
});

it('a missing snap is marked in its place by one key, and undone', () => {
  const t = started().line('3&9 doubles mesh +2');
  const before = t.snaps.map((s) => s.snapId);
  const at = t.view.finding!.remedies.findIndex((r) => r.code === 'mark-missing');
  const fix = LOG_COMMANDS.find((c) => c.id === `fix-${at + 1}`)!.event(t.session, t.view, ['HER', 'MIR'])!;
  t.send({ ...fix, snapId: 'gap' } as Event);
  expect(t.snaps.map((s) => s.snapId)).toEqual([...before.slice(0, -1), 'gap', before.at(-1)]);
  expect(t.snaps.find((s) => s.snapId === 'gap')!.notFilmed).toBe(true);
  expect(t.game.findings.filter((f) => f.level === 'finding')).toEqual([]);
  t.send({ type: 'undo' });
  expect(t.snaps.map((s) => s.snapId)).toEqual(before);
});

it('a refused snap is opened as its line and put in its place', () => {
  const t = started();
  t.refused = [{ id: 'q1', snapId: 'lost', fields: { formation: 'wing', gain: 99 }, after: 's2' }];
  t.send({ type: 'fix', id: 'q1' });
  expect(t.session.text).toContain('wing');
  t.type('wing power r +2').enter();
  expect(t.snaps.map((s) => s.snapId)).toEqual(['s1', 's2', 'lost', 's3']);
  expect([t.refused, t.says]).toEqual([[], 'fixed']);
});

it('random sessions: every undo leads back to the empty game, every redo to the last', () => {
  const words = [
    'trips power r +4',
    'doubles mesh inc',
    'wing draw +1',
    '1&10 @o30 spread levels +7',
    'pen o holding 10',
  ];
  let seed = 7;
  const random = (n: number): number => (seed = (seed * 48271) % 2147483647) % n;
  for (let round = 0; round < 60; round++) {
    const t = new Table().line('her kickoff >o25');
    for (let i = 0; i < 12; i++) {
      const what = random(6);
      if (what < 3) t.line(words[random(words.length)]!);
      else if (what === 3)
        t.send({ type: 'walk', by: -1 - random(3) })
          .type(`${t.session.text} box 7`)
          .enter()
          .enter();
      else if (what === 4) t.send({ type: 'walk', by: -1 - random(2) }).send({ type: 'remove' });
      else
        t.send({ type: 'insert-before', snapId: t.snaps[random(t.snaps.length)]?.snapId ?? 's1' }).line(
          words[0]!,
        );
      t.send({ type: 'leave' });
      if (t.session.mode.kind !== 'next') t.send({ type: 'leave' });
      t.type('');
    }
    const last = JSON.stringify(t.snaps);
    const steps = t.session.done.length;
    for (let i = 0; i < steps; i++) t.send({ type: 'undo' });
    expect(t.snaps).toEqual([]);
    for (let i = 0; i < steps; i++) t.send({ type: 'redo' });
    expect(JSON.stringify(t.snaps)).toBe(last);
  }
});

it('a snap opened before the page is quite alive is no draft', () => {
  const t = started();
  const fresh = new Table();
  fresh.snaps = t.snaps;
  fresh.session = { ...fresh.session, begun: false };
  fresh.send({ type: 'walk', by: -1 });
  const { text } = fresh.session;
  fresh.send({ type: 'begin', draft: 'half a li', early: text, open: null });
  expect([fresh.session.mode.kind, fresh.session.text]).toEqual(['edit', text]);
  fresh.send({ type: 'leave' });
  expect(fresh.session.text).toBe('half a li');
});

it('begins with the draft and what was typed before the page was alive, once', () => {
  const t = new Table().send({ type: 'begin', draft: 'trips po', early: 'wer', open: null });
  expect(t.session.text).toBe('trips po wer');
  expect(t.send({ type: 'begin', draft: 'trips po', early: 'wer', open: null }).session.text).toBe(
    'trips po wer',
  );
  const linked = started();
  linked.send({ type: 'begin', draft: 'wing', early: '', open: 's2' });
  expect(linked.session.mode).toEqual({ kind: 'edit', snapId: 's2' });
  expect(linked.send({ type: 'leave' }).session.text).toBe('wing');
});

it('each command has keys of its own', () => {
  const keys = LOG_COMMANDS.flatMap((c) => c.keys);
  expect(new Set(keys).size).toBe(keys.length);
  expect(keys.length).toBeGreaterThan(12);
});
