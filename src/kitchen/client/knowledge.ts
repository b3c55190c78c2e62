import { type KnowledgeAnswer, knowledgeAnswerSchema } from '@/formats/kitchen-test';
import { askServer } from './ask-server';

/** What the kitchen's tests have taught so far, with the tests themselves. */
export async function fetchKnowledge(): Promise<KnowledgeAnswer> {
  return knowledgeAnswerSchema.parse(await askServer('/api/kitchen', 'GET'));
}
