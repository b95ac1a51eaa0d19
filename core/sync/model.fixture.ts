/** The store's side of one game as a plain model: what PostgreSQL and store/sync do, in thirty lines, for the tests of the queue. */
import type { Answer, Conflict, Operation, Pulled, SyncRow } from './index';

interface ModelRow {
  key: string;
  fields: Record<string, unknown>;
  versions: Record<string, number>;
  deleted: boolean;
  revision: number;
}

export class ModelServer {
  epoch = 'epoch-0';
  revision = 0;
  /** Rows in their order, removed ones too. */
  rows: ModelRow[] = [];
  private log = new Map<string, Answer>();
  /** How often an operation changed something: never more than once. */
  readonly applied = new Map<string, number>();
  /** Rows a restore took away: they are no longer expected. */
  readonly restoredAway = new Set<string>();
  private saved: { rows: string; log: [string, Answer][]; revision: number } | null = null;
  closed = false;

  backup(): void {
    this.saved = { rows: JSON.stringify(this.rows), log: [...this.log], revision: this.revision };
  }

  restore(): void {
    if (!this.saved) return;
    const now = this.rows.map((r) => r.key);
    this.rows = JSON.parse(this.saved.rows) as ModelRow[];
    const kept = new Set(this.rows.map((r) => r.key));
    for (const key of now) if (!kept.has(key)) this.restoredAway.add(key);
    this.log = new Map(this.saved.log);
    // What was done since was undone with it, and may be done again.
    for (const id of [...this.applied.keys()]) if (!this.log.has(id)) this.applied.delete(id);
    this.revision = this.saved.revision;
    this.epoch = `epoch-${Number(this.epoch.split('-')[1]) + 1}`;
  }

  /** A value the model refuses, as a field table would. */
  static unfit = (value: unknown): boolean => value === 452;

  answer(ops: readonly Operation[]): { epoch: string; answers: Answer[] } {
    const revision = this.revision + 1;
    const anchors = new Map<string, string | null>();
    let wrote = false;
    const answers = ops.map((op): Answer => {
      const before = this.log.get(op.id);
      if (before) return before;
      const refuse = (code: 'value' | 'gone' | 'closed'): Answer => {
        if (op.do === 'put') anchors.set(op.row, op.after);
        return { id: op.id, status: 'refused', code, reason: code };
      };
      if (this.closed) return refuse('closed');
      const row = this.rows.find((r) => r.key === op.row);
      let conflicts: Conflict[] = [];
      if (op.do === 'put') {
        if (Object.values(op.fields).some(ModelServer.unfit)) return refuse('value');
        if (!row) {
          let after = op.after;
          while (after !== null && anchors.has(after)) after = anchors.get(after)!;
          const at = after === null ? 0 : this.rows.findIndex((r) => r.key === after) + 1;
          const made: ModelRow = {
            key: op.row,
            fields: { ...op.fields },
            versions: {},
            deleted: false,
            revision,
          };
          if (after !== null && at === 0) this.rows.push(made);
          else this.rows.splice(at, 0, made);
          this.applied.set(op.id, (this.applied.get(op.id) ?? 0) + 1);
        }
      } else if (!row) return refuse('gone');
      else if (op.do === 'patch') {
        if (Object.values(op.fields).some((p) => ModelServer.unfit(p.value))) return refuse('value');
        for (const [field, fieldPatch] of Object.entries(op.fields)) {
          if (row.fields[field] === fieldPatch.value) continue;
          const known = typeof fieldPatch.over === 'string' ? this.log.get(fieldPatch.over) : null;
          const over =
            op.epoch !== this.epoch
              ? null
              : typeof fieldPatch.over === 'number'
                ? fieldPatch.over
                : known &&
                    known.status !== 'refused' &&
                    !(known.status === 'conflict' && known.conflicts.some((c) => c.field === field))
                  ? (known.versions[field] ?? 1)
                  : null;
          const version = row.versions[field] ?? 1;
          if (over !== version)
            conflicts = [
              ...conflicts,
              { field, theirs: row.fields[field], yours: fieldPatch.value, by: 'other', at: '', version },
            ];
          else {
            row.fields[field] = fieldPatch.value;
            row.versions[field] = version + 1;
            this.applied.set(op.id, (this.applied.get(op.id) ?? 0) + 1);
          }
        }
        row.revision = revision;
      } else {
        row.deleted = op.do === 'delete';
        row.revision = revision;
        this.applied.set(op.id, (this.applied.get(op.id) ?? 0) + 1);
      }
      wrote = true;
      const now = this.rows.find((r) => r.key === op.row)!;
      const common = {
        id: op.id,
        revision,
        order: this.rows.indexOf(now) + 1,
        versions: Object.fromEntries(Object.entries(now.versions).filter(([, v]) => v > 1)),
      };
      const answer: Answer =
        conflicts.length > 0 ? { ...common, status: 'conflict', conflicts } : { ...common, status: 'done' };
      this.log.set(op.id, answer);
      return answer;
    });
    if (wrote) this.revision = revision;
    return { epoch: this.epoch, answers };
  }

  /** Always everything: keys of rows move when one is put between. */
  pull(): Pulled {
    return {
      epoch: this.epoch,
      revision: this.revision,
      whole: true,
      rows: this.rows.map((modelRow, i): SyncRow => ({
        kind: 'snap',
        row: modelRow.key,
        order: i + 1,
        fields: { ...modelRow.fields },
        versions: { ...modelRow.versions },
        deleted: modelRow.deleted,
      })),
    };
  }

  live = (): string[] => this.rows.filter((r) => !r.deleted).map((r) => r.key);
}
