/** The default book's meanings: how many, all different, read back as written; plays, presentations, nearness, facts. */
import Ajv2020 from 'ajv/dist/2020';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { COLLEGE, SEVEN_ON_SEVEN } from '../field';
import { blankSnap, type Snap } from '../snap';
import {
  DEFAULT_LOOK_SETTINGS,
  drawingSvg,
  fullLook,
  JOBS,
  lineUp,
  mustRead,
  notationSentence,
  ROUTES,
  structureKey,
} from '../look';
import {
  assignPass,
  assignPlay,
  assignRun,
  changedJobs,
  CONSTRAINTS,
  constraintsFor,
  DEFINED_KINDS,
  definitionKey,
  drawSnap,
  drawTerm,
  findTerm,
  formatDefinition,
  formatSpots,
  isDrawn,
  lookFacts,
  lookInput,
  lookOf,
  nearestFormations,
  parseSpots,
  pictureDistance,
  presentable,
  presentationsOf,
  readDefinition,
  SAME_FORMATION,
  termFields,
  triggersOf,
  typeFormation,
  type NamedPresentation,
} from './index';
import type { RunDef } from '../look';
import { bookJsonSchema } from './schema';
import { DEFAULT_BOOK } from './default-book';
import { readBook } from './book-json';
import { writeBook } from './term';

const terms = (kind: string) => DEFAULT_BOOK.terms.filter((t) => t.kind === kind);
const term = (kind: 'formation' | 'backfield' | 'run' | 'pass' | 'motion', word: string) =>
  findTerm(DEFAULT_BOOK, kind, word)!;
const run = (word: string): RunDef => {
  const d = term('run', word).definition!;
  if (d.kind !== 'run') throw new Error(word);
  return d.run;
};
const shown = (
  formation: string,
  backfield: string,
  more: Partial<NamedPresentation> = {},
): NamedPresentation => ({
  formation: term('formation', formation).spots!,
  formationWord: formation,
  side: 'R',
  backfield: term('backfield', backfield).spots!,
  backfieldWord: backfield,
  motion: null,
  motionWord: null,
  motionBy: null,
  motionSide: null,
  ...more,
});

describe('the default book', () => {
  /** Published counts; docs/definitions.md says the same. */
  it.each([
    ['formation', 40],
    ['motion', 10],
    ['front', 14],
    ['coverage', 16],
    ['pressure', 18],
    ['run', 40],
    ['pass', 50],
  ] as const)('has enough %s terms, each with its own structure, drawn', (kind, least) => {
    const keys = new Map<string, string>();
    // A few words only name what is not drawn: man or zone, a game of two linemen.
    const drawn = terms(kind).filter((t) => t.spots ?? t.definition);
    expect(terms(kind).length - drawn.length).toBeLessThanOrEqual(5);
    for (const t of drawn) {
      const key =
        kind === 'formation'
          ? structureKey(lineUp(t.spots!, 'R', term('backfield', 'gun').spots!))
          : definitionKey(t.definition!);
      expect([t.word, keys.get(key)]).toEqual([t.word, undefined]);
      keys.set(key, t.word);
      expect(isDrawn(t), t.word).toBe(true);
    }
    // "No pressure" is a word, not a pressure.
    expect(keys.size - (kind === 'pressure' ? 1 : 0)).toBeGreaterThanOrEqual(least);
  });
  it('counts no mirror as another formation', () => {
    for (const t of terms('formation'))
      expect(structureKey(lineUp(t.spots!, 'L', null))).toBe(structureKey(lineUp(t.spots!, 'R', null)));
  });
  it('draws every term with finite marks inside its box, both ways round', () => {
    for (const t of DEFAULT_BOOK.terms.filter(isDrawn))
      for (const side of ['L', 'R'] as const) {
        const { drawing, look } = drawTerm(DEFAULT_BOOK, t, side, COLLEGE);
        expect(look, t.word).not.toBeNull();
        expect(drawing.marks.length).toBeGreaterThan(15);
        const svg = drawingSvg(drawing, t.word);
        expect(svg, t.word).not.toMatch(/NaN|Infinity|undefined/);
        for (const m of drawing.marks)
          if (m.mark === 'circle')
            expect(
              m.x >= drawing.view[0] && m.x <= drawing.view[0] + drawing.view[2],
              `${t.word} ${side}`,
            ).toBe(true);
      }
  });
  it('gives every run and pass of it somebody to do each job on its canvas', () => {
    for (const t of [...terms('run'), ...terms('pass')]) {
      const f = termFields(DEFAULT_BOOK, t);
      const p = shown(f.formation as string, f.backfield as string, {
        motion: f.motion ? 'fast across' : null,
        motionBy: (f.motionBy as string) ?? null,
        motionSide: 'R',
      });
      expect([t.word, assignPlay(t.definition as never, p, 'R', COLLEGE).missing]).toEqual([t.word, []]);
    }
  });
});

describe('a meaning as text', () => {
  it('reads back as it was written, for every term', () => {
    for (const t of DEFAULT_BOOK.terms)
      if (t.definition)
        expect(mustRead(readDefinition(t.definition.kind, formatDefinition(t.definition)))).toEqual(
          t.definition,
        );
    for (const t of DEFAULT_BOOK.terms)
      if (t.spots) expect(parseSpots(formatSpots(t.spots))).toEqual(t.spots);
  });
  it.each([
    ['run', '[gap E back]', ['run-head']],
    ['run', 'gap C back | Q:give [BG:fly] [ZZ:pull]', ['job', 'job']],
    ['run', 'gap C back | | [kick=ZZ]', ['job-choice']],
    ['run', 'gap C back | | | [read nobody]', ['read']],
    ['pass', 'quick 3 | hitch, [spiral] | [twirl]', ['route', 'route']],
    ['pass', '[slow 3] | hitch', ['pass-head']],
    ['pass', 'quick 3 | hitch | slant | block | [extra]', ['too-many-parts']],
    ['front', 'w5 [q3] s5 | W-2 [mike]', ['front-man', 'backer']],
    [
      'coverage',
      '[zone sideways] | cs:third@1 [fs:middle] | ss:curl:s | 1 | 7 outside',
      ['style', 'deep-man'],
    ],
    [
      'coverage',
      'zone closed | cs:third@1 | [n:flat:q] | [five] | [5 somewhere]',
      ['duty', 'shell', 'corner'],
    ],
    [
      'pressure',
      '[bandit:A:s] nickel:D:s | [drop many] | threat 6 | [sideways]',
      ['rusher', 'drop', 'line-move'],
    ],
    ['pressure', ' | | [threat 40]', ['threat']],
    ['protection', '[half nine]', ['slide']],
    ['motion', '[sideways]', ['motion']],
  ] as const)('%s “%s” is refused at just the marked places', (kind, marked, codes) => {
    const places: [number, number][] = [];
    let text = '';
    for (const piece of marked.split(/(\[[^\]]*\])/)) {
      const bare = piece.replace(/^\[|\]$/g, '');
      if (piece.startsWith('[')) places.push([text.length, text.length + bare.length]);
      text += bare;
    }
    const read = readDefinition(kind, text);
    const found = read.ok ? [] : read.problems;
    expect(found.map((p) => p.code)).toEqual(codes);
    expect(found.map((p) => [p.start, p.end])).toEqual(places);
    for (const p of found) {
      expect(text.slice(p.start, p.end)).toBe(p.text);
      expect(notationSentence(p)).toMatch(
        p.code === 'too-many-parts' ? /one bar too many/ : / is (not|none|neither) /,
      );
    }
  });
  it('never throws, and names ranges inside the text, in order and apart, whatever is typed', () => {
    const text = fc.oneof(
      fc.string({ maxLength: 60 }),
      fc
        .array(
          fc.constantFrom('|', ' ', ',', 'zone', 'gap C back', 'w5', 'cs:third@1', 'quick 3', 'hitch', 'x'),
        )
        .map((words) => words.join(' ')),
    );
    fc.assert(
      fc.property(fc.constantFrom(...DEFINED_KINDS), text, (kind, typed) => {
        const read = readDefinition(kind, typed);
        if (read.ok) return;
        let at = 0;
        for (const p of read.problems) {
          expect(p.start).toBeGreaterThanOrEqual(at);
          expect(typed.slice(p.start, p.end)).toBe(p.text);
          expect(notationSentence(p)).not.toMatch(/undefined/);
          at = p.end;
        }
        expect(at).toBeLessThanOrEqual(typed.length);
      }),
      { numRuns: 2000, seed: 2 },
    );
  });
});

describe('book.json', () => {
  const schema = bookJsonSchema() as object;
  it('validates against its JSON Schema (draft 2020-12, by a schema library), and the published file is that schema', () => {
    const valid = new Ajv2020({ strict: false }).compile(schema);
    expect(valid(JSON.parse(writeBook(DEFAULT_BOOK)))).toBe(true);
    expect(
      valid({
        ...DEFAULT_BOOK,
        terms: [
          {
            id: 'x',
            kind: 'front',
            word: 'x',
            aliases: [],
            definition: { kind: 'front', front: { line: [], backers: [{ letter: 'M', x: 99, depth: 4 }] } },
          },
        ],
      }),
    ).toBe(false);
    expect(
      JSON.parse(readFileSync(path.resolve(import.meta.dirname, '../../docs/book.schema.json'), 'utf8')),
    ).toEqual(JSON.parse(JSON.stringify(schema)));
  });
  it('refuses a meaning of another kind, an id twice and a phrase twice, by place', () => {
    const base = {
      name: 'x',
      letters: [],
      terms: [
        { id: 'a', kind: 'run', word: 'a', aliases: [] },
        { id: 'b', kind: 'run', word: 'b', aliases: [] },
      ],
    };
    const read = (change: object) =>
      readBook(JSON.stringify({ ...base, terms: [base.terms[0], { ...base.terms[1], ...change }] }));
    expect(read({})).toMatchObject({ ok: true });
    expect(read({ id: 'a' })).toMatchObject({
      remedy: 'book.json, terms.1.id: a stands twice; give one another id',
    });
    expect(read({ aliases: ['a'] })).toMatchObject({ ok: false });
    expect(read({ definition: { kind: 'motion', motion: 'trade' } })).toMatchObject({
      remedy: 'book.json, terms.1.definition: a motion cannot define the run “b”',
    });
  });
});

describe('plays and presentations', () => {
  it('power: kick, wrap, down, back (common practice)', () => {
    const a = assignRun(run('power'), shown('pro', 'i'), 'R', COLLEGE);
    expect(Object.fromEntries(a.jobs)).toEqual({
      RT: 'down',
      RG: 'down',
      C: 'back',
      LG: 'wrap',
      LT: 'hinge',
      Y: 'down',
      Z: 'stalk',
      X: 'stalk',
      Q: 'give',
      F: 'kick',
      T: 'carry',
    });
  });
  it('counter: guard kicks, tackle wraps (common practice)', () => {
    expect(
      Object.fromEntries(assignRun(run('counter'), shown('doubles', 'gun'), 'R', COLLEGE).jobs),
    ).toMatchObject({ LG: 'kick', LT: 'wrap' });
  });
  it('the other way every man of the line has the mirrored job', () => {
    const right = assignRun(run('counter'), shown('double wing', 'under'), 'R', COLLEGE).jobs;
    const left = assignRun(run('counter'), shown('double wing', 'under'), 'L', COLLEGE).jobs;
    for (const [a, b] of [
      ['RT', 'LT'],
      ['RG', 'LG'],
      ['LG', 'RG'],
      ['LT', 'RT'],
      ['C', 'C'],
      ['T', 'T'],
    ] as const)
      expect(left.get(b)).toBe(right.get(a));
  });
  it('the wing of one picture kicks as the fullback of another: new for those two of eleven', () => {
    const i = assignRun(run('power'), shown('pro', 'i'), 'R', COLLEGE);
    const wing = assignRun(run('power'), shown('wing pro', 'i'), 'R', COLLEGE);
    expect(changedJobs(i, wing).map((c) => [c.letter, c.before, c.after])).toEqual([
      ['H', null, 'kick'],
      ['F', 'kick', 'lead'],
    ]);
    expect(changedJobs(i, i)).toEqual([]);
    // The fullback of the offset stands elsewhere but does what he did.
    expect(changedJobs(i, assignRun(run('power'), shown('pro', 'offset i'), 'R', COLLEGE))).toEqual([]);
  });
  it('a picture in which nobody can do a job is not one of the play', () => {
    const a = assignRun(run('iso'), shown('spread', 'gun'), 'R', COLLEGE);
    expect(a.missing).toEqual(['lead']);
    expect(presentable(a, COLLEGE).legal).toBe(false);
  });
  it('routes go by number, outside in, and the back is the next number of his side', () => {
    const d = term('pass', 'snag').definition!;
    if (d.kind !== 'pass') throw new Error('snag');
    expect(Object.fromEntries(assignPass(d.pass, shown('trips', 'gun'), COLLEGE).jobs)).toMatchObject({
      Z: 'snag',
      Y: 'corner',
      H: 'flat',
      X: 'hitch',
      T: 'block',
    });
    expect(assignPass(d.pass, shown('pro', 'gun near'), COLLEGE).jobs.get('T')).toBe('flat');
  });
  it('seven-on-seven: the same concept, without a line to protect', () => {
    const d = term('pass', 'smash').definition!;
    if (d.kind !== 'pass') throw new Error('smash');
    const a = assignPass(d.pass, shown('spread', 'gun'), SEVEN_ON_SEVEN);
    expect(a.men).toHaveLength(7);
    expect(Object.fromEntries(a.jobs)).toMatchObject({
      X: 'hitch',
      H: 'corner',
      Z: 'hitch',
      Y: 'corner',
      C: 'release',
    });
  });
  const ranked = presentationsOf(
    { kind: 'run', run: run('counter') },
    shown('trips', 'gun'),
    'R',
    DEFAULT_BOOK,
    COLLEGE,
    '11',
  );
  it('from one play: every other legal picture of the book once, none with a job nobody takes, most different for fewest new jobs first', () => {
    expect(ranked.length).toBeGreaterThan(40);
    expect(
      new Set(ranked.map((r) => JSON.stringify([r.assignment.men, r.shown.motion, r.shown.motionBy]))).size,
    ).toBe(ranked.length);
    // The best of each formation, best first; then what is left, best first.
    const formations = new Set(ranked.map((r) => r.shown.formationWord)).size;
    expect(new Set(ranked.slice(0, formations).map((r) => r.shown.formationWord)).size).toBe(formations);
    const worth = ranked.map((r) => r.distance / (1 + r.changes.length));
    for (const part of [worth.slice(0, formations), worth.slice(formations)])
      expect(part).toEqual([...part].sort((a, b) => b - a));
    for (const r of ranked) {
      expect(presentable(r.assignment, COLLEGE).legal).toBe(true);
      expect(r.people[0]).toBe('1');
      expect(r.distance).toBeGreaterThan(0);
    }
  });
  it('a picture in motion moves one receiver who may move, by a motion of the book, and is legal at the snap', () => {
    const moving = ranked.filter((r) => r.shown.motion !== null);
    expect(new Set(moving.map((r) => r.shown.motion)).size).toBeGreaterThan(5);
    for (const r of moving) {
      const mover = r.shown.formation.find((s) => s.letter === r.shown.motionBy)!;
      // Rulebook (from memory): a man on the line may not be in motion at the snap.
      expect([r.shown.formationWord, r.shown.motionWord, mover.onLine]).toEqual([
        r.shown.formationWord,
        r.shown.motionWord,
        false,
      ]);
      expect(findTerm(DEFAULT_BOOK, 'motion', r.shown.motionWord)?.definition).toEqual({
        kind: 'motion',
        motion: r.shown.motion,
      });
      const still = assignPlay(
        { kind: 'run', run: run('counter') },
        { ...r.shown, motion: null, motionBy: null },
        'R',
        COLLEGE,
      );
      const moved = r.assignment.men
        .filter(
          (m) =>
            still.men.find((s) => s.letter === m.letter)!.x !== m.x ||
            still.men.find((s) => s.letter === m.letter)!.depth !== m.depth,
        )
        .map((m) => m.letter);
      expect(moved.every((l) => l === r.shown.motionBy)).toBe(true);
    }
  });
  it('pictures of a play mirror: left and right swap, what it costs does not', () => {
    const left = presentationsOf(
      { kind: 'run', run: run('counter') },
      { ...shown('trips', 'gun'), side: 'L' },
      'L',
      DEFAULT_BOOK,
      COLLEGE,
      '11',
    );
    const cost = (list: typeof ranked, turn: boolean) =>
      list
        .map(
          (r) =>
            `${r.shown.formationWord} ${(r.shown.side === 'L') !== turn ? 'L' : 'R'} ${r.shown.backfieldWord} ${r.shown.motionBy} ${r.shown.motionWord}: ${r.distance} ${r.changes.length}`,
        )
        .sort();
    expect(cost(left, true)).toEqual(cost(ranked, false));
  });
  it('power asks for a man off the line to kick; one back and nobody off the line is one-back power (common practice)', () => {
    const missing = (word: string, formation: string) =>
      assignPlay({ kind: 'run', run: run(word) }, shown(formation, 'gun'), 'R', COLLEGE).missing;
    // A tight end base blocks the end man in its place; without one he is named.
    expect([missing('power', 'spread'), missing('power', 'ace'), missing('power', 'wing')]).toEqual([
      ['kick'],
      [],
      [],
    ]);
    for (const r of presentationsOf(
      { kind: 'run', run: run('power') },
      shown('wing', 'gun'),
      'R',
      DEFAULT_BOOK,
      COLLEGE,
      '12',
    )) {
      const kicks = [...r.assignment.jobs].find(([, job]) => job === 'kick')?.[0];
      if (kicks === undefined)
        expect(
          [...r.assignment.roles].some(([l, role]) => role === 'PY' && r.assignment.jobs.get(l) === 'base'),
        ).toBe(true);
      else
        expect([r.shown.formationWord, r.assignment.men.find((m) => m.letter === kicks)!.onLine]).toEqual([
          r.shown.formationWord,
          false,
        ]);
    }
  });
  it('a pass in another picture follows the staff’s strength order', () => {
    const d = term('pass', 'snag').definition!;
    if (d.kind !== 'pass') throw new Error('snag');
    const nub = (order: 'receivers' | 'tight_end') =>
      presentationsOf(d, shown('spread', 'gun'), 'R', DEFAULT_BOOK, COLLEGE, '11', [order]).find(
        (r) => r.shown.formationWord === 'nub trips' && r.shown.side === 'R' && r.shown.motion === null,
      );
    expect(nub('receivers')!.assignment.structure.passing).toBe('R');
    // Strength to the lone tight end leaves that side too few men for the three routes.
    expect(nub('tight_end')).toBeUndefined();
  });
  it('a picture is no distance from itself, and as far one way as the other', () => {
    const pictures = ranked.slice(0, 30).map((r) => ({ structure: r.assignment.structure, motion: null }));
    for (const a of pictures)
      for (const b of pictures) {
        expect(pictureDistance(a, b)).toBe(pictureDistance(b, a));
        if (a === b) expect(pictureDistance(a, b)).toBe(0);
      }
  });
  it('every job and route of a definition is one that can be drawn', () => {
    expect(new Set(JOBS).size).toBe(JOBS.length);
    expect(new Set(ROUTES).size).toBe(ROUTES.length);
    const used = new Set(
      terms('pass').flatMap((t) =>
        t.definition?.kind === 'pass'
          ? [...t.definition.pass.strong, ...t.definition.pass.weak, t.definition.pass.back]
          : [],
      ),
    );
    expect(ROUTES.filter((r) => !used.has(r)).length).toBeLessThan(4);
  });
});

describe('base and complement', () => {
  it('name plays that the default book has', () => {
    for (const c of CONSTRAINTS)
      for (const word of [c.base, c.then])
        expect(
          findTerm(DEFAULT_BOOK, 'run', word) ?? findTerm(DEFAULT_BOOK, 'pass', word),
          word,
        ).not.toBeNull();
  });
  it('the end inside the wing calls for the sweep instead of power (common practice)', () => {
    const inside = lookOf(
      DEFAULT_BOOK,
      {
        formation: 'wing pro',
        formationSide: 'R',
        backfield: 'i',
        front: '4-2 over',
        coverage: 'cover 3',
        play: 'run',
        concept: 'power',
        direction: 'R',
      },
      COLLEGE,
    )!;
    expect(triggersOf(inside)).toContain('end inside the wing');
    expect(constraintsFor(inside, 'power', DEFAULT_BOOK).map((c) => c.constraint.then)).toContain('sweep');
    const outside = lookOf(
      DEFAULT_BOOK,
      {
        formation: 'pro',
        formationSide: 'R',
        backfield: 'i',
        front: '5-2',
        coverage: 'cover 3',
        play: 'run',
        concept: 'power',
        direction: 'R',
      },
      COLLEGE,
    )!;
    expect(triggersOf(outside)).not.toContain('end inside the wing');
  });
  it('a corner off and inside gives the out (common practice)', () => {
    const l = lookOf(
      DEFAULT_BOOK,
      {
        formation: 'spread',
        formationSide: 'R',
        backfield: 'gun',
        front: '4-2 over',
        coverage: '3 match',
        play: 'pass',
        concept: 'curl-flat',
      },
      COLLEGE,
    )!;
    expect(constraintsFor(l, 'curl-flat', DEFAULT_BOOK).map((c) => c.constraint.then)).toEqual(['deep outs']);
  });
});

describe('a drawn formation', () => {
  it('of the book is found as itself, either way round', () => {
    for (const t of terms('formation'))
      for (const side of ['L', 'R'] as const) {
        const [best] = nearestFormations(
          lineUp(t.spots!, side, term('backfield', 'gun').spots!),
          DEFAULT_BOOK,
        );
        expect([t.word, best!.term.word, best!.distance < SAME_FORMATION]).toEqual([t.word, t.word, true]);
      }
  });
  it('that differs says who stands elsewhere', () => {
    const men = lineUp(typeFormation('trips r h tight y off', DEFAULT_BOOK).spots, 'R', null);
    const [best] = nearestFormations(men, DEFAULT_BOOK);
    expect([best!.term.word, best!.side, best!.distance > SAME_FORMATION]).toEqual(['trey', 'R', true]);
    expect(best!.differs).toEqual(['#2 right wide slot']);
  });
  it.each([
    ['trips l', 'X+16 H-7o1 Y-11 Z-16o1'],
    ['trips r h tight', 'X-16 Y+11 Z+16o1 H+4.8'],
    ['spread y wing l', 'X-17 H-8o1 Z+17 Y-6.4o1.4'],
    ['X-16 h+6o1', 'X-16 H+6o1'],
    ['pro z stack', 'X-15 Y+4.8 Z+14o2.5'],
  ])('“%s” is typed', (text, spots) => {
    expect(formatSpots(typeFormation(text, DEFAULT_BOOK).spots)).toBe(spots);
  });
  it('keeps what it cannot read and says so', () => {
    expect(typeFormation('trips sideways h', DEFAULT_BOOK).unknown).toEqual(['sideways', 'h']);
  });
});

describe('facts a count may slice by', () => {
  const snap = (more: Partial<Snap>): Snap => ({ ...blankSnap('s', 'g', 1), ...more });
  it('follow from the words, before and at the snap', () => {
    expect(
      lookFacts(
        DEFAULT_BOOK,
        snap({
          formation: 'trips',
          formationSide: 'R',
          backfield: 'gun',
          motion: 'jet',
          motionBy: 'H',
          hash: 'L',
          front: '4-2 over',
          coverage: 'quarters',
          pressure: '-',
        }),
        COLLEGE,
      ),
    ).toEqual({
      structure: '3x1',
      structureSnap: '2x2',
      strength: 'R',
      runStrength: 'R',
      boundary: 'the field',
      // Two by two at the snap: neither side is longer.
      boundarySnap: null,
      strongSide: 'trips',
      tightEndTo: null,
      lineBalance: 'balanced',
      backTo: 'away from strength',
      backfieldSet: 'gun, sidecar',
      shade: 'over',
      boxCount: '6',
      boxVerdict: 'even',
      middle: 'open',
      style: 'zone',
      rushKind: 'four-man',
    });
  });
  it('the longer side at the snap, by the hash, whatever turns the coverage', () => {
    const at = (more: Partial<Snap>): string | null =>
      lookFacts(DEFAULT_BOOK, snap({ formation: 'trips', formationSide: 'R', ...more }), COLLEGE, {
        ...DEFAULT_LOOK_SETTINGS,
        strength: ['tight_end', 'receivers'],
      }).boundarySnap;
    expect([at({ hash: 'L' }), at({ hash: 'R' }), at({ hash: 'M' }), at({ hash: null })]).toEqual([
      'the field',
      'the boundary',
      null,
      null,
    ]);
  });
  it('blank, none and not visible give nothing, never a guess', () => {
    for (const formation of [null, '-', '?', 'no such word'])
      expect(
        Object.values(lookFacts(DEFAULT_BOOK, snap({ formation, coverage: '?' }), COLLEGE)).every(
          (v) => v === null,
        ),
      ).toBe(true);
    // A motion the book cannot draw leaves the structure at the snap unknown.
    expect(
      lookFacts(DEFAULT_BOOK, snap({ formation: 'trips', formationSide: 'R', motion: 'jet' }), COLLEGE),
    ).toMatchObject({ structure: '3x1', structureSnap: null });
  });
  it('a counted structure and a typed box stand where the book has no drawing', () => {
    expect(
      lookFacts(
        DEFAULT_BOOK,
        snap({
          formation: 'unknown',
          receiversLeftSet: 1,
          receiversRightSet: 3,
          receiversLeftSnap: 2,
          receiversRightSnap: 2,
          box: 7,
        }),
        COLLEGE,
      ),
    ).toMatchObject({ structure: '3x1', structureSnap: '2x2', boxCount: '7', strength: null });
  });
  it('are measured once and follow the settings', () => {
    const s = snap({ formation: 'nub trips', formationSide: 'R', backfield: 'gun', hash: 'L' });
    expect(lookFacts(DEFAULT_BOOK, s, COLLEGE)).toBe(
      lookFacts(DEFAULT_BOOK, { ...s, snapId: 'other' }, COLLEGE),
    );
    expect([
      lookFacts(DEFAULT_BOOK, s, COLLEGE).strength,
      lookFacts(DEFAULT_BOOK, s, COLLEGE, { ...DEFAULT_LOOK_SETTINGS, strength: ['tight_end'] }).strength,
    ]).toEqual(['R', 'L']);
  });
});

it('a snap’s typed corner depths and shell stand before what the coverage usually shows', () => {
  const input = lookInput(
    DEFAULT_BOOK,
    {
      formation: 'spread',
      formationSide: 'R',
      backfield: 'gun',
      front: '4-2 over',
      coverage: 'cover 3',
      cornerLeftDepth: 2,
      shell: 2,
    },
    COLLEGE,
  );
  const men = fullLook(input, COLLEGE)!.defense!.men;
  const depths = (level: string) =>
    men
      .filter((d) => d.level === level)
      .sort((a, b) => a.x - b.x)
      .map((d) => d.depth);
  expect([depths('corner'), depths('safety')]).toEqual([
    [2, 7],
    [12, 12],
  ]);
});

it('a drawing without a formation places nobody by guess', () => {
  const { look, drawing, words } = drawSnap(DEFAULT_BOOK, { personnel: '11' }, 'L', COLLEGE);
  expect(look).toBeNull();
  expect(words).toBe('No formation typed yet');
  expect(drawing.marks.filter((m) => m.mark === 'circle' || m.mark === 'box')).toHaveLength(7);
});
