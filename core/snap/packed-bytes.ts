/**
 * Packed snaps as bytes: a head of JSON with fields and their different values, then the codes, one byte each where a
 * field has fewer than 256 values, else two. Little endian.
 */
import type { PackedColumn, PackedSnaps } from './packed';

const MAGIC = 0x31_46_42_56; // "VBF1"
/** Before the head: the mark of the format, and how long the head is. */
const FRONT = 8;

/** Codes in the body: where they begin, how many, and how many bytes each. */
type Placed = readonly [from: number, length: number, width: 1 | 2];
interface HeadColumn {
  readonly field: string;
  readonly values: readonly unknown[];
  readonly codes: 'each' | 'all' | Placed;
  readonly steps?: Placed;
}

function framed(head: unknown, bodies: readonly Uint8Array[]): Uint8Array<ArrayBuffer> {
  const text = new TextEncoder().encode(JSON.stringify(head));
  const out = new Uint8Array(FRONT + text.length + bodies.reduce((sum, b) => sum + b.length, 0));
  const view = new DataView(out.buffer);
  view.setUint32(0, MAGIC, true);
  view.setUint32(4, text.length, true);
  out.set(text, FRONT);
  let at = FRONT + text.length;
  for (const body of bodies) {
    out.set(body, at);
    at += body.length;
  }
  return out;
}

/** Throws where the bytes are no film. */
function unframed(bytes: Uint8Array): { readonly head: unknown; readonly body: Uint8Array } {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.length < FRONT || view.getUint32(0, true) !== MAGIC)
    throw new RangeError('These bytes are no film.');
  const end = FRONT + view.getUint32(4, true);
  if (end > bytes.length) throw new RangeError('This film is cut short.');
  return {
    head: JSON.parse(new TextDecoder().decode(bytes.subarray(FRONT, end))),
    body: bytes.subarray(end),
  };
}

export function encodePacked({ n, columns }: PackedSnaps): Uint8Array {
  const bodies: Uint8Array[] = [];
  let from = 0;
  const place = (numbers: ArrayLike<number>): Placed => {
    let most = 0;
    for (let i = 0; i < numbers.length; i++) most = Math.max(most, numbers[i]!);
    if (most > 0xffff)
      throw new RangeError(`A game of ${n} snaps has a code of ${most}: more than two bytes hold.`);
    const width = most > 0xff ? 2 : 1;
    const body = new Uint8Array(numbers.length * width);
    for (let i = 0; i < numbers.length; i++) {
      body[i * width] = numbers[i]! & 0xff;
      if (width === 2) body[i * 2 + 1] = numbers[i]! >> 8;
    }
    bodies.push(body);
    const placed: Placed = [from, numbers.length, width];
    from += body.length;
    return placed;
  };
  const head = columns.map(({ field, values, codes, steps }): HeadColumn => ({
    field,
    values,
    codes: typeof codes === 'string' ? codes : place(codes),
    ...(steps ? { steps: place(steps) } : {}),
  }));
  return framed({ n, columns: head }, bodies);
}

/** Throws where the bytes are cut short. */
export function decodePacked(bytes: Uint8Array): PackedSnaps {
  const { head, body } = unframed(bytes);
  const { n, columns } = head as { readonly n: number; readonly columns: readonly HeadColumn[] };
  const numbers = ([from, length, width]: Placed): Uint8Array | Uint16Array => {
    const part = body.subarray(from, from + length * width);
    if (part.length < length * width) throw new RangeError('This film is cut short.');
    if (width === 1) return part;
    const out = new Uint16Array(length);
    for (let i = 0; i < length; i++) out[i] = part[i * 2]! | (part[i * 2 + 1]! << 8);
    return out;
  };
  return {
    n,
    columns: columns.map(({ field, values, codes, steps }): PackedColumn => ({
      field,
      values,
      codes: typeof codes === 'string' ? codes : numbers(codes),
      ...(steps ? { steps: numbers(steps) } : {}),
    })),
  };
}

/** A game of a film on its way: what is said of it, and its snaps where the reader does not have them. */
export interface FilmPart<Said> {
  readonly said: Said;
  readonly packed: Uint8Array | null;
}

export const joinFilm = (parts: readonly FilmPart<unknown>[]): Uint8Array<ArrayBuffer> =>
  framed(
    parts.map(({ said, packed }) => [said, packed?.length ?? null]),
    parts.flatMap(({ packed }) => packed ?? []),
  );

/** Each game's bytes are its own copy: what one game needs does not hold the others. Throws where the bytes are no film. */
export function splitFilm(bytes: Uint8Array): FilmPart<unknown>[] {
  const { head, body } = unframed(bytes);
  let at = 0;
  return (head as readonly (readonly [unknown, number | null])[]).map(([said, length]) => {
    if (length === null) return { said, packed: null };
    if (at + length > body.length) throw new RangeError('This film is cut short.');
    const packed = body.slice(at, at + length);
    at += length;
    return { said, packed };
  });
}
