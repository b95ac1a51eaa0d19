/** Facts of a snap that are charted in passes; blank until a pass asks for them. */
import type { Tag } from './snap';

export interface ChartedFacts {
  readonly quality: Tag<'starters' | 'backups' | 'mixed'>;
  /** Numbers of players who usually play and do not. */
  readonly missing: readonly string[];
  readonly missingDefenders: readonly string[];
  readonly mode: Tag<'normal' | 'four_minute' | 'two_minute' | 'desperation' | 'must_run'>;
  readonly lineSplits: Tag<'tight' | 'even' | 'wide'>;
  /** Over which man, or outside the tackle. */
  readonly backPlace: Tag<'behind' | 'guard' | 'tackle' | 'outside'>;
  readonly condensed: Tag<'left' | 'right' | 'both'>;
  /** Before everybody is set. */
  readonly shift: Tag<'end_trade' | 'end_shift' | 'receiver_shift' | 'back_shift'>;
  readonly motionToSnap: Tag<number>;
  /** What the quarterback does that gives the snap away. */
  readonly snapSign: Tag<'clap' | 'leg' | 'hand' | 'head' | 'look_back' | 'other'>;
  readonly signToSnap: Tag<number>;
  readonly cadence: Tag<'first' | 'second' | 'long' | 'silent' | 'hard_count' | 'no_play'>;
  readonly sidelineChecks: Tag<number>;
  readonly callSource: Tag<'sideline' | 'quarterback' | 'line' | 'receivers'>;
  readonly callSent: Tag;
  /** What our own rules call here. */
  readonly callByRules: Tag;
  /** Passing strength as the defense calls it. */
  readonly declaredStrength: Tag<'left' | 'right'>;
  /** As the offense counted it; the count itself is the box. */
  readonly boxDeclared: Tag<number>;
  readonly shown: Tag<number>;
  readonly handsDown: Tag<number>;
  readonly nickelOut: Tag<'to_2' | 'to_3'>;
  readonly safetyLeftDepth: Tag<number>;
  readonly safetyRightDepth: Tag<number>;
  readonly safetiesApart: Tag<number>;
  readonly cornerLeftTechnique: Tag<'press' | 'off' | 'rolled'>;
  readonly cornerRightTechnique: Tag<'press' | 'off' | 'rolled'>;
  readonly cornerLeftLeverage: Tag<'inside' | 'head_up' | 'outside'>;
  readonly cornerRightLeverage: Tag<'inside' | 'head_up' | 'outside'>;
  readonly cornerEyes: Tag<'passer' | 'receiver'>;
  readonly motionResponse: Tag<
    'bump' | 'box_bump' | 'safety_down' | 'spin' | 'follow' | 'trade' | 'middle_out'
  >;
  /** The defender another one helps. */
  readonly helpOver: Tag;
  /** Defenders who changed sides to meet or hide a man. */
  readonly swapped: Tag<'corners' | 'safeties' | 'ends' | 'backers'>;
  /** The snap. */
  readonly rotationTime: Tag<'before' | 'at' | 'after'>;
  /** Men who stood at the line and did not come. */
  readonly dropped: Tag<number>;
  /** What else it could have been. */
  readonly coverageRival: Tag;
  /** How sure, of a hundred, that it was the first and not the rival. */
  readonly coverageShare: Tag<number>;
  readonly coverageEvidence: Tag<'eyes' | 'backs_turned' | 'followed_motion' | 'hips' | 'depth'>;
  readonly tookThird: Tag;
  /** On a crosser. */
  readonly depthBands: Tag<number>;
  readonly contain: Tag;
  readonly spill: Tag;
  readonly unblocked: Tag;
  readonly bust: Tag;
  /** Into the backfield at the fake or hitch. */
  readonly penetration: Tag<number>;
  /** Side of a half slide that blocks man. */
  readonly manSide: Tag<'left' | 'right'>;
  readonly slideSide: Tag<'left' | 'right'>;
  readonly singleMan: Tag;
  readonly backDuty: Tag<'inside' | 'edge' | 'chip' | 'release' | 'stay' | 'across'>;
  /** Who checks which two. */
  readonly doubleRead: Tag;
  readonly backRelease: Tag<number>;
  readonly freeRusher: Tag;
  readonly freeFrom: Tag<'left_edge' | 'left_b' | 'left_a' | 'right_a' | 'right_b' | 'right_edge'>;
  readonly freeCause: Tag<'call' | 'design' | 'miss'>;
  readonly pressureTime: Tag<number>;
  readonly rushWon: readonly string[];
  /** By the man who won. */
  readonly blockersBeat: Tag<number>;
  /** The free throw before the snap. */
  readonly access: Tag<'taken' | 'left' | 'not_there'>;
  readonly readRight: Tag<'right' | 'wrong'>;
  readonly meshGood: Tag<'good' | 'bad'>;
  readonly hitPoint: Tag<'AL' | 'BL' | 'CL' | 'DL' | 'AR' | 'BR' | 'CR' | 'DR'>;
  readonly runPath: Tag<'stayed' | 'cut_back' | 'bent' | 'bounced'>;
  readonly pullerMet: Tag<'his_man' | 'another' | 'nobody'>;
  readonly missedBlock: Tag;
  readonly beforeContact: Tag<number>;
  /** As designed, in order. */
  readonly progression: Tag;
  readonly readThrown: Tag<number>;
  readonly throwKind: Tag<'line' | 'touch' | 'back_shoulder'>;
  readonly placement: Tag<'on' | 'front' | 'behind' | 'high' | 'low' | 'inside' | 'away'>;
  readonly released: Tag<number>;
  /** Receiver and release, such as X inside. */
  readonly releases: Tag;
  /** At the release, whatever drop was called. */
  readonly stepsTaken: Tag<number>;
  readonly optionRoute: Tag<'settled' | 'ran' | 'crossed'>;
  readonly routesWon: Tag;
  readonly checkDown: Tag<'taken' | 'there' | 'not_there'>;
  readonly hot: Tag<'thrown' | 'missed' | 'not_needed'>;
  /** A defender was picked. */
  readonly rubbed: Tag<'picked' | 'clean'>;
  /** In front of the catch. */
  readonly screenBlockers: Tag<number>;
  /** On that half at the catch. */
  readonly screenDefenders: Tag<number>;
  readonly hang: Tag<number>;
  /** Snap to kick. */
  readonly operation: Tag<number>;
  readonly kickDirection: Tag<'left' | 'middle' | 'right'>;
  readonly lanes: Tag<'kept' | 'lost'>;
  readonly onside: boolean | null;
  readonly blockedBy: string | null;
  readonly missedTackles: readonly string[];
  /** Apart from the result. */
  readonly process: Tag<'good' | 'fair' | 'bad'>;
  /** Why it failed, each with its share of a hundred where it is said. */
  readonly causes: readonly string[];
  readonly praised: readonly string[];
  readonly gadget: Tag<'trick' | 'unbalanced' | 'wrinkle'>;
  readonly coachingPoint: string | null;
  readonly shouldCall: string | null;
}
