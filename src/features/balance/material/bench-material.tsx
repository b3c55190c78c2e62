import { useMemo } from 'react';
import type { Predicted } from '@/kitchen/known-pan';
import { byKey } from '@/kitchen/known-pan';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { LaterDayChart, LaterMapView } from '../later-parts';
import { ingredientName } from '../pan/pan';
import type { Bench } from '../use-bench';
import { CurveView } from './curve-view';
import { MaterialCard } from './material-card';
import { MomentsStrip } from './moments-strip';

/** The middle of the bench: the curve, the day or the map, and the puddles under them. */
export function BenchMaterial({ bench, predicted }: { bench: Bench; predicted: Predicted }) {
  const { formula, view, rested, compared, proposed, proposedGrams, setSheet, setCompared, shelf } = bench;
  const { draft, edit } = formula;
  const { prediction } = predicted;
  const [kitchenC] = useKitchenTemperature();
  const shownBeside = useMemo(
    () => (proposed ? [{ name: 'proposed', prediction: proposed }] : compared),
    [proposed, compared],
  );
  return (
    <>
      <MaterialCard
        view={view}
        onView={bench.setView}
        rested={rested}
        onRested={bench.setRested}
        compared={compared}
        onCompare={() => setSheet('compare')}
        onStopComparing={() => setCompared([])}
      >
        {view === 'curve' && (
          <CurveView
            predicted={predicted}
            doubt={bench.doubt}
            rested={rested}
            previous={formula.previous?.prediction}
            more={bench.more}
            compared={shownBeside}
            kitchenC={kitchenC}
            edit={edit}
          />
        )}
        {view === 'day' && <LaterDayChart prediction={prediction} />}
        {view === 'map' && (
          <LaterMapView
            formula={predicted.formula}
            use={draft.use}
            proposedGrams={proposedGrams && predicted.keys.map((key) => proposedGrams.get(key) ?? 0)}
            nameOf={(ingredient) => ingredientName(draft, shelf.larder, ingredient)}
            onGrams={(grams) => edit({ type: 'mapped', grams: byKey(predicted, grams) })}
          />
        )}
      </MaterialCard>
      <MomentsStrip prediction={prediction} onMoments={bench.openers.targets} onPour={(pour) => setSheet({ pour })} />
    </>
  );
}
