import { findUse } from '@/core/balance/uses';
import { type Brief, USUAL_MAKING, USUAL_WISHES } from '@/core/brief/brief';
import { usualJob } from '@/core/brief/job';
import { planBrief } from '@/core/brief/plan';
import type { Gate } from '@/core/formula/gates';
import { type FormulaFile, type FormulaFileInput, readFormula } from '@/formats/formula-file';

type Line = FormulaFileInput['lines'][number];

/** A demo formula: a use with more gates where the mill wants them. */
interface DemoFormula {
  readonly name: string;
  readonly use: string;
  readonly note: string;
  readonly lines: readonly Line[];
  readonly gates?: readonly Gate[];
  readonly process?: FormulaFileInput['process'];
  readonly targetGrams: number;
  readonly bowlLossGrams: number;
  /** what it was asked to do: its gates and amount come from there */
  readonly brief?: Brief;
}

const line = (ingredient: string, grams: number, form?: string, more: Partial<Line> = {}): Line => ({
  ingredient,
  grams,
  form,
  ...more,
});

/** The invented formulas of Lantern Mill, a pâtisserie in a converted water mill, and its weekend tearoom boat. */
const FORMULAS: readonly DemoFormula[] = [
  {
    name: 'Plated sponge, thick dip',
    use: 'dip_stick',
    note: 'Held warm under a lid for the plated cocoa sponge; starch boiled two minutes.',
    process: { cook: 1 },
    lines: [
      line('milk-whole', 400, 'boil with the starch'),
      line('dark-couverture-64', 190, 'chopped'),
      line('sugar-caster', 60),
      line('cocoa-alkalised-22', 20, 'sifted'),
      line('starch-corn', 10, 'slaked in cold milk'),
    ],
    targetGrams: 650,
    bowlLossGrams: 20,
  },
  {
    name: 'Fudge sauce, no added sugar',
    use: 'spoon_cold',
    note: 'Maltitol dissolves slowly: stir a good while before judging it.',
    process: { cook: 1 },
    lines: [
      line('dark-maltitol-55', 200, 'chopped'),
      line('unsweetened-chocolate-100', 40, 'chopped'),
      line('cream-25', 220, 'warm gently'),
      line('maltitol-syrup', 90),
      line('cocoa-alkalised-11', 20, 'sifted'),
    ],
    targetGrams: 550,
    bowlLossGrams: 15,
  },
  {
    name: 'Oat boat ganache, no dairy',
    use: 'coat_eclair',
    note: 'For the tearoom boat, where milk is asked about most.',
    lines: [
      line('dark-couverture-70', 220, 'chopped'),
      line('oat-drink', 150, 'boil, then pour'),
      line('glucose-syrup-de42', 50, 'warm with the drink'),
      line('sunflower-oil', 20),
      line('cocoa-alkalised-11', 10, 'sifted'),
    ],
    targetGrams: 440,
    bowlLossGrams: 10,
  },
  {
    name: 'Ferry truffles, hazelnut',
    use: 'roll_truffle',
    note: 'Chilled flat, scooped at 14 g, rolled with cool hands.',
    lines: [
      line('dark-couverture-64', 240, 'chopped'),
      line('cream-35', 180, 'boil, then pour'),
      line('hazelnut-paste', 60),
      line('invert-sugar-paste', 20),
    ],
    targetGrams: 485,
    bowlLossGrams: 15,
  },
  {
    name: 'Shop jar, molasses',
    use: 'spoon_cold',
    note: 'Poured warm on Saturday, spread cold on Sunday.',
    lines: [
      line('dark-couverture-64', 200, 'chopped'),
      line('cream-30', 260, 'boil, then pour'),
      line('molasses', 60, 'warm with the cream'),
      line('butter-unsalted-82', 40, 'cold, at the end'),
      line('cocoa-natural-11', 15, 'sifted'),
    ],
    targetGrams: 560,
    bowlLossGrams: 15,
  },
  {
    name: 'Rye-caramel bar layer',
    use: 'spread_fill',
    note: 'One pass of the palette knife between rye sheets.',
    lines: [
      line('dark-couverture-60', 180, 'chopped'),
      line('condensed-caramelised', 160),
      line('cream-35', 150, 'boil, then pour'),
      line('butter-unsalted-82', 30, 'cold, at the end'),
      line('salt-flaky', 3),
    ],
    targetGrams: 510,
    bowlLossGrams: 13,
  },
  {
    name: 'Chestnut entremets rosette',
    use: 'pipe_rosette',
    note: 'Left overnight before piping.',
    process: { mix: 0.9 },
    lines: [
      line('milk-couverture-40', 300, 'callets'),
      line('cream-35', 240, 'boil, then pour'),
      line('glucose-syrup-de42', 30, 'warm with the cream'),
    ],
    targetGrams: 560,
    bowlLossGrams: 10,
  },
  {
    name: 'Pear tart slab',
    use: 'cut_squares',
    note: 'Poured 12 mm deep over the pears.',
    lines: [
      line('dark-couverture-70', 320, 'chopped'),
      line('cream-35', 190, 'boil, then pour'),
      line('butter-unsalted-82', 40, 'cold, at the end'),
      line('honey', 24),
    ],
    targetGrams: 560,
    bowlLossGrams: 14,
  },
  {
    name: 'Sluice water sauce',
    use: 'nappe_sauce',
    note: 'No cream: starch slurry, two minutes at the boil, strained.',
    process: { cook: 1 },
    lines: [
      line('water', 420),
      line('sugar-granulated', 170),
      line('cocoa-alkalised-11', 70, 'sifted'),
      line('dark-couverture-70', 60, 'chopped'),
      line('starch-corn', 8, 'slaked in cold water'),
      line('salt-fine', 1.5),
    ],
    targetGrams: 700,
    bowlLossGrams: 25,
  },
  {
    name: 'Snowmelt mirror, white',
    use: 'mirror_glaze',
    note: 'Over the frozen chestnut entremets, in one go.',
    process: { mix: 0.9 },
    gates: [{ moment: 'pour', quantity: 'shine', low: 85 }],
    lines: [
      line('water', 90),
      line('sugar-caster', 180),
      line('glucose-syrup-de42', 180),
      line('condensed-sweetened', 120),
      line('white-couverture-34', 190, 'callets'),
      line('gelatin-leaf-200', 14, 'soaked', { locked: true }),
      line('water', 63, 'soaks the leaves'),
    ],
    targetGrams: 820,
    bowlLossGrams: 20,
  },
  {
    name: 'Lantern mirror, dark',
    use: 'mirror_glaze',
    note: 'Blended without air, rested a night, used at 33 °C.',
    process: { mix: 0.9 },
    gates: [{ moment: 'pour', quantity: 'shine', low: 80 }],
    lines: [
      line('water', 150),
      line('sugar-caster', 225),
      line('glucose-syrup-de42', 110),
      line('cream-35', 150),
      line('cocoa-alkalised-22', 80, 'sifted'),
      line('gelatin-leaf-200', 11, 'soaked', { locked: true }),
      line('water', 50, 'soaks the leaves'),
    ],
    targetGrams: 760,
    bowlLossGrams: 16,
  },
  {
    name: 'Tearoom boat hot sauce',
    use: 'pour_icecream',
    note: 'For two scoops and a wafer; the spirit goes in off the heat.',
    lines: [
      line('dark-couverture-64', 240, 'chopped'),
      line('cream-25', 300, 'boil, then pour'),
      line('sugar-caster', 40, 'warm with the cream'),
      line('orange-liqueur-40', 30, 'off the heat', { locked: true }),
      line('cocoa-alkalised-22', 24, 'sifted'),
    ],
    targetGrams: 620,
    bowlLossGrams: 14,
  },
  {
    name: 'Feast day gloss',
    use: 'coat_eclair',
    note: 'Coats the buckwheat éclairs of the feast day; the rest goes into jars for the boat, to pour over ice cream.',
    brief: {
      jobs: [
        { ...usualJob('coat'), what: 'buckwheat éclairs', count: 48, place: 'case', hours: 10, eatC: 8 },
        {
          ...usualJob('nap'),
          what: 'jars for the boat',
          count: 6,
          portion: 'jar',
          sizes: { each: 200, headspace: 8 },
          workC: 42,
        },
      ],
      kitchenC: 22,
      wishes: { ...USUAL_WISHES, without: ['alcohol'], keepDays: 4 },
      making: { ...USUAL_MAKING, panCm: 24 },
    },
    lines: [
      line('cream-35', 850, 'boil, then pour', { stage: 'pan' }),
      line('glucose-syrup-de42', 240, 'warm with the cream', { stage: 'pan' }),
      line('dark-couverture-60', 800, 'chopped', { stage: 'overChocolate' }),
      line('butter-unsalted-82', 120, 'cold, at the end', { stage: 'coldAtEnd' }),
    ],
    targetGrams: 0,
    bowlLossGrams: 0,
  },
  {
    name: 'Millrace éclair gloss',
    use: 'coat_eclair',
    note: 'For the buckwheat éclairs: coats at 32 °C, eaten soft from the case.',
    gates: [
      { moment: 'pour', quantity: 'shine', low: 60 },
      { moment: 'fridge', quantity: 'yieldStressPa', low: 150, high: 2_000 },
      { moment: 'bench', quantity: 'waterActivity', high: 0.93 },
    ],
    lines: [
      line('dark-couverture-66', 210, 'chopped', { locked: true }),
      line('cream-35', 236, 'boil, then pour'),
      line('glucose-syrup-de42', 58, 'warm with the cream'),
      line('butter-unsalted-82', 46, 'cold, at the end'),
      line('cocoa-alkalised-22', 18, 'sifted'),
      line('invert-sugar-paste', 12),
      line('rum-40', 18, 'off the heat', { locked: true }),
    ],
    targetGrams: 580,
    bowlLossGrams: 18,
  },
];

/** Moments, gates and amount of a demo formula: those of its brief, or of its use. */
function targetsOf(demo: DemoFormula): Pick<FormulaFileInput, 'moments' | 'gates' | 'yield' | 'brief'> {
  if (demo.brief) {
    const { targets, size } = planBrief(demo.brief);
    return {
      moments: [...targets.moments],
      gates: targets.gates.map(({ gate }) => gate),
      yield: { targetGrams: Math.round(size.finishedG - size.bowlG), bowlLossGrams: Math.round(size.bowlG) },
      brief: demo.brief,
    };
  }
  const use = findUse(demo.use);
  if (!use) throw new RangeError(`no use is called ${demo.use}`);
  return {
    moments: [...use.moments],
    gates: [...use.gates, ...(demo.gates ?? [])],
    yield: { targetGrams: demo.targetGrams, bowlLossGrams: demo.bowlLossGrams },
  };
}

/** The demo formulas as formula files, oldest first. */
export function lanternMillFormulas(): FormulaFile[] {
  return FORMULAS.map((demo) =>
    readFormula({
      format: 'dark-pour/formula',
      version: 1,
      name: demo.name,
      use: demo.use,
      note: demo.note,
      lines: demo.lines,
      process: demo.process,
      ...targetsOf(demo),
    }),
  );
}
