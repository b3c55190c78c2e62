'use client';

import type { ApexOptions } from 'apexcharts';
import { useMemo } from 'react';
import type { Compared, WarmthPoint } from '@/kitchen/record/compared';
import { batchNumber } from '@/ui/batch-number';
import { numeral } from '@/ui/settings/numerals';
import { LineChart, warmthOverTime } from '@/ui/warmth-over-time';

/** Told apart by colour, dash and mark; at most four are laid side by side. */
const COMPARED_COLOURS = ['var(--color-enamel)', 'var(--color-off)', 'var(--color-near)', 'var(--color-mute)'] as const;
const MARKS = ['circle', 'square', 'triangle', 'cross'] as const;

const points = (line: readonly WarmthPoint[]) =>
  line.map(({ minutes, temperatureC }) => ({ x: minutes, y: Math.round(temperatureC * 10) / 10 }));

/** How warm each was over its time, beside what the first was reckoned to be. */
export function CompareChart({ batches }: { batches: readonly Compared[] }) {
  const series = useMemo(() => {
    const [first] = batches;
    const longest = Math.max(...batches.flatMap(({ read }) => read.map(({ minutes }) => minutes)), 0);
    const reckoned = first?.reckoned.filter(({ minutes }) => minutes <= Math.max(1.2 * longest, 30)) ?? [];
    return [
      { name: 'reckoned', data: points(reckoned) },
      ...batches.map(({ head, read }) => ({ name: batchNumber(head.number), data: points(read) })),
    ];
  }, [batches]);
  const options = useMemo(
    (): ApexOptions => ({
      ...warmthOverTime({ times: 6, timeWord: (minutes) => `${numeral(minutes, 0)} min` }),
      stroke: { width: [2.5, ...batches.map(() => 2)], curve: 'straight', dashArray: [6, ...batches.map(() => 0)] },
      markers: { size: [0, ...batches.map(() => 5)], shape: ['circle', ...MARKS.slice(0, batches.length)] },
      colors: ['var(--color-pour-drawn)', ...COMPARED_COLOURS.slice(0, batches.length)],
    }),
    [batches],
  );
  if (batches.every(({ read }) => read.length === 0)) {
    return <p className="mt-4 text-mute">Nobody read a temperature of any of them: there is nothing to draw.</p>;
  }
  return (
    <figure className="mt-4" data-testid="compare-chart">
      <LineChart type="line" height={320} width="100%" options={options} series={series} />
      <figcaption className="text-[13px] text-mute">
        Dashed as the first was reckoned, marks as each was read: circles, squares, triangles and crosses in the order
        above.
      </figcaption>
    </figure>
  );
}
