import { describe, expect, it } from 'vitest';
import { planBrief } from '@/core/brief/plan';
import { benchCard } from '@/features/card/bench-card';
import { type FormulaFile, readFormula } from '@/formats/formula-file';
import { familyCandidates, ownCandidates } from '@/kitchen/brief/brief-candidates';
import { keyed, type Predicted, predictPan } from '@/kitchen/known-pan';
import { panContents } from '@/kitchen/pan-contents';
import { allergenWords } from '@/kitchen/words/allergen-sentences';
import { CAUTION_WORDS, cautionLines, panCautions } from '@/kitchen/words/cautions';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { briefOf, jobOf } from '../support/brief';
import { fileOf, larder } from '../support/kitchen';

const FARM_CREAM = { name: 'Farm cream', components: { water: 59, milk_fat: 35, milk_protein: 2, lactose: 3 } };
const PRALINE = { name: 'Farm praline', components: { liquid_oil: 40, sucrose: 40, milk_protein: 12 } };
const withOwn = (own: object, rows: Parameters<typeof fileOf>[0]) =>
  readFormula({ ...fileOf(rows), ingredients: { own } });
const predict = (file: FormulaFile) => predictPan(keyed(file), larder, 'standard') as Predicted;

describe('the contents of a pan', () => {
  it('hold what only the formula knows', () => {
    const pan = panContents(
      withOwn(PRALINE, [
        ['dark-couverture-60', 100],
        ['own', 50],
      ]),
      larder,
    );
    expect(pan.contains).toEqual(['milk', 'soya']);
    expect(pan.vegan).toBe('no');
    expect(allergenWords(pan).unknown).toEqual([expect.stringContaining('Farm praline')]);
    expect(pan.standing('dairy')).toEqual([{ name: 'Farm praline', standing: 'against' }]);
    expect(pan.standing('nuts')).toEqual([{ name: 'Farm praline', standing: 'unknown' }]);
  });

  it('are declared when the formula says so', () => {
    const declared = { ...PRALINE, allergens: ['Haselnuss', 'milk'], mayContain: ['sesame'], vegan: false };
    const pan = panContents(withOwn(declared, [['own', 50]]), larder);
    expect(pan.contains).toEqual(['milk', 'nuts (hazelnut)']);
    expect(pan.mayContain).toEqual(['sesame']);
    expect(pan.undecided).toEqual([]);
  });

  it('of a row nobody knows may be anything, and a row of no grams is nothing', () => {
    const file = readFormula(
      fileOf([
        ['dark-couverture-60', 100],
        ['ghost', 10],
        ['hazelnut-paste', 0],
      ]),
    );
    const pan = panContents(file, larder);
    expect(pan.contains).toEqual(['soya']);
    expect(pan.vegan).toBe('unknown');
    expect(pan.standing('nuts')).toEqual([{ name: 'ghost', standing: 'unknown' }]);
    expect(allergenWords(pan).contains).toBe('soya');
  });

  it('an empty declaration is only “none” where every row is declared', () => {
    const silent = panContents(withOwn({ name: 'Own water', components: { water: 100 } }, [['own', 50]]), larder);
    expect(allergenWords(silent).contains).toBe('not declared');
    expect(allergenWords(panContents(readFormula(fileOf([['water', 50]])), larder)).contains).toBe(
      'no declared allergen',
    );
  });
});

describe('a brief without dairy', () => {
  const brief = briefOf([jobOf('pool')], { wishes: { without: ['dairy'] } });
  const plan = planBrief(brief);

  it('never starts from a formula whose own ingredient holds milk', () => {
    const file = withOwn(FARM_CREAM, [
      ['dark-couverture-60', 100],
      ['own', 100],
    ]);
    const shelf = { formulas: [{ id: 'farm', file }], ingredients: [...larder.values()], knowledge: undefined };
    const { candidates, leftOut } = ownCandidates({ brief }, plan, shelf, larder);
    expect(candidates).toEqual([]);
    expect(leftOut).toBe(1);
  });

  it('builds no family from an own ingredient whose words nobody read, or that is not declared', () => {
    const cream = larder.get('coconut-cream-22');
    if (!cream) throw new Error('no coconut cream');
    const dairyOnly = [...larder.values()].filter(({ id, group }) => group === 'chocolate' || id === 'water');
    const trial = (allergens: typeof cream.allergens) =>
      familyCandidates({ brief }, plan, {
        formulas: [],
        knowledge: undefined,
        ingredients: [...dairyOnly, { ...cream, id: 'mine', origin: 'own' as const, allergens }],
      }).candidates.some(({ of }) => of.lines.some(({ ingredient }) => ingredient === 'mine'));
    expect(trial([])).toBe(true);
    expect(trial(null)).toBe(false);
    expect(trial(['other: Molke?'])).toBe(false);
  });
});

describe('cautions', () => {
  it('stand in one place: bench and card say the same of every formula', () => {
    for (const file of lanternMillFormulas()) {
      const onBench = cautionLines(panCautions(predict(file).prediction, panContents(file, larder)));
      expect(benchCard(file, larder, 'standard', 'grams').cautions).toEqual(onBench);
      expect(onBench.at(-1)).toBe(CAUTION_WORDS.code);
    }
  });

  it('come with what asks for them, larder or own', () => {
    const cautionsOf = (file: FormulaFile) => panCautions(predict(file).prediction, panContents(file, larder));
    const plain = cautionsOf(
      readFormula(
        fileOf([
          ['water', 100],
          ['sugar-granulated', 50],
        ]),
      ),
    );
    expect(plain).toEqual(['hot', 'traces', 'code']);
    const asked = cautionsOf(
      readFormula(
        fileOf([
          ['honey', 20],
          ['egg-yolk', 20],
          ['xylitol', 40],
          ['rum-40', 20],
          ['cream-35', 40],
        ]),
      ),
    );
    for (const each of ['spirit', 'xylitol', 'polyols', 'egg', 'honey', 'hotDairy', 'coolDairy'] as const) {
      expect(asked).toContain(each);
    }
    const ownHoney = { name: 'Waldhonig roh, Honig', components: { fructose: 40, glucose: 38, water: 18 } };
    expect(cautionsOf(withOwn(ownHoney, [['own', 20]]))).toEqual(expect.arrayContaining(['honey', 'unknown']));
    const ownSpirit = { name: 'Plum water', components: { ethanol: 30, water: 70 } };
    expect(cautionsOf(withOwn(ownSpirit, [['own', 20]]))).toContain('spirit');
  });

  it('the card names rows nobody knows and what is not declared', () => {
    const file = withOwn(PRALINE, [
      ['dark-couverture-60', 100],
      ['own', 50],
      ['ghost', 3],
    ]);
    const card = benchCard(file, larder, 'standard', 'grams');
    expect(card.allergens).toBe('milk, soya');
    expect(card.notKnown.join(' ')).toMatch(/Farm praline.*ghost/);
    expect(card.stages.flatMap(({ rows }) => rows).map(({ name }) => name)).toContain('ghost (not in the larder)');
  });
});
