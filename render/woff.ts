import { inflateSync } from 'node:zlib';

/**
 * The OpenType font inside a WOFF 1.0 file (W3C Recommendation of 13 December 2012, sections 3 to 5): the same tables,
 * unpacked. The library that draws with fonts would unpack a table anew for each glyph it reads.
 * Throws an Error when the bytes are no WOFF file.
 */
export function unpackWoff(woff: Buffer): Buffer {
  if (woff.length < 44 || woff.toString('latin1', 0, 4) !== 'wOFF') throw new Error('no WOFF file');
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = 44 + 20 * i;
    const [offset, packed, length] = [4, 8, 12].map((o) => woff.readUInt32BE(at + o)) as [
      number,
      number,
      number,
    ];
    const bytes = woff.subarray(offset, offset + packed);
    return {
      tag: woff.subarray(at, at + 4),
      checksum: woff.subarray(at + 16, at + 20),
      bytes: packed < length ? inflateSync(bytes) : bytes,
    };
  });
  const head = Buffer.alloc(12 + 16 * count);
  woff.copy(head, 0, 4, 8);
  const steps = Math.floor(Math.log2(count));
  head.writeUInt16BE(count, 4);
  head.writeUInt16BE(16 * 2 ** steps, 6);
  head.writeUInt16BE(steps, 8);
  head.writeUInt16BE(16 * (count - 2 ** steps), 10);
  const parts: Buffer[] = [head];
  let at = head.length;
  for (const [i, { tag, checksum, bytes }] of tables.entries()) {
    const entry = 12 + 16 * i;
    tag.copy(head, entry);
    checksum.copy(head, entry + 4);
    head.writeUInt32BE(at, entry + 8);
    head.writeUInt32BE(bytes.length, entry + 12);
    // Each begins on four bytes.
    const whole = Buffer.alloc(Math.ceil(bytes.length / 4) * 4);
    bytes.copy(whole);
    parts.push(whole);
    at += whole.length;
  }
  return Buffer.concat(parts);
}
