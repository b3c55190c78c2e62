import { type Composition, SWEET_NAMES } from '@/core/matter/components';
import { percent } from './format';

/** Parts of the bar: fills that say what they are, white text where it is dark enough. */
const PARTS = [
  { name: 'water', fill: '#9dbfd8', text: '#182022' },
  { name: 'cocoa butter', fill: '#8a5a2c', text: '#ffffff' },
  { name: 'milk fat', fill: '#e3c06a', text: '#182022' },
  { name: 'other fat', fill: '#d9cf8f', text: '#182022' },
  { name: 'sugars', fill: '#56646a', text: '#ffffff' },
  { name: 'cocoa', fill: '#3b1f15', text: '#ffffff' },
  { name: 'alcohol', fill: '#7fa0ff', text: '#182022' },
  { name: 'the rest', fill: '#b4c0c3', text: '#182022' },
] as const;

export type StripAmounts = Record<Exclude<(typeof PARTS)[number]['name'], 'the rest'>, number>;

const sum = (composition: Composition, ...names: (keyof Composition)[]) =>
  names.reduce((total, name) => total + (composition[name] ?? 0), 0);

/** The parts of the bar in a composition, g per 100 g. */
export function stripAmounts(composition: Composition): StripAmounts {
  return {
    water: sum(composition, 'water'),
    'cocoa butter': sum(composition, 'cocoa_butter'),
    'milk fat': sum(composition, 'milk_fat'),
    'other fat': sum(composition, 'lauric_fat', 'liquid_oil', 'hard_fat', 'lecithin'),
    sugars: sum(composition, 'lactose', ...SWEET_NAMES),
    cocoa: sum(composition, 'cocoa_solids'),
    alcohol: sum(composition, 'ethanol'),
  };
}

/** What something is made of, as a bar with plain words and numbers. */
export function CompositionStrip({ amounts, total }: { amounts: StripAmounts; total: number }) {
  const rest = Math.max(total - Object.values(amounts).reduce((all, grams) => all + grams, 0), 0);
  const parts = PARTS.map((part) => ({ ...part, grams: part.name === 'the rest' ? rest : amounts[part.name] }));
  let x = 0;
  return (
    <svg
      viewBox="0 0 368 26"
      className="block w-full"
      role="img"
      aria-label={parts
        .filter(({ grams }) => grams > 0.0005 * total)
        .map(({ name, grams }) => `${name} ${percent(grams / total)}`)
        .join(', ')}
    >
      {parts.map(({ name, fill, text, grams }) => {
        const width = (grams / total) * 368;
        const left = x;
        x += width;
        const label = `${name} ${Math.round((100 * grams) / total)}`;
        const room = label.length * 6;
        return (
          <g key={name}>
            <rect x={left} y={0} width={Math.max(width - 0.8, 0)} height={26} fill={fill} />
            {width > room && (
              <text x={left + width / 2} y={17} textAnchor="middle" fill={text} className="text-[11.5px]">
                {label}
              </text>
            )}
            {width <= room && width > 20 && (
              <text x={left + width / 2} y={17} textAnchor="middle" fill={text} className="text-[11.5px]">
                {Math.round((100 * grams) / total)}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
