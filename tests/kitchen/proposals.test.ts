import { describe, expect, it } from 'vitest';
import { resolveFormula } from '@/formats/resolve-formula';
import { isKnown, keepProposal, keyOfQuestion, knownProposal, proposalFor } from '@/kitchen/method/proposals';
import { kitchenOf, wayQuestion, workMethod } from '@/kitchen/method/work-method';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../support/kitchen';

const found = lanternMillFormulas().find(({ name }) => name === 'Feast day gloss');
if (!found) throw new Error('no such formula');
const file = { ...found, method: undefined };
const formula = resolveFormula(file, larder, 'standard');
const asked = (kitchenC: number, panCm = 20) =>
  wayQuestion(
    file,
    formula,
    kitchenOf({}, kitchenC, { panCm, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 }),
  );

describe('a proposal', () => {
  it('that the server found in a usual kitchen answers a new tablet’s question', () => {
    expect(keyOfQuestion(wayQuestion(file, formula, kitchenOf({}, 22)))).toBe(keyOfQuestion(asked(22)));
    expect(keyOfQuestion(asked(22))).not.toBe(keyOfQuestion(asked(23)));
    expect(keyOfQuestion(asked(22))).not.toBe(keyOfQuestion(asked(22, 24)));
  });

  it('is unknown until it is found or kept, and then the same', () => {
    const question = asked(31);
    expect(isKnown(question)).toBe(false);
    expect(knownProposal(question)).toBeUndefined();
    expect(workMethod(file, formula, question.kitchen, knownProposal)).toBeUndefined();
    const proposal = proposalFor(question);
    expect(isKnown(question)).toBe(true);
    expect(knownProposal(question)).toBe(proposal);
    const other = asked(32);
    keepProposal(keyOfQuestion(other), proposal);
    expect(workMethod(file, formula, other.kitchen, knownProposal)?.way).toBe(proposal?.method.way);
  });
});
