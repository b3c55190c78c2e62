import { type PracticeAnswer, type PracticeTry, practiceAnswerSchema } from '@/formats/practice';
import { askOnce, askServer } from './ask-server';

const of = (learner: string) => `/api/practice?${new URLSearchParams({ learner })}`;

/** What a learner has done, and who else practises here. */
export async function fetchPractice(learner: string): Promise<PracticeAnswer> {
  return practiceAnswerSchema.parse(await askServer(learner === '' ? '/api/practice' : of(learner), 'GET'));
}

/** Keeps an exercise that was done. */
export async function keepPractice(done: PracticeTry): Promise<void> {
  await askOnce('/api/practice', 'POST', done);
}

/** Deletes all that a learner has done. */
export async function forgetPractice(learner: string): Promise<void> {
  await askServer(of(learner), 'DELETE');
}

/** Where a learner's exercises are had as a table. */
export const practiceCsv = (learner: string) => `${of(learner)}&as=csv`;
