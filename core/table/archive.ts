/** Zip archives of a package, bounded: a small file may not unfold into a huge one. */
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import type { NamedFile } from './read';

export const MOST_UPLOAD_BYTES = 32 * 1024 * 1024;
export const MOST_UNPACKED_BYTES = 256 * 1024 * 1024;
const MOST_FILES = 40;

export type Unpacked = { readonly ok: true; readonly files: readonly NamedFile[] } | { readonly ok: false; readonly remedy: string };

const looksLikeZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** An upload's files: a zip is unpacked, anything else is taken as UTF-8 text. */
export function unpack(name: string, bytes: Uint8Array): Unpacked {
  if (bytes.length > MOST_UPLOAD_BYTES) return { ok: false, remedy: `${name} is larger than 32 MB; split it` };
  if (!looksLikeZip(bytes)) {
    try {
      return { ok: true, files: [{ name, text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) }] };
    } catch {
      return { ok: false, remedy: `${name} is not UTF-8 text; save it as CSV UTF-8` };
    }
  }
  let total = 0;
  let count = 0;
  try {
    const entries = unzipSync(bytes, {
      filter: (f) => {
        count++;
        total += f.originalSize;
        if (count > MOST_FILES || total > MOST_UNPACKED_BYTES) throw new Error('too large');
        return !f.name.endsWith('/') && /\.(csv|json)$/i.test(f.name);
      },
    });
    return { ok: true, files: Object.entries(entries).map(([n, data]) => ({ name: n, text: strFromU8(data) })) };
  } catch (e) {
    return { ok: false, remedy: e instanceof Error && e.message === 'too large' ? `${name} unpacks to too much; split it` : `${name} is not a whole zip file; export it again` };
  }
}

/** The same files give the same bytes: the time stamp is fixed. */
export function pack(files: readonly NamedFile[]): Uint8Array {
  const mtime = new Date(2000, 0, 1);
  return zipSync(Object.fromEntries(files.map((f) => [f.name, [strToU8(f.text), { mtime, level: 6 as const }]])));
}
