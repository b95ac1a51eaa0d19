/** What a tab keeps while one goes from screen to screen: the frame makes it and hands it down. */
export class TabMemory {
  private readonly entries = new Map<string, unknown>();

  /** The same value for a name as long as the frame stands. */
  kept<T>(name: string, make: () => T): T {
    if (!this.entries.has(name)) this.entries.set(name, make());
    return this.entries.get(name) as T;
  }
}
