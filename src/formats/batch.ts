import { z } from 'zod';
import { keysOf } from '@/core/keys-of';
import { HOB_EFFICIENCY } from '@/core/pan/heat-source';
import { FAULT_CAUSES } from '@/core/rescue/diagnosis';
import { SIGNS } from '@/core/rescue/signs';
import { BRIEF_REACH } from './brief';
import { formulaFileSchema, MOST_GRAMS } from './formula-file';
import { compositionSchema } from './ingredient';
import { MAX_INTEGER } from './kept-number';
import { kitchenTestSchema } from './kitchen-test';
import { keptPhotoSchema, photoHashSchema } from './photo';

/** What may be read off a probe, °C: beyond it is broken, or not in a pan. */
export const PROBE_REACH = [-30, 250] as const;
/** What may be read off a ruler across a ring's spread, mm. */
export const RING_REACH = [50, 400] as const;

/** What becomes of what is left of a batch. */
export const LEFTOVER_FATES = ['putAway', 'reheated', 'thrown'] as const;

const within = ([least, most]: readonly [number, number], unit: string) =>
  z
    .number({ error: `must be a number of ${unit}` })
    .min(least, `must be at least ${least} ${unit}`)
    .max(most, `must be at most ${most} ${unit}`);

const grams = within([0, MOST_GRAMS], 'g');
const place = z.number().int().min(0).max(100);
const words = (longest: number) =>
  z.string().trim().min(1, 'must not be empty').max(longest, `must be at most ${longest} letters`);

/** The stove and air of the tablet a batch was begun at. */
const stoveSchema = z.object({
  panCm: within(BRIEF_REACH.panCm, 'cm'),
  powerW: within(BRIEF_REACH.powerW, 'W'),
  hob: z.enum(keysOf(HOB_EFFICIENCY)),
  microwaveW: within([200, 3000], 'W'),
  altitudeM: within([-400, 5000], 'm'),
  dampPercent: within([5, 95], '%'),
});

/** What a batch was begun with: the formula as it was then, its method in full, all it is made of, and where it is cooked. */
export const frozenBatchSchema = z.object({
  file: formulaFileSchema,
  stove: stoveSchema,
  kitchenC: within([-10, 50], '°C'),
});
export type FrozenBatch = z.output<typeof frozenBatchSchema>;

/** What is asked for to begin a batch. */
export const newBatchSchema = z.object({
  formulaId: z.string().max(80),
  /** times the formula as it is written */
  times: within([0.01, 1000], 'times').default(1),
  stove: stoveSchema,
  kitchenC: within([-10, 50], '°C'),
  /** reckoned as the book has it, though the kitchen has tests of its own */
  asBook: z.boolean().default(false),
});

/** What a cook looks for, at the step that can go wrong so. */
export const CHECKS = ['grains', 'lumps', 'smooth', 'coats', 'skin', 'edgeSet'] as const;
export type CheckKind = (typeof CHECKS)[number];

const kinds = [
  /** the cook goes to a step, also back to one */
  z.object({ kind: z.literal('begin'), step: place }),
  z.object({ kind: z.literal('done'), step: place }),
  /** the step goes on by itself, beside the others */
  z.object({ kind: z.literal('aside'), step: place }),
  /** heat is on, or the clock of a step that needs none was started */
  z.object({ kind: z.literal('start'), step: place }),
  /** a burst of a microwave was begun, of so many seconds */
  z.object({ kind: z.literal('burst'), step: place, seconds: within([1, 600], 's') }),
  /** weighed before anything is heated, and set beside the stove: it is not in yet */
  z.object({ kind: z.literal('setOut'), row: place, grams, by: z.enum(['hand', 'scale']) }),
  /** the list of what is weighed first is done with */
  z.object({ kind: z.literal('weighedOut') }),
  /** it is in; 0 g is left out */
  z.object({ kind: z.literal('weigh'), step: place, row: place, grams, by: z.enum(['hand', 'scale']) }),
  /** a row that was to go in with a step goes in with a later one */
  z.object({ kind: z.literal('later'), step: place, row: place }),
  /** what is still to be weighed of a row is now so much */
  z.object({ kind: z.literal('replan'), row: place, grams }),
  z.object({ kind: z.literal('temperature'), temperatureC: within(PROBE_REACH, '°C'), by: z.enum(['hand', 'probe']) }),
  /** the spread of 20 ml from a ring of 5 cm after 30 s */
  z.object({ kind: z.literal('ring'), diameterMm: within(RING_REACH, 'mm'), temperatureC: within(PROBE_REACH, '°C') }),
  z.object({
    kind: z.literal('check'),
    step: place,
    check: z.enum(CHECKS),
    isGood: z.boolean(),
    /** which of the ways in which it is not */
    sign: z.enum(SIGNS).optional(),
  }),
  /** something that was not planned went in */
  z.object({
    kind: z.literal('add'),
    name: words(120),
    components: compositionSchema,
    grams: within([0.1, MOST_GRAMS], 'g'),
  }),
  /** what was done about a sign, and whether it worked */
  z.object({
    kind: z.literal('fix'),
    sign: z.enum(SIGNS),
    cause: z.enum(FAULT_CAUSES).optional(),
    hasWorked: z.boolean(),
  }),
  z.object({ kind: z.literal('poured'), grams }),
  /** the pan was weighed: so much water had gone by then, of all that went in */
  z.object({ kind: z.literal('lost'), grams }),
  z.object({ kind: z.literal('timer'), id: words(60), label: words(60), seconds: within([1, 86_400], 's') }),
  z.object({ kind: z.literal('timerOff'), id: words(60) }),
  z.object({ kind: z.literal('note'), text: words(500) }),
  /** a photo that is kept, with what it shows */
  z.object({ kind: z.literal('photo'), photo: keptPhotoSchema, shows: z.string().trim().max(120) }),
  /** a photo that is not to be shown any more */
  z.object({ kind: z.literal('photoOff'), hash: photoHashSchema }),
  /** a kitchen test and what it gave */
  z.object({ kind: z.literal('test'), result: kitchenTestSchema }),
  /** a test, by its key, that is not to count, or is to count after all */
  z.object({ kind: z.literal('doubt'), test: z.string().max(60), isDoubted: z.boolean() }),
  /** whether it did what it should, as the cook says */
  z.object({ kind: z.literal('verdict'), hasLanded: z.boolean() }),
  /** what it went on or into */
  z.object({ kind: z.literal('used'), what: words(120), grams }),
  /** what became of the rest */
  z.object({ kind: z.literal('leftover'), fate: z.enum(LEFTOVER_FATES), grams }),
  z.object({ kind: z.literal('finish') }),
  z.object({ kind: z.literal('abandon'), why: z.string().trim().max(200).default('') }),
] as const;

/** What happened, as a tablet tells it. */
export const happeningSchema = z.discriminatedUnion('kind', kinds);
export type Happening = z.output<typeof happeningSchema>;

/** What is told of a batch that is over: the book goes on after the stove. */
export const AFTERWARDS: ReadonlySet<Happening['kind']> = new Set<Happening['kind']>([
  'note',
  'photo',
  'photoOff',
  'verdict',
  'used',
  'leftover',
  'poured',
  'ring',
  'test',
  'doubt',
]);

/** The same with what makes it this one: told twice, it is kept once. */
export const toldSchema = z.object({
  key: z.string().min(8).max(60),
  /** which tablet tells it */
  tablet: z.string().max(60),
  /** who works at that tablet, as typed there */
  by: z.string().trim().max(60).optional(),
  /** ms since 1970 on the tablet's clock, which may be wrong */
  tabletMs: z.number().int().min(0).max(8.64e15),
  what: happeningSchema,
});
export type Told = z.output<typeof toldSchema>;

/** An entry of a log that this version cannot read: it stays in the log and counts for nothing. */
const unclearSchema = z.object({ kind: z.literal('unclear'), reason: z.string() });

/** An event of a batch's log, numbered in the order the server heard of it. */
export const batchEventSchema = toldSchema.extend({
  what: z.union([happeningSchema, unclearSchema]),
  seq: z.number().int().min(1),
  /** ms since 1970 on the server's clock when it happened */
  serverMs: z.number(),
  /** the same when the server heard of it, where that was later */
  heardMs: z.number().optional(),
});
export type BatchEvent = z.output<typeof batchEventSchema>;

/** Events one batch keeps; of what a probe reads, fewer. What ends a batch, and what is told afterwards, always has room. */
export const MAX_EVENTS = 20_000;
export const MAX_PROBE_EVENTS = 16_000;

/** What a tablet sends: what happened, and up to where it knows the log. Each event is read by itself: one that is wrong never stops the others. */
export const tellSchema = z.object({
  after: z.number().int().min(0).max(MAX_INTEGER),
  events: z.array(z.unknown()).max(200, 'are too many at once'),
  /** ms since 1970 on the tablet's clock as it sends: how long ago things happened is told by it */
  sentMs: z.number().int().min(0).max(8.64e15).optional(),
});
/** An event that the batch does not take, and why. */
const refusedEventSchema = z.object({ key: z.string(), message: z.string() });
export type RefusedEvent = z.output<typeof refusedEventSchema>;

/** A batch as kept, without its log. */
export const batchHeadSchema = z.object({
  id: z.string(),
  /** of the kitchen, from 1 on */
  number: z.number().int(),
  /** nothing once the formula is gone for good */
  formulaId: z.string(),
  name: z.string(),
  startedMs: z.number(),
  state: z.enum(['running', 'finished', 'abandoned']),
});
export type BatchHead = z.output<typeof batchHeadSchema>;

/** What the server answers of a batch: the events a tablet does not know yet, and its own clock. */
export const logAnswerSchema = z.object({
  events: z.array(batchEventSchema),
  nowMs: z.number(),
  state: batchHeadSchema.shape.state,
  refused: z.array(refusedEventSchema),
});
export const batchAnswerSchema = z.object({
  head: batchHeadSchema,
  frozen: frozenBatchSchema,
  events: z.array(batchEventSchema).readonly(),
  nowMs: z.number(),
});
export type BatchAnswer = z.output<typeof batchAnswerSchema>;
export const runningSchema = z.object({ batches: z.array(batchHeadSchema) });
export const begunSchema = z.object({ id: z.string(), number: z.number() });
