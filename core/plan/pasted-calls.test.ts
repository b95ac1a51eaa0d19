import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_PLAYS } from '../../demo/plays';
import { readCopied } from '../foreign/sheet';
import { MOST_PASTED, readPasted } from './pasted-calls';
import { SECTIONS } from './sections';
import { copiedCalls } from './sheet-table';
import {
  callWords,
  NO_NOTES,
  numberSheet,
  playCall,
  playLook,
  type CallNotes,
  type SheetCall,
} from './sheet';

const read = (text: string, numbers?: ReadonlyMap<string, number>) =>
  readPasted(readCopied(text), DEMO_PLAYS, SECTIONS, numbers);
const named = (name: string) => DEMO_PLAYS.find((p) => p.name === name)!;
const call = (id: string, section: string, play: string, notes: Partial<CallNotes> = {}): SheetCall => ({
  id,
  section,
  order: 0,
  play: named(play),
  ...NO_NOTES,
  ...notes,
});

describe('calls as cells', () => {
  it('come back as they went out, whatever is noted of them', () => {
    const word = fc.stringMatching(/^[a-z]{1,6}( [a-z]{1,6}){0,2}$/);
    const notes = fc.record({
      hash: fc.constantFrom('L', 'M', 'R', null),
      tags: fc.array(word, { maxLength: 3 }),
      needs: fc.array(word, { maxLength: 2 }),
      shownFirst: fc.option(word),
      note: fc.option(word),
      ifThen: fc.array(fc.record({ when: word, call: fc.constantFrom('c0', null), words: word }), {
        maxLength: 2,
      }),
    });
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ play: fc.constantFrom(...DEMO_PLAYS), notes, at: fc.nat(SECTIONS.length - 1) }),
          {
            minLength: 1,
            maxLength: 8,
          },
        ),
        (wanted) => {
          const calls = wanted.map(({ play, notes: of, at }, i): SheetCall => ({
            id: `c${i}`,
            section: SECTIONS[at]!.key,
            order: i,
            play,
            ...of,
          }));
          const sheet = numberSheet(calls);
          const numbers = new Map(sheet.flatMap((s) => s.calls.map((c) => [c.id, c.number])));
          const odd = new Set(calls.filter((_, i) => i % 2 === 0).map((c) => c.id));
          const { calls: back, unread } = read(copiedCalls(sheet, odd), numbers);
          expect(unread).toEqual([]);
          const sent = sheet.flatMap((s) => s.calls).filter((c) => odd.has(c.id));
          expect(back.map((c) => [c.play.id, c.section, c.notes])).toEqual(
            sent.map((c) => [
              c.play.id,
              c.section,
              Object.fromEntries(Object.keys(NO_NOTES).map((f) => [f, c[f as keyof CallNotes]])),
            ]),
          );
        },
      ),
      { numRuns: 200 },
    );
  });
  it('of a spreadsheet are found by name, by call, by look and call, in any cell, a number before or not', () => {
    const power = named('Power right');
    for (const text of [
      'power RIGHT',
      '7. Power right',
      '7) Power right',
      `x\t${playCall(named('Toss left'))}\tmaybe`,
      `${playLook(power)} ${playCall(power)}`,
      `${playLook(power)} · ${playCall(power)}`,
      callWords({ play: power, tags: [] }),
    ])
      expect(read(text).calls, text).toHaveLength(1);
    expect(read('Power right\n\nToss left\r\nMesh').calls.map((c) => c.play.name)).toEqual([
      'Power right',
      'Toss left',
      'Mesh',
    ]);
    // Every play of the list by its name, and by its look and call.
    for (const play of DEMO_PLAYS) {
      expect(read(play.name).calls[0]?.play, play.name).toBe(play);
      expect(read(`${playLook(play)} ${playCall(play)}`).calls[0]?.play, play.name).toBe(play);
    }
  });
  it('under columns in any order and case, some of them only', () => {
    const { calls, unread } = read(
      'Hash\tPLAY\tSection\tdirection\tTags\nl\tpower\tgoal line\tL\ttempo; max\n\tmesh\tno such section\t\t',
    );
    expect(unread).toEqual([]);
    expect(calls.map((c) => [c.play.name, c.section, c.notes.hash, c.notes.tags])).toEqual([
      ['Power left', 'goal', 'L', ['tempo', 'max']],
      ['Mesh', null, null, []],
    ]);
  });
  it('that are not understood are said by their line, with the remedy; nothing is guessed', () => {
    const twice = [...DEMO_PLAYS, { ...named('Mesh'), id: 'mesh-2', name: 'Mesh heavy', formation: 'wing' }];
    const { calls, unread } = readPasted(
      readCopied('Power right\nPowre left\nx\tmesh\nmesh heavy'),
      twice,
      SECTIONS,
    );
    expect(calls.map((c) => [c.line, c.play.name])).toEqual([
      [1, 'Power right'],
      [4, 'Mesh heavy'],
    ]);
    expect(unread).toEqual([
      {
        line: 2,
        words:
          '“Powre left” is no play of the list: add it in the Book, or write its name as it stands there',
      },
      { line: 3, words: '“mesh” is 2 plays (Mesh, Mesh heavy): write the name of one' },
    ]);
    expect(read('name\thash\nMesh\tQ\nMesh\tR').unread).toEqual([
      { line: 2, words: 'The hash is L, M, R or none' },
    ]);
    expect(read('play\tdirection\npower\t').unread[0]!.words).toBe(
      '“power” is 2 plays (Power right, Power left): write the name of one',
    );
    expect(read(`name\ttags\nMesh\t${'x'.repeat(40)}`).unread[0]!.line).toBe(2);
    expect(read('')).toEqual({ calls: [], unread: [] });
    const many = read(Array.from({ length: MOST_PASTED + 5 }, () => 'Mesh').join('\n'));
    expect([many.calls.length, many.unread.map((u) => u.line)]).toEqual([MOST_PASTED, [MOST_PASTED + 1]]);
  });
  it('with a number that leads nowhere keep it as words; a tab in a note does not shift the cells', () => {
    const text = 'name\tif … then\tnote\nMesh\tif they walk down: 99; nobody moves: the same\tx';
    expect(read(text, new Map([['a', 1]])).calls[0]!.notes.ifThen).toEqual([
      { when: 'they walk down', call: null, words: '99' },
      { when: 'nobody moves', call: null, words: 'the same' },
    ]);
    const sheet = numberSheet([call('a', 'goal', 'Mesh', { note: 'one\ttwo' })]);
    expect(read(copiedCalls(sheet, new Set(['a']))).calls[0]!.notes.note).toBe('one two');
  });
});
