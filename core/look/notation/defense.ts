/** Fronts, coverages and pressures as short texts; what is written reads back equal. */
import {
  COVERAGE_STYLES,
  COVER_ROLES,
  DEEP_ZONES,
  MIDDLES,
  UNDER_ZONES,
  type CoverageDef,
  type DeepMan,
  type UnderMan,
} from '../coverage';
import { readTechnique, techniqueName, type FrontBacker, type FrontDef, type FrontMan } from '../front';
import { LINE_MOVES, RUSH_GAPS, RUSH_MEN, RUSH_SIDES, type PressureDef, type Rusher } from '../pressure';
import { NotationReader, oneOf, type NotationRead, type Piece } from './reader';

const FRONT_LETTERS: Readonly<Record<string, string>> = {
  '0': 'N',
  '1': 'N',
  '2i': 'T',
  '2': 'T',
  '3': 'T',
  '4i': 'E',
  '4': 'E',
};
const BACKER_DEPTH = 4.5;

function frontMan(text: string): FrontMan | null {
  const match = /^([sw]?)(0|1|2i|2|3|4i|4|5|7|6|9|wide9)(\+?)$/.exec(text);
  const technique = match && readTechnique(match[2] === 'wide9' ? 'wide 9' : match[2]!, 'A');
  if (!match || !technique) return null;
  return {
    letter: match[3] === '+' ? 'O' : (FRONT_LETTERS[match[2]!] ?? 'E'),
    side: match[1] === '' ? 'm' : (match[1] as 's' | 'w'),
    technique,
    standing: match[3] === '+',
  };
}

function backer(text: string): FrontBacker | null {
  const match = /^([A-Z]+)(-?\d+(?:\.\d+)?)(?:@(\d+(?:\.\d+)?))?$/.exec(text);
  return match && { letter: match[1]!, x: Number(match[2]), depth: Number(match[3] ?? BACKER_DEPTH) };
}

/**
 * "w5 w1 s3 s5 | W-2.5 M2.5" → a front. Left of the bar men on the line by side and number (school A),
 * `+` after a number: standing; right of it backers by letter and yards from the ball, strong
 * positive, `@d` another depth than 4.5.
 */
export function readFront(text: string): NotationRead<FrontDef> {
  const reader = new NotationReader(text, 2);
  return reader.result({
    line: reader.read(reader.words(0), 'front-man', frontMan),
    backers: reader.read(reader.words(1), 'backer', backer),
  });
}

export function formatFront(front: FrontDef): string {
  const line = front.line.map(
    (frontMan) =>
      `${frontMan.side === 'm' ? '' : frontMan.side}${techniqueName(frontMan.technique, 'A').replace(' ', '')}${frontMan.standing ? '+' : ''}`,
  );
  const backers = front.backers.map(
    (b) => `${b.letter}${b.x}${b.depth === BACKER_DEPTH ? '' : `@${b.depth}`}`,
  );
  return `${line.join(' ')} | ${backers.join(' ')}`;
}

function deepMan(text: string): DeepMan | null {
  const match = /^(\w+):(\w+)@(-?\d+(?:\.\d+)?)$/.exec(text);
  const role = oneOf(COVER_ROLES, match?.[1]);
  const zone = oneOf(DEEP_ZONES, match?.[2]);
  return match && role && zone ? { role, zone, at: Number(match[3]) } : null;
}

function underMan(text: string): UnderMan | null {
  const [roleWord, zoneWord, sideWord = 'm', ...more] = text.split(':');
  const role = oneOf([...COVER_ROLES, 'lb'] as const, roleWord);
  const zone = oneOf(UNDER_ZONES, zoneWord);
  const side = oneOf(['s', 'w', 'm'] as const, sideWord);
  return role && zone && side && more.length === 0 ? { role, zone, side } : null;
}

const CORNER = /^(\d+(?:\.\d+)?) (inside|outside|head-up)( press)?$/;

/** "zone closed | cs:third@1 fs:middle@0 cw:third@-1 | ss:curl:s | 1 | 7 outside" → a coverage. */
export function readCoverage(text: string): NotationRead<CoverageDef> {
  const reader = new NotationReader(text, 5);
  const [styleWord, middleWord, ...more] = reader.part(0).text.split(/\s+/);
  const style = oneOf(COVERAGE_STYLES, styleWord);
  const middle = oneOf(MIDDLES, middleWord);
  if (!style || !middle || more.length > 0) reader.refuse('style', reader.part(0));
  const shell = /^[0-4]$/.test(reader.part(3).text) ? (Number(reader.part(3).text) as 0) : null;
  if (shell === null) reader.refuse('shell', reader.part(3));
  const corner = CORNER.exec(reader.part(4).text);
  if (!corner) reader.refuse('corner', reader.part(4));
  return reader.result({
    style: style ?? 'zone',
    middle: middle ?? 'none',
    deep: reader.read(reader.words(1), 'deep-man', deepMan),
    under: reader.read(reader.words(2), 'duty', underMan),
    shell: shell ?? 0,
    corner: {
      depth: Number(corner?.[1]),
      leverage: oneOf(['inside', 'outside', 'head-up'] as const, corner?.[2]) ?? 'inside',
      press: corner?.[3] !== undefined,
    },
  });
}

export const formatCoverage = (coverage: CoverageDef): string =>
  [
    `${coverage.style} ${coverage.middle}`,
    coverage.deep.map((m) => `${m.role}:${m.zone}@${m.at}`).join(' '),
    coverage.under.map((u) => `${u.role}:${u.zone}:${u.side}`).join(' '),
    String(coverage.shell),
    `${coverage.corner.depth} ${coverage.corner.leverage}${coverage.corner.press ? ' press' : ''}`,
  ].join(' | ');

function rusher(text: string): Rusher | null {
  const [manWord, gapWord, sideWord, ...more] = text.split(':');
  const man = oneOf(RUSH_MEN, manWord);
  const gap = oneOf(RUSH_GAPS, gapWord);
  const side = oneOf(RUSH_SIDES, sideWord);
  return man && gap && side && more.length === 0 ? { man, gap, side } : null;
}

/** The line and who threatens, where nothing is said. */
const USUAL_THREAT = 4;

/** "middle:A:s nickel:D:s | drop 1 w | threat 6 | slant weak" → a pressure. */
export function readPressure(text: string): NotationRead<PressureDef> {
  const reader = new NotationReader(text, 4);
  const absent = (part: Piece): boolean => part.text === '';
  const [dropPart, threatPart, movePart] = [reader.part(1), reader.part(2), reader.part(3)];
  const drop = /^drop (\d)(?: (\w+))?$/.exec(dropPart.text);
  const dropSide = oneOf(RUSH_SIDES, drop?.[2]);
  if (!absent(dropPart) && (!drop || (drop[2] !== undefined && !dropSide))) reader.refuse('drop', dropPart);
  const threat = /^threat (\d{1,2})$/.exec(threatPart.text);
  if (!absent(threatPart) && (!threat || Number(threat[1]) > 11)) reader.refuse('threat', threatPart);
  const move = absent(movePart) ? 'none' : oneOf(LINE_MOVES, movePart.text);
  if (!move) reader.refuse('line-move', movePart);
  return reader.result({
    rushers: reader.read(reader.words(0), 'rusher', rusher),
    drops: Number(drop?.[1] ?? 0),
    dropSide,
    lineMove: move ?? 'none',
    threat: Number(threat?.[1] ?? USUAL_THREAT),
  });
}

export const formatPressure = (pressure: PressureDef): string =>
  [
    pressure.rushers.map((r) => `${r.man}:${r.gap}:${r.side}`).join(' '),
    `drop ${pressure.drops}${pressure.dropSide ? ` ${pressure.dropSide}` : ''}`,
    `threat ${pressure.threat}`,
    pressure.lineMove === 'none' ? '' : pressure.lineMove,
  ]
    .join(' | ')
    .replace(/[ |]+$/, '');
