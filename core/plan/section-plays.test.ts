/** A section is for the plays that its filter asks for: no drop-back pass among the screens. */
import { describe, expect, it } from 'vitest';
import { DEMO_PLAYS } from '../../demo/plays';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { DEFAULT_RULES } from '../read';
import { aPlay } from './plays.fixture';
import { playFitter } from './section-plays';
import { CATALOG, findSection, type SectionSpec } from './sections';

const fits = playFitter(DEFAULT_BOOK, COLLEGE, DEFAULT_RULES.look);
const own = (filter: SectionSpec['filter'], kinds: SectionSpec['kinds'] = []): SectionSpec => ({
  key: 'own-x',
  label: 'x',
  filter,
  ranges: {},
  kinds,
});
/** Every pass and run of the book as a play of its own, and the demo's list. */
const PLAYS = [
  ...DEMO_PLAYS,
  ...DEFAULT_BOOK.terms.flatMap((t) =>
    t.kind === 'pass' || t.kind === 'run' ? [aPlay(t.word, t.word, { kind: t.kind })] : [],
  ),
];
const ofType = (...types: string[]) =>
  DEFAULT_BOOK.terms.flatMap((t) =>
    t.definition?.kind === 'pass' && types.includes(t.definition.pass.type) ? [t.word] : [],
  );

describe('plays of a section', () => {
  it.each([
    ['screens', ['screen']],
    ['movement', ['boot', 'sprint']],
    ['play-action', ['play action', 'shot']],
  ] as const)('%s: passes that the book has as such, and all of them', (key, types) => {
    const words = ofType(...types);
    expect(words.length).toBeGreaterThan(0);
    for (const play of PLAYS)
      expect(fits(findSection(key, CATALOG)!, play), `${key}, ${play.name}`).toBe(
        play.kind === 'pass' && words.includes(play.concept),
      );
  });
  it('what the situation says of a section asks nothing of the play', () => {
    for (const section of CATALOG)
      for (const play of PLAYS)
        if (!['screens', 'movement', 'play-action'].includes(section.key))
          expect(fits(section, play), `${section.key}, ${play.name}`).toBe(
            section.kinds.length === 0 || section.kinds.includes(play.kind),
          );
  });
  it('by personnel, formation, motion, direction and structure, by what stands on the card', () => {
    for (const play of DEMO_PLAYS) {
      expect(fits(own({ personnel: ['12', '22'] }), play)).toBe(['12', '22'].includes(play.personnel!));
      expect(fits(own({ formation: ['trips'] }), play)).toBe(play.formation === 'trips');
      expect(fits(own({ motion: ['jet'] }), play)).toBe(play.motion === 'jet');
      expect(fits(own({ motion: ['-'] }), play)).toBe(play.motion === null);
      // Without a side of its own it goes either way.
      expect(fits(own({ direction: ['L'] }), play)).toBe(play.direction !== 'R');
      expect(fits(own({ play: ['run'], bucket: ['1-10'] }), play)).toBe(play.kind === 'run');
    }
    const trips = aPlay('a', 'stick', { formation: 'trips', formationSide: 'R' });
    expect(fits(own({ structureSnap: ['3x1'] }), trips)).toBe(true);
    expect(fits(own({ structureSnap: ['2x2'] }), trips)).toBe(false);
  });
  it('where the book does not say, it says so', () => {
    const strange = aPlay('a', 'our special', { kind: 'pass' });
    expect(fits(findSection('screens', CATALOG)!, strange)).toBeNull();
    expect(fits(own({ passType: ['screen'], personnel: ['22'] }), { ...strange, personnel: '11' })).toBe(
      false,
    );
  });
});
