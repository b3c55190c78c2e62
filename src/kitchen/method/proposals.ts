import type { MixingLine } from '@/core/matter/mixing';
import type { MethodKitchen } from '@/core/method/kitchen';
import { type MeantToBe, type ProposedWay, proposeWay } from '@/core/method/propose';
import { methodRows, type RowHint } from '@/core/method/rows';
import type { Method } from '@/core/method/step';

/** A formula whose way of working is asked, in a kitchen. Plain data: it can be sent. */
export interface WayQuestion {
  readonly lines: readonly MixingLine[];
  readonly hints: readonly RowHint[];
  /** °C it is poured at */
  readonly pourC: number;
  readonly about: MeantToBe;
  readonly kitchen: MethodKitchen;
}

/** A way that is proposed, with its steps. Plain data. */
export interface Proposal extends Pick<ProposedWay, 'why' | 'togetherC' | 'instead'> {
  readonly method: Method;
}

/** A proposal without what was followed to find it. */
export const proposalOf = ({ why, togetherC, instead, tried }: ProposedWay): Proposal => ({
  why,
  togetherC,
  instead,
  method: tried.method,
});

/** Proposals that were worked out: trying ways takes longer than following one. */
const known = new Map<string, Proposal | undefined>();
const MOST_KNOWN = 200;

/** What tells one question from another. What the kitchen's tests taught moves no way. */
export function keyOfQuestion({ lines, hints, pourC, about, kitchen }: WayQuestion): string {
  const { offsets: _, ...place } = kitchen;
  return JSON.stringify([lines.map(({ perGram, grams, ph }) => [...perGram, grams, ph]), hints, pourC, about, place]);
}

/** Keeps a proposal that was found elsewhere: on the server, in a worker. */
export function keepProposal(key: string, proposal: Proposal | undefined): void {
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, proposal);
}

/** Whether the answer to a question is known. */
export const isKnown = (question: WayQuestion): boolean => known.has(keyOfQuestion(question));

/** The answer to a question where it is known. */
export const knownProposal = (question: WayQuestion): Proposal | undefined => known.get(keyOfQuestion(question));

/** The answer to a question, worked out where it is not known yet. */
export function proposalFor(question: WayQuestion): Proposal | undefined {
  const key = keyOfQuestion(question);
  if (known.has(key)) return known.get(key);
  const { lines, hints, pourC, about, kitchen } = question;
  const found = proposeWay(methodRows(lines, hints), pourC, about, kitchen);
  const proposal = found && proposalOf(found);
  keepProposal(key, proposal);
  return proposal;
}
