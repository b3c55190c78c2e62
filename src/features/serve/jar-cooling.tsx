import { useMemo } from 'react';
import { coolingTime } from '@/core/pan/cooling-time';
import { type StillMaterial, stillMaterial } from '@/core/pan/still';
import { jarRadiusM } from '@/core/serve/jars';
import { type Body, COOLING_PLACES } from '@/core/set/cooling';
import { COOLING_RULES } from '@/kitchen/cook/danger-clock';
import { duration } from '@/ui/duration';
import { celsius } from '@/ui/format';
import type { Serving } from './use-serving';

const FRIDGE_C = 4;
const ICE_C = 1;
const FIRST_STOP_C = 21;
const COLD_C = 5;
/** m: how deep a shallow tray is filled. */
const SHALLOW_M = 0.02;

/** Where something cools. */
type Place = Parameters<typeof coolingTime>[2];

const FRIDGE: Place = { surface: COOLING_PLACES.fridge, aroundC: FRIDGE_C };
const ICE: Place = { surface: COOLING_PLACES.iceBath, aroundC: ICE_C };

/** Hours to the first stop and until it is cold, in the middle; nothing where it never comes there. */
function stops(body: Body, material: StillMaterial, place: Place, fromC: number) {
  const to = (toC: number) => coolingTime(body, material, place, { fromC, toC }, 'centre');
  return { firstH: to(FIRST_STOP_C), coldH: to(COLD_C) };
}

/** Whether it cools within the common rules of two stages. */
const isFast = ({ firstH, coldH }: ReturnType<typeof stops>) =>
  firstH !== undefined && coldH !== undefined && firstH <= COOLING_RULES.firstH && coldH < COOLING_RULES.allH;

/** How the middle and the wall of one of them cool in the fridge; what is fast enough where that is too slow. */
export function JarCooling({ serving, brimMl, fillC }: { serving: Serving; brimMl: number; fillC: number }) {
  const found = useMemo(() => {
    const jar = { shape: 'cylinder', lengthM: jarRadiusM(brimMl) } as const;
    const tray = { shape: 'slab', lengthM: SHALLOW_M } as const;
    const material = stillMaterial(serving.prediction.batch);
    const rows = [FIRST_STOP_C, COLD_C].map((toC) => {
      const span = { fromC: fillC, toC };
      return {
        toC,
        centreH: coolingTime(jar, material, FRIDGE, span, 'centre'),
        edgeH: coolingTime(jar, material, FRIDGE, span, 'edge'),
      };
    });
    const isSlow = !isFast(stops(jar, material, FRIDGE, fillC));
    const ways = [
      { name: 'In ice water first', ...stops(jar, material, ICE, fillC) },
      {
        name: `In a tray ${100 * SHALLOW_M} cm deep in the fridge, then filled cold`,
        ...stops(tray, material, FRIDGE, fillC),
      },
      { name: `In a tray ${100 * SHALLOW_M} cm deep on ice, then filled cold`, ...stops(tray, material, ICE, fillC) },
    ];
    return { rows, isSlow, way: ways.find(isFast) };
  }, [serving, brimMl, fillC]);
  const words = (hours: number | undefined) => (hours === undefined ? 'never' : duration(3600 * hours));
  return (
    <>
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
          {found.rows.map(({ toC, centreH, edgeH }) => (
            <tr key={toC} className="border-rule-soft border-t">
              <th className="py-1 text-left font-medium">{celsius(toC)}</th>
              <td className="read text-right">{words(edgeH)}</td>
              <td className="read text-right">{words(centreH)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {found.isSlow && (
        <p data-testid="too-slow" className="mt-2 max-w-2xl rounded-lg bg-near-wash px-3 py-2">
          This is too slow. The common rule is {celsius(FIRST_STOP_C)} within {COOLING_RULES.firstH} h,{' '}
          {celsius(COLD_C)} within {COOLING_RULES.allH} h.{' '}
          {found.way
            ? `${found.way.name} it takes ${words(found.way.firstH)} and ${words(found.way.coldH)}.`
            : 'Use smaller jars, stirred on ice before they are filled.'}
        </p>
      )}
    </>
  );
}
