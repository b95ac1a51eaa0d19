/**
 * Working memory, kept from call to call: the first touch of fresh pages costs more than the adding. Nothing of it is
 * given out. Bytes it may keep at most.
 */
const KEPT = 1 << 26;
let kept = new ArrayBuffer(0);
export interface Room {
  floats(n: number): Float64Array;
  ints(n: number): Int32Array;
  codes(n: number): Uint16Array;
  /** The next call may use the room again. */
  leave(): void;
}
export function takeRoom(): Room {
  let used = 0;
  const take = <T>(Kind: Kind<T>, n: number): T => {
    const from = used;
    used += Math.ceil((n * Kind.BYTES_PER_ELEMENT) / 8) * 8;
    if (used > kept.byteLength) return new Kind(new ArrayBuffer(n * Kind.BYTES_PER_ELEMENT), 0, n);
    new Uint8Array(kept, from, used - from).fill(0);
    return new Kind(kept, from, n);
  };
  return {
    floats: (n) => take(Float64Array, n),
    ints: (n) => take(Int32Array, n),
    codes: (n) => take(Uint16Array, n),
    leave: () => {
      if (used > kept.byteLength) kept = new ArrayBuffer(Math.min(KEPT, used));
    },
  };
}
interface Kind<T> {
  new (buffer: ArrayBuffer, from: number, n: number): T;
  readonly BYTES_PER_ELEMENT: number;
}
