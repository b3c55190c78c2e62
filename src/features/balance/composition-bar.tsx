import type { Prediction } from '@/core/predict/formula';
import { percent, significant } from '@/ui/format';

/** Parts of the bar: fills that say what they are, white text where it is dark enough. */
const PARTS = [
  { name: 'water', fill: '#9dbfd8', text: '#182022' },
  { name: 'cocoa butter', fill: '#8a5a2c', text: '#ffffff' },
  { name: 'milk fat', fill: '#e3c06a', text: '#182022' },
  { name: 'other fat', fill: '#d9cf8f', text: '#182022' },
  { name: 'sugars', fill: '#56646a', text: '#ffffff' },
  { name: 'cocoa', fill: '#3b1f15', text: '#ffffff' },
  { name: 'the rest', fill: '#b4c0c3', text: '#182022' },
] as const;

/** What the batch is made of, as a bar and the ratios cooks ask for. */
export function CompositionBar({ prediction }: { prediction: Prediction }) {
  const { mixture } = prediction.batch;
  const total = mixture.massG;
  const amounts: Record<(typeof PARTS)[number]['name'], number> = {
    water: mixture.waterG,
    'cocoa butter': mixture.cocoaButterG,
    'milk fat': mixture.milkFatG,
    'other fat': mixture.fatG - mixture.cocoaButterG - mixture.milkFatG,
    sugars: mixture.sugarsG,
    cocoa: mixture.cocoaSolidsG,
    'the rest': 0,
  };
  amounts['the rest'] = Math.max(total - Object.values(amounts).reduce((sum, grams) => sum + grams, 0), 0);
  let x = 0;
  return (
    <section aria-label="What it is made of" className="mt-4">
      <h3 className="mb-1 font-sans font-semibold text-[0.95rem]">What it is made of</h3>
      <svg
        viewBox="0 0 368 26"
        className="block w-full"
        role="img"
        aria-label={PARTS.map(({ name }) => `${name} ${percent(amounts[name] / total)}`).join(', ')}
      >
        {PARTS.map(({ name, fill, text }) => {
          const width = (amounts[name] / total) * 368;
          const left = x;
          x += width;
          const label = `${name} ${Math.round((100 * amounts[name]) / total)}`;
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
                  {Math.round((100 * amounts[name]) / total)}
                </text>
              )}
            </g>
          );
        })}
      </svg>
      <p className="mt-1 flex flex-wrap gap-x-4 text-[13px] text-mute">
        <Ratio name="cocoa" value={percent(mixture.cocoaSolidsG / total)} />
        <Ratio name="fat : water" value={significant(mixture.fatG / mixture.waterG)} />
        <Ratio name="syrup in the water" value={percent(prediction.asKept.flow.dissolved.brix / 100)} />
        <Ratio name="sweet" value={significant(prediction.taste.sweetness)} />
      </p>
    </section>
  );
}

function Ratio({ name, value }: { name: string; value: string }) {
  return (
    <span>
      {name} <span className="read text-[0.92rem] text-ink">{value}</span>
    </span>
  );
}
