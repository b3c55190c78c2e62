import { describe, expect, it } from 'vitest';
import { exclusions } from '@/core/brief/exclusion';
import { jobGates } from '@/core/brief/job-gates';
import { planBrief } from '@/core/brief/plan';
import { calibrationOf, learnKitchen } from '@/core/learn/kitchen';
import { predictFormula } from '@/core/predict/predict-formula';
import { JOB_USES } from '@/core/uses/catalogue';
import { PORTION_KINDS, type PortionKey, portionKind } from '@/core/yields/portions';
import { scaledToBrief } from '@/features/balance/brief-note';
import { draftOf, totalGrams } from '@/features/balance/draft/formula-draft';
import { newFormula, targetsOf, usualBrief, whatFor } from '@/features/brief/brief-file';
import { exclusionWords, kitchenWord, PORTION_WORDS, reasonOf, SIZE_SENTENCES } from '@/features/brief/brief-words';
import { panAsItIs } from '@/features/brief/pan-as-it-is';
import { benchCard } from '@/features/card/bench-card';
import { type FormulaFile, readFormula } from '@/formats/formula-file';
import { resolveFormula } from '@/formats/resolve-formula';
import { type Answer, answersTo, type Start } from '@/kitchen/brief/brief-answers';
import { briefCautions, CAUTION_WORDS, cautionLines } from '@/kitchen/words/cautions';
import { JOB_WORDS } from '@/kitchen/words/job-words';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { briefOf, jobOf } from '../support/brief';
import { hiddenKitchen, MENU, testsIn } from '../support/hidden-kitchens';
import { fileOf, larder } from '../support/kitchen';

const demo = new Map(lanternMillFormulas().map((file) => [file.name, file]));
const feast = demo.get('Feast day gloss') as FormulaFile;
const plain = (text: string) => text.replaceAll('\u202f', ' ');

function bestStart(brief: ReturnType<typeof briefOf>): Start {
  const shelf = {
    formulas: [...demo].map(([id, file]) => ({ id, file })),
    ingredients: [...larder.values()],
    knowledge: undefined,
  };
  let answer: Answer | undefined;
  for (const step of answersTo({ brief }, shelf)) answer = step.answer;
  return answer?.starts[0] as Start;
}

describe('a brief taken to the bench', () => {
  const brief = briefOf([jobOf('coat', { count: 48, what: 'buckwheat éclairs' }), jobOf('pipe', { workC: 18 })]);
  const plan = planBrief(brief);

  it('a new formula can be kept, lands as its card said, and holds the amount', () => {
    const start = bestStart(brief);
    expect(start.lands).toBe(true);
    const file = newFormula(brief, plan, start, demo.get(start.id));
    const kept = readFormula(JSON.parse(JSON.stringify(file)));
    expect(predictFormula(resolveFormula(kept, larder, 'standard'))?.lands).toBe(true);
    const finished = kept.lines.reduce((sum, line) => sum + line.grams, 0) - (kept.yield?.evaporationGrams ?? 0);
    // Coats are poured by volume: the amount is that of its own density.
    expect(finished / start.size.finishedG).toBeCloseTo(1, 2);
    expect((kept.yield?.targetGrams ?? 0) + (kept.yield?.bowlLossGrams ?? 0)).toBeCloseTo(start.size.finishedG, -1);
    expect(kept.name).toContain('48 buckwheat éclairs');
  });

  it('an empty pan takes the gates and the amount too', () => {
    const file = newFormula(brief, plan, undefined, undefined);
    expect(file.lines).toEqual([]);
    expect(readFormula(JSON.parse(JSON.stringify(file))).gates).toHaveLength(plan.targets.gates.length);
  });

  it('gates follow a brief, grams never', () => {
    const targets = targetsOf(brief, plan, 0);
    expect(Object.keys(targets)).not.toContain('lines');
    expect(targets.yield.evaporationGrams).toBeUndefined();
    expect(targets.gates.map(({ moment }) => moment)).toContain('pipe');
  });

  it('a name longer than may be kept is cut', () => {
    const long = briefOf([jobOf('coat', { what: 'x'.repeat(80) })]);
    const start = { ...bestStart(long), name: 'y'.repeat(110), isOwn: true };
    expect(newFormula(long, planBrief(long), start, undefined).name.length).toBeLessThanOrEqual(120);
  });

  it('begins with the use of a formula, and with pastry otherwise', () => {
    expect(usualBrief(22, 'mirror_glaze').jobs[0]?.use).toBe('glaze');
    expect(usualBrief(22, 'pool_plate').jobs[0]?.use).toBe('pool');
    expect(usualBrief(22, undefined).jobs[0]?.use).toBe('coat');
    expect(usualBrief(25, 'spoon_cold')).toMatchObject({ kitchenC: 25 });
  });
});

describe('the pan against its brief', () => {
  it('as it is: lands or misses what the prediction says', () => {
    const own = panAsItIs(feast, planBrief(feast.brief ?? briefOf([jobOf('coat')])), larder, 'standard');
    expect(own?.standing).not.toBe('misses');
    expect(own?.misses).toEqual([]);
    const cut = panAsItIs(feast, planBrief(briefOf([jobOf('cut')])), larder, 'standard');
    expect(cut?.standing).toBe('misses');
    expect(cut?.misses).toEqual(['cut']);
    expect(panAsItIs({ ...feast, lines: [] }, planBrief(briefOf([jobOf('cut')])), larder, 'standard')).toBeUndefined();
    const [line] = feast.lines;
    const unknown = { ...feast, lines: [{ ...(line as NonNullable<typeof line>), ingredient: 'gone' }] };
    expect(panAsItIs(unknown, planBrief(briefOf([jobOf('cut')])), larder, 'standard')).toBeUndefined();
  });

  it('scaled to it, gives what it asks for', () => {
    const file = readFormula({
      ...fileOf([
        ['dark-couverture-60', 200, { minGrams: 100 }],
        ['cream-35', 200],
      ]),
      yield: { targetGrams: 900, bowlLossGrams: 60, evaporationGrams: 40 },
    });
    const draft = draftOf(file, () => 'k');
    const scaled = { ...draft, lines: scaledToBrief(draft) };
    expect(totalGrams(scaled)).toBeCloseTo(1000, 0);
    expect(scaled.lines[0]).toMatchObject({ grams: 500, minGrams: 250 });
  });

  it('the bench card tells whose figures it has, and has them', () => {
    const knowledge = learnKitchen(testsIn(hiddenKitchen(3), MENU, 4));
    const [standard, here] = [
      benchCard(feast, larder, 'standard', 'grams'),
      benchCard(feast, larder, calibrationOf(knowledge, undefined), 'grams'),
    ];
    expect(standard.figures).toBe('Standard figures.');
    expect(here.figures).toBe(`Figures adjusted to ${knowledge.tests} tests of this kitchen.`);
    expect(here.moments[1]?.like).not.toBe(standard.moments[1]?.like);
  });

  it('the bench card says what it is for', () => {
    expect(benchCard(feast, larder, 'standard', 'grams').job).toBe('For 48 buckwheat éclairs and 6 jars for the boat');
    expect(benchCard({ ...feast, brief: undefined }, larder, 'standard', 'grams').job).toBe('');
  });
});

describe('what is said of a brief', () => {
  it('every use, portion and size has its word', () => {
    for (const use of JOB_USES) expect(JOB_WORDS[use].name, use).not.toBe('');
    for (const key of Object.keys(PORTION_KINDS) as PortionKey[]) {
      expect(PORTION_WORDS[key], key).not.toBe('');
      for (const field of portionKind(key).fields) expect(SIZE_SENTENCES[field.key], field.key).toContain('{size}');
    }
  });

  it('every gate of every use has a reason with a figure where physics has one', () => {
    for (const use of JOB_USES) {
      const job = jobOf(use);
      for (const gate of jobGates(job)) {
        const reason = plain(reasonOf(gate, job));
        expect(reason.length, `${use} ${gate.key}`).toBeGreaterThan(20);
        expect(reason).not.toMatch(/undefined|NaN|Infinity/);
      }
    }
    const [, hangs] = jobGates(jobOf('coat', { mm: 2.5 }));
    expect(hangs && plain(reasonOf(hangs, jobOf('coat', { mm: 2.5 })))).toContain(
      '2.5 mm hanging on an upright side for good would need 28 Pa',
    );
    const gentle = jobOf('coat', { mm: 2.5, slope: 'shallow' });
    const [, lies] = jobGates(gentle);
    expect(lies && plain(reasonOf(lies, gentle))).toContain('on a slope of 30° for good would need 14 Pa');
    const fine = jobOf('pipe', { sizes: { diameter: 2, nozzle: 4 } });
    const [stands] = jobGates(fine);
    expect(stands && plain(reasonOf(stands, fine))).toContain('a hand tires at the bag with a tip of 4 mm');
  });

  it('what excludes each other is said with both figures and a way out', () => {
    const brief = briefOf([jobOf('coat'), jobOf('pool', { workC: 20 })]);
    const [first] = exclusions(planBrief(brief).targets);
    const words = first ? plain(exclusionWords(first)) : '';
    expect(words).toMatch(/at least \d+ Pa.*at most [\d.]+ Pa/);
    expect(words).toContain('two batches');
  });

  it('cautions come with what asks for them', () => {
    const said = (brief: ReturnType<typeof briefOf>) => cautionLines(briefCautions(brief)).join(' ');
    expect(said(briefOf([jobOf('dip')]))).toContain('hot oil');
    expect(said(briefOf([jobOf('drink')]))).toContain('children');
    expect(said(briefOf([jobOf('coat')], { wishes: { keepDays: 10 } }))).toContain('not a use-by date');
    expect(said(briefOf([jobOf('coat')], { wishes: { without: ['nuts'] } }))).toContain('traces');
    expect(said(briefOf([jobOf('pool')], { making: { heat: 'none' } }))).toBe(CAUTION_WORDS.code);
    expect(said(briefOf([jobOf('coat', { place: 'fridge' })]))).not.toContain('food code says');
  });

  it('a hot or cold kitchen is worth a word', () => {
    expect(kitchenWord(21)).toBeUndefined();
    expect(kitchenWord(25)).toContain('softer');
    expect(kitchenWord(30)).toContain('hardly sets');
    expect(kitchenWord(12)).toContain('fast');
    expect(whatFor(briefOf([jobOf('roll', { count: 60 })]))).toBe('60 truffles');
  });
});
