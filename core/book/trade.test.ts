/** Who does what in the plays everybody runs: facts of the trade (common practice), checked on the default book. */
import { describe, expect, it } from 'vitest';
import { COLLEGE } from '../field';
import {
  assignmentPaths,
  assignPass,
  assignRun,
  conceptOf,
  findTerm,
  lookOf,
  passSentences,
  type PassDef,
  type Presentation,
} from './index';
import type { RunDef } from '../look';
import { DEFAULT_BOOK } from './default-book';

const spots = (kind: 'formation' | 'backfield', word: string) => findTerm(DEFAULT_BOOK, kind, word)!.spots!;
const from = (formation: string, backfield: string, more: Partial<Presentation> = {}): Presentation => ({
  formation: spots('formation', formation),
  side: 'R',
  backfield: spots('backfield', backfield),
  motion: null,
  motionBy: null,
  motionSide: null,
  ...more,
});
const run = (word: string): RunDef => {
  const d = findTerm(DEFAULT_BOOK, 'run', word)!.definition!;
  if (d.kind !== 'run') throw new Error(word);
  return d.run;
};
const pass = (word: string): PassDef => {
  const d = findTerm(DEFAULT_BOOK, 'pass', word)!.definition!;
  if (d.kind !== 'pass') throw new Error(word);
  return d.pass;
};

describe('runs to the right', () => {
  it.each([
    ['inside zone', 'doubles', 'gun', { LT: 'cutoff', RT: 'combo', T: 'carry', Q: 'give' }],
    ['split zone', 'wing doubles', 'gun', { H: 'slice' }],
    ['insert zone', 'pro', 'i', { F: 'insert' }],
    ['wide zone', 'pro', 'under', { Y: 'reach', RT: 'reach', RG: 'reach', LT: 'cutoff' }],
    ['stretch lead', 'pro', 'i', { F: 'lead', T: 'carry' }],
    ['zone read', 'doubles', 'gun', { Q: 'read', LT: 'cutoff' }],
    ['arc read', 'heavy wing', 'gun', { S: 'arc', Q: 'read' }],
    ['power', 'pro', 'i', { F: 'kick', LG: 'wrap', RG: 'down', RT: 'down', C: 'back' }],
    ['one-back power', 'trey', 'gun', { LG: 'wrap', Y: 'base' }],
    ['power read', 'trey', 'gun', { LG: 'wrap', Q: 'read' }],
    ['counter', 'trey', 'gun', { LG: 'kick', LT: 'wrap' }],
    ['counter back', 'pro', 'i', { LG: 'kick', F: 'wrap' }],
    ['trap', 'pro', 'i', { LG: 'trap', RG: 'climb' }],
    ['long trap', 'pro', 'i', { LT: 'trap' }],
    ['wham', 'pro', 'i', { F: 'trap', RG: 'climb' }],
    ['sweep', 'pro', 'i', { RG: 'lead pull', LG: 'lead pull', F: 'lead' }],
    ['pin-and-pull', 'pro', 'i', { Y: 'pin', RT: 'pin', C: 'pin', LG: 'scoop' }],
    ['down', 'pro', 'i', { RG: 'kick', Y: 'down' }],
    ['dart', 'doubles', 'gun', { LT: 'wrap', RT: 'base' }],
    ['iso', 'pro', 'i', { F: 'lead', RG: 'base' }],
    ['duo', 'ace', 'under', { RT: 'base', RG: 'base', LT: 'base' }],
    ['toss', 'pro', 'i', { Q: 'toss', RT: 'lead pull' }],
    ['crack toss', 'pro', 'i', { Z: 'crack', RT: 'lead pull' }],
    ['draw', 'doubles', 'gun', { RT: 'pass set', LT: 'pass set', T: 'carry' }],
    ['quarterback power', 'pro', 'split backs', { LG: 'wrap', Q: 'keep' }],
    ['quarterback draw', 'empty', 'gun', { Q: 'keep', C: 'pass set' }],
    ['sneak', 'pro', 'under', { Q: 'keep', C: 'wedge' }],
    ['veer', 'pro', 'split backs', { RT: 'release', Q: 'read' }],
    ['outside veer', 'pro', 'split backs', { RT: 'down', Y: 'down', Q: 'read' }],
    ['speed option', 'doubles', 'gun', { Q: 'pitch read', T: 'pitch' }],
    ['triple option', 'pro', 'i', { F: 'dive', T: 'pitch', Q: 'read' }],
    ['fullback trap', 'pro', 'i', { F: 'carry', LG: 'trap' }],
    ['dive', 'pro', 'i', { F: 'carry' }],
  ] as const)('%s', (word, formation, backfield, jobs) => {
    const a = assignRun(run(word), from(formation, backfield), 'R', COLLEGE);
    expect(a.missing).toEqual([]);
    expect(Object.fromEntries(a.jobs)).toMatchObject(jobs);
  });
  it('jet is carried by the man in motion, the reverse by a receiver of the other side', () => {
    const jet = assignRun(
      run('jet'),
      from('doubles', 'gun', { motion: 'fast across', motionBy: 'H' }),
      'R',
      COLLEGE,
    );
    expect([jet.carrier, jet.jobs.get('H')]).toEqual(['H', 'carry']);
    expect(assignRun(run('jet'), from('doubles', 'gun'), 'R', COLLEGE).missing).toEqual(['carry']);
    expect(assignRun(run('reverse'), from('doubles', 'gun'), 'R', COLLEGE).carrier).toBe('X');
  });
  it('read the end man, the back-side end, the dive key, or nobody', () => {
    expect(
      ['power read', 'zone read', 'counter read', 'veer', 'midline', 'power'].map((word) => run(word).read),
    ).toEqual(['end man', 'back-side end', 'back-side end', 'dive key', 'inside man', null]);
    expect(['triple option', 'speed option', 'load option'].map((word) => run(word).pitch)).toEqual([
      'next man',
      'end man',
      'force',
    ]);
  });
});

describe('passes', () => {
  const routes = (word: string, formation: string, backfield = 'gun') =>
    Object.fromEntries(assignPass(pass(word), from(formation, backfield), COLLEGE).jobs);
  it.each([
    ['stick', 'trips', { Z: 'go', Y: 'flat', H: 'stick', X: 'slant', T: 'block' }],
    ['stick', 'spread', { Z: 'go', Y: 'stick', T: 'flat', X: 'slant', H: 'bubble' }],
    ['snag', 'trips', { Z: 'snag', Y: 'corner', H: 'flat', T: 'block' }],
    ['snag', 'doubles', { Z: 'snag', Y: 'corner', T: 'flat' }],
    ['smash', 'trips', { Z: 'hitch', Y: 'corner', H: 'seam', X: 'hitch' }],
    ['smash', 'spread', { X: 'hitch', H: 'corner', Z: 'hitch', Y: 'corner' }],
    ['curl-flat', 'spread', { X: 'curl', H: 'flat', Z: 'curl', Y: 'flat' }],
    ['slant-flat', 'spread', { Z: 'slant', Y: 'arrow', X: 'slant', H: 'arrow' }],
    ['slant-flat', 'trips', { Z: 'slant', Y: 'slant', H: 'arrow', X: 'slant' }],
    ['slants', 'trips', { Z: 'slant', Y: 'slant', H: 'slant' }],
    ['curl-flat', 'trips', { Z: 'curl', Y: 'seam', H: 'flat', X: 'curl' }],
    ['flood', 'trips', { Z: 'go', Y: 'out', H: 'flat' }],
    ['flood', 'spread', { Z: 'go', Y: 'out', T: 'flat' }],
    ['scissors', 'spread', { Z: 'post', Y: 'corner' }],
    ['post-dig', 'trips', { Z: 'post', Y: 'dig', H: 'flat' }],
    ['y-cross', 'spread', { Z: 'go', Y: 'over', T: 'flat', X: 'dig' }],
    ['y-cross', 'trips', { Z: 'go', Y: 'flat', H: 'over', X: 'dig' }],
    ['shallow cross', 'trips', { H: 'drag', Z: 'post', X: 'dig' }],
    ['boot', 'trips', { Z: 'comeback', Y: 'corner', H: 'flat', X: 'over' }],
    ['boot', 'spread', { Z: 'comeback', Y: 'flat', X: 'clear', H: 'over' }],
    ['four verticals', 'spread', { X: 'go', H: 'seam', Z: 'go', Y: 'seam' }],
    ['mesh', 'spread', { Y: 'drag', H: 'drag', Z: 'corner', X: 'post', T: 'wheel' }],
    ['mesh', 'trips', { H: 'drag', Y: 'settle', Z: 'corner', X: 'drag', T: 'wheel' }],
    ['drive', 'spread', { Z: 'drag', Y: 'dig' }],
    ['levels', 'trips', { Z: 'quick in', H: 'dig' }],
    ['dagger', 'spread', { Z: 'dig', Y: 'seam' }],
    ['post-wheel', 'spread', { Z: 'post', Y: 'wheel' }],
    ['angle', 'spread', { T: 'angle' }],
    ['comeback', 'spread', { Z: 'comeback' }],
    ['bubble', 'trips', { H: 'bubble', Y: 'stalk', Z: 'stalk' }],
    ['bubble', 'spread', { Y: 'bubble', Z: 'stalk' }],
    ['now screen', 'spread', { Z: 'now', Y: 'stalk' }],
    ['tunnel screen', 'spread', { Z: 'tunnel' }],
    ['slip screen', 'spread', { T: 'slip' }],
  ] as const)('%s', (word, formation, expected) => {
    expect(routes(word, formation)).toMatchObject(expected);
  });
  it('a side written with the play turns its picture', () => {
    const boot = (to: 'L' | 'R') =>
      assignPass(pass('boot'), from('spread', 'gun'), COLLEGE, undefined, to).jobs;
    expect([boot('R').get('Z'), boot('R').get('X')]).toEqual(['comeback', 'clear']);
    expect([boot('L').get('X'), boot('L').get('Z')]).toEqual(['comeback', 'clear']);
  });
  it('a receiver nobody names clears; on a screen he blocks; attached he stays in; none ever pass blocks alone in space', () => {
    expect(assignPass(pass('tunnel screen'), from('trips', 'gun'), COLLEGE).jobs.get('H')).toBe('stalk');
    for (const t of DEFAULT_BOOK.terms) {
      if (t.definition?.kind !== 'pass') continue;
      for (const formation of ['trips', 'spread', 'empty', 'quads', 'bunch', 'slot'])
        for (const side of [null, 'L', 'R'] as const) {
          const a = assignPass(t.definition.pass, from(formation, 'gun'), COLLEGE, undefined, side);
          const attached = [...a.structure.left.attached, ...a.structure.right.attached];
          for (const m of [...a.structure.left.receivers, ...a.structure.right.receivers])
            if (!attached.includes(m) && a.jobs.get(m.letter) === 'block')
              expect([
                t.word,
                formation,
                m.letter,
                [...t.definition.pass.strong, ...t.definition.pass.weak],
              ]).toEqual([t.word, formation, m.letter, expect.arrayContaining(['block'])]);
        }
    }
  });
  it('keep the line in protection and say what the quarterback does', () => {
    for (const word of ['stick', 'boot', 'sprint out']) {
      const a = routes(word, 'spread');
      for (const letter of ['LT', 'LG', 'C', 'RG', 'RT']) expect(a[letter]).toBe('pass set');
      expect(a.Q).toBe(word === 'stick' ? 'fake' : 'roll');
    }
  });
  it('the quarterback of a boot and a sprint goes outside the end man to the side written', () => {
    for (const word of ['boot', 'sprint out'])
      for (const to of ['L', 'R'] as const) {
        const a = assignPass(pass(word), from('doubles', 'gun'), COLLEGE, undefined, to);
        const path = assignmentPaths(a, to, { kind: 'pass', pass: pass(word) }).find((p) => p.by === 'Q')!;
        const [x, y] = path.points.at(-1)!;
        const end = to === 'L' ? a.structure.left.endOfLine : a.structure.right.endOfLine;
        expect(Math.abs(x)).toBeGreaterThan(Math.abs(end) + 1);
        expect([Math.sign(x), y < 0]).toEqual([to === 'L' ? -1 : 1, true]);
        expect(a.jobs.get('T')).toBe(word === 'boot' ? 'fake' : 'lead');
      }
  });
  it('behind a slip or a tunnel guards and center release to that side, tackles stay; a bubble has the run’s blocking', () => {
    const slip = assignPass(pass('slip screen'), from('spread', 'gun'), COLLEGE);
    expect(['LT', 'LG', 'C', 'RG', 'RT'].map((l) => slip.jobs.get(l))).toEqual([
      'pass set',
      'screen',
      'screen',
      'screen',
      'pass set',
    ]);
    // The back stands left of the quarterback.
    expect(slip.screen).toBe('L');
    expect(assignPass(pass('tunnel screen'), from('trips', 'gun'), COLLEGE).screen).toBe('R');
    expect(assignPass(pass('bubble'), from('trips', 'gun'), COLLEGE).jobs.get('RG')).toBe('reach');
    // So behind a back who swings out late; not when he swings out at once, nor when a receiver comes in for it.
    const late = assignPass(pass('back screen'), from('spread', 'gun'), COLLEGE);
    expect([late.screen, late.jobs.get('RG')]).toEqual(['L', 'screen']);
    expect(assignPass(pass('swing screen'), from('spread', 'gun'), COLLEGE).screen).toBeNull();
    expect(assignPass(pass('throwback screen'), from('trips', 'gun'), COLLEGE).screen).not.toBeNull();
  });
  it('blockers for a throw to the edge take the men over them in order, the second man the corner of a tunnel', () => {
    const look = lookOf(
      DEFAULT_BOOK,
      {
        formation: 'trips',
        formationSide: 'R',
        backfield: 'gun',
        front: '4-2 over',
        coverage: 'cover 3',
        rotation: 'strong',
      },
      COLLEGE,
    )!;
    const ends = (word: string, letter: string) => {
      const a = assignPass(pass(word), from('trips', 'gun'), COLLEGE);
      const points = assignmentPaths(a, 'R', { kind: 'pass', pass: pass(word) }, look).find(
        (p) => p.by === letter,
      )!.points;
      const [x] = points.at(-1)!;
      return look.defense!.men.find((m) => Math.abs(m.x - x) < 0.1 && m.depth > 2)!.name;
    };
    expect([ends('tunnel screen', 'Y'), ends('tunnel screen', 'H')]).toEqual(['CR', '$']);
    expect([ends('bubble', 'Z'), ends('bubble', 'Y')]).toEqual(['CR', '$']);
  });
  it('of two concepts the first is run on the passing strength, the second on the other side, by its numbers', () => {
    const jobs = (words: object, formation: string, written: 'L' | 'R' | null = null) => {
      const def = conceptOf(DEFAULT_BOOK, { play: 'pass', ...words })!;
      if (def.kind !== 'pass') throw new Error('a pass');
      return Object.fromEntries(
        assignPass(def.pass, from(formation, 'gun'), COLLEGE, undefined, written).jobs,
      );
    };
    const two = { concept: 'stick', conceptWeak: 'snag' };
    // Two receivers a side, strong right: stick there, snag and corner on the left.
    expect(jobs(two, 'spread')).toMatchObject({ Z: 'go', Y: 'stick', X: 'snag', H: 'corner' });
    expect(jobs({ concept: 'stick', conceptWeak: 'smash' }, 'spread')).toMatchObject({
      X: 'hitch',
      H: 'corner',
    });
    // A side written turns both.
    expect(jobs(two, 'spread', 'L')).toMatchObject({ X: 'go', H: 'stick', Z: 'snag', Y: 'corner' });
    // The single receiver of trips runs the second concept's first route.
    expect(jobs({ concept: 'stick', conceptWeak: 'slant' }, 'trips')).toMatchObject({
      H: 'stick',
      X: 'slant',
    });
  });
  it('two drags cross a yard apart', () => {
    const a = assignPass(pass('mesh'), from('spread', 'gun'), COLLEGE);
    const depth = (letter: string) =>
      assignmentPaths(a, 'R', { kind: 'pass', pass: pass('mesh') })
        .find((p) => p.by === letter)!
        .points.at(-1)![1];
    expect([depth('Y'), depth('H')]).toEqual([5, 6]);
  });
  it('says every route, and who clears because the word does not name him', () => {
    const a = assignPass(pass('boot'), from('quads', 'gun'), COLLEGE, undefined, 'R');
    const said = passSentences(a, 'R').join(' ');
    expect(said).toMatch(/^Routes: .*Z comeback.*\. The word does not name/);
    expect(said).toContain('The quarterback rolls right, outside the end man.');
    for (const letter of a.unnamed) expect(said).toContain(`${letter} clears`);
  });
  it('quick passes drop three steps or fewer, drop-back passes five or more but option routes, screens say screen', () => {
    for (const t of DEFAULT_BOOK.terms) {
      if (t.definition?.kind !== 'pass') continue;
      const { type, drop } = t.definition.pass;
      if (type === 'quick') expect(drop, t.word).toBeLessThanOrEqual(3);
      if (type === 'drop-back' && t.word !== 'option route') expect(drop, t.word).toBeGreaterThanOrEqual(5);
      if (/screen|bubble/.test(t.word)) expect(type, t.word).toBe('screen');
    }
  });
});
