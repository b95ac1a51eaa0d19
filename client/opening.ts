/**
 * Something that opens a little later, and what waits for it. Asked at any moment, before, while or after it
 * opens, the answer comes: nothing that a render has yet to hear of stands between.
 */
export class Opening<T> {
  private settled = false;
  private settle!: { resolve: (value: T) => void; reject: (why: Error) => void };
  private now!: Promise<T>;

  constructor() {
    this.begin();
  }

  private begin(): void {
    this.settled = false;
    this.now = new Promise<T>((resolve, reject) => {
      this.settle = { resolve, reject };
    });
    // Nobody may be waiting when it fails.
    this.now.catch(() => undefined);
  }

  /** Resolves when it is open; rejects when it cannot be opened. */
  opened = (): Promise<T> => this.now;

  open(value: T): void {
    this.settled = true;
    this.settle.resolve(value);
  }

  fail(why: Error): void {
    this.settled = true;
    this.settle.reject(why);
  }

  /** Closed again: who waits already goes on waiting for the next one. */
  close(): void {
    if (this.settled) this.begin();
  }
}
