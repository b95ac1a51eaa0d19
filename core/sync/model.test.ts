/**
 * The queue against the model: random typing, refusals, lost and repeated answers, removals, undo, another
 * member, restores. Nothing acknowledged is lost, nothing is done twice, nothing is refused in silence, the
 * order is the order of typing, and what the screen shows is what the database ends up with.
 */
import fc from 'fast-check';
import { expect, it } from 'vitest';
import {
  answerQueue,
  EMPTY_BASE,
  nextBatch,
  overlay,
  overNow,
  pullInto,
  type Base,
  type Operation,
  type Queued,
} from './index';
import { ModelServer } from './model.fixture';

const RUNS = 4000;
const SCOPE = 'game:g';

/** One member of the union for each word, so that a check of the word tells them apart. */
type Each<D extends string, T = unknown> = D extends string ? { readonly do: D } & T : never;
type Step =
  | { readonly do: 'type'; readonly bad: boolean; readonly at: number; readonly end: boolean }
  | { readonly do: 'patch'; readonly at: number; readonly value: number }
  | Each<'remove' | 'restore-row', { readonly at: number }>
  | {
      readonly do: 'send';
      readonly fate: 'answered' | 'lost-request' | 'lost-answer' | 'repeated';
      readonly most: number;
    }
  | Each<'pull' | 'backup' | 'restore' | 'reload'>
  | { readonly do: 'other'; readonly what: 'put' | 'patch' | 'delete'; readonly at: number }
  | { readonly do: 'settle'; readonly how: 'fix' | 'discard' | 'mine' | 'theirs' };

const nat = fc.nat(20);
const step: fc.Arbitrary<Step> = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.record({
      do: fc.constant('type' as const),
      bad: fc.integer({ min: 0, max: 5 }).map((n) => n === 0),
      at: nat,
      end: fc.boolean(),
    }),
  },
  {
    weight: 4,
    arbitrary: fc.record({
      do: fc.constant('patch' as const),
      at: nat,
      value: fc.oneof(fc.integer({ min: 0, max: 6 }), fc.constant(452)),
    }),
  },
  {
    weight: 1,
    arbitrary: fc.record({ do: fc.constantFrom('remove' as const, 'restore-row' as const), at: nat }),
  },
  {
    weight: 5,
    arbitrary: fc.record({
      do: fc.constant('send' as const),
      fate: fc.constantFrom(
        'answered' as const,
        'answered' as const,
        'lost-request' as const,
        'lost-answer' as const,
        'repeated' as const,
      ),
      most: fc.integer({ min: 1, max: 5 }),
    }),
  },
  {
    weight: 3,
    arbitrary: fc.record({
      do: fc.constantFrom(
        'pull' as const,
        'pull' as const,
        'reload' as const,
        'backup' as const,
        'restore' as const,
      ),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      do: fc.constant('other' as const),
      what: fc.constantFrom('put' as const, 'patch' as const, 'delete' as const),
      at: nat,
    }),
  },
  {
    weight: 1,
    arbitrary: fc.record({
      do: fc.constant('settle' as const),
      how: fc.constantFrom('fix' as const, 'discard' as const, 'mine' as const, 'theirs' as const),
    }),
  },
);

class Client {
  queue: Queued[] = [];
  base: Base = EMPTY_BASE;
  private seq = 0;
  private ids = 0;
  /** Operations typed, by id, with what became of those that were settled by hand. */
  readonly typed = new Map<string, Operation>();
  readonly settled = new Set<string>();

  constructor(readonly server: ModelServer) {
    this.pull();
  }

  add(op: Operation): void {
    this.typed.set(op.id, op);
    this.queue.push({ seq: ++this.seq, scope: SCOPE, op, state: 'waiting' });
  }
  common = (row: string) => ({ id: `op${++this.ids}`, kind: 'snap' as const, row, epoch: this.base.epoch });
  shown = () => overlay(this.base, this.queue, SCOPE);

  patch(row: string, field: string, value: unknown): void {
    const over = overNow(this.queue, SCOPE, row, field, {
      epoch: this.base.epoch,
      revision: this.base.revision,
      versions: this.base.rows.get(row)?.versions ?? null,
    });
    this.add({ ...this.common(row), do: 'patch', fields: { [field]: { value, over } } });
  }

  pull(): void {
    const pulled = this.server.pull();
    this.base = pullInto(this.base, pulled);
  }

  send(fate: Extract<Step, { do: 'send' }>['fate'], most: number): void {
    const next = nextBatch(this.queue, most, 1e6);
    if (!next || fate === 'lost-request') return;
    const ops = next.batch.map((q) => q.op);
    let answer = this.server.answer(ops);
    if (fate === 'lost-answer') return;
    if (fate === 'repeated') answer = this.server.answer(ops);
    const { changed, gone } = answerQueue(this.queue, answer.answers, answer.epoch);
    for (const id of gone) this.settled.add(id);
    this.queue = this.queue
      .filter((q) => !gone.includes(q.op.id))
      .map((q) => changed.find((c) => c.seq === q.seq) ?? q);
  }

  settle(how: Extract<Step, { do: 'settle' }>['how']): void {
    const refused = this.queue.find((q) => q.state === 'refused');
    const conflict = this.queue.find((q) => q.state === 'conflict');
    if (refused && (how === 'fix' || how === 'discard')) {
      this.queue = this.queue.filter((q) => q !== refused);
      this.settled.add(refused.op.id);
      if (how === 'fix' && refused.op.do === 'put')
        this.add({ ...this.common(refused.op.row), do: 'put', after: refused.op.after, fields: { gain: 1 } });
    } else if (conflict && (how === 'mine' || how === 'theirs')) {
      const c = conflict.conflicts![0]!;
      if (how === 'mine')
        this.add({
          ...this.common(conflict.op.row),
          do: 'patch',
          fields: {
            [c.field]: {
              value: c.yours,
              over: conflict.epoch === this.base.epoch ? c.version : conflict.op.id,
            },
          },
        });
      this.queue = this.queue.map((q) => (q === conflict ? { ...q, state: 'done', conflicts: [] } : q));
    }
  }
}

it(`holds over ${RUNS} random schedules`, () => {
  let operations = 0;
  fc.assert(
    fc.property(fc.array(step, { minLength: 5, maxLength: 60 }), (steps) => {
      const server = new ModelServer();
      const client = new Client(server);
      let rows = 0;
      let others = 0;
      /** The chain of rows typed one after another at the end, as they stood when typed. */
      const chain: [string, string][] = [];
      for (const s of steps) {
        const shown = client.shown();
        const pick = (at: number) => shown[at % Math.max(1, shown.length)];
        if (s.do === 'type') {
          const after = s.end ? (shown[shown.length - 1]?.row ?? null) : (pick(s.at)?.row ?? null);
          const row = `r${++rows}`;
          client.add({ ...client.common(row), do: 'put', after, fields: { gain: s.bad ? 452 : rows } });
          if (after !== null && !s.bad) chain.push([after, row]);
        } else if (s.do === 'patch') {
          const row = pick(s.at);
          if (row && row.fields.gain !== s.value) client.patch(row.row, 'gain', s.value);
        } else if (s.do === 'remove' || s.do === 'restore-row') {
          const row = pick(s.at);
          if (row) client.add({ ...client.common(row.row), do: s.do === 'remove' ? 'delete' : 'restore' });
        } else if (s.do === 'send') client.send(s.fate, s.most);
        else if (s.do === 'pull') client.pull();
        // A reload loses what is in memory only; the queue is on the disk.
        else if (s.do === 'reload') {
          client.base = EMPTY_BASE;
          client.pull();
        } else if (s.do === 'backup') server.backup();
        else if (s.do === 'restore') server.restore();
        else if (s.do === 'settle') client.settle(s.how);
        else {
          const live = server.live();
          const row = live[s.at % Math.max(1, live.length)];
          const id = `other${++others}`;
          if (s.what === 'put')
            server.answer([
              {
                id,
                kind: 'snap',
                row: id,
                epoch: server.epoch,
                do: 'put',
                after: row ?? null,
                fields: { gain: 100 + others },
              },
            ]);
          else if (row && s.what === 'patch')
            server.answer([
              {
                id,
                kind: 'snap',
                row,
                epoch: server.epoch,
                do: 'patch',
                fields: {
                  gain: {
                    value: 100 + others,
                    over: server.rows.find((r) => r.key === row)!.versions.gain ?? 1,
                  },
                },
              },
            ]);
          else if (row) server.answer([{ id, kind: 'snap', row, epoch: server.epoch, do: 'delete' }]);
        }
      }
      // The network is back: everything is sent, everything is pulled.
      client.pull();
      for (let i = 0; i < 400 && client.queue.some((q) => q.state === 'waiting'); i++)
        client.send('answered', 50);
      client.pull();
      operations += client.typed.size;

      expect(client.queue.filter((q) => q.state === 'waiting')).toEqual([]);
      // What the screen shows is what the database has.
      expect(client.shown().map((r) => r.row)).toEqual(server.live());
      const kept = new Map(client.queue.map((q) => [q.op.id, q]));
      for (const [id, op] of client.typed) {
        expect(server.applied.get(id) ?? 0).toBeLessThanOrEqual(1);
        // Refused ones are still there with a reason, unless settled by hand or folded into another refused one.
        const q = kept.get(id);
        if (q?.state === 'refused') expect(q.reason).toBeTruthy();
        if (
          op.do === 'put' &&
          !client.settled.has(id) &&
          q?.state !== 'refused' &&
          !server.restoredAway.has(op.row)
        )
          expect(
            server.rows.some((r) => r.key === op.row),
            `${id} ${op.row}`,
          ).toBe(true);
        if (!q && !client.settled.has(id)) expect.fail(`${id} left the queue and nobody settled it`);
      }
      // Typed one after another, stored one after another (another member's may stand between).
      if (server.restoredAway.size === 0) {
        const place = new Map(server.rows.map((r, i) => [r.key, i]));
        for (const [before, row] of chain)
          if (place.has(before) && place.has(row))
            expect(place.get(row)!).toBeGreaterThan(place.get(before)!);
      }
      expect(new Set(server.rows.map((r) => r.key)).size).toBe(server.rows.length);
    }),
    { numRuns: RUNS, seed: 20261126 },
  );
  process.stdout.write(`queue model: ${RUNS} schedules, ${operations} operations typed\n`);
}, 120_000);
