/** What a word means to the software, by kind: read from and written to one short text a person can type. */
import {
  formatCoverage,
  formatFront,
  formatPressure,
  formatProtection,
  MOTION_KINDS,
  readCoverage,
  readFront,
  readMotion,
  readPressure,
  readProtection,
  type CoverageDef,
  type FrontDef,
  type MotionKind,
  type NotationRead,
  type PressureDef,
  type RunDef,
  type ProtectionDef,
} from '../look';
import type { PassDef } from './play';
import { formatPass, formatRun, readPass, readRun } from './play-notation';

export type Definition =
  | { readonly kind: 'motion'; readonly motion: MotionKind }
  | { readonly kind: 'front'; readonly front: FrontDef }
  | { readonly kind: 'coverage'; readonly coverage: CoverageDef }
  | { readonly kind: 'pressure'; readonly pressure: PressureDef }
  | { readonly kind: 'protection'; readonly protection: ProtectionDef }
  | { readonly kind: 'run'; readonly run: RunDef }
  | { readonly kind: 'pass'; readonly pass: PassDef };
export type DefinedKind = Definition['kind'];
export const DEFINED_KINDS = [
  'motion',
  'front',
  'coverage',
  'pressure',
  'protection',
  'run',
  'pass',
] as const satisfies readonly DefinedKind[];

export const isDefinedKind = (kind: string): kind is DefinedKind =>
  (DEFINED_KINDS as readonly string[]).includes(kind);

/** How the text of a kind is typed, for a hint beside the field. */
export const DEFINITION_HINT: Readonly<Record<DefinedKind, string>> = {
  motion: `one of ${MOTION_KINDS.join(', ')}`,
  front:
    'men on the line by strong or weak side and number, then | and backers by letter and yards: w5 w1 s3 s5 | W-2.5 M2.5',
  coverage:
    'style and middle | deep men role:zone@place | named under men role:duty:side | deep shown | corner yards and leverage',
  pressure: 'added men man:gap:side | drop how many, from where | threat how many | line movement',
  protection: 'slide (half, full, man), how many stay, scan if the back scans: half 1',
  run: 'blocking, gap, carrier | role:job … | job=role,role:other_job …, job?= where the play goes without it | read end man, pitch force',
  pass: 'type and steps | strong-side routes, outside in | weak-side routes | back; with another number of receivers behind a slash, the back’s route there behind a plus',
};

export type DefinitionRead = NotationRead<Definition>;

/** Reads a definition's text: what it means, or every part that it cannot read. */
export function readDefinition(kind: DefinedKind, text: string): DefinitionRead {
  const as = <T>(read: NotationRead<T>, make: (value: T) => Definition): DefinitionRead =>
    read.ok ? { ok: true, value: make(read.value) } : read;
  switch (kind) {
    case 'motion':
      return as(readMotion(text), (motion) => ({ kind, motion }));
    case 'front':
      return as(readFront(text), (front) => ({ kind, front }));
    case 'coverage':
      return as(readCoverage(text), (coverage) => ({ kind, coverage }));
    case 'pressure':
      return as(readPressure(text), (pressure) => ({ kind, pressure }));
    case 'protection':
      return as(readProtection(text), (protection) => ({ kind, protection }));
    case 'run':
      return as(readRun(text), (run) => ({ kind, run }));
    case 'pass':
      return as(readPass(text), (pass) => ({ kind, pass }));
  }
}

export function formatDefinition(definition: Definition): string {
  switch (definition.kind) {
    case 'motion':
      return definition.motion;
    case 'front':
      return formatFront(definition.front);
    case 'coverage':
      return formatCoverage(definition.coverage);
    case 'pressure':
      return formatPressure(definition.pressure);
    case 'protection':
      return formatProtection(definition.protection);
    case 'run':
      return formatRun(definition.run);
    case 'pass':
      return formatPass(definition.pass);
  }
}

/** Equal for equal structures: the definition without names. What a test compares to tell words from aliases. */
export const definitionKey = (definition: Definition): string =>
  formatDefinition(
    definition.kind === 'front'
      ? {
          kind: 'front',
          front: {
            line: [...definition.front.line].sort((a, b) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1)),
            backers: definition.front.backers.map((b) => ({ ...b, letter: 'B' })),
          },
        }
      : definition,
  );
