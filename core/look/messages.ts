/** What a look says: the only home of its sentences. */
import { otherSide, type Side, sideWord } from '../field/spot';
import type { DefenseWarning } from './defend';
import { coveredBy, type Defender } from './front';
import { optionOpen } from './perimeter';
import { cap, countWord, defenderWords, sign } from './plain-words';
import { runSentences } from './run/run-words';
import type { FullLook } from './look';
import type { LookSettings } from './look-input';
import { structureWords, type Structure } from './structure';

export const LOOK_CODES = [
  'structure',
  'motion',
  'box',
  'overhang',
  'count',
  'missing',
  'unblocked',
  'nobody',
  'read',
  'option',
  'covered',
  'quick',
  'protection',
  'coverage',
  'rush',
  'uncovered',
  'cannot',
  'corners',
  'safeties',
  'sides',
] as const;
export type LookCode = (typeof LOOK_CODES)[number];

/** What a call asks that this defense cannot do. */
function warningWords({ code, facts }: DefenseWarning): string {
  switch (code) {
    case 'front_cannot_play_coverage':
      return `This front cannot play the coverage: ${facts.lacking === 1 ? 'one deep man is' : `${countWord(Number(facts.lacking))} deep men are`} missing.`;
    case 'few_under':
      return `The call leaves ${countWord(Number(facts.under))} under the deep men.`;
    case 'far_from_zone':
      return `${facts.man} has ${facts.yards} yards to his zone (${facts.zone}): from this front the call needs another man there.`;
    case 'no_back_side':
      return facts.side === 'te' || facts.side === 'open'
        ? 'The pressure names a side by the tight end, and there is none.'
        : 'The pressure names a side by the back, and he is behind the ball or not there.';
    case 'nobody_to_rush':
      return `Nobody stands where a ${String(facts.man)} could come through the ${String(facts.gap)} gap.`;
  }
}

/** A fact of a look: what it is about, and the sentence fit to read aloud. */
export interface LookSentence {
  readonly code: LookCode;
  readonly text: string;
}

/** The facts of a look in words, in the order a coach asks for them. */
export function lookSentences(
  look: FullLook,
  settings: LookSettings,
  fieldYards: { readonly field: Side | null; readonly boundaryYards: number } | null = null,
): LookSentence[] {
  const out: LookSentence[] = [];
  const say = (code: LookCode, text: string): void => void out.push({ code, text });
  const { offense, defense, ledger, protection, perimeter } = look;
  say('structure', `${cap(structureWords(offense.set))}.`);
  if (
    offense.change &&
    (offense.change.before !== offense.change.after || offense.change.numbers.length > 0)
  ) {
    const motionChange = offense.change;
    say(
      'motion',
      motionChange.before === motionChange.after && motionChange.strengthBefore === motionChange.strengthAfter
        ? `The motion leaves ${motionChange.after}; ${motionChange.numbers.map((n) => `${n.letter} is ${n.after ?? 'in the backfield'}`).join(', ')}.`
        : `The motion makes ${motionChange.before} into ${motionChange.after}${motionChange.strengthAfter ? ` to the ${sideWord(motionChange.strengthAfter)}` : ', even'}; ${motionChange.numbers.map((n) => `${n.letter} is ${n.after ?? 'in the backfield'}`).join(', ')}.`,
    );
  }
  if (defense?.front) {
    const frontLook = defense.front;
    say(
      'box',
      `${cap(countWord(frontLook.box.length))} in the box against ${countWord(frontLook.blockers)} blockers: ${frontLook.verdict}${frontLook.verdict === 'even' ? ' when one is read' : ''} (${frontLook.family}, ${frontLook.shade}).`,
    );
  }
  if (defense?.front) {
    const hang = (['left', 'right'] as const).map((side) =>
      defense.front!.overhang[side] ? `${side} ${defense.front!.overhang[side]!.where}` : `none ${side}`,
    );
    say('overhang', `Overhang ${hang.join(', ')}.`);
  }
  if (ledger) runSentences(ledger, offense.snap, settings, say);
  const covered = ledger ? coveredFor(look, ledger.to) : [];
  if (covered.length > 0) say('covered', `Covered for this run: ${covered.join(', ')}.`);
  if (perimeter) {
    for (const side of ['L', 'R'] as const) {
      const perimeterLook = side === 'L' ? perimeter.left : perimeter.right;
      if (perimeterLook.receivers < 2) continue;
      say(
        'quick',
        `${cap(sideWord(side))}: ${countWord(perimeterLook.receivers)} receivers, ${countWord(perimeterLook.over.length)} over them; the quick throw outside ${optionOpen(perimeterLook) ? 'is there' : 'is not there'}.`,
      );
    }
  }
  if (protection) {
    const { short } = protection;
    const part = short && (short === 'L' ? protection.left : protection.right);
    const free = protection.free.flatMap((x) => {
      const comes = defense?.rush.rush.find((r) => r.rush === x);
      return comes ? [defenderWords(comes.man, settings.school)] : [];
    });
    say(
      'protection',
      `${cap(countWord(protection.blockers))} to block ${countWord(protection.rushers)}: ${sign(protection.margin)}${short && part ? `, but ${sideWord(short)} ${countWord(part.blockers)} for ${countWord(part.rushers)}` : ''}${free.length > 0 ? `; free: ${free.join(' and ')}` : ''}.`,
    );
  }
  if (defense?.coverage) {
    const coverageLook = defense.coverage;
    say(
      'coverage',
      `${coverageLook.style === 'match' ? 'Match' : cap(coverageLook.style)} coverage, middle ${coverageLook.middle === 'none' ? 'without a deep man' : coverageLook.middle}: ${coverageLook.deep} deep, ${coverageLook.under} under, ${defense.rush.count} rush (${defense.rush.kind})${coverageLook.rotationWords ? `; rotated ${coverageLook.rotationWords}` : ''}.`,
    );
  }
  if (defense && defense.rush.sources.length > 0)
    say('rush', `Added to the rush: ${defense.rush.sources.join('; ')}.`);
  if (defense && defense.uncovered.length > 0)
    say('uncovered', `Nobody has ${defense.uncovered.map((man) => man.letter).join(' and ')}.`);
  for (const warning of defense?.warnings ?? []) say('cannot', warningWords(warning));
  if (defense?.coverage) {
    const corners = defense.men.filter((d) => d.level === 'corner').sort((a, b) => a.x - b.x);
    if (corners.length > 0)
      say(
        'corners',
        `Corners ${corners.map((d) => `${d.x < 0 ? 'left' : 'right'} ${d.depth <= 2 ? 'pressed' : `${d.depth} yards off`}${leverage(d, offense.snap)}`).join(', ')}.`,
      );
    const safeties = defense.men.filter((d) => d.level === 'safety').sort((a, b) => a.x - b.x);
    if (safeties.length === 2)
      say(
        'safeties',
        `Safeties ${safeties[0]!.depth} and ${safeties[1]!.depth} yards deep, ${Math.round(safeties[1]!.x - safeties[0]!.x)} apart.`,
      );
  }
  if (fieldYards?.field)
    say(
      'sides',
      `Short side ${sideWord(otherSide(fieldYards.field))}, ${fieldYards.boundaryYards.toFixed(1)} yards.`,
    );
  return out;
}

/** Men of the surface with a man on the line over them, for a run to a side. */
function coveredFor({ offense, defense }: FullLook, to: Side): string[] {
  const { left, right } = offense.snap;
  return offense.snapMen
    .filter((man) => man.role === 'line' || left.attached.includes(man) || right.attached.includes(man))
    .filter((man) => coveredBy(man, defense!.men, to))
    .map((man) => man.letter);
}

/** Where a corner stands to the widest receiver of his side. */
function leverage(defender: Defender, structure: Structure): string {
  const one = (defender.x < 0 ? structure.left : structure.right).receivers[0];
  if (!one) return '';
  const out = (defender.x - one.x) * (defender.x < 0 ? -1 : 1);
  return out > 0.3 ? ', outside' : out < -0.3 ? ', inside' : ', head-up';
}
