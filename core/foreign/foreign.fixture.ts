/** What must hold of any reading, and files made worse with a seed. */
import { seededRandom } from '../../demo/random';
import { readFieldText, writeFieldText, type SnapField } from '../snap';
import type { ForeignSheet, Understood } from './index';

/** Every row of the sheet is read, left out with a reason, or refused with one; what was read can be stored. */
export function foreignFaults(sheet: ForeignSheet, u: Understood): string[] {
  const out: string[] = [];
  const seen = [
    ...u.rows.map((r) => r.row),
    ...u.skipped.map((s) => s.row),
    ...u.refused.map((r) => r.row),
  ].sort((a, b) => a - b);
  if (seen.length !== sheet.cells.length || seen.some((row, i) => row !== i + 1))
    out.push(
      `${sheet.name}: ${sheet.cells.length} rows in, ${u.rows.length} + ${u.skipped.length} + ${u.refused.length} out`,
    );
  if (u.refused.some((r) => r.reason === '' || r.column === ''))
    out.push('refused without a reason or a place');
  for (const { row, fields } of u.rows)
    for (const [field, value] of Object.entries(fields)) {
      if (field === 'offense' || field === 'defense' || field === 'note' || field === 'scoredBy') continue;
      const text = writeFieldText(field as SnapField, value);
      const back = readFieldText(field as SnapField, text);
      if (!back.ok) out.push(`row ${row}: ${field} is “${text}”, not ${back.expected}`);
    }
  return out;
}

const ODD = [
  '',
  '?',
  '-',
  '99',
  '-120',
  '1e5',
  '=1+1',
  '”',
  '"',
  'Total',
  '1/1/1940',
  '2026-02-30',
  'é',
  '\u0000',
  ';',
  '#22',
  'Rt',
  'own',
  '(',
  '1st',
  'x'.repeat(300),
];

/** A table with cells, rows, columns, separators or bytes changed. */
export function mutate(text: string, seed: number): Uint8Array {
  const random = seededRandom(seed + 1);
  const at = (n: number): number => Math.floor(random.next() * Math.max(1, n));
  let lines = text.split(/\r?\n/);
  for (let n = 1 + at(6); n > 0; n--) {
    const i = at(lines.length);
    const cut = lines[i]!.includes(';')
      ? ';'
      : lines[i]!.includes('\t')
        ? '\t'
        : lines[i]!.includes('|')
          ? '|'
          : ',';
    const cells = lines[i]!.split(cut);
    switch (at(8)) {
      case 0:
        cells[at(cells.length)] = ODD[at(ODD.length)]!;
        break;
      case 1:
        cells.splice(at(cells.length), 1);
        break;
      case 2:
        cells.splice(at(cells.length), 0, ODD[at(ODD.length)]!);
        break;
      case 3:
        lines.splice(i, 0, lines[at(lines.length)]!);
        continue;
      case 4:
        lines.splice(i, 1);
        continue;
      case 5:
        lines = lines.map((line) => line.split(cut).reverse().join(cut));
        continue;
      case 6:
        lines[i] = lines[i]!.split(cut).join([',', ';', '\t', '|'][at(4)]);
        continue;
      default:
        cells[at(cells.length)] = String.fromCharCode(at(0x2fff)) + cells[0]!;
    }
    lines[i] = cells.join(cut);
    if (lines.length === 0) lines = [''];
  }
  const bytes = new TextEncoder().encode(lines.join('\n'));
  for (let n = at(3); n > 0 && bytes.length > 0; n--) bytes[at(bytes.length)] = at(256);
  return bytes;
}
