/**
 * Everything a member types, on its way to the database: durable in the browser before the line is cleared,
 * sent in order by one tab of the browser, answered operation by operation, kept until it is settled.
 */
import {
  answerQueue,
  bySeq,
  MOST_OPERATIONS,
  MOST_REQUEST,
  nextBatch,
  overlay,
  overNow,
  EMPTY_BASE,
  pullInto,
  worn,
  type Answer,
  type Base,
  type FieldPatch,
  type Operation,
  type Pulled,
  type Queued,
  type RowKind,
  type Scope,
  type SyncAnswer,
  type SyncRow,
} from '@/core/sync';
import { Storage, type Changes } from './storage';

export type SaveKind = 'saved' | 'saving' | 'away' | 'signed-out';
export interface SaveState {
  readonly kind: SaveKind;
  readonly why: string;
  /** When everything was last saved, as a clock on the wall says it; null: nothing was typed yet. */
  readonly at: string | null;
}

/** What the outbox needs of the world; tests give their own. */
export interface World {
  readonly fetch: (url: string, init?: RequestInit) => Promise<Response>;
  /** Runs the work while no other tab of the browser does; ends when the signal does. */
  readonly lead: (name: string, signal: AbortSignal, work: () => Promise<void>) => Promise<void>;
  readonly channel: (name: string) => {
    post(message: unknown): void;
    listen(take: (message: unknown) => void): void;
    close(): void;
  };
  /** Opens the stream of notices; gives the way to close it. */
  readonly news: (
    take: (news: { scope: string; epoch: string }) => void,
    live: (now: boolean) => void,
  ) => () => void;
  readonly wait: (ms: number, signal: AbortSignal) => Promise<void>;
  readonly random: () => number;
  readonly id: () => string;
  readonly wallClock: () => string;
}

type Message =
  | { readonly kind: 'queue' }
  | { readonly kind: 'status'; readonly state: SaveState; readonly live: boolean }
  | { readonly kind: 'news'; readonly scope: string }
  | { readonly kind: 'epoch'; readonly epoch: string }
  | { readonly kind: 'erased' };

/** Operations done that tabs may not have pulled yet. */
const KEPT_DONE = 200;
const MOST_BACKOFF_MS = 8000;
/** News of others wait this long for the answer to what is being saved. */
const MOST_LATE_MS = 500;

export interface View {
  readonly base: Base;
  readonly queue: readonly Queued[];
}

export class Outbox {
  /** What waits, what was refused, what is done and not seen by every tab: on the disk, and in memory where that refused. */
  queue: readonly Queued[] = [];
  /** The queue, and behind it what the disk is still writing: what is typed next is typed over that. */
  soon: readonly Queued[] = [];
  state: SaveState = { kind: 'saved', why: '', at: null };
  /** Notices arrive; else pages poll. */
  live = false;
  private bases = new Map<Scope, Base>();
  private listeners = new Set<() => void>();
  private pulling = new Map<Scope, Promise<void>>();
  private again = new Set<Scope>();
  private watched = new Map<Scope, number>();
  private readonly closed = new AbortController();
  private wake: () => void = () => undefined;
  private awake = false;
  /** Readings of the queue: begun, the last that answered, and how many are under way. */
  private asked = 0;
  private read = 0;
  private reading = 0;
  /** What the disk is still writing: it stands before what is typed next, and is not saved, though no queue shows it. */
  private writing: readonly Omit<Queued, 'seq'>[] = [];
  private hurry = new AbortController();
  private sending: { readonly scope: Scope; readonly answered: Promise<boolean> } | null = null;
  /** This tab sends, and has nothing to send. */
  private idle = false;
  private onDisk: readonly Queued[] = [];
  /** What the database has and the disk refused, until a pull shows it. */
  private unkept: readonly Queued[] = [];
  /** What was sent while the disk still wrote it. */
  private ahead: Promise<readonly Answer[] | null> | null = null;
  private most = MOST_OPERATIONS;
  private failures = 0;
  private readonly channel: ReturnType<World['channel']>;
  onEpoch: (epoch: string) => void = () => undefined;
  onErased: () => void = () => undefined;

  private constructor(
    readonly owner: string,
    readonly epoch: string,
    private readonly storage: Storage,
    private readonly world: World,
  ) {
    this.channel = world.channel(`vobrik.${owner}`);
    this.channel.listen((m) => void this.hear(m as Message));
  }

  static async open(owner: string, epoch: string, world: World): Promise<Outbox> {
    const outbox = new Outbox(owner, epoch, await Storage.open(owner), world);
    await outbox.reload();
    void world
      .lead(`vobrik.leader.${owner}`, outbox.closed.signal, () => outbox.send())
      .catch(() => undefined);
    return outbox;
  }

  close(): void {
    this.closed.abort();
    this.wake();
    this.channel.close();
    this.storage.close();
    this.listeners.clear();
  }

  subscribe(listener: () => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  private changed(): void {
    for (const listener of this.listeners) listener();
  }

  private reload = (): Promise<void> => this.showWhat(() => this.storage.queue());

  /** Shows the queue that a reading or a change of the storage gives. */
  private async showWhat(read: () => Promise<Queued[]>): Promise<void> {
    if (this.closed.signal.aborted) return;
    const turn = ++this.asked;
    this.reading++;
    try {
      this.show(await read(), turn);
    } finally {
      this.reading--;
    }
  }

  private show(queue: Queued[], turn: number): void {
    // One that was asked later has answered already.
    if (turn < this.read || this.closed.signal.aborted) return;
    this.read = turn;
    this.onDisk = queue;
    this.merge();
    // It is on its way before the screen draws it.
    this.rouse();
    this.changed();
  }

  private merge(): void {
    this.queue = [...this.onDisk, ...this.unkept].sort(bySeq);
    this.foresee();
  }

  private foresee(): void {
    const { queue } = this;
    const known = new Set(queue.map((q) => q.op.id));
    const last = queue.at(-1)?.seq ?? 0;
    const behind = this.writing.filter((w) => !known.has(w.op.id));
    this.soon =
      behind.length === 0 ? queue : [...queue, ...behind.map((w, i) => ({ ...w, seq: last + 1 + i }))];
  }

  private async hear(message: Message): Promise<void> {
    if (this.closed.signal.aborted) return;
    if (message.kind === 'queue') {
      await this.reload();
    } else if (message.kind === 'status') {
      this.state = message.state;
      this.live = message.live;
      this.changed();
    } else if (message.kind === 'news') {
      if (this.watched.has(message.scope)) void this.pull(message.scope);
    } else if (message.kind === 'epoch') this.onEpoch(message.epoch);
    else {
      this.unkept = [];
      // The storage itself may have been taken away.
      await this.reload().catch(() => undefined);
      this.onErased();
    }
  }

  private tell(message: Message): void {
    if (!this.closed.signal.aborted) this.channel.post(message);
  }

  private rouse(): void {
    this.awake = true;
    this.wake();
  }

  /** Tries at once what waits: the network is back, or the analyst asks. */
  retry(): void {
    this.hurry.abort();
    this.rouse();
  }

  // -- what is typed

  /** A new row after another. */
  put = (
    kind: RowKind,
    row: string,
    fields: Readonly<Record<string, unknown>>,
    after: string | null,
  ): Operation => ({ id: this.world.id(), kind, row, epoch: this.epoch, do: 'put', fields, after });
  move = (
    kind: RowKind,
    row: string,
    fields: Readonly<Record<string, unknown>>,
    after: string | null,
  ): Operation => ({ id: this.world.id(), kind, row, epoch: this.epoch, do: 'move', fields, after });
  remove = (kind: RowKind, row: string): Operation => ({
    id: this.world.id(),
    kind,
    row,
    epoch: this.epoch,
    do: 'delete',
  });
  restore = (kind: RowKind, row: string): Operation => ({
    id: this.world.id(),
    kind,
    row,
    epoch: this.epoch,
    do: 'restore',
  });

  /** What is known of a scope at this moment: an edit that takes a while is written over what it was opened on. */
  view = (scope: Scope): View => ({ base: this.base(scope), queue: this.soon });

  /** Fields of a row, each with what it was read at: now, or when the edit was opened. */
  patch(
    scope: Scope,
    kind: RowKind,
    row: string,
    fields: Readonly<Record<string, unknown>>,
    opened: View = this.view(scope),
  ): Operation {
    const { base, queue } = opened;
    const at = { epoch: base.epoch, revision: base.revision, versions: base.rows.get(row)?.versions ?? null };
    const patches = Object.fromEntries(
      Object.entries(fields).map(([field, value]): [string, FieldPatch] => [
        field,
        { value, over: overNow(queue, scope, row, field, at) },
      ]),
    );
    return { id: this.world.id(), kind, row, epoch: this.epoch, do: 'patch', fields: patches };
  }

  /** Resolves when the operations are on this browser's disk. Rejects when they are not; nothing was taken then. */
  async push(scope: Scope, ops: readonly Operation[]): Promise<void> {
    await this.add(ops.map((op) => ({ scope, op, state: 'waiting' as const })));
  }

  /** Puts operations in the place of a refused one. */
  async replace(refused: Queued, ops: readonly Operation[]): Promise<void> {
    await this.add(
      ops.map((op) => ({ scope: refused.scope, op, state: 'waiting' as const })),
      [refused.seq],
    );
  }

  /** The refused operation once more, as a new one: what stood in its way may be gone. */
  tryAgain = (refused: Queued): Promise<void> =>
    this.replace(refused, [{ ...refused.op, id: this.world.id() } as Operation]);

  async discard(entry: Queued): Promise<void> {
    await this.add([], [entry.seq]);
  }

  /** Settles one field of a conflict: theirs stands already; mine is written over the version it was shown at. */
  async settle(entry: Queued, field: string, mine: boolean): Promise<void> {
    const conflict = entry.conflicts?.find((c) => c.field === field);
    if (!conflict) return;
    if (mine)
      await this.push(entry.scope, [
        {
          id: this.world.id(),
          kind: entry.op.kind,
          row: entry.op.row,
          epoch: this.epoch,
          do: 'patch',
          fields: {
            [field]: {
              value: conflict.yours,
              over: entry.epoch === this.epoch ? conflict.version : entry.op.id,
            },
          },
        },
      ]);
    await this.change((queue) => {
      const now = queue.find((q) => q.op.id === entry.op.id);
      if (!now?.conflicts) return { changed: [], gone: [] };
      const left = now.conflicts.filter((c) => c.field !== field);
      return {
        changed: [left.length === 0 ? { ...now, state: 'done', conflicts: [] } : { ...now, conflicts: left }],
        gone: [],
      };
    });
  }

  /** What became of an operation, if it is known soon; null: it waits on. */
  outcome(id: string, ms: number): Promise<Queued | null> {
    return new Promise((resolve) => {
      const look = (): boolean => {
        const queued = this.queue.find((x) => x.op.id === id);
        if (queued && queued.state === 'waiting') return false;
        done();
        resolve(queued ?? null);
        return true;
      };
      const leave = this.subscribe(() => void look());
      const stop = new AbortController();
      const done = (): void => {
        leave();
        stop.abort();
      };
      if (!look())
        void this.world.wait(ms, stop.signal).then(() => {
          leave();
          resolve(null);
        });
    });
  }

  private async add(entries: readonly Omit<Queued, 'seq'>[], gone: readonly number[] = []): Promise<void> {
    const turn = ++this.asked;
    const adding = this.storage.add(entries, gone);
    const ahead = gone.length === 0 ? this.sendAhead(entries, adding) : null;
    this.write([...this.writing, ...entries]);
    try {
      const added = await adding;
      // What a reading that is under way brings would be taken for older than this.
      if (this.reading > 0) await this.reload();
      else this.show([...this.onDisk.filter((q) => !gone.includes(q.seq)), ...added], turn);
      this.tell({ kind: 'queue' });
    } catch (error) {
      // What the database has is kept better than by this disk. Whether an answer was lost, nobody knows: said as not kept.
      const answers = await ahead;
      if (!answers || answers.length === 0 || answers.some((a) => a.status !== 'done')) throw error;
    } finally {
      this.write(this.writing.filter((w) => !entries.includes(w)));
    }
  }

  private write(writing: Outbox['writing']): void {
    this.writing = writing;
    this.foresee();
    this.changed();
  }

  /**
   * Sends what is typed while the disk still writes it, when nothing stands before it: an analyst waits for the
   * database, and not for both in turn. It is settled when it is on the disk; unanswered, it is sent again from there,
   * with the same ids.
   */
  private sendAhead(
    entries: readonly Omit<Queued, 'seq'>[],
    adding: Promise<unknown>,
  ): Promise<readonly Answer[] | null> | null {
    // Awake, it is about to send what came before.
    const free = this.idle && !this.awake && !this.ahead && this.reading === 0 && this.writing.length === 0;
    if (!free || this.closed.signal.aborted) return null;
    const next = nextBatch(
      entries.map((e, seq) => ({ ...e, seq })),
      this.most,
      MOST_REQUEST / 2,
    );
    if (next?.batch.length !== entries.length) return null;
    const written = adding.then(
      () => true,
      () => false,
    );
    this.setState('saving', '');
    const answered = this.sendBatch(next.scope, next.batch, written).catch(() => null);
    this.sending = { scope: next.scope, answered: answered.then((a) => a !== null) };
    this.ahead = answered.finally(() => {
      this.ahead = this.sending = null;
      this.rouse();
    });
    return this.ahead;
  }

  private async change(work: (queue: readonly Queued[]) => Changes): Promise<void> {
    await this.showWhat(() => this.storage.change(work));
    this.tell({ kind: 'queue' });
  }

  // -- what the server has

  base = (scope: Scope): Base => this.bases.get(scope) ?? EMPTY_BASE;
  rows = (scope: Scope, queue: readonly Queued[] = this.soon): SyncRow[] =>
    overlay(this.base(scope), queue, scope);

  /** A screen shows a scope: from what the page brought, else from this browser, then from the server. */
  watch(scope: Scope, brought: Pulled | null): () => void {
    this.watched.set(scope, (this.watched.get(scope) ?? 0) + 1);
    if (brought) this.take(scope, brought);
    void this.storage
      .base(scope)
      .then((kept) => {
        if (kept.epoch === this.epoch && kept.revision > this.base(scope).revision) {
          this.bases.set(scope, kept);
          this.changed();
        }
        return this.pull(scope);
      })
      .catch(() => undefined);
    return () => {
      const left = (this.watched.get(scope) ?? 1) - 1;
      if (left > 0) this.watched.set(scope, left);
      else this.watched.delete(scope);
    };
  }

  private take(scope: Scope, pulled: Pulled): void {
    if (pulled.epoch !== this.epoch) return this.otherEpoch(pulled.epoch);
    const before = this.base(scope);
    const next = pullInto(before, pulled);
    if (next === before) return;
    this.bases.set(scope, next);
    this.unkept = this.unkept.filter(
      (q) => q.scope !== scope || (q.epoch === next.epoch && (q.revision ?? 0) > next.revision),
    );
    void this.storage.keep(scope, pulled).catch(() => undefined);
    this.changed();
  }

  /** Asks the server for what is new. One question a scope at a time; a question meanwhile is asked again after. */
  pull(scope: Scope): Promise<void> {
    const running = this.pulling.get(scope);
    if (running) {
      this.again.add(scope);
      return running;
    }
    const work = (async () => {
      do {
        this.again.delete(scope);
        const { epoch, revision } = this.base(scope);
        try {
          const response = await this.world.fetch(
            `/api/sync?${new URLSearchParams({ scope, ...(revision >= 0 ? { since: String(revision), epoch } : {}) })}`,
            { headers: { 'x-vobrik-owner': this.owner } },
          );
          if (response.ok) this.take(scope, (await response.json()) as Pulled);
        } catch {
          // Asked again by the next notice or poll.
        }
      } while (this.again.has(scope) && !this.closed.signal.aborted);
    })().finally(() => this.pulling.delete(scope));
    this.pulling.set(scope, work);
    return work;
  }

  /** The stream broke: the database may have been restored, and this session have ended with it. */
  private async askEpoch(): Promise<void> {
    try {
      const response = await this.world.fetch('/api/health');
      const { epoch } = (await response.json()) as { epoch?: string };
      if (response.ok && typeof epoch === 'string' && epoch !== this.epoch) this.otherEpoch(epoch);
    } catch {
      // Asked again when the stream breaks again.
    }
  }

  private otherEpoch(epoch: string): void {
    this.tell({ kind: 'epoch', epoch });
    this.onEpoch(epoch);
  }

  // -- the leader

  private setState(kind: SaveKind, why: string): void {
    const at = kind === 'saved' && this.state.kind !== 'saved' ? this.world.wallClock() : this.state.at;
    if (kind === this.state.kind && why === this.state.why && at === this.state.at) return;
    this.state = { kind, why, at };
    this.tell({ kind: 'status', state: this.state, live: this.live });
    this.changed();
  }

  private async send(): Promise<void> {
    const { signal } = this.closed;
    const stop = this.world.news(
      (news) => {
        if (news.epoch !== this.epoch) this.otherEpoch(news.epoch);
        this.tell({ kind: 'news', scope: news.scope });
        if (this.watched.has(news.scope)) void this.pullAfterAnswer(news.scope);
      },
      (now) => {
        this.live = now;
        if (now) this.retry();
        else void this.askEpoch();
        this.tell({ kind: 'status', state: this.state, live: now });
        this.changed();
      },
    );
    try {
      await this.reload();
      while (!signal.aborted) {
        // Whoever changes the queue reads it again and wakes this loop.
        this.awake = false;
        if (this.ahead) {
          await this.ahead;
          continue;
        }
        const next = nextBatch(this.queue, this.most, MOST_REQUEST / 2);
        if (!next) {
          this.setState('saved', '');
          // Closed or woken while it looked: no wake-up comes after.
          if (!this.awake && !signal.aborted) {
            this.idle = true;
            await new Promise<void>((resolve) => {
              this.wake = resolve;
            });
            this.idle = false;
          }
          continue;
        }
        if (this.state.kind === 'saved') this.setState('saving', '');
        const answered = this.sendBatch(next.scope, next.batch).then((a) => a !== null);
        this.sending = { scope: next.scope, answered };
        const was = await answered.finally(() => (this.sending = null));
        if (was) {
          this.failures = 0;
          continue;
        }
        this.failures++;
        // What is typed meanwhile does not hurry a server that is down; a network that comes back does.
        this.hurry = new AbortController();
        await this.world.wait(
          Math.min(MOST_BACKOFF_MS, 400 * 2 ** Math.min(this.failures, 6)) * (0.5 + this.world.random() / 2),
          AbortSignal.any([signal, this.hurry.signal]),
        );
      }
    } finally {
      stop();
    }
  }

  /** The news of what this tab is just saving come before its answer, and the answer pulls: not twice, and not late. */
  private async pullAfterAnswer(scope: Scope): Promise<void> {
    if (this.sending?.scope === scope) {
      const late = new AbortController();
      const waited = this.world.wait(MOST_LATE_MS, late.signal).then(() => false);
      const was = await Promise.race([this.sending.answered, waited]).catch(() => false);
      late.abort();
      if (was || this.closed.signal.aborted) return;
    }
    await this.pull(scope);
  }

  /** The answers, as far as the batch as a whole was taken; null: nobody answered. */
  private async sendBatch(
    scope: Scope,
    batch: readonly Queued[],
    written: Promise<boolean> = Promise.resolve(true),
  ): Promise<readonly Answer[] | null> {
    let response: Response;
    try {
      response = await this.world.fetch('/api/sync', {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'x-vobrik-owner': this.owner },
        body: JSON.stringify({ scope, ops: batch.map((q) => q.op) }),
        signal: AbortSignal.any([this.closed.signal, AbortSignal.timeout(30_000)]),
      });
    } catch {
      this.setState('away', 'The server does not answer.');
      return null;
    }
    const answer = (await response.json().catch(() => null)) as
      (Partial<SyncAnswer> & { error?: string }) | null;
    const settled = async (answers: readonly Answer[], epoch: string): Promise<readonly Answer[]> => {
      if (await written) await this.settleAnswers(scope, answers, epoch);
      else this.showUnkept(batch, answers, epoch);
      this.tell({ kind: 'news', scope });
      if (this.watched.has(scope)) void this.pull(scope);
      return answers;
    };
    if (response.ok && Array.isArray(answer?.answers)) {
      if (answer.epoch !== undefined && answer.epoch !== this.epoch) this.otherEpoch(answer.epoch);
      this.most = MOST_OPERATIONS;
      return settled(answer.answers, answer.epoch ?? this.epoch);
    }
    const why = answer?.error ?? 'The server does not answer.';
    // A request that is itself refused: one operation at a time shows which one it is.
    if ([400, 413, 422].includes(response.status)) {
      if (batch.length > 1) {
        this.most = 1;
        // Nothing was settled: news that waited for this answer are asked for here.
        if (this.watched.has(scope)) void this.pull(scope);
        return [];
      }
      return settled([{ id: batch[0]!.op.id, status: 'refused', code: 'shape', reason: why }], this.epoch);
    }
    this.setState(response.status === 401 || response.status === 409 ? 'signed-out' : 'away', why);
    return null;
  }

  private async settleAnswers(scope: Scope, answers: readonly Answer[], epoch: string): Promise<void> {
    await this.change((queue) => {
      const mine = queue.filter((q) => q.scope === scope);
      const { changed, gone } = answerQueue(mine, answers, epoch);
      const after = [...queue.filter((q) => !changed.some((c) => c.seq === q.seq)), ...changed];
      return { changed, gone: [...gone, ...worn(after, KEPT_DONE)] };
    });
  }

  /** What is typed next is placed after it, whether the rows can be asked for or not. */
  private showUnkept(batch: readonly Queued[], answers: readonly Answer[], epoch: string): void {
    const { changed } = answerQueue(batch, answers, epoch);
    // Behind all that was typed before; what comes after gets the next whole number from the disk.
    const last = this.queue.at(-1)?.seq ?? 0;
    const done = changed.filter((q) => q.state === 'done');
    this.unkept = [...this.unkept, ...done.map((q, i) => ({ ...q, seq: last + (i + 1) / 1024 }))];
    this.merge();
    this.changed();
  }

  // -- leaving

  /** How many operations the database may not have: those that wait, and those that the disk is still writing. */
  waiting = (scope?: Scope): number =>
    this.soon.filter((q) => q.state === 'waiting' && (scope === undefined || q.scope === scope)).length;
  refused = (scope?: Scope): Queued[] =>
    this.queue.filter((q) => q.state === 'refused' && (scope === undefined || q.scope === scope));
  conflicts = (scope?: Scope): Queued[] =>
    this.queue.filter((q) => q.state === 'conflict' && (scope === undefined || q.scope === scope));

  /**
   * Takes all of a member off this browser, and tells every tab. It needs no outbox that is open: who signs out may be
   * led to the first page, where none is, before this is done.
   */
  static async erase(owner: string, world: World): Promise<void> {
    const storage = await Storage.open(owner).catch(() => null);
    try {
      await storage?.erase();
    } catch {
      // A storage that cannot be emptied is taken away whole.
      await Storage.remove(owner).catch(() => undefined);
    } finally {
      storage?.close();
    }
    const channel = world.channel(`vobrik.${owner}`);
    const message: Message = { kind: 'erased' };
    channel.post(message);
    channel.close();
  }

  forgetRows = (): Promise<void> => this.storage.forgetRows();
}
