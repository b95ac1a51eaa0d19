/** What this browser keeps of one member's work in one program: his queue, and the rows he saw last. */
import { deleteDB, openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { EMPTY_BASE, type Base, type Pulled, type Queued, type Scope, type SyncRow } from '@/core/sync';

interface Schema extends DBSchema {
  ops: { key: number; value: Omit<Queued, 'seq'> & { seq?: number }; indexes: { scope: string } };
  scopes: { key: string; value: { scope: string; epoch: string; revision: number } };
  films: { key: string; value: { path: string; film: unknown } };
  rows: { key: [string, string]; value: SyncRow & { scope: string }; indexes: { scope: string } };
}

export type Changes = { readonly changed: readonly Queued[]; readonly gone: readonly string[] };

export class Storage {
  private constructor(
    private readonly db: IDBPDatabase<Schema>,
    readonly name: string,
  ) {}

  static async open(owner: string): Promise<Storage> {
    const name = `vobrik.${owner}`;
    const db = await openDB<Schema>(name, 2, {
      upgrade(made, from) {
        if (from < 2) made.createObjectStore('films', { keyPath: 'path' });
        if (from > 0) return;
        made.createObjectStore('ops', { keyPath: 'seq', autoIncrement: true }).createIndex('scope', 'scope');
        made.createObjectStore('scopes', { keyPath: 'scope' });
        made.createObjectStore('rows', { keyPath: ['scope', 'row'] }).createIndex('scope', 'scope');
      },
      blocking: (_now, _next, event) => (event.target as unknown as IDBDatabase).close(),
    });
    return new Storage(db, name);
  }

  /**
   * Resolves with the operations as they stand in the queue when they are on the disk (strict durability); rejects,
   * and adds none, when they are not.
   */
  async add(entries: readonly Omit<Queued, 'seq'>[], gone: readonly number[] = []): Promise<Queued[]> {
    const tx = this.db.transaction('ops', 'readwrite', { durability: 'strict' });
    const adding = entries.map((e) => tx.store.add(e));
    await Promise.all([...adding, ...gone.map((seq) => tx.store.delete(seq)), tx.done]);
    const seqs = await Promise.all(adding);
    return entries.map((e, i) => ({ ...e, seq: seqs[i]! }));
  }

  async queue(): Promise<Queued[]> {
    return (await this.db.getAll('ops')) as Queued[];
  }

  /** Changes the queue by what stands in it at that moment: one transaction, whatever other tabs do. Gives the queue after. */
  async change(work: (queue: readonly Queued[]) => Changes): Promise<Queued[]> {
    const tx = this.db.transaction('ops', 'readwrite');
    const queue = (await tx.store.getAll()) as Queued[];
    const { changed, gone } = work(queue);
    const seqs = new Map(queue.map((q) => [q.op.id, q.seq]));
    await Promise.all([
      ...changed.map((q) => tx.store.put(q)),
      ...gone.flatMap((id) => (seqs.has(id) ? [tx.store.delete(seqs.get(id)!)] : [])),
      tx.done,
    ]);
    const after = new Map(changed.map((q) => [q.seq, q]));
    return queue.filter((q) => !gone.includes(q.op.id)).map((q) => after.get(q.seq) ?? q);
  }

  async base(scope: Scope): Promise<Base> {
    const tx = this.db.transaction(['scopes', 'rows']);
    const [head, rows] = await Promise.all([
      tx.objectStore('scopes').get(scope),
      tx.objectStore('rows').index('scope').getAll(scope),
    ]);
    return head
      ? {
          epoch: head.epoch,
          revision: head.revision,
          rows: new Map(rows.map(({ scope: _scope, ...r }) => [r.row, r])),
        }
      : EMPTY_BASE;
  }

  /** Keeps a pull for the time without a network. A tab that is behind does not overwrite one that is ahead. */
  async keep(scope: Scope, pulled: Pulled): Promise<void> {
    const tx = this.db.transaction(['scopes', 'rows'], 'readwrite');
    const scopes = tx.objectStore('scopes');
    const rows = tx.objectStore('rows');
    const head = await scopes.get(scope);
    const same = head?.epoch === pulled.epoch;
    if ((same && pulled.revision < head.revision) || (!same && !pulled.whole)) return void (await tx.done);
    if (pulled.whole) for (const key of await rows.index('scope').getAllKeys(scope)) await rows.delete(key);
    for (const r of pulled.rows) await rows.put({ ...r, scope });
    await scopes.put({ scope, epoch: pulled.epoch, revision: pulled.revision });
    await tx.done;
  }

  /** Takes everything of this member off this browser. */
  async erase(): Promise<void> {
    const tx = this.db.transaction(['ops', 'scopes', 'rows', 'films'], 'readwrite', { durability: 'strict' });
    await Promise.all([
      tx.objectStore('ops').clear(),
      tx.objectStore('scopes').clear(),
      tx.objectStore('rows').clear(),
      tx.objectStore('films').clear(),
      tx.done,
    ]);
  }

  /** Rows seen, not work typed: what a member may no longer read. */
  async forgetRows(): Promise<void> {
    const tx = this.db.transaction(['scopes', 'rows', 'films'], 'readwrite');
    await Promise.all([
      tx.objectStore('scopes').clear(),
      tx.objectStore('rows').clear(),
      tx.objectStore('films').clear(),
      tx.done,
    ]);
  }

  async film(path: string): Promise<unknown> {
    return (await this.db.get('films', path))?.film;
  }

  async keepFilm(path: string, film: unknown): Promise<void> {
    await this.db.put('films', { path, film });
  }

  close(): void {
    this.db.close();
  }

  static remove = (owner: string): Promise<void> => deleteDB(`vobrik.${owner}`);
}
