/** A fault of a table: where it is, what stood there, what to do. */

export const FAULT_CODES = [
  'not-csv',
  'no-rows',
  'unknown-column',
  'column-twice',
  'missing-column',
  'ragged',
  'required',
  'value',
  'key-twice',
  'order-twice',
  'unknown-ref',
  'teams',
  'too-large',
  'unknown-file',
  'role',
] as const;

export type FaultCode = (typeof FAULT_CODES)[number];

export interface TableFault {
  readonly file: string;
  /** Row in the file as a spreadsheet counts it (the header is row 1); null for the whole file. */
  readonly row: number | null;
  readonly column: string | null;
  readonly value: string;
  readonly code: FaultCode;
  readonly remedy: string;
}

/** One line: place, what stood there, remedy. */
export const faultSentence = (tableFault: TableFault): string =>
  `${tableFault.file}${tableFault.row === null ? '' : `, row ${tableFault.row}`}${tableFault.column === null ? '' : `, column ${tableFault.column}`}: ${tableFault.value === '' ? '' : `“${tableFault.value.slice(0, 60)}” `}${tableFault.remedy}`;
