/** Protections and motions as short texts. */
import { SLIDES, type ProtectionDef } from '../protection';
import { MOTION_KINDS, type MotionKind } from '../motion';
import { NotationReader, oneOf, type NotationRead } from './reader';

/** "half 1 scan" → a protection: the slide, how many of backs and ends stay, whether the back scans. */
export function readProtection(text: string): NotationRead<ProtectionDef> {
  const reader = new NotationReader(text, 1);
  const match = /^(\w+)\s+([0-3])(\s+scan)?$/.exec(reader.part(0).text);
  const slide = oneOf(SLIDES, match?.[1]);
  if (!slide) reader.refuse('slide', reader.part(0));
  return reader.result({
    slide: slide ?? 'half',
    kept: Number(match?.[2]),
    scan: match?.[3] !== undefined,
  });
}
export const formatProtection = ({ slide, kept, scan }: ProtectionDef): string =>
  `${slide} ${kept}${scan ? ' scan' : ''}`;

export function readMotion(text: string): NotationRead<MotionKind> {
  const reader = new NotationReader(text, 1);
  const kind = oneOf(MOTION_KINDS, reader.part(0).text);
  if (!kind) reader.refuse('motion', reader.part(0));
  return reader.result(kind ?? MOTION_KINDS[0]);
}
