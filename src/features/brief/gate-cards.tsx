'use client';

import { useState } from 'react';
import type { Brief } from '@/core/brief/brief';
import type { Job, Overruled } from '@/core/brief/job';
import type { JobGate } from '@/core/brief/job-gates';
import { BRIEF_DENSITY } from '@/core/brief/job-gates';
import type { BriefGate, BriefTargets } from '@/core/brief/targets';
import { EDGES_APART, type Gate } from '@/core/formula/gates';
import type { Moment } from '@/core/formula/moments';
import { Button } from '@/ui/button';
import { flowGateWords, flowName } from '@/ui/flow-words';
import { celsius, hours } from '@/ui/format';
import { momentTitle } from '@/ui/moment-words';
import { NumberField } from '@/ui/number-field';
import { QUANTITY_WORDS } from '@/ui/quantity-words';
import { reasonOf } from './brief-words';

/** `1.5–7 Pa·s`, `at least 150 Pa`, `at most 4 Pa`. */
function bandWords({ gate }: BriefGate): string {
  const words = QUANTITY_WORDS[gate.quantity];
  const show = (value: number) => {
    const { number, unit } = words.show(value);
    return { number, unit: unit && `\u202f${unit}` };
  };
  if (gate.low !== undefined && gate.high !== undefined) {
    const [low, high] = [show(gate.low), show(gate.high)];
    return `${low.number}${low.unit === high.unit ? '' : low.unit}–${high.number}${high.unit}`;
  }
  const edge = show(gate.low ?? gate.high ?? 0);
  return `${gate.low !== undefined ? 'at least' : 'at most'} ${edge.number}${edge.unit}`;
}

function history(moment: Moment): string {
  const spent = moment.history.reduce((sum, [h]) => sum + h, 0);
  return spent < 1 ? 'fresh' : `after ${hours(spent)}`;
}

/** The gates moment by moment, each with its reason; any can be set by the cook instead. */
export function GateCards({
  brief,
  targets: { moments, gates, asked },
  onOverrule,
  onLetGo,
}: {
  brief: Brief;
  targets: BriefTargets;
  /** sets a gate of a job otherwise, or back to what physics gives */
  onOverrule: (job: number, key: string, edges: Overruled | undefined) => void;
  /** lets a gate go that was set on the bench */
  onLetGo: (gate: Gate) => void;
}) {
  const letGo = asked.filter(({ from }) => from.low === undefined && from.high === undefined);
  const cards = moments
    .map((moment) => ({
      moment,
      gates: gates.filter(({ gate }) => gate.moment === moment.name),
      open: letGo.filter((each) => each.moment === moment.name),
    }))
    .filter((card) => card.gates.length + card.open.length > 0);
  return (
    <ul className="grid grid-cols-[repeat(auto-fill,minmax(236px,1fr))] gap-3" data-testid="gate-cards">
      {cards.map(({ moment, gates: here, open }) => (
        <li key={moment.name} className="rounded-xl border border-rule bg-sheet px-4 py-3">
          <h3 className="font-sans text-[1rem] font-semibold">{momentTitle(moment.name)}</h3>
          <p className="mb-1.5 text-[0.82rem] text-mute">
            <span className="read">
              {celsius(moment.temperatureC)}, {history(moment)}
            </span>
            {isByHand(brief, moment) && ', set on the bench'}
          </p>
          <ul className="space-y-2">
            {here.map((each) => {
              const { job: index, from, gate, byHand } = each;
              const job = index === undefined ? undefined : brief.jobs[index];
              if (index === undefined || !from || !job) {
                return (
                  <PlainGate
                    key={`${byHand ? 'hand' : 'wish'} ${gate.quantity} ${gate.low} ${gate.high}`}
                    each={each}
                    temperatureC={moment.temperatureC}
                    onLetGo={byHand && (() => onLetGo(byHand))}
                  />
                );
              }
              return (
                <JobGateOf
                  key={`${index} ${from.key}`}
                  each={each}
                  temperatureC={moment.temperatureC}
                  from={from}
                  job={job}
                  onOverrule={(edges) => onOverrule(index, from.key, edges)}
                />
              );
            })}
            {open.map(({ job, from }) => (
              <li key={`open ${job} ${from.key}`} className="text-[13px] text-mute">
                {QUANTITY_WORDS[from.quantity].short}: let go by you.{' '}
                <button
                  type="button"
                  className="-my-2 min-h-11 px-1 font-medium text-enamel"
                  onClick={() => onOverrule(job, from.key, undefined)}
                >
                  Back to what physics gives
                </button>
              </li>
            ))}
          </ul>
        </li>
      ))}
    </ul>
  );
}

const isByHand = ({ byHand }: Brief, moment: Moment) => byHand?.moments.some((own) => own.moment === moment) ?? false;

/** What a gate asks: in words where it is a flow, a cling or a set, with the figure small below. */
function Band({ each, temperatureC }: { each: BriefGate; temperatureC: number }) {
  const { quantity } = each.gate;
  const words = flowGateWords(each.gate, temperatureC, BRIEF_DENSITY);
  const name = flowName(quantity, temperatureC) ?? QUANTITY_WORDS[quantity].short;
  return (
    <>
      <p className="flex items-baseline justify-between gap-2">
        <span className={words ? 'font-semibold text-enamel' : 'read text-[0.95rem] text-enamel'}>
          {words ?? bandWords(each)}
        </span>
        <span className="shrink-0 text-[12.5px] text-mute">{name}</span>
      </p>
      {words && <p className="read text-[0.82rem] text-mute">{bandWords(each)}</p>}
    </>
  );
}

/** A gate of a wish, or one that was set on the bench. */
function PlainGate({
  each,
  temperatureC,
  onLetGo,
}: {
  each: BriefGate;
  temperatureC: number;
  onLetGo: (() => void) | undefined;
}) {
  return (
    <li>
      <Band each={each} temperatureC={temperatureC} />
      <p className="text-[13px] text-mute">
        {onLetGo ? 'Set on the bench. ' : 'From the wishes above.'}
        {onLetGo && (
          <button type="button" className="-my-2 min-h-11 px-1 font-medium text-enamel" onClick={onLetGo}>
            let it go
          </button>
        )}
      </p>
    </li>
  );
}

/** A gate of a job with its reason; it opens to be set otherwise. */
function JobGateOf({
  each,
  temperatureC,
  from,
  job,
  onOverrule,
}: {
  each: BriefGate;
  temperatureC: number;
  from: JobGate;
  job: Job;
  onOverrule: (edges: Overruled | undefined) => void;
}) {
  const { gate } = each;
  const [isOpen, setIsOpen] = useState(false);
  const words = QUANTITY_WORDS[gate.quantity];
  const isOwn = from.key in job.overruled;
  const { low, high, weight } = gate;
  const edge = (which: 'low' | 'high') => (
    <NumberField
      label={which === 'low' ? 'From' : 'To'}
      showLabel
      optional
      placeholder="open"
      value={gate[which]}
      rules={{
        ...words.rules,
        least: which === 'high' ? Math.max(EDGES_APART * (low ?? 0), 1e-3) : 0,
        most: which === 'low' && high !== undefined ? high / EDGES_APART : words.rules.most,
      }}
      write={(value) => String(Number(value.toPrecision(3)))}
      onValue={(value) => onOverrule({ low, high, weight, [which]: value })}
    />
  );
  return (
    <li>
      <Band each={each} temperatureC={temperatureC} />
      <p className="text-[13px] leading-snug text-mute">
        {isOwn ? 'Set by you. ' : ''}
        {reasonOf(from, job)}{' '}
        <button
          type="button"
          className="-my-2 min-h-11 px-1 font-medium text-enamel"
          aria-expanded={isOpen}
          onClick={() => setIsOpen(!isOpen)}
        >
          {isOpen ? 'done' : 'set it otherwise'}
        </button>
      </p>
      {isOpen && (
        <div className="mt-1">
          <div className="grid grid-cols-2 gap-2">
            {edge('low')}
            {edge('high')}
          </div>
          {isOwn && (
            <Button look="bare" className="!px-2 text-[13px]" onClick={() => onOverrule(undefined)}>
              Back to what physics gives
            </Button>
          )}
        </div>
      )}
    </li>
  );
}
