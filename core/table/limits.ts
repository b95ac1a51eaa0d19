import { MOST_TEXT } from '../snap/text';

/** Every limit of what may come in, in one list: the reader, the upload, the docs and the tests take it from here. */
export const LIMITS = {
  /** Bytes of one upload, all files together. */
  uploadBytes: 64 * 1024 * 1024,
  /** Bytes all files of an upload unpack to. */
  unpackedBytes: 160 * 1024 * 1024,
  files: 40,
  /** Rows of one table. */
  rows: 200_000,
  xlsxRows: 40_000,
  columns: 250,
  /** Characters of one cell. */
  cell: MOST_TEXT,
  /** Faults listed; the rest is counted. */
  faults: 500,
  /** Megabytes of memory the reading process may use. */
  readerMegabytes: 1400,
  /** Seconds it may take. */
  seconds: 600,
} as const;
