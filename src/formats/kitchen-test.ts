import { z } from 'zod';
import { keysOf } from '@/core/keys-of';
import type { KitchenKnowledge } from '@/core/learn/kitchen';
import { LAMP_SHINE, type LampSeen } from '@/core/learn/lamp';
import { LEARNT } from '@/core/learn/learnt';
import { FELT, type Felt, TASTED, type Tasted } from '@/core/learn/tongue';

const within = (least: number, most: number, unit: string) =>
  z
    .number({ error: 'must be a number' })
    .min(least, `must be at least ${least} ${unit}`.trim())
    .max(most, `must be at most ${most} ${unit}`.trim());

/** What may be read in a kitchen test. Lengths in mm. */
export const TEST_REACH = {
  diameterMm: [50, 400],
  mm: [0.1, 15],
  depthMm: [0.3, 60],
  heightMm: [3, 150],
  layerMm: [2, 150],
  hours: [0.05, 240],
  temperatureC: [-5, 110],
} as const;
type Reach = keyof typeof TEST_REACH;
const reach = (name: Reach, unit: string) => within(TEST_REACH[name][0], TEST_REACH[name][1], unit);

const temperatureC = reach('temperatureC', '°C');
const set = { temperatureC, hours: reach('hours', 'h') };
const depth = { depthMm: reach('depthMm', 'mm'), ...set };
const TASTES = keysOf(TASTED) as [Tasted, ...Tasted[]];
const FEELS = keysOf(FELT) as [Felt, ...Felt[]];
const LAMPS = keysOf(LAMP_SHINE) as [LampSeen, ...LampSeen[]];

/** A kitchen test and what it gave. */
export const kitchenTestSchema = z.discriminatedUnion('test', [
  z.object({
    test: z.literal('ring'),
    diameterMm: reach('diameterMm', 'mm'),
    temperatureC,
    seconds: z.union([z.literal(30), z.literal(180)]),
  }),
  z.object({ test: z.literal('film'), mm: reach('mm', 'mm'), temperatureC }),
  z.object({ test: z.literal('spoonLine'), holds: z.boolean(), temperatureC }),
  z.object({ test: z.literal('handle'), ...depth }),
  z.object({ test: z.literal('ball'), ...depth }),
  z.object({ test: z.literal('spoonRest'), ...depth }),
  z.object({ test: z.literal('stands'), heightMm: reach('heightMm', 'mm'), holds: z.boolean(), ...set }),
  z.object({ test: z.literal('feels'), likePa: within(0.01, 1e6, 'Pa'), ...set }),
  z.object({ test: z.literal('lamp'), seen: z.enum(LAMPS), ...set }),
  z.object({ test: z.literal('taste'), tasted: z.enum(TASTES) }),
  z.object({ test: z.literal('grains'), felt: z.enum(FEELS), ...set }),
  z.object({
    test: z.literal('sets'),
    hours: reach('hours', 'h'),
    depthMm: reach('layerMm', 'mm'),
    fromC: temperatureC,
    aroundC: temperatureC,
  }),
]);
export type FileTest = z.output<typeof kitchenTestSchema>;
export type TestKind = FileTest['test'];

/** What a page knows of its kitchen's tests. */
const offset = z.object({ mean: z.number(), sd: z.number(), tests: z.number() });
const effect = offset.extend({
  withOffsets: z.array(z.number()),
  chocolate: z.string().optional(),
  withChocolate: z.number(),
});
const knowledgeSchema: z.ZodType<KitchenKnowledge> = z.object({
  offsets: z.record(z.enum(LEARNT), offset),
  covariance: z.array(z.array(z.number())),
  chocolates: z.record(z.string(), effect),
  formulas: z.record(z.string(), effect),
  tests: z.number(),
});

/** What all tests of the kitchen came to, and each of them. */
export const knowledgeAnswerSchema = z.object({
  knowledge: knowledgeSchema,
  readings: z.array(
    z.object({
      batchId: z.string(),
      key: z.string(),
      about: z.enum(LEARNT),
      residual: z.number(),
      se: z.number(),
      isDoubted: z.boolean(),
    }),
  ),
});
export type KnowledgeAnswer = z.output<typeof knowledgeAnswerSchema>;
