'use client';

import { useState } from 'react';
import type { Brief } from '@/core/brief/brief';
import type { BriefGate } from '@/core/brief/brief-gates';
import type { Overruled } from '@/core/brief/job';
import type { Moment } from '@/core/predict/moments';
import { Button } from '@/ui/button';
import { momentTitle } from '@/ui/cook-words';
import { celsius, hours } from '@/ui/format';
import { NumberField } from '@/ui/number-field';
import { QUANTITY_WORDS } from '@/ui/quantity-words';
import { reasonOf } from './brief-words';

/** Edges of a gate keep at least this factor apart. */
const APART = 1.02;

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
  moments,
  gates,
  onOverrule,
}: {
  brief: Brief;
  moments: readonly Moment[];
  gates: readonly BriefGate[];
  /** sets a gate of a job otherwise, or back to what physics gives */
  onOverrule: (job: number, key: string, edges: Overruled | undefined) => void;
}) {
  const gated = moments.filter(({ name }) => gates.some(({ gate }) => gate.moment === name));
  return (
    <ul className="grid grid-cols-[repeat(auto-fill,minmax(236px,1fr))] gap-3" data-testid="gate-cards">
      {gated.map((moment) => (
        <li key={moment.name} className="rounded-xl border border-rule bg-sheet px-4 py-3">
          <h3 className="font-sans text-[1rem] font-semibold">{momentTitle(moment.name)}</h3>
          <p className="read mb-1.5 text-[0.82rem] text-mute">
            {celsius(moment.temperatureC)}, {history(moment)}
          </p>
          <ul className="space-y-2">
            {gates
              .filter(({ gate }) => gate.moment === moment.name)
              .map((each) => (
                <GateOf
                  key={`${each.job ?? 'wish'} ${each.from?.key ?? each.gate.quantity}`}
                  each={each}
                  brief={brief}
                  onOverrule={onOverrule}
                />
              ))}
          </ul>
        </li>
      ))}
    </ul>
  );
}

function GateOf({
  each,
  brief,
  onOverrule,
}: {
  each: BriefGate;
  brief: Brief;
  onOverrule: (job: number, key: string, edges: Overruled | undefined) => void;
}) {
  const { gate, job: index, from } = each;
  const [isOpen, setIsOpen] = useState(false);
  const words = QUANTITY_WORDS[gate.quantity];
  const job = index === undefined ? undefined : brief.jobs[index];
  const isOwn = job !== undefined && from !== undefined && from.key in job.overruled;
  const edge = (which: 'low' | 'high') =>
    index !== undefined &&
    from && (
      <NumberField
        label={which === 'low' ? 'From' : 'To'}
        showLabel
        optional
        placeholder="open"
        value={gate[which]}
        rules={{
          ...words.rules,
          least: which === 'high' ? Math.max(APART * (gate.low ?? 0), 1e-3) : 0,
          most: which === 'low' && gate.high !== undefined ? gate.high / APART : words.rules.most,
        }}
        write={(value) => String(Number(value.toPrecision(3)))}
        onValue={(value) => onOverrule(index, from.key, { low: gate.low, high: gate.high, [which]: value })}
      />
    );
  return (
    <li>
      <p className="flex items-baseline justify-between gap-2">
        <span className="read text-[0.95rem] text-enamel">{bandWords(each)}</span>
        <span className="text-[12.5px] text-mute">{words.short}</span>
      </p>
      {from && job && (
        <p className="text-[13px] leading-snug text-mute">
          {isOwn ? 'Set by you. ' : ''}
          {reasonOf(from, job)}{' '}
          <button
            type="button"
            className="min-h-8 font-medium text-enamel"
            aria-expanded={isOpen}
            onClick={() => setIsOpen(!isOpen)}
          >
            {isOpen ? 'done' : 'set it otherwise'}
          </button>
        </p>
      )}
      {!from && <p className="text-[13px] text-mute">From the wishes above.</p>}
      {isOpen && from && index !== undefined && (
        <div className="mt-1">
          <div className="grid grid-cols-2 gap-2">
            {edge('low')}
            {edge('high')}
          </div>
          {isOwn && (
            <Button look="bare" className="!px-2 text-[13px]" onClick={() => onOverrule(index, from.key, undefined)}>
              Back to what physics gives
            </Button>
          )}
        </div>
      )}
    </li>
  );
}
