'use client';

import { SlidersHorizontal } from 'lucide-react';
import { memo } from 'react';
import type { Moment } from '@/core/formula/moments';
import type { Doubt } from '@/core/predict/monte-carlo';
import type { Prediction } from '@/core/predict/predict-formula';
import type { OtherFlow } from '@/core/swap/keep-curve';
import type { PanContents } from '@/kitchen/pan-contents';
import { cautionLines, panCautions } from '@/kitchen/words/cautions';
import { Button } from '@/ui/button';
import { Gauge } from '@/ui/gauge';
import { momentTitle } from '@/ui/moment-words';
import { POUR_ABOVE_C } from '@/ui/quantity-words';
import { fixed } from '@/ui/settings/numerals';
import type { FormulaDraft } from '../draft/edit';
import { type Measure, measures } from './measures';
import { riskNotes } from './verdict';

/** The measures with band and doubt, the way to the targets, what to watch, and the cautions. */
export const VerdictDetails = memo(function VerdictDetails({
  draft,
  prediction,
  doubt,
  contents,
  onTargets,
  onFlow,
}: {
  draft: FormulaDraft;
  prediction: Prediction;
  doubt: Doubt | undefined;
  contents: PanContents;
  onTargets: () => void;
  /** asks for another flow at one moment, the rest as it is */
  onFlow: (other: OtherFlow) => void;
}) {
  const risks = riskNotes(prediction);
  return (
    <section aria-label="Measures" className="px-4 pt-1 pb-6">
      <ul>
        {measures(draft, prediction, doubt).map((measure) => (
          <MeasureRow key={measure.key} measure={measure} onFlow={onFlow} />
        ))}
      </ul>
      <Button className="mt-3 w-full" onClick={onTargets}>
        <SlidersHorizontal size={16} aria-hidden="true" /> Change what it must do
      </Button>
      {risks.length > 0 && (
        <div className="mt-4">
          <h3 className="mb-1 font-sans font-semibold text-[0.95rem]">Watch</h3>
          <ul className="space-y-1.5 text-[13.5px]">
            {risks.map((risk) => (
              <li key={risk.name}>
                <span className={`font-semibold ${risk.likely ? 'text-off' : 'text-near'}`}>
                  {risk.likely ? '▲ ' : '△ '}
                  {risk.name}
                </span>{' '}
                <span className="text-mute">
                  ({risk.likely ? 'likely' : 'possible'}, {fixed(risk.risk, 2)}, {risk.at}): {risk.reason}.
                </span>{' '}
                <span>Helps: {risk.cure}.</span>
              </li>
            ))}
          </ul>
        </div>
      )}
      <div className="mt-4 rounded-lg border border-near/30 bg-near-wash px-3 py-2 text-[13.5px]">
        <ul className="space-y-1">
          {cautionLines(panCautions(prediction, contents)).map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
      </div>
    </section>
  );
});

/** How many times as thick one press makes it: a flow, and a set (J). */
const FLOW_TIMES = 1.25;
const SET_TIMES = 1.5;

/** Thinner or thicker at one moment, the rest as it is: a press each. */
function OtherFlows({ at: { name, temperatureC }, onFlow }: { at: Moment; onFlow: (other: OtherFlow) => void }) {
  const isWarm = temperatureC >= POUR_ABOVE_C;
  const times = isWarm ? FLOW_TIMES : SET_TIMES;
  const choices = isWarm
    ? ([
        ['thinner here', 1 / times],
        ['thicker here', times],
      ] as const)
    : ([
        ['softer here', 1 / times],
        ['firmer here', times],
      ] as const);
  return (
    <p className="flex gap-3 text-[13px] text-mute">
      {choices.map(([word, factor]) => (
        <button
          key={word}
          type="button"
          aria-label={`${word}, keep the rest: ${momentTitle(name)}`}
          className="min-h-9 text-enamel underline"
          onClick={() => onFlow({ moment: name, times: factor })}
        >
          {word}
        </button>
      ))}
      <span className="self-center">keep the rest</span>
    </p>
  );
}

const MARK = { '-1': '▼', 0: '✓', 1: '▲' } as const;

function MeasureRow({ measure, onFlow }: { measure: Measure; onFlow: (other: OtherFlow) => void }) {
  const { title, words, shown, side, sideWord, target, value, low, high, spread, spreadWords, plain, range } = measure;
  const hasTarget = low !== undefined || high !== undefined;
  return (
    <li className="border-rule border-t pt-1 pb-0.5" data-measure={measure.key}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-2">
        <span className="font-medium whitespace-nowrap">{title}</span>
        <span
          className={`${words ? 'ml-auto text-[0.95rem] font-semibold' : 'read text-[1.06rem] whitespace-nowrap'} ${side === 0 ? '' : 'text-off'}`}
        >
          {hasTarget && (
            <span className={side === 0 ? 'text-enamel' : ''} aria-hidden="true">
              {MARK[side]}{' '}
            </span>
          )}
          {words ?? (
            <>
              {shown.number}
              {shown.unit && <span className="text-[0.86rem]"> {shown.unit}</span>}
            </>
          )}
        </span>
      </div>
      <Gauge value={value} low={low} high={high} spread={spread} plain={plain} range={range} />
      <p className="flex justify-between gap-2 text-[12.5px] text-mute">
        <span>
          {sideWord && <span className="font-semibold text-off">{sideWord}: </span>}
          {words && (
            <span className="read text-ink">
              {shown.number}
              {shown.unit && `\u202f${shown.unit}`}
            </span>
          )}
          {words ? hasTarget && `, wanted ${target}` : target}
        </span>
        {spreadWords && <span className="whitespace-nowrap">{spreadWords}</span>}
      </p>
      {measure.flowAt && <OtherFlows at={measure.flowAt} onFlow={onFlow} />}
    </li>
  );
}
