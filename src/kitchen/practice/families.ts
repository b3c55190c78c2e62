import { type FormulaFile, readFormula } from '@/formats/formula-file';

/** What is practised where a kitchen has no formulas of its own: rows of the larder it starts with. */
const FAMILIES = [
  ['Plain ganache, one to one', 36, { 'cream-35': 200, 'dark-couverture-60': 200 }],
  ['Hot sauce', 45, { 'cream-35': 240, 'dark-couverture-70': 120, 'sugar-granulated': 40, 'butter-unsalted-82': 25 }],
  ['Firm ganache', 40, { 'cream-35': 165, 'dark-couverture-64': 220, 'butter-unsalted-82': 30 }],
] as const;

/** The families as formulas. */
export function practiceFamilies(): FormulaFile[] {
  return FAMILIES.map(([name, pourC, rows]) =>
    readFormula({
      format: 'dark-pour/formula',
      version: 1,
      name,
      lines: Object.entries(rows).map(([ingredient, grams]) => ({ ingredient, grams })),
      moments: [
        { name: 'pour', role: 'pour', temperatureC: pourC, history: [[0.3, pourC]] },
        { name: 'fridge', role: 'fridge', temperatureC: 5, history: [[12, 5]] },
      ],
    }),
  );
}
