/**
 * Many groupings of the same snaps at once, each with counts, sums and the most used concepts of every cell: the tables
 * of a report. What a snap adds is packed: its outcomes in a byte, its yards with the count in one float. A grouping by
 * some of the fields of another is the sum of that one's cells (the lattice of Gray and others 1997, Data Cube, Data
 * Mining and Knowledge Discovery 1:29), which is less work than the snaps again. Whole snaps only: no weights.
 */
import { cellsOf, decoder } from './cells';
import { FIRST_VALUE, type Column, type Columns } from './columns';
import type { FilterField } from './filters';
import { outcomeOf, UNSAID, YES } from './outcomes';
import { takeRoom, type Room } from './room';

/** In one byte, base three. */
const OUTCOMES = ['run', 'success', 'explosive'] as const;
/** Possible bytes, and the power of two above. */
const BYTES = 27;
const SHIFT = 5;
/** A float holds both beside each other: so many snaps at most, and above them their yards, each counted from ZERO up. */
const SNAPS = 2 ** 21;
const ZERO = 100;
/** Entries of a dense grouping; one with more possible cells is numbered by those that occur. */
const MOST = 1 << 20;
const TOP = 3;
/** A snap costs as much as so many entries of a larger grouping (measured: 8 to 12). */
const ADD = 8;

/** Of each cell; where none of its snaps says something, 0 of 0. */
export interface Cube {
  readonly fields: readonly FilterField[];
  readonly size: number;
  readonly n: Int32Array;
  /** Hits and all by outcome. */
  readonly rates: Readonly<
    Record<(typeof OUTCOMES)[number], { readonly k: Int32Array; readonly n: Int32Array }>
  >;
  readonly yards: { readonly sum: Int32Array; readonly n: Int32Array };
  /** Codes of the concepts most used and how often, three a cell; 0 times: there is none. Ties by the alphabet. */
  readonly top: { readonly code: Uint16Array; readonly k: Int32Array };
  words(cell: number): string[];
  /** Every field says something: none of its words is blank, none or not visible. */
  tagged(cell: number): boolean;
}

/** A grouping as it is added up. */
interface Raw {
  readonly fields: readonly FilterField[];
  readonly size: number;
  /** Snaps and yards by cell and byte. */
  readonly bytes: Float64Array;
  /** Snaps by cell and concept. */
  readonly concepts: Int32Array;
  codes(cell: number): readonly number[];
}

/** What every snap adds, made once: its outcomes in a byte, itself and its yards in a float. */
interface Adds {
  readonly bytes: Uint16Array;
  readonly adds: Float64Array;
}
const known = new WeakMap<Columns, Adds>();
function addsOf(columns: Columns): Adds {
  let of = known.get(columns);
  if (of) return of;
  const bytes = new Uint16Array(columns.n);
  for (const key of OUTCOMES) {
    const outcome = outcomeOf(columns, key);
    for (let i = 0; i < bytes.length; i++) bytes[i] = bytes[i]! * 3 + outcome[i]!;
  }
  // Yards are known of the snaps of which it is known whether they were explosive.
  const explosive = outcomeOf(columns, 'explosive');
  const adds = Float64Array.from(explosive, (said, i) =>
    said === UNSAID ? 1 : 1 + SNAPS * (columns.yards[i]! + ZERO),
  );
  known.set(columns, (of = { bytes, adds }));
  return of;
}

/** The selected snaps, side by side in memory. */
interface Packed extends Adds {
  readonly columns: Columns;
  readonly rows: Uint32Array;
  readonly room: Room;
  readonly concept: Uint16Array;
  codes(field: FilterField): Uint16Array;
}

function pack(columns: Columns, rows: Uint32Array, room: Room): Packed {
  const gathered = new Map<FilterField, Uint16Array>();
  const codes = (field: FilterField): Uint16Array => {
    let of = gathered.get(field);
    if (!of) gathered.set(field, (of = pick(columns.text[field].codes, rows, room.codes(rows.length))));
    return of;
  };
  const every = addsOf(columns);
  const bytes = room.codes(rows.length);
  const adds = room.floats(rows.length);
  for (let i = 0; i < bytes.length; i++) bytes[i] = every.bytes[rows[i]!]!;
  for (let i = 0; i < adds.length; i++) adds[i] = every.adds[rows[i]!]!;
  return { columns, rows, room, concept: codes('concept'), bytes, adds, codes };
}

function pick(codes: Uint16Array, rows: Uint32Array, out: Uint16Array): Uint16Array {
  for (let i = 0; i < out.length; i++) out[i] = codes[rows[i]!]!;
  return out;
}

// One loop for each number of fields: what it reads and adds is known before it runs.
type Adding = Pick<Packed, 'bytes' | 'adds' | 'concept'> & { readonly into: Raw; readonly words: number };

function addOne({ bytes, adds, concept, into, words }: Adding, a: Uint16Array | Uint32Array): void {
  const { bytes: byByte, concepts } = into;
  const n = a.length | 0;
  for (let i = 0; i < n; i = (i + 1) | 0) {
    const cell = a[i]! | 0;
    const at = (cell << SHIFT) | bytes[i]!;
    byByte[at] = byByte[at]! + adds[i]!;
    const of = (Math.imul(cell, words) + concept[i]!) | 0;
    concepts[of] = (concepts[of]! + 1) | 0;
  }
}
function addTwo(
  { bytes, adds, concept, into, words }: Adding,
  a: Uint16Array,
  b: Uint16Array,
  radix: number,
): void {
  const { bytes: byByte, concepts } = into;
  const n = a.length | 0;
  for (let i = 0; i < n; i = (i + 1) | 0) {
    const cell = (Math.imul(a[i]!, radix) + b[i]!) | 0;
    const at = (cell << SHIFT) | bytes[i]!;
    byByte[at] = byByte[at]! + adds[i]!;
    const of = (Math.imul(cell, words) + concept[i]!) | 0;
    concepts[of] = (concepts[of]! + 1) | 0;
  }
}
function addThree(
  { bytes, adds, concept, into, words }: Adding,
  a: Uint16Array,
  b: Uint16Array,
  c: Uint16Array,
  [second, third]: readonly [number, number],
): void {
  const { bytes: byByte, concepts } = into;
  const n = a.length | 0;
  for (let i = 0; i < n; i = (i + 1) | 0) {
    const cell = (Math.imul((Math.imul(a[i]!, second) + b[i]!) | 0, third) + c[i]!) | 0;
    const at = (cell << SHIFT) | bytes[i]!;
    byByte[at] = byByte[at]! + adds[i]!;
    const of = (Math.imul(cell, words) + concept[i]!) | 0;
    concepts[of] = (concepts[of]! + 1) | 0;
  }
}

function fromRows(packed: Packed, fields: readonly FilterField[]): Raw {
  const { columns, rows, room, bytes, adds, concept } = packed;
  const words = columns.text.concept.words.length;
  const radix = fields.map((f) => columns.text[f].words.length);
  const possible = radix.reduce((x, y) => x * y, 1);
  const raw = (size: number, codes: (cell: number) => readonly number[]): Raw => ({
    fields,
    size,
    bytes: room.floats(size << SHIFT),
    concepts: room.ints(size * words),
    codes,
  });
  const [a, b, c] = fields.slice(0, 3).map(packed.codes);
  if (possible * Math.max(words, 1 << SHIFT) > MOST || fields.length > 3 || !a) {
    const cells = cellsOf(columns, rows, fields);
    const into = raw(cells.size, (cell) =>
      cells.words(cell).map((word, f) => codeOf(columns.text[fields[f]!], word)),
    );
    addOne({ bytes, adds, concept, words, into }, cells.at);
    return into;
  }
  const into = raw(possible, decoder(radix));
  const adding = { bytes, adds, concept, words, into };
  if (!b) addOne(adding, a);
  else if (!c) addTwo(adding, a, b, radix[1]!);
  else addThree(adding, a, b, c, [radix[1]!, radix[2]!]);
  return into;
}
const codeOf = ({ codeOf: known }: Column, word: string): number => (word === '' ? 0 : known.get(word)!);

/** The sum of another grouping's cells over the fields that are not asked for. */
function fromLarger(
  { columns, room }: Packed,
  larger: Raw,
  n: Int32Array,
  fields: readonly FilterField[],
): Raw {
  const words = columns.text.concept.words.length;
  const radix = fields.map((f) => columns.text[f].words.length);
  const size = radix.reduce((x, y) => x * y, 1);
  const bytes = room.floats(size << SHIFT);
  const concepts = room.ints(size * words);
  const places = fields.map((f) => larger.fields.indexOf(f));
  for (let cell = 0; cell < larger.size; cell++) {
    if (n[cell] === 0) continue;
    const codes = larger.codes(cell);
    let to = 0;
    for (let f = 0; f < places.length; f++) to = to * radix[f]! + codes[places[f]!]!;
    addAll(larger.bytes, cell << SHIFT, bytes, to << SHIFT, BYTES);
    addAll(larger.concepts, cell * words, concepts, to * words, words);
  }
  return { fields, size, bytes, concepts, codes: decoder(radix) };
}

function addAll(
  from: Float64Array | Int32Array,
  at: number,
  to: Float64Array | Int32Array,
  into: number,
  many: number,
): void {
  for (let i = 0; i < many; i++) to[into + i]! += from[at + i]!;
}

/** What each byte says of each outcome. */
const SAYS = OUTCOMES.map((_, o) =>
  Uint8Array.from({ length: BYTES }, (__, byte) => Math.floor(byte / 3 ** (OUTCOMES.length - 1 - o)) % 3),
);

function finish(columns: Columns, raw: Raw, order: Uint16Array): Cube {
  const { size, bytes, concepts } = raw;
  const words = columns.text.concept.words.length;
  const ints = (): Int32Array => new Int32Array(size);
  const [n, sum, known] = [ints(), ints(), ints()];
  const [rk, rn, sk, sn, ek] = [ints(), ints(), ints(), ints(), ints()];
  const code = new Uint16Array(size * TOP);
  const times = new Int32Array(size * TOP);
  const [run, success, explosive] = SAYS as [Uint8Array, Uint8Array, Uint8Array];
  for (let cell = 0; cell < size; cell++) {
    for (let byte = 0; byte < BYTES; byte++) {
      const both = bytes[(cell << SHIFT) + byte]!;
      if (both === 0) continue;
      const yards = Math.floor(both / SNAPS);
      const snaps = both - yards * SNAPS;
      n[cell]! += snaps;
      if (run[byte] !== UNSAID) rn[cell]! += snaps;
      if (run[byte] === YES) rk[cell]! += snaps;
      if (success[byte] !== UNSAID) sn[cell]! += snaps;
      if (success[byte] === YES) sk[cell]! += snaps;
      if (explosive[byte] === UNSAID) continue;
      if (explosive[byte] === YES) ek[cell]! += snaps;
      known[cell]! += snaps;
      sum[cell]! += yards - ZERO * snaps;
    }
    if (n[cell] !== 0) best(concepts, cell * words, words, order, code, times, cell * TOP);
  }
  const absent = (cell: number): boolean => raw.codes(cell).some((c) => c < FIRST_VALUE);
  return {
    fields: raw.fields,
    size,
    n,
    rates: { run: { k: rk, n: rn }, success: { k: sk, n: sn }, explosive: { k: ek, n: known } },
    yards: { sum, n: known },
    top: { code, k: times },
    words: (cell) => raw.codes(cell).map((c, f) => columns.text[raw.fields[f]!].words[c]!),
    tagged: (cell) => !absent(cell),
  };
}

/** The three largest counts, in the order of the alphabet where they tie: `order` is the codes in that order. */
function best(
  counts: Int32Array,
  from: number,
  words: number,
  order: Uint16Array,
  code: Uint16Array,
  times: Int32Array,
  to: number,
): void {
  let [a, b, c] = [0, 0, 0];
  for (let i = 0; i < order.length; i++) {
    const word = order[i]!;
    const k = counts[from + word]!;
    if (k <= c) continue;
    if (k > a) {
      [c, b, a] = [b, a, k];
      code[to + 2] = code[to + 1]!;
      code[to + 1] = code[to]!;
      code[to] = word;
    } else if (k > b) {
      [c, b] = [b, k];
      code[to + 2] = code[to + 1]!;
      code[to + 1] = word;
    } else {
      c = k;
      code[to + 2] = word;
    }
  }
  times[to] = a;
  times[to + 1] = b;
  times[to + 2] = c;
}

/** Groupings by up to three fields each (more are taken, slower), in the order asked for. RangeError above 2^21 snaps. */
export function cubes(
  columns: Columns,
  rows: Uint32Array,
  groupings: readonly (readonly FilterField[])[],
): Cube[] {
  if (rows.length >= SNAPS) throw new RangeError(`${rows.length} snaps are more than are counted at once`);
  columns.prepare(['play', 'concept', ...groupings.flat()]);
  const room = takeRoom();
  const packed = pack(columns, rows, room);
  const { words } = columns.text.concept;
  const order = Uint16Array.from(
    words
      .map((_, code) => code)
      .slice(FIRST_VALUE)
      .sort((x, y) => (words[x]! < words[y]! ? -1 : 1)),
  );
  const done: { readonly raw: Raw; readonly cube: Cube }[] = [];
  const out = new Map<readonly FilterField[], Cube>();
  for (const fields of [...groupings].sort((x, y) => y.length - x.length)) {
    const larger = done
      .filter(({ raw }) => fields.every((f) => raw.fields.includes(f)))
      .sort((x, y) => x.raw.size - y.raw.size)[0];
    const raw =
      larger && larger.raw.size * (BYTES + words.length) < rows.length * ADD
        ? fromLarger(packed, larger.raw, larger.cube.n, fields)
        : fromRows(packed, fields);
    const cube = finish(columns, raw, order);
    done.push({ raw, cube });
    out.set(fields, cube);
  }
  room.leave();
  return groupings.map((fields) => out.get(fields)!);
}
