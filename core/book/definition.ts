/** What a word means to the software, by kind: read from and written to one short text a person can type. */
import {
  formatCoverage,
  formatFront,
  formatPressure,
  MOTION_KINDS,
  parseCoverage,
  parseFront,
  parsePressure,
  SLIDES,
  type CoverageDef,
  type FrontDef,
  type MotionKind,
  type PressureDef,
  type ProtectionDef,
} from '../look';
import { formatPass, formatRun, parsePass, parseRun, type PassDef, type RunDef } from './play';

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

/** How the text of a kind is typed, for a hint beside the field. */
export const DEFINITION_HINT: Readonly<Record<DefinedKind, string>> = {
  motion: `one of ${MOTION_KINDS.join(', ')}`,
  front:
    'men on the line by strong or weak side and number, then | and backers by letter and yards: w5 w1 s3 s5 | W-2.5 M2.5',
  coverage:
    'style and middle | deep men role:zone@place | named under men role:duty:side | deep shown | corner yards and leverage',
  pressure: 'added men man:gap:side | drop how many, from where | threat how many | line movement',
  protection: 'slide (half, full, man), how many stay, scan if the back scans: half 1',
  run: 'blocking, gap, carrier | role:job … | job=role,role … | read end man',
  pass: 'type and steps | strong-side routes, outside in | weak-side routes | back',
};

function parseProtection(text: string): ProtectionDef {
  const match = /^(half|full|man) (\d)( scan)?$/.exec(text.trim());
  if (!match || Number(match[2]) > 3)
    throw new Error(`“${text}” is not a slide (${SLIDES.join(', ')}) and how many stay`);
  return { slide: match[1] as 'half', kept: Number(match[2]), scan: match[3] !== undefined };
}

function parseMotion(text: string): MotionKind {
  const kind = MOTION_KINDS.find((k) => k === text.trim());
  if (!kind) throw new Error(`“${text}” is none of ${MOTION_KINDS.join(', ')}`);
  return kind;
}

/** Reads a definition's text. Throws a sentence that names the part it cannot read. */
export function parseDefinition(kind: DefinedKind, text: string): Definition {
  switch (kind) {
    case 'motion':
      return { kind, motion: parseMotion(text) };
    case 'front':
      return { kind, front: parseFront(text) };
    case 'coverage':
      return { kind, coverage: parseCoverage(text) };
    case 'pressure':
      return { kind, pressure: parsePressure(text) };
    case 'protection':
      return { kind, protection: parseProtection(text) };
    case 'run':
      return { kind, run: parseRun(text) };
    case 'pass':
      return { kind, pass: parsePass(text) };
  }
}

export function formatDefinition(d: Definition): string {
  switch (d.kind) {
    case 'motion':
      return d.motion;
    case 'front':
      return formatFront(d.front);
    case 'coverage':
      return formatCoverage(d.coverage);
    case 'pressure':
      return formatPressure(d.pressure);
    case 'protection':
      return `${d.protection.slide} ${d.protection.kept}${d.protection.scan ? ' scan' : ''}`;
    case 'run':
      return formatRun(d.run);
    case 'pass':
      return formatPass(d.pass);
  }
}

export type DefinitionRead =
  { readonly ok: true; readonly definition: Definition } | { readonly ok: false; readonly remedy: string };
export function readDefinition(kind: DefinedKind, text: string): DefinitionRead {
  try {
    return { ok: true, definition: parseDefinition(kind, text) };
  } catch (error) {
    return { ok: false, remedy: `${(error as Error).message}; ${DEFINITION_HINT[kind]}` };
  }
}

/** Equal for equal structures: the definition without names. What a test compares to tell words from aliases. */
export const definitionKey = (d: Definition): string =>
  formatDefinition(
    d.kind === 'front'
      ? {
          kind: 'front',
          front: {
            line: [...d.front.line].sort((a, b) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1)),
            backers: d.front.backers.map((b) => ({ ...b, letter: 'B' })),
          },
        }
      : d,
  );
