import { useState } from 'react';
import { coolingRate, secondsToCool } from '@/core/cook/cooling-fit';
import type { FollowedStep } from '@/core/method/follow-method';
import { PROBE_REACH } from '@/formats/batch';
import { Button } from '@/ui/button';
import { duration } from '@/ui/duration';
import { EntryForm } from '@/ui/entry-form';
import { celsius } from '@/ui/format';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import { StirCue } from './stir-cue';
import type { Cook } from './use-cook';
import { WarmthChart } from './warmth-chart';

const PROBE = inlineRules(PROBE_REACH, '°C', '62');

/** 1/s at which the pan of a step comes to the kitchen's warmth, as the engine reckons. */
function expectedRate({ start, end, seconds }: FollowedStep, aroundC: number): number {
  const [from, to] = [start.temperatureC - aroundC, end.temperatureC - aroundC];
  const rate = from > 0 && to > 0 && seconds > 0 ? Math.log(from / to) / seconds : 0;
  return rate > 1e-6 ? rate : 1 / 1200;
}

/** When it has cooled so far, from what was read since the step began. */
function coolsWords(cook: Cook, followed: FollowedStep, place: number): string | undefined {
  const { end } = followed.step;
  if (end.kind !== 'cooled') return undefined;
  const begunMs = cook.state.steps[place]?.startedMs;
  if (begunMs === undefined) return undefined;
  const { kitchenC } = cook.cooked.method.kitchen;
  const read = cook.state.temperatures
    .filter(({ ms }) => ms >= begunMs)
    .map(({ ms, temperatureC }) => ({ seconds: (ms - begunMs) / 1000, temperatureC }));
  const last = read.at(-1);
  const rate = coolingRate(read, kitchenC, expectedRate(followed, kitchenC));
  const from = last?.temperatureC ?? followed.start.temperatureC;
  const told = secondsToCool(from, end.temperatureC, kitchenC, rate);
  if (!told)
    return `In a kitchen of ${celsius(Math.round(kitchenC))} it never comes down to ${celsius(end.temperatureC)}.`;
  if (told.seconds === 0) return `It is down at ${celsius(end.temperatureC)}: go on.`;
  const since = last ? (cook.log.now() - begunMs) / 1000 - last.seconds : (cook.log.now() - begunMs) / 1000;
  const left = (seconds: number) => Math.max(seconds - since, 0);
  return `Down to ${celsius(end.temperatureC)} in about ${duration(left(told.seconds))}, between ${duration(left(told.least))} and ${duration(left(told.most))}${last ? ', by what you read' : '; read it once or twice and this gets surer'}.`;
}

/** How warm it is: what the pan reckons, what was read, and one field to read into. */
export function Warmth({ cook, followed, place }: { cook: Cook; followed: FollowedStep; place: number }) {
  const [typed, setTyped] = useState<number | undefined>();
  const [entries, setEntries] = useState(0);
  const last = cook.state.temperatures.at(-1);
  const probe = cook.devices.reading?.probe;
  const words = coolsWords(cook, followed, place);
  const keep = () => {
    if (typed === undefined) return;
    cook.log.tell({ kind: 'temperature', temperatureC: typed, by: 'hand' });
    setTyped(undefined);
    setEntries(entries + 1);
  };
  return (
    <section aria-label="Warmth" className="mt-4 rounded-xl border border-rule bg-sheet px-5 py-3">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        {probe && (
          <p data-testid="probe">
            <span className="text-mute">the probe</span>{' '}
            {probe.kind === 'lost' ? (
              'says nothing: read another, or go by looks'
            ) : (
              <span className="read text-[34px] leading-tight">{celsius(probe.temperatureC)}</span>
            )}
          </p>
        )}
        <EntryForm className="ml-auto flex items-center gap-2" onEntry={keep}>
          <NumberField
            key={entries}
            label="Temperature now"
            value={typed}
            optional
            rules={PROBE}
            write={inlinePlain}
            placeholder="now"
            onValue={setTyped}
            className="w-28"
          />
          <Button type="submit" className="min-h-12" disabled={typed === undefined}>
            Note it
          </Button>
          {last && <span className="text-mute">last {celsius(last.temperatureC)}</span>}
        </EntryForm>
      </div>
      <WarmthChart cook={cook} place={place} />
      {words && (
        <p className="mt-2 text-[17px]" suppressHydrationWarning>
          {words}
        </p>
      )}
      <StirCue followed={followed} begunMs={cook.state.steps[place]?.startedMs ?? cook.log.now()} now={cook.log.now} />
    </section>
  );
}
