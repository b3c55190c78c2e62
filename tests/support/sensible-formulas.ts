import { type MethodRows, methodRows } from '@/core/method/rows';
import { nth } from '@/core/nth';
import { seededNumbers } from '@/core/random';
import { perGram } from './pan';

/** A formula a kitchen may well make: its rows, and °C it is poured at. */
export interface SensibleFormula {
  readonly name: string;
  readonly lines: readonly (readonly [id: string, grams: number])[];
  readonly rows: MethodRows;
  readonly pourC: number;
}

type Lines = readonly (readonly [string, number])[];

interface Draw {
  readonly between: (least: number, most: number) => number;
  readonly of: <T>(list: readonly T[]) => T;
  readonly is: (share: number) => boolean;
}

const DARK = ['dark-couverture-54', 'dark-couverture-60', 'dark-couverture-66', 'dark-couverture-70'];
const MILK = ['milk-couverture-36', 'milk-couverture-40'];
const WHITE = ['white-couverture-28', 'white-couverture-34'];
const CREAMS = ['cream-30', 'cream-35', 'cream-36'];

/** Chocolate to 100 g of cream, at most: beyond it there is no emulsion to speak of. */
const MOST = { dark: 2.4, milk: 2.8, white: 3.2 };

function ganache({ between, of, is }: Draw): Lines {
  const kind = of(['dark', 'milk', 'white'] as const);
  const chocolate = of({ dark: DARK, milk: MILK, white: WHITE }[kind]);
  const cream = between(80, 900);
  const ratio = between(kind === 'dark' ? 0.5 : 0.8, MOST[kind]);
  return [
    [chocolate, cream * ratio],
    [of(CREAMS), cream],
    ...(is(0.4) ? ([['glucose-syrup-de42', cream * between(0.05, 0.25)]] as const) : []),
    ...(is(0.35) ? ([['butter-unsalted-82', cream * between(0.05, 0.3)]] as const) : []),
    ...(is(0.2) ? ([['rum-40', cream * between(0.02, 0.1)]] as const) : []),
    ...(is(0.2) ? ([['vanilla-extract', cream * 0.015]] as const) : []),
    ...(is(0.15) ? ([['invert-sugar-paste', cream * between(0.03, 0.1)]] as const) : []),
    ...(is(0.15) ? ([['hazelnut-paste', cream * between(0.05, 0.3)]] as const) : []),
  ];
}

function creamSauce({ between, of, is }: Draw): Lines {
  const milk = between(150, 800);
  return [
    [of(DARK), milk * between(0.4, 0.8)],
    [of(CREAMS), milk * between(0.3, 1)],
    ['milk-whole', milk],
    ...(is(0.6)
      ? ([[of(['sugar-caster', 'sugar-granulated', 'sugar-brown-dark']), milk * between(0.05, 0.3)]] as const)
      : []),
    ...(is(0.3) ? ([['glucose-syrup-de42', milk * between(0.05, 0.2)]] as const) : []),
    ...(is(0.3) ? ([['butter-unsalted-82', milk * between(0.03, 0.12)]] as const) : []),
    ...(is(0.3) ? ([['cocoa-alkalised-22', milk * between(0.02, 0.08)]] as const) : []),
  ];
}

function waterSauce({ between, of, is }: Draw): Lines {
  const water = between(150, 700);
  return [
    ['water', water],
    [of(['sugar-caster', 'sugar-granulated']), water * between(0.3, 0.8)],
    [of(['cocoa-alkalised-22', 'cocoa-alkalised-11']), water * between(0.1, 0.25)],
    ...(is(0.5) ? ([[of(DARK), water * between(0.1, 0.5)]] as const) : []),
    ...(is(0.3) ? ([['butter-unsalted-82', water * between(0.03, 0.12)]] as const) : []),
  ];
}

function starchSauce({ between, of, is }: Draw): Lines {
  const milk = between(250, 800);
  return [
    [of(['milk-whole', 'water']), milk],
    [of(['sugar-caster', 'sugar-granulated']), milk * between(0.1, 0.35)],
    [of(['cocoa-alkalised-22', 'cocoa-alkalised-11']), milk * between(0.04, 0.12)],
    ['starch-corn', milk * between(0.015, 0.035)],
    ...(is(0.6) ? ([[of(DARK), milk * between(0.1, 0.45)]] as const) : []),
    ...(is(0.3) ? ([['butter-unsalted-82', milk * between(0.03, 0.1)]] as const) : []),
  ];
}

function mirror({ between, of, is }: Draw): Lines {
  // A kilogram of glaze at most: what a pan of 20 cm is for.
  const water = between(90, 190);
  return [
    ['water', water],
    ['sugar-caster', water * between(1.2, 1.8)],
    ['glucose-syrup-de42', water * between(0.5, 1.6)],
    [of(CREAMS), water * between(0.7, 1.1)],
    ['cocoa-alkalised-22', water * between(0.35, 0.6)],
    ['gelatin-leaf-200', water * between(0.06, 0.1)],
    ...(is(0.3) ? ([[of(DARK), water * between(0.3, 0.9)]] as const) : []),
  ];
}

function noSugar({ between, of, is }: Draw): Lines {
  const cream = between(150, 500);
  return [
    ['unsweetened-chocolate-100', cream * between(0.25, 0.45)],
    [of(CREAMS), cream],
    [of(['erythritol', 'xylitol', 'maltitol-syrup']), cream * between(0.1, 0.25)],
    ...(is(0.4) ? ([['butter-unsalted-82', cream * between(0.05, 0.25)]] as const) : []),
  ];
}

const FAMILIES = [
  ['ganache', ganache, [28, 45]],
  ['ganache', ganache, [28, 40]],
  ['cream sauce', creamSauce, [35, 60]],
  ['water sauce', waterSauce, [35, 60]],
  ['starch sauce', starchSauce, [40, 65]],
  ['mirror', mirror, [30, 36]],
  ['no added sugar', noSugar, [30, 45]],
] as const;

/** So many formulas a kitchen may well make: families and ratios of a seed. */
export function sensibleFormulas(count: number, seed: number): SensibleFormula[] {
  const random = seededNumbers(seed);
  const draw: Draw = {
    between: (least, most) => least + (most - least) * random(),
    of: (list) => nth(list, Math.floor(random() * list.length)),
    is: (share) => random() < share,
  };
  return Array.from({ length: count }, (_, i) => {
    const [family, make, [least, most]] = draw.of(FAMILIES);
    const lines = make(draw).map(([id, grams]) => [id, Math.round(grams * 10) / 10] as const);
    return {
      name: `${family} ${i}`,
      lines,
      rows: methodRows(lines.map(([id, grams]) => ({ perGram: perGram(id), grams }))),
      pourC: Math.round(draw.between(least, most)),
    };
  });
}
