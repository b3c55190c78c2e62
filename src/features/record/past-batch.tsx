import type { ReactNode } from 'react';
import { PROBE_REACH, RING_REACH } from '@/formats/batch';
import { dayOf } from '@/formats/day';
import { MOST_GRAMS } from '@/formats/formula-file';
import type { Named } from '@/formats/server-answers';
import { useFormulaNames } from '@/kitchen/client/use-formula-names';
import { Button } from '@/ui/button';
import { ByWhom } from '@/ui/by-whom';
import { choiceOf } from '@/ui/choice-of';
import { EntryForm } from '@/ui/entry-form';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import type { AmountRules } from '@/ui/parse-amount';
import { Sheet } from '@/ui/sheet';
import { type PastDraft, usePastBatch } from './use-past-batch';

const TIMES = inlineRules([0.01, 1000], '', '1');
const GRAMS = { least: 0, most: MOST_GRAMS, unit: 'g', units: { g: 1, kg: 1000 }, example: '512' };
const WARM = inlineRules(PROBE_REACH, '°C', '34');
const MM = inlineRules(RING_REACH, 'mm', '92');
const BOX = 'h-11 w-full min-w-0 rounded-lg border border-rule bg-field px-3';
const FIGURES = [
  ['inBowl', 'In the bowl', GRAMS],
  ['pouredC', 'Poured at', WARM],
  ['ringMm', 'Ring on a plate, then', MM],
] as const satisfies readonly (readonly [keyof PastDraft, string, AmountRules])[];
const LONGEST_USE = 120;
const LONGEST_NOTE = 500;

/** A batch that was made without being followed: ten fields at most, by keys alone. */
export function PastBatch({
  formula,
  nowMs,
  onClose,
}: {
  /** the one it is of, where that is known */
  formula: Named | undefined;
  nowMs: number;
  onClose: () => void;
}) {
  const past = usePastBatch(formula?.id ?? '', nowMs);
  const { draft, isBusy, write } = past;
  const all = useFormulaNames(formula === undefined);
  const fault = past.fault ?? all.fault;
  const press = (
    <>
      {fault && (
        <p role="alert" className="flex-1 text-off">
          {fault}
        </p>
      )}
      <Button
        look="primary"
        disabled={isBusy || draft.formulaId === '' || draft.day === ''}
        onClick={() => void write()}
      >
        Into the book
      </Button>
    </>
  );
  return (
    <Sheet title="Write a batch down" onClose={onClose} footer={press}>
      <EntryForm className="grid grid-cols-1 gap-x-4 gap-y-3 p-5 sm:grid-cols-2" onEntry={() => void write()}>
        <PastFields past={past} names={formula ? [formula] : all.names} nowMs={nowMs} />
        <div className="self-end">
          <ByWhom />
        </div>
      </EntryForm>
    </Sheet>
  );
}

function PastFields({
  past: { draft, say },
  names,
  nowMs,
}: {
  past: ReturnType<typeof usePastBatch>;
  names: readonly Named[];
  nowMs: number;
}) {
  const text = (label: string, key: 'use' | 'note', longest: number) => (
    <Row label={label}>
      <input
        aria-label={label}
        className={BOX}
        maxLength={longest}
        value={draft[key]}
        onChange={(event) => say({ [key]: event.target.value })}
      />
    </Row>
  );
  return (
    <>
      <Row label="Formula">
        <select
          aria-label="Formula made"
          className={BOX}
          value={draft.formulaId}
          onChange={(event) => say({ formulaId: event.target.value })}
        >
          {draft.formulaId === '' && <option value="">a formula</option>}
          {names.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </Row>
      <Row label="Made on">
        <input
          type="date"
          aria-label="Made on"
          className={BOX}
          max={dayOf(nowMs)}
          value={draft.day}
          onChange={(event) => say({ day: event.target.value })}
        />
      </Row>
      <Row label="Times the formula">
        <NumberField
          label="Times the formula"
          value={draft.times}
          rules={TIMES}
          write={inlinePlain}
          onValue={(value) => value !== undefined && say({ times: value })}
        />
      </Row>
      {FIGURES.map(([key, label, rules]) => (
        <Row key={key} label={label}>
          <NumberField
            label={label}
            value={draft[key]}
            optional
            rules={rules}
            write={inlinePlain}
            placeholder="–"
            onValue={(value) => say({ [key]: value })}
          />
        </Row>
      ))}
      {text('Used for', 'use', LONGEST_USE)}
      <Row label="How it went">
        <select
          aria-label="How it went, this one"
          className={BOX}
          value={draft.went}
          onChange={(event) => say({ went: choiceOf(['yes', 'no'] as const, event.target.value) ?? '' })}
        >
          <option value="">nobody said</option>
          <option value="yes">it landed</option>
          <option value="no">it missed</option>
        </select>
      </Row>
      {text('Note', 'note', LONGEST_NOTE)}
    </>
  );
}

function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div>
      <p className="text-[13.5px] text-mute">{label}</p>
      {children}
    </div>
  );
}
