/** The shape of `book.json`; its JSON Schema comes from the same source. */
import { z } from 'zod';
import {
  ANCHORS,
  COVER_ROLES,
  COVERAGE_STYLES,
  DEEP_ZONES,
  JOBS,
  LINE_MOVES,
  MIDDLES,
  MOTION_KINDS,
  POINTS,
  BLOCKING,
  CARRIERS,
  PITCH_READS,
  ROUTES,
  RUN_READS,
  RUN_ROLES,
  RUSH_GAPS,
  RUSH_MEN,
  RUSH_SIDES,
  SHADES,
  SLIDES,
  UNDER_ZONES,
} from '../look';
import { PASS_TYPES } from './play';
import { TERM_KINDS } from './term';

const letter = z.string().regex(/^[A-Z$]{1,3}$/, 'one to three capital letters');
const yards = z.number().min(-30).max(30);
export const spotSchema = z.object({
  letter: z.string().min(1).max(3),
  x: yards,
  depth: z.number().min(0).max(20),
  onLine: z.boolean(),
});

const passPicture = z.object({
  routes: z.array(z.enum(ROUTES)).max(5),
  back: z.enum(ROUTES).nullable(),
});

export const definitionSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('motion'), motion: z.enum(MOTION_KINDS) }),
  z.object({
    kind: z.literal('front'),
    front: z.object({
      line: z
        .array(
          z.object({
            letter,
            side: z.enum(['s', 'w', 'm']),
            technique: z.object({ anchor: z.enum(ANCHORS), shade: z.enum(SHADES) }),
            standing: z.boolean(),
          }),
        )
        .max(11),
      backers: z.array(z.object({ letter, x: yards, depth: z.number().min(0.5).max(20) })).max(11),
    }),
  }),
  z.object({
    kind: z.literal('coverage'),
    coverage: z.object({
      style: z.enum(COVERAGE_STYLES),
      middle: z.enum(MIDDLES),
      shell: z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3), z.literal(4)]),
      deep: z
        .array(
          z.object({
            role: z.enum(COVER_ROLES),
            zone: z.enum(DEEP_ZONES),
            at: z.number().min(-1.5).max(1.5),
          }),
        )
        .max(7),
      under: z
        .array(
          z.object({
            role: z.enum([...COVER_ROLES, 'lb']),
            zone: z.enum(UNDER_ZONES),
            side: z.enum(['s', 'w', 'm']),
          }),
        )
        .max(8),
      corner: z.object({
        depth: z.number().min(0).max(20),
        leverage: z.enum(['inside', 'outside', 'head-up']),
        press: z.boolean(),
      }),
    }),
  }),
  z.object({
    kind: z.literal('pressure'),
    pressure: z.object({
      rushers: z
        .array(z.object({ man: z.enum(RUSH_MEN), gap: z.enum(RUSH_GAPS), side: z.enum(RUSH_SIDES) }))
        .max(7),
      drops: z.int().min(0).max(5),
      dropSide: z.enum(RUSH_SIDES).nullable(),
      lineMove: z.enum(LINE_MOVES),
      threat: z.int().min(0).max(11),
    }),
  }),
  z.object({
    kind: z.literal('protection'),
    protection: z.object({ slide: z.enum(SLIDES), kept: z.int().min(0).max(3), scan: z.boolean() }),
  }),
  z.object({
    kind: z.literal('run'),
    run: z.object({
      blocking: z.enum(BLOCKING),
      point: z.enum(POINTS),
      read: z.enum(RUN_READS).nullable(),
      pitch: z.enum(PITCH_READS).optional(),
      carrier: z.enum(CARRIERS),
      jobs: z.partialRecord(z.enum(RUN_ROLES), z.enum(JOBS)),
      flex: z
        .array(
          z.object({
            job: z.enum(JOBS),
            by: z.array(z.enum(RUN_ROLES)).min(1).max(10),
            as: z.partialRecord(z.enum(RUN_ROLES), z.enum(JOBS)).optional(),
            optional: z.boolean().optional(),
          }),
        )
        .max(6),
    }),
  }),
  z.object({
    kind: z.literal('pass'),
    pass: z.object({
      type: z.enum(PASS_TYPES),
      drop: z.int().min(0).max(9),
      strong: z.array(z.enum(ROUTES)).max(5),
      weak: z.array(z.enum(ROUTES)).max(5),
      back: z.enum(ROUTES),
      others: z.object({ strong: z.array(passPicture).max(5), weak: z.array(passPicture).max(5) }).optional(),
    }),
  }),
]);

export const bookSchema = z.object({
  name: z.string().min(1).max(120),
  letters: z.array(z.string().regex(/^[A-Z]$/)).max(26),
  terms: z
    .array(
      z.object({
        id: z.string().min(1).max(120),
        kind: z.enum(TERM_KINDS),
        word: z.string().min(1).max(60),
        aliases: z.array(z.string().min(1).max(60)).max(40),
        value: z.string().max(60).optional(),
        spots: z.array(spotSchema).max(11).optional(),
        definition: definitionSchema.optional(),
        notes: z.string().max(2000).optional(),
      }),
    )
    .max(5000),
});

/** The JSON Schema of `book.json`, draft 2020-12. */
export const bookJsonSchema = (): unknown => ({
  title: 'book.json: a football staff’s vocabulary',
  ...z.toJSONSchema(bookSchema),
});
