import { describe, expect, it } from 'vitest';
import { DEFAULT_BOOK } from '../book/default-book';
import { COLLEGE } from '../field';
import { auditKey, QUOTA_AUDITS } from './audits';
import { playDrawer } from './book-audits';
import { aPlay } from './plays.fixture';
import { quotaAudits, USUAL_QUOTAS, type Quota } from './quotas';
import { staffPrintsSchema } from './schema';
import { USUAL_PRINTS } from './prints';
import { NO_NOTES, type PlayCard, type SheetCall } from './sheet';

let id = 0;
const call = (section: string, tags: readonly string[] = [], play: Partial<PlayCard> = {}): SheetCall => ({
  id: `c${++id}`,
  section,
  order: id,
  play: aPlay(`p${id}`, 'power', play),
  ...NO_NOTES,
  tags,
});
const drawn = playDrawer(DEFAULT_BOOK, COLLEGE);
const audits = (calls: readonly SheetCall[], quotas: readonly Quota[] = USUAL_QUOTAS) =>
  quotaAudits(calls, quotas, drawn);

describe('what a staff wants in each half', () => {
  it('is one trick or unbalanced look, any mix, until a staff says others; an empty sheet is not asked', () => {
    expect(audits([])).toEqual([]);
    const plain = call('first');
    expect(audits([plain])).toMatchObject([
      {
        code: QUOTA_AUDITS[0],
        section: null,
        calls: [],
        facts: { calls: 0, wanted: 2 },
        sentence: 'trick or unbalanced: no call; 1 a half takes 2.',
      },
    ]);
    const trick = call('tricks');
    expect(audits([plain, trick])).toMatchObject([
      { calls: [trick.id], sentence: 'trick or unbalanced: 1 call; 1 a half takes 2.' },
    ]);
    const unbalanced = DEFAULT_BOOK.terms.filter(
      (t) =>
        t.kind === 'formation' &&
        drawn(aPlay('x', 'power', { formation: t.word, direction: 'R' }))?.assignment.structure
          .balancedLine === false,
    );
    expect(unbalanced.length).toBeGreaterThan(0);
    expect(audits([trick, call('first', [], { formation: unbalanced[0]!.word, direction: 'R' })])).toEqual(
      [],
    );
    expect(audits([trick, call('red', ['Trick'])])).toEqual([]);
  });
  it('counts any word of a call: tag, formation, motion, concept, kind; each call once', () => {
    const quota = (...words: string[]): Quota[] => [{ words, half: 1 }];
    const jet = call('first', ['tempo'], {
      motion: 'jet',
      motionBy: 'H',
      kind: 'rpo',
      conceptWeak: 'bubble',
    });
    for (const word of ['tempo', 'JET', 'trips', 'power', 'bubble', 'rpo'])
      expect(audits([jet], quota(word))[0]!.facts, word).toEqual({ calls: 1, wanted: 2 });
    expect(audits([jet], quota('tempo', 'jet'))[0]!.facts.calls).toBe(1);
    expect(audits([jet, call('red', ['tempo'])], quota('tempo'))).toEqual([]);
    expect(audits([jet], [{ words: ['tempo'], half: 3 }])[0]!.sentence).toBe(
      'tempo: 1 call; 3 a half take 6.',
    );
  });
  it('two quotas without a call are waved through apart', () => {
    const found = audits(
      [call('first')],
      [
        { words: ['trick'], half: 1 },
        { words: ['tempo'], half: 1 },
      ],
    );
    expect(new Set(found.map(auditKey)).size).toBe(2);
  });
  it('stands in the settings of older programs as the usual, and is read within limits', () => {
    const { quotas: _, ...older } = USUAL_PRINTS;
    expect(staffPrintsSchema.parse(older)).toEqual(USUAL_PRINTS);
    for (const [quotas, why] of [
      [[{ words: [], half: 1 }], 'A quota needs a word.'],
      [[{ words: ['x'], half: 0 }], 'Calls a half: 1 at least.'],
      [[{ words: ['x'], half: 1.5 }], 'Calls a half are whole.'],
      [[{ words: ['x'], half: NaN }], 'Calls a half: a number.'],
      [Array.from({ length: 9 }, () => ({ words: ['x'], half: 1 })), 'A staff has up to 8 quotas.'],
    ] as const)
      expect(staffPrintsSchema.safeParse({ ...USUAL_PRINTS, quotas }).error?.issues[0]!.message).toBe(why);
  });
});
