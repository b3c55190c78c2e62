import { z } from 'zod';
import { EXERCISE_KINDS } from '@/core/practice/exercises';
import { CALLED } from '@/core/practice/learner';

/** Longest name of a learner. */
export const LONGEST_LEARNER = 60;
/** Tries one learner keeps in mind: older ones stay, and are not asked for. */
export const MOST_TRIES = 1000;

export const learnerSchema = z.string().trim().min(1, 'must not be empty').max(LONGEST_LEARNER);

/** An exercise that was done: apart from batches and from what the kitchen learns. */
export const practiceTrySchema = z.object({
  key: z.string().min(8).max(60),
  learner: learnerSchema,
  kind: z.enum(EXERCISE_KINDS),
  /** the formula it was drawn from */
  formula: z.string().trim().max(120),
  isRight: z.boolean(),
  called: z.enum(CALLED).nullable(),
  miss: z.number().min(-50).max(50).nullable(),
  /** °C of the pan as it was judged */
  panC: z.number().min(-30).max(250).nullable().default(null),
});
export type PracticeTry = z.output<typeof practiceTrySchema>;

export const practiceAnswerSchema = z.object({
  learners: z.array(z.string()),
  tries: z.array(practiceTrySchema.extend({ at: z.number() })),
});
export type PracticeAnswer = z.output<typeof practiceAnswerSchema>;
