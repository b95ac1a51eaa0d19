import { describe, expect, it } from 'vitest';
import { auditKey, SIGNAL_AUDITS } from './audits';
import { aPlay } from './plays.fixture';
import { USUAL_PRINTS } from './prints';
import { staffPrintsSchema } from './schema';
import { NO_NOTES, type PlayCard, type SheetCall } from './sheet';
import { readSignals, signalAudits, SIGNAL_LIMITS, signalLines, type Signal } from './word-audits';

let id = 0;
const call = (concept: string, play: Partial<PlayCard> = {}, tags: readonly string[] = []): SheetCall => ({
  id: `c${++id}`,
  section: 'first',
  order: id,
  play: aPlay(`p${id}`, concept, play),
  ...NO_NOTES,
  tags,
});
const signals = (text: string): Signal[] => readSignals(text) as Signal[];

describe('hand signals', () => {
  const jet = call('sweep', { motion: 'jet', formation: 'trips' });
  const orbit = call('stick', { motion: 'orbit', formation: 'doubles' }, ['Alert']);
  const sentences = (text: string): string[] =>
    signalAudits([jet, orbit], signals(text)).map((a) => a.sentence);

  it('two words with one signal, or one that begins as another; other hands, and words that are not called, are none', () => {
    const found = signalAudits([jet, orbit], signals('Jet: fist, twice\norbit: Fist twice!'));
    expect(found).toMatchObject([
      {
        code: SIGNAL_AUDITS[0],
        calls: [jet.id, orbit.id],
        sentence: '“jet” and “orbit” have one signal: fist, twice.',
      },
    ]);
    expect(sentences('jet: fist\norbit: fist, then clap')).toEqual([
      'The signal of “orbit” (fist, then clap) begins as that of “jet” (fist).',
    ]);
    expect(sentences('jet: fist\norbit: fistful')).toEqual([]);
    expect(sentences('jet: fist\norbit: palm')).toEqual([]);
    expect(sentences('jet: fist\norbit: palm\nzoom: fist')).toEqual([]);
    // Signs without letters are told apart by themselves.
    expect(sentences('jet: ✊\norbit: ✋')).toEqual([]);
    expect(sentences('jet: ✊\norbit: ✊')).toHaveLength(1);
  });
  it('a word without a signal is said where others of its kind have one; a staff that keeps none is not asked', () => {
    expect(signalAudits([jet, orbit], [])).toEqual([]);
    const found = signalAudits([jet, orbit], signals('jet: fist'));
    expect(found).toMatchObject([
      { code: SIGNAL_AUDITS[1], calls: [], sentence: '1 word of the sheet without a signal: orbit.' },
    ]);
    expect(sentences('jet: fist\norbit: palm\nstick: elbow\ntrips: three fingers')).toEqual([
      '2 words of the sheet without a signal: doubles, sweep.',
    ]);
    expect(sentences('jet: fist\norbit: palm\nalert: ear')).toEqual([]);
  });
  it('waved through, another pair of words is another finding', () => {
    const key = (text: string): string => auditKey(signalAudits([jet, orbit], signals(text))[0]!);
    expect(key('jet: fist\norbit: fist')).not.toBe(key('trips: fist\ndoubles: fist'));
  });
});

describe('signals as lines', () => {
  it('are read as they are written; blank lines and spaces are passed over, a tab parts as a colon does', () => {
    const text = 'jet: fist circles\n\n  orbit :  palm, twice \ntrips\tthree fingers';
    expect(readSignals(text)).toEqual([
      { word: 'jet', signal: 'fist circles' },
      { word: 'orbit', signal: 'palm, twice' },
      { word: 'trips', signal: 'three fingers' },
    ]);
    expect(readSignals(signalLines(signals(text)))).toEqual(signals(text));
    expect(readSignals('')).toEqual([]);
  });
  it('a line that cannot be read is named with its number and the remedy', () => {
    expect(readSignals('jet: fist\norbit')).toBe('Line 2: write the word, a colon and the signal.');
    expect(readSignals('jet:')).toBe('Line 1: write the word, a colon and the signal.');
    expect(readSignals('jet: fist\n\nJET: palm')).toBe(
      'Line 3: “JET” has a signal already; take one of the two out.',
    );
  });
  it('figures of a staff that kept none hold none; too many, or too long, are refused', () => {
    const { signals: _, ...older } = USUAL_PRINTS;
    expect(staffPrintsSchema.parse(older).signals).toEqual([]);
    const many = (n: number) => ({
      ...USUAL_PRINTS,
      signals: Array.from({ length: n }, (_unused, i) => ({ word: `w${i}`, signal: 'fist' })),
    });
    expect(staffPrintsSchema.safeParse(many(SIGNAL_LIMITS.signals)).success).toBe(true);
    expect(staffPrintsSchema.safeParse(many(SIGNAL_LIMITS.signals + 1)).success).toBe(false);
    const long = {
      ...USUAL_PRINTS,
      signals: [{ word: 'jet', signal: 'x'.repeat(SIGNAL_LIMITS.signal + 1) }],
    };
    expect(staffPrintsSchema.safeParse(long).error!.issues[0]!.message).toBe(
      'A signal has up to 60 characters.',
    );
  });
});
