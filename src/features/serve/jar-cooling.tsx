import { useMemo } from 'react';
import { coolingTime } from '@/core/pan/cooling-time';
import { stillMaterial } from '@/core/pan/still';
import { jarRadiusM } from '@/core/serve/jars';
import { COOLING_PLACES } from '@/core/set/cooling';
import { duration } from '@/ui/duration';
import { celsius } from '@/ui/format';
import type { Serving } from './use-serving';

const FRIDGE_C = 4;

/** How the middle and the wall of one of them cool in the fridge. */
export function JarCooling({ serving, brimMl, fillC }: { serving: Serving; brimMl: number; fillC: number }) {
  const rows = useMemo(() => {
    const body = { shape: 'cylinder', lengthM: jarRadiusM(brimMl) } as const;
    const material = stillMaterial(serving.prediction.batch);
    const place = { surface: COOLING_PLACES.fridge, aroundC: FRIDGE_C };
    return [21, 5].map((toC) => {
      const span = { fromC: fillC, toC };
      return {
        toC,
        centreH: coolingTime(body, material, place, span, 'centre'),
        edgeH: coolingTime(body, material, place, span, 'edge'),
      };
    });
  }, [serving, brimMl, fillC]);
  const words = (hours: number | undefined) => (hours === undefined ? 'never' : duration(3600 * hours));
  return (
    <table className="mt-3 w-full max-w-2xl text-[15px]">
      <caption className="text-left font-semibold">In the fridge, filled at {celsius(Math.round(fillC))}</caption>
      <thead>
        <tr className="text-left text-mute">
          <th className="py-1 font-medium">down to</th>
          <th className="text-right font-medium">at the wall</th>
          <th className="text-right font-medium">in the middle</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ toC, centreH, edgeH }) => (
          <tr key={toC} className="border-rule-soft border-t">
            <th className="py-1 text-left font-medium">{celsius(toC)}</th>
            <td className="read text-right">{words(edgeH)}</td>
            <td className="read text-right">{words(centreH)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
