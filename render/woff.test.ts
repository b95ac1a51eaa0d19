import { readFileSync } from 'node:fs';
import path from 'node:path';
import PDFDocument from 'pdfkit';
import { describe, expect, it } from 'vitest';
import { unpackWoff } from './woff';

const file = (weight: number): Buffer =>
  readFileSync(
    path.resolve(`node_modules/@fontsource/archivo-narrow/files/archivo-narrow-latin-${weight}-normal.woff`),
  );

/** OpenType 1.9, "Calculating checksums": the sum of a table's 32-bit words. */
function sum(bytes: Buffer): number {
  let total = 0;
  for (let i = 0; i < bytes.length; i += 4) total = (total + bytes.readUInt32BE(i)) >>> 0;
  return total;
}

describe('a font out of its WOFF file', () => {
  it.each([400, 700])(
    'weight %i: each table has the checksum the file says, and the header searches right',
    (weight) => {
      const sfnt = unpackWoff(file(weight));
      const count = sfnt.readUInt16BE(4);
      expect(count).toBeGreaterThan(9);
      expect(sfnt.readUInt16BE(6) + sfnt.readUInt16BE(10)).toBe(16 * count);
      for (let i = 0; i < count; i++) {
        const at = 12 + 16 * i;
        const [offset, length] = [sfnt.readUInt32BE(at + 8), sfnt.readUInt32BE(at + 12)];
        const bytes = Buffer.alloc(Math.ceil(length / 4) * 4);
        sfnt.copy(bytes, 0, offset, offset + length);
        // The font's own sum lies in its head table, and counts as nothing there.
        if (sfnt.toString('latin1', at, at + 4) === 'head') bytes.writeUInt32BE(0, 8);
        expect(sum(bytes)).toBe(sfnt.readUInt32BE(at + 4));
      }
    },
  );
  it('draws the same page as the packed one, byte by byte', async () => {
    const drawn = (font: Buffer): Promise<Buffer> => {
      const doc = new PDFDocument({ info: { CreationDate: new Date(0) } });
      const chunks: Buffer[] = [];
      doc.on('data', (c: Buffer) => chunks.push(c));
      const done = new Promise<Buffer>((resolve) => doc.on('end', () => resolve(Buffer.concat(chunks))));
      doc.font(font).text('AVTo office −3 – “1st & 10” Wé 0123456789');
      doc.end();
      return done;
    };
    const page = await drawn(unpackWoff(file(400)));
    expect(page.length).toBeGreaterThan(2000);
    expect(page.equals(await drawn(file(400)))).toBe(true);
  });
  it('takes nothing else', () => {
    expect(() => unpackWoff(Buffer.from('%PDF-1.7'))).toThrow('no WOFF file');
  });
});
