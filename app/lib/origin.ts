import { environment } from '@/store/environment';

/**
 * A request of another site is refused: the cookie alone is not enough to write (OWASP CSRF, Fetch Metadata).
 * `Origin: null` is another site: a sandboxed frame or a file sends it.
 */
export function sameOrigin(headers: Headers): boolean {
  const site = headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin' && site !== 'none') return false;
  const origin = headers.get('origin');
  if (origin === null) return true;
  try {
    return new URL(origin).host === headers.get('host');
  } catch {
    return false;
  }
}

/** Names this server is reached under besides loopback, set by the operator. */
export const HOSTS = environment()
  .VOBRIK_HOSTS.split(',')
  .map((h) => h.trim().toLowerCase())
  .filter(Boolean);

/** Hosts that are ours: loopback by any port, and those the operator names. Another name that leads here is a rebinding attack. */
export function isOurHost(host: string | null, allowed: readonly string[]): boolean {
  if (host === null) return false;
  const name = host.replace(/:\d+$/, '').toLowerCase();
  return name === '127.0.0.1' || name === 'localhost' || name === '[::1]' || allowed.includes(name);
}
