import { type KnowledgeAnswer, knowledgeAnswerSchema } from '@/formats/kitchen-test';
import { askServer } from './ask-server';

/** What the kitchen's tests have taught so far, with the tests of a batch and some of the others. */
export async function fetchKnowledge(batchId: string): Promise<KnowledgeAnswer> {
  return knowledgeAnswerSchema.parse(await askServer(`/api/kitchen?${new URLSearchParams({ batch: batchId })}`, 'GET'));
}
