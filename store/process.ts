/**
 * What this process keeps between requests: the one place of process state. The server loads a module once a
 * bundle and again after a hot reload, so it hangs on the global object. Decision 0015.
 */
import 'server-only';

const shared = globalThis as typeof globalThis & { vobrikProcess?: Map<string, unknown> };
const all = (): Map<string, unknown> => (shared.vobrikProcess ??= new Map<string, unknown>());

/** The same value for a name as long as the process lives. */
export function keptInProcess<T>(name: string, make: () => T): T {
  if (!all().has(name)) all().set(name, make());
  return all().get(name) as T;
}
