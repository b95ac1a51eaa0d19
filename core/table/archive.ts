/** Zip archives of a package, unpacked step by step: a small file may not unfold into a huge one. */
import { strToU8, Unzip, UnzipInflate, zipSync, type UnzipFile } from 'fflate';
import { LIMITS } from './limits';
import type { NamedFile } from './package';

export type Unpacked =
  | { readonly ok: true; readonly files: readonly NamedFile[] }
  | { readonly ok: false; readonly remedy: string };

const looksLikeZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;
const megabytes = (bytes: number): number => Math.floor(bytes / 1024 / 1024);
const STEP = 64 * 1024;

/** UTF-8 text or null: half a character is a fault wherever it stands, in a lone file or in an archive. */
function decode(bytes: Uint8Array): string | null {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return null;
  }
}

class TooMuch extends Error {}

/** An upload's files: a zip is unpacked, anything else is taken as UTF-8 text. `room`: bytes that may still come out. */
export function unpack(name: string, bytes: Uint8Array, room: number = LIMITS.unpackedBytes): Unpacked {
  if (bytes.length > LIMITS.uploadBytes)
    return { ok: false, remedy: `${name} is larger than ${megabytes(LIMITS.uploadBytes)} MB; split it` };
  if (!looksLikeZip(bytes)) {
    if (bytes.length > room)
      return {
        ok: false,
        remedy: `${name} is too much together with the other files; import them one by one`,
      };
    const text = decode(bytes);
    return text === null
      ? { ok: false, remedy: `${name} is not UTF-8 text; save it as CSV UTF-8` }
      : { ok: true, files: [{ name, text }] };
  }
  const tooMuch = {
    ok: false,
    remedy: `${name} unpacks to more than ${megabytes(LIMITS.unpackedBytes)} MB or ${LIMITS.files} files; split it`,
  } as const;
  const broken = { ok: false, remedy: `${name} is not a whole zip file; export it again` } as const;
  const parts = new Map<string, Uint8Array[]>();
  const open = new Set<string>();
  let total = 0;
  let count = 0;
  const unzip = new Unzip((file: UnzipFile) => {
    if (++count > LIMITS.files) throw new TooMuch();
    if (file.name.endsWith('/') || !/\.(csv|json)$/i.test(file.name)) return;
    if (file.originalSize !== undefined && total + file.originalSize > room) throw new TooMuch();
    const chunks: Uint8Array[] = [];
    parts.set(file.name, chunks);
    open.add(file.name);
    file.ondata = (error, data, final) => {
      if (error) throw error;
      total += data.length;
      if (total > room) throw new TooMuch();
      chunks.push(data);
      if (final) open.delete(file.name);
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length; at += STEP)
      unzip.push(bytes.subarray(at, at + STEP), at + STEP >= bytes.length);
  } catch (error) {
    return error instanceof TooMuch ? tooMuch : broken;
  }
  // A file that never ended, or no end record: the archive was cut off.
  if (open.size > 0 || !hasEnd(bytes)) return broken;
  const files: NamedFile[] = [];
  for (const [file, chunks] of parts) {
    const whole = new Uint8Array(chunks.reduce((n, c) => n + c.length, 0));
    let at = 0;
    for (const uint8Array of chunks) {
      whole.set(uint8Array, at);
      at += uint8Array.length;
    }
    const text = decode(whole);
    if (text === null)
      return { ok: false, remedy: `${name}: ${file} is not UTF-8 text; save it as CSV UTF-8` };
    files.push({ name: file, text });
  }
  return { ok: true, files };
}

/** The end-of-central-directory record, within the 64 kB a comment may follow it. */
function hasEnd(bytes: Uint8Array): boolean {
  for (let i = bytes.length - 22; i >= Math.max(0, bytes.length - 65_557); i--)
    if (bytes[i] === 0x50 && bytes[i + 1] === 0x4b && bytes[i + 2] === 5 && bytes[i + 3] === 6) return true;
  return false;
}

/** The same files give the same bytes: the time stamp is fixed. */
export function pack(files: readonly NamedFile[]): Uint8Array {
  const mtime = new Date(2000, 0, 1);
  return zipSync(
    Object.fromEntries(files.map((f) => [f.name, [strToU8(f.text), { mtime, level: 6 as const }]])),
  );
}
