/** Values kept in this process by what they were made from. */
import 'server-only';

/** The newest stand last, the oldest go. */
export class Kept<T> {
  private readonly entries = new Map<string, Promise<T>>();
  constructor(private readonly most: number) {}

  /** What was made under this key, or what `make` gives: asked by many at once, it is made once. A failure is not kept. */
  get(key: string, make: () => Promise<T>): Promise<T> {
    const found = this.entries.get(key) ?? make();
    this.entries.delete(key);
    this.entries.set(key, found);
    found.catch(() => this.entries.delete(key));
    for (const old of this.entries.keys()) {
      if (this.entries.size <= this.most) break;
      this.entries.delete(old);
    }
    return found;
  }
}
