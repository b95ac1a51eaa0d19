import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addCall,
  addCalls,
  addCheck,
  changeCheck,
  dropOn,
  lockSheet,
  moveCall,
  moveCalls,
  nudgeCall,
  noteCall,
  removeCall,
  removeCalls,
  removeCheck,
  renameSheet,
  type SheetChange,
  type SheetEdit,
} from './editing';
import { aPlay } from './plays.fixture';
import type { Check } from './rows';
import { numberSheet, type SheetCall } from './sheet';

const plays = ['p1', 'p2', 'p3'].map((id) => aPlay(id, id));

/** A store of calls in order, as plain as can be: each change puts a call behind another of its section. */
class Paper {
  calls: SheetCall[] = [];
  rows: Check[] = [];
  fields: Record<string, unknown> = { name: 'old', locked: false };

  get printed() {
    return numberSheet(this.calls);
  }
  apply(change: SheetChange): void {
    const put = (call: SheetCall, after: string | null): void => {
      const rest = this.calls.filter((c) => c.id !== call.id);
      const at =
        after === null
          ? rest.findIndex((c) => c.section === call.section)
          : rest.findIndex((c) => c.id === after) + 1;
      rest.splice(at < 0 ? rest.length : at, 0, call);
      this.calls = rest.map((c, i) => ({ ...c, order: i }));
    };
    if (change.do === 'many') {
      for (const one of change.changes) this.apply(one);
      return;
    }
    const known = 'call' in change ? this.calls.find((c) => c.id === change.call) : undefined;
    if (change.do === 'put') {
      const play = plays.find((p) => p.id === change.fields.play)!;
      put(
        { order: 0, id: change.call, ...(change.fields as object), play } as unknown as SheetCall,
        change.after,
      );
    } else if (change.do === 'move') put({ ...known!, section: change.section }, change.after);
    else if (change.do === 'remove') this.calls = this.calls.filter((c) => c.id !== change.call);
    else if (change.do === 'call')
      this.calls = this.calls.map((c) => (c === known ? { ...c, ...change.fields } : c));
    else if (change.do === 'add') {
      const at = this.rows.findIndex((r) => r.id === change.after);
      const row = { ...change.fields, id: change.row } as Check;
      this.rows.splice(change.after === null ? 0 : at < 0 ? this.rows.length : at + 1, 0, row);
    } else if (change.do === 'change')
      this.rows = this.rows.map((r) => (r.id === change.row ? { ...r, ...change.fields } : r));
    else if (change.do === 'drop') this.rows = this.rows.filter((r) => r.id !== change.row);
    else this.fields = { ...this.fields, ...change.fields };
  }
  /** What a coach sees. */
  get seen() {
    return [
      this.printed.map((p) => [p.section.key, p.calls.map((c) => [c.id, c.play.id, c.hash, c.tags])]),
      this.rows.map((r) => ({ ...r })),
    ];
  }
}

const filled = (): Paper => {
  const paper = new Paper();
  for (const id of ['a', 'b', 'c']) paper.apply(addCall(paper.printed, id, plays[0]!, 'first', null).redo);
  paper.apply(addCall(paper.printed, 'd', plays[1]!, 'goal', null).redo);
  return paper;
};
const order = (paper: Paper, section: string): string =>
  (paper.printed.find((p) => p.section.key === section)?.calls ?? []).map((c) => c.id).join('');

describe('edits of a sheet', () => {
  it('put, move and nudge a call where they say', () => {
    const paper = filled();
    expect(order(paper, 'first')).toBe('abc');
    const [a, , c] = paper.printed.find((p) => p.section.key === 'first')!.calls;
    paper.apply(moveCall(paper.printed, c!, 'first', 'a')!.redo);
    expect(order(paper, 'first')).toBe('cab');
    paper.apply(nudgeCall(paper.printed, a!, 1)!.redo);
    expect(order(paper, 'first')).toBe('cba');
    paper.apply(nudgeCall(paper.printed, a!, -1)!.redo);
    expect(order(paper, 'first')).toBe('cab');
    paper.apply(moveCall(paper.printed, a!, 'goal', 'd')!.redo);
    expect([order(paper, 'first'), order(paper, 'goal')]).toEqual(['cb', 'ad']);
  });

  it('say nothing to do at an end, on itself, and for what is not there', () => {
    const paper = filled();
    const [a, , c] = paper.printed.find((p) => p.section.key === 'first')!.calls;
    expect(nudgeCall(paper.printed, a!, -1)).toBeNull();
    expect(nudgeCall(paper.printed, c!, 1)).toBeNull();
    expect(moveCall(paper.printed, a!, 'first', 'a')).toBeNull();
    expect(dropOn(paper.printed, plays, 'play|gone', 'section|goal', 'x')).toBeNull();
    expect(dropOn(paper.printed, plays, 'move|gone', 'section|goal', 'x')).toBeNull();
  });

  it('read what was dropped where', () => {
    const paper = filled();
    paper.apply(dropOn(paper.printed, plays, 'play|p3', 'call|b', 'x')!.redo);
    paper.apply(dropOn(paper.printed, plays, 'move|a', 'section|goal', 'y')!.redo);
    expect([order(paper, 'first'), order(paper, 'goal')]).toEqual(['xbc', 'da']);
  });

  it('lock without a way back by Undo, rename with one', () => {
    expect(lockSheet(true).undo).toBeNull();
    expect(renameSheet('old', 'new').undo).toEqual({ do: 'sheet', fields: { name: 'old' } });
  });

  it('in one go stand in the order they came, behind what stood there', () => {
    const paper = filled();
    const added = ['x', 'y', 'z'].map((id) => ({ id, section: 'first', play: plays[1]! }));
    paper.apply(addCalls(paper.printed, added)!.redo);
    expect(paper.printed[0]!.calls.map((c) => c.id)).toEqual(['a', 'b', 'c', 'x', 'y', 'z']);
    expect(addCalls(paper.printed, [])).toBeNull();
  });

  it('of several moved at once stand in their order, before the one they were put before or before what follows it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.nat({ max: 2 }), { minLength: 1, maxLength: 9 }),
        fc.nat(),
        fc.nat({ max: 9 }),
        (sections, mask, at) => {
          const keys = ['openers', 'first', 'goal'];
          const paper = new Paper();
          sections.forEach((s, i) =>
            paper.apply(addCall(paper.printed, `c${i}`, plays[0]!, keys[s]!, null).redo),
          );
          const all = paper.printed.flatMap((p) => p.calls);
          const ids = new Set(all.filter((_, i) => (mask >> i) % 2 === 1).map((c) => c.id));
          const target = keys[at % 3]!;
          const there = all.filter((c) => c.section === target).map((c) => c.id);
          const before = there[at % (there.length + 1)] ?? null;
          const edit = moveCalls(paper.printed, ids, target, before);
          if (ids.size === 0) return edit === null;
          paper.apply(edit!.redo);
          // Plainly: the section without them, cut at the mark, they between.
          const cut = before === null ? there.length : there.indexOf(before);
          const stays = (list: string[]): string[] => list.filter((id) => !ids.has(id));
          const moved = all.filter((c) => ids.has(c.id)).map((c) => c.id);
          expect(paper.calls.filter((c) => c.section === target).map((c) => c.id)).toEqual([
            ...stays(there.slice(0, cut)),
            ...moved,
            ...stays(there.slice(cut)),
          ]);
          for (const key of keys.filter((k) => k !== target))
            expect(paper.calls.filter((c) => c.section === key).map((c) => c.id)).toEqual(
              stays(all.filter((c) => c.section === key).map((c) => c.id)),
            );
        },
      ),
      { numRuns: 400 },
    );
    const paper = filled();
    const [a, b] = paper.calls;
    const marked = new Set([a!.id, b!.id]);
    paper.apply(dropOn(paper.printed, plays, `move|${b!.id}`, 'section|goal', 'x', marked)!.redo);
    expect(paper.calls.filter((c) => c.section === 'goal').map((c) => c.id)).toEqual(['d', a!.id, b!.id]);
  });

  it('undone in turn leave the sheet as it was, whatever was done', () => {
    const pick = fc.nat({ max: 20 });
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat({ max: 12 }), pick, pick), { maxLength: 25 }), (steps) => {
        const paper = filled();
        const back: { seen: unknown; undo: SheetChange }[] = [];
        steps.forEach(([what, m, n], i) => {
          const call = paper.calls[m % Math.max(1, paper.calls.length)];
          const section = ['first', 'goal', 'openers'][n % 3]!;
          let edit: SheetEdit | null = null;
          if (what === 0)
            edit = addCall(
              paper.printed,
              `n${i}`,
              plays[m % 3]!,
              section,
              call?.section === section ? call.id : null,
            );
          else if (call && what === 1) edit = removeCall(paper.printed, call);
          else if (call && what === 2) edit = moveCall(paper.printed, call, section, null);
          else if (call && what === 3) edit = nudgeCall(paper.printed, call, n % 2 ? 1 : -1);
          else if (call && what === 4) edit = noteCall(call, { hash: n % 2 ? 'L' : null, tags: ['max'] });
          const check = paper.rows[m % Math.max(1, paper.rows.length)];
          const answer = { front: `front ${n}`, coverage: null, pressure: null, note: null };
          if (what === 6)
            edit = addCheck(
              `k${i}`,
              { picture: '2x2', personnel: null, situation: null, ...answer },
              paper.rows.at(-1)?.id ?? null,
            );
          else if (check && what === 7) edit = changeCheck(check, answer);
          else if (check && what === 8) edit = removeCheck(paper.rows, check);
          if (what === 9)
            edit = addCalls(
              paper.printed,
              [0, 1, 2].map((k) => ({
                id: `m${i}${k}`,
                section: k === 1 ? 'goal' : section,
                play: plays[k]!,
              })),
            );
          const some = new Set(paper.calls.filter((_, k) => (n + k) % 3 === 0).map((c) => c.id));
          const before = paper.calls.filter((c) => c.section === section)[m % 3]?.id ?? null;
          if (what === 10) edit = removeCalls(paper.printed, some);
          if (what === 11) edit = moveCalls(paper.printed, some, section, before);
          if (what === 12)
            edit = addCalls(paper.printed, [{ id: `n${i}`, section, play: plays[0]! }], before);
          if (!edit) return;
          back.push({ seen: paper.seen, undo: edit.undo! });
          paper.apply(edit.redo);
        });
        for (const { seen, undo } of back.reverse()) {
          paper.apply(undo);
          expect(paper.seen).toEqual(seen);
        }
      }),
      { numRuns: 300, seed: 5 },
    );
  });
});
