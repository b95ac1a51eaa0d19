/** Fouls by name and side: yards, spot of enforcement, first down, loss of down. From memory; the rulebook governs. */

/** Where a foul is enforced from when the line does not say. */
export const ENFORCEMENTS = ['prev', 'end', 'foul', 'succ'] as const;
export type Enforcement = (typeof ENFORCEMENTS)[number];

/** One side's defaults for a named foul. `yards` null: the distance has to be typed (a spot foul). */
export interface PenaltySide {
  readonly yards: number | null;
  readonly from: Enforcement;
  readonly firstDown: boolean;
  readonly lossOfDown: boolean;
  /** Walked off from its own spot: half the distance does not limit it. */
  readonly unhalved?: boolean;
}

export interface PenaltyRule {
  readonly name: string;
  readonly aliases: readonly string[];
  /** Fouls of the team that puts the ball in play; null when only the other side can commit it. */
  readonly offense: PenaltySide | null;
  readonly defense: PenaltySide | null;
}

/** One side's rule of a foul; from memory. */
export const side = (
  yards: number | null,
  from: Enforcement = 'prev',
  extra: { firstDown?: boolean; lossOfDown?: boolean; unhalved?: boolean } = {},
): PenaltySide => ({
  yards,
  from,
  firstDown: extra.firstDown ?? false,
  lossOfDown: extra.lossOfDown ?? false,
  ...(extra.unhalved ? { unhalved: true } : {}),
});

export const FIRST = { firstDown: true };
export const LOSS = { lossOfDown: true };

interface PenaltyVariant {
  readonly holdingDefense: PenaltySide;
  readonly interferenceDefense: PenaltySide;
  readonly interferenceOffense: PenaltySide;
  readonly grounding: PenaltySide;
  readonly personalDefense: PenaltySide;
  /** Personal fouls by the defense give a first down. */
  readonly personalFirst: boolean;
  readonly tripping: PenaltySide;
  /** A foul of the professional game alone. */
  readonly contact: PenaltySide;
}

/** Every foul that a line may name, with what the levels differ in. */
export const penaltyTable = (variant: PenaltyVariant): PenaltyRule[] => {
  const personal = variant.personalFirst ? FIRST : {};
  const during = side(15, 'end', personal);
  return [
    { name: 'holding', aliases: ['hold'], offense: side(10), defense: variant.holdingDefense },
    {
      name: 'illegal hands',
      aliases: ['illegal use of hands', 'hands to the face'],
      offense: side(10),
      defense: variant.holdingDefense,
    },
    { name: 'illegal contact', aliases: ['illegal chuck'], offense: null, defense: variant.contact },
    {
      name: 'offside',
      aliases: ['offsides', 'encroachment', 'neutral zone'],
      offense: side(5),
      defense: side(5),
    },
    { name: 'false start', aliases: ['start'], offense: side(5), defense: null },
    { name: 'delay', aliases: ['delay of game'], offense: side(5), defense: side(5) },
    { name: 'illegal formation', aliases: ['formation'], offense: side(5), defense: null },
    {
      name: 'illegal motion',
      aliases: ['motion', 'illegal shift', 'shift'],
      offense: side(5),
      defense: null,
    },
    {
      name: 'illegal substitution',
      aliases: ['substitution', 'too many men', 'twelve men'],
      offense: side(5),
      defense: side(5),
    },
    { name: 'illegal participation', aliases: ['participation'], offense: side(15), defense: side(15) },
    {
      name: 'downfield',
      aliases: ['ineligible downfield', 'linemen downfield', 'ineligible man downfield'],
      offense: side(5),
      defense: null,
    },
    { name: 'illegal touching', aliases: ['touching'], offense: side(5, 'prev', LOSS), defense: null },
    {
      name: 'illegal forward pass',
      aliases: ['forward pass', 'beyond the line'],
      offense: side(5, 'foul', LOSS),
      defense: null,
    },
    {
      name: 'pi',
      aliases: ['interference', 'pass interference'],
      offense: variant.interferenceOffense,
      defense: variant.interferenceDefense,
    },
    {
      name: 'kick-catch interference',
      aliases: ['kick catch interference', 'catch interference'],
      offense: side(15, 'end'),
      defense: null,
    },
    { name: 'grounding', aliases: ['intentional grounding'], offense: variant.grounding, defense: null },
    {
      name: 'face mask',
      aliases: ['facemask', 'mask'],
      offense: side(15, 'end'),
      defense: variant.personalDefense,
    },
    { name: 'horse collar', aliases: ['collar'], offense: side(15, 'end'), defense: during },
    { name: 'targeting', aliases: ['spearing'], offense: side(15, 'end'), defense: during },
    {
      name: 'blindside block',
      aliases: ['blind side block', 'blind-side block'],
      offense: side(15, 'end'),
      defense: during,
    },
    {
      name: 'tripping',
      aliases: ['trip'],
      offense: variant.tripping,
      defense: { ...variant.tripping, ...personal },
    },
    {
      name: 'roughing',
      aliases: ['roughing the passer', 'roughing the kicker', 'roughing the snapper', 'roughing the holder'],
      offense: null,
      defense: side(15, 'prev', FIRST),
    },
    { name: 'running into the kicker', aliases: ['running into'], offense: null, defense: side(5) },
    {
      name: 'personal foul',
      aliases: ['personal', 'unnecessary roughness', 'late hit'],
      offense: side(15, 'succ'),
      defense: side(15, 'succ', personal),
    },
    {
      name: 'unsportsmanlike',
      aliases: ['conduct', 'unsportsmanlike conduct', 'taunting'],
      offense: side(15, 'succ'),
      defense: side(15, 'succ', personal),
    },
    {
      name: 'block in the back',
      aliases: ['back block', 'clip', 'clipping'],
      offense: side(10),
      defense: side(10),
    },
    { name: 'low block', aliases: ['block below the waist'], offense: side(15), defense: side(15) },
    { name: 'chop block', aliases: ['chop'], offense: side(15), defense: null },
  ];
};

/** The rule for a foul named as the staff would, or null. Names and aliases are compared without case. */
export function findPenalty(
  profile: { readonly penalties: readonly PenaltyRule[] },
  name: string,
): PenaltyRule | null {
  const wanted = name.toLowerCase();
  return profile.penalties.find((p) => p.name === wanted || p.aliases.includes(wanted)) ?? null;
}
