'use client';

import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { Plus, Trash2, X } from 'lucide-react';
import { useState } from 'react';
import { GATE_QUANTITIES, type GateQuantity } from '@/core/balance/quantities';
import { findUse, USES } from '@/core/balance/uses';
import type { FileGate } from '@/formats/formula-file';
import { Button } from '@/ui/button';
import { momentTitle } from '@/ui/cook-words';
import { gramsPlain } from '@/ui/format';
import { NumberField } from '@/ui/number-field';
import { type AmountRules, GRAMS } from '@/ui/parse-amount';
import { QUANTITY_WORDS } from '@/ui/quantity-words';
import type { Edit, FormulaDraft } from './formula-draft';

type Targets = Extract<Edit, { type: 'targets' }>;

const CELSIUS: AmountRules = { least: -5, most: 110, unit: '°C', units: { '°c': 1, c: 1 }, example: '32' };
const HOURS: AmountRules = { least: 0, most: 10_000, unit: 'h', units: { h: 1, min: 1 / 60 }, example: '12' };

const plain = (value: number) => String(Math.round(value * 1e4) / 1e4);

/** How much a miss of a gate counts when not all can be met. */
const WEIGHTS = [
  [0.3, 'a wish'],
  [1, 'counts'],
  [3, 'counts most'],
] as const;

/** What is wrong with a gate, if anything. */
function gateFault(gate: FileGate): string | undefined {
  if (gate.low === undefined && gate.high === undefined) return 'Give it a lower or an upper edge.';
  if (gate.high !== undefined && gate.high <= 0) return 'The upper edge must be above 0.';
  if (gate.high !== undefined && (gate.low ?? 0) >= gate.high) return 'The lower edge must be below the upper one.';
  return undefined;
}

const MOST_MOMENTS = 12;

/** What is wrong with the moments' names, if anything. */
function momentsFault(moments: Targets['moments']): string | undefined {
  const names = moments.map(({ name }) => name.trim());
  if (names.includes('')) return 'Every moment needs a name.';
  const twice = names.find((name, i) => names.indexOf(name) !== i);
  return twice === undefined ? undefined : `“${twice}” is there twice.`;
}

/** A moment to begin with: an hour on the bench, under a name that is free. */
function newMoment(moments: Targets['moments']): Targets['moments'][number] {
  let name = 'later';
  for (let n = 2; moments.some((moment) => moment.name === name); n++) name = `later ${n}`;
  return { name, temperatureC: 20, history: [[1, 20]] };
}

/** What the formula must do: its use, its moments, its gates and the yield wanted. Taken over as one step. */
export function TargetsSheet({
  draft,
  onClose,
  onTake,
}: {
  draft: FormulaDraft;
  onClose: () => void;
  onTake: (edit: Targets) => void;
}) {
  const [targets, setTargets] = useState<Targets>({
    type: 'targets',
    use: draft.use,
    moments: draft.moments,
    gates: draft.gates,
    yield: draft.yield,
  });
  const [touched, setTouched] = useState(0);
  const momentFault = momentsFault(targets.moments);
  const faulty = momentFault !== undefined || targets.gates.some((gate) => gateFault(gate) !== undefined);

  const choose = (id: string) => {
    const use = findUse(id);
    if (!use) return;
    setTouched(touched + 1);
    setTargets({ ...targets, use: use.id, moments: [...use.moments], gates: [...use.gates] });
  };
  const setGate = (index: number, change: Partial<FileGate>) =>
    setTargets({ ...targets, gates: targets.gates.map((gate, i) => (i === index ? { ...gate, ...change } : gate)) });
  const renameMoment = (index: number, name: string) => {
    const old = targets.moments[index]?.name;
    const alone = targets.moments.filter((moment) => moment.name === old).length === 1;
    setTargets({
      ...targets,
      moments: targets.moments.map((moment, i) => (i === index ? { ...moment, name } : moment)),
      gates: alone
        ? targets.gates.map((gate) => (gate.moment === old ? { ...gate, moment: name } : gate))
        : targets.gates,
    });
  };
  const setMoment = (index: number, temperatureC: number, hours: number) =>
    setTargets({
      ...targets,
      moments: targets.moments.map((moment, i) =>
        i === index ? { ...moment, temperatureC, history: [[hours, temperatureC]] } : moment,
      ),
    });

  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <DialogBackdrop className="fixed inset-0 bg-black/50" />
      <div className="fixed inset-0 flex justify-end">
        <DialogPanel className="flex h-full w-full max-w-[560px] flex-col bg-sheet shadow-2xl">
          <div className="flex items-center justify-between border-rule border-b px-5 py-2">
            <DialogTitle className="text-[1.25rem]">What it must do</DialogTitle>
            <Button look="bare" className="!px-3" onClick={onClose} aria-label="Close without changes">
              <X size={18} aria-hidden="true" />
            </Button>
          </div>
          <div className="thin-scroll flex-1 space-y-6 overflow-y-auto px-5 py-4" key={touched}>
            <label className="block">
              <span className="mb-1 block font-semibold">Use</span>
              <select
                className="h-11 w-full rounded-lg border border-rule bg-field px-3"
                value={findUse(targets.use)?.id ?? ''}
                onChange={(event) => choose(event.target.value)}
              >
                <option value="" disabled>
                  My own
                </option>
                {USES.map((use) => (
                  <option key={use.id} value={use.id}>
                    {use.name}
                  </option>
                ))}
              </select>
              <span className="mt-1 block text-[13px] text-mute">Choosing one sets its usual moments and gates.</span>
            </label>

            <section>
              <h3 className="mb-2 font-sans font-semibold">Moments</h3>
              <ul className="space-y-2">
                {targets.moments.map((moment, index) => {
                  const last = moment.history.at(-1) ?? [0.3, moment.temperatureC];
                  const steps = moment.history.length;
                  return (
                    // biome-ignore lint/suspicious/noArrayIndexKey: the name is being typed; the place tells moments apart
                    <li key={index} className="grid grid-cols-[1fr_104px_104px_44px] items-start gap-2">
                      <input
                        aria-label={`Name of moment ${index + 1}`}
                        className="h-11 w-full min-w-0 rounded-lg border border-rule bg-field px-3 font-medium"
                        value={moment.name}
                        maxLength={40}
                        onChange={(event) => renameMoment(index, event.target.value)}
                      />
                      <NumberField
                        label={`Temperature, ${momentTitle(moment.name)}`}
                        value={moment.temperatureC}
                        rules={CELSIUS}
                        write={plain}
                        onValue={(value) => value !== undefined && setMoment(index, value, last[0])}
                      />
                      {steps > 1 ? (
                        <span className="pt-2.5 text-[13px] text-mute">after {steps} steps</span>
                      ) : (
                        <NumberField
                          label={`Hours, ${momentTitle(moment.name)}`}
                          value={last[0]}
                          rules={HOURS}
                          write={plain}
                          onValue={(value) => value !== undefined && setMoment(index, moment.temperatureC, value)}
                        />
                      )}
                      <Button
                        look="bare"
                        className="!px-0"
                        aria-label={`Leave out ${momentTitle(moment.name)}`}
                        onClick={() => {
                          setTouched(touched + 1);
                          setTargets({
                            ...targets,
                            moments: targets.moments.filter((_, i) => i !== index),
                            gates: targets.gates.filter((gate) => gate.moment !== moment.name),
                          });
                        }}
                      >
                        <Trash2 size={16} aria-hidden="true" />
                      </Button>
                    </li>
                  );
                })}
              </ul>
              {momentFault && (
                <p role="alert" className="mt-2 text-[13px] text-off">
                  {momentFault}
                </p>
              )}
              <Button
                className="mt-3"
                disabled={targets.moments.length >= MOST_MOMENTS}
                onClick={() => {
                  setTouched(touched + 1);
                  setTargets({ ...targets, moments: [...targets.moments, newMoment(targets.moments)] });
                }}
              >
                <Plus size={16} aria-hidden="true" /> Add a moment
              </Button>
            </section>

            <section>
              <h3 className="mb-2 font-sans font-semibold">Gates</h3>
              <ul className="space-y-3">
                {targets.gates.map((gate, index) => {
                  const { name, rules } = QUANTITY_WORDS[gate.quantity];
                  const fault = gateFault(gate);
                  return (
                    // biome-ignore lint/suspicious/noArrayIndexKey: two gates may be alike; their place tells them apart
                    <li key={index} className="rounded-lg border border-rule bg-field p-3">
                      <div className="mb-2 grid grid-cols-[1fr_130px_44px] gap-2">
                        <select
                          aria-label="Quantity"
                          className="h-11 rounded-lg border border-rule bg-field px-2"
                          value={gate.quantity}
                          onChange={(event) => {
                            const quantity = event.target.value as GateQuantity;
                            setTouched(touched + 1);
                            setGate(index, {
                              quantity,
                              low: undefined,
                              high: undefined,
                              ...QUANTITY_WORDS[quantity].usual,
                            });
                          }}
                        >
                          {GATE_QUANTITIES.map((quantity) => (
                            <option key={quantity} value={quantity}>
                              {QUANTITY_WORDS[quantity].name}
                            </option>
                          ))}
                        </select>
                        <select
                          aria-label="Moment"
                          className="h-11 rounded-lg border border-rule bg-field px-2"
                          value={gate.moment}
                          onChange={(event) => setGate(index, { moment: event.target.value })}
                        >
                          {targets.moments.map((moment) => (
                            <option key={moment.name} value={moment.name}>
                              {momentTitle(moment.name)}
                            </option>
                          ))}
                        </select>
                        <Button
                          look="bare"
                          className="!px-0"
                          aria-label={`Remove the gate for ${name}`}
                          onClick={() => {
                            setTouched(touched + 1);
                            setTargets({ ...targets, gates: targets.gates.filter((_, i) => i !== index) });
                          }}
                        >
                          <Trash2 size={16} aria-hidden="true" />
                        </Button>
                      </div>
                      <div className="grid grid-cols-[1fr_1fr_104px] gap-2">
                        <NumberField
                          label={`At least, ${name}`}
                          optional
                          placeholder="no lower edge"
                          value={gate.low}
                          rules={rules}
                          write={plain}
                          onValue={(low) => setGate(index, { low })}
                        />
                        <NumberField
                          label={`At most, ${name}`}
                          optional
                          placeholder="no upper edge"
                          value={gate.high}
                          rules={rules}
                          write={plain}
                          onValue={(high) => setGate(index, { high })}
                        />
                        <select
                          aria-label={`Weight, ${name}`}
                          className="h-11 rounded-lg border border-rule bg-field px-1 text-[13px]"
                          value={gate.weight ?? 1}
                          onChange={(event) => setGate(index, { weight: Number(event.target.value) })}
                        >
                          {WEIGHTS.map(([weight, words]) => (
                            <option key={weight} value={weight}>
                              {words}
                            </option>
                          ))}
                        </select>
                      </div>
                      {fault && (
                        <p role="alert" className="mt-2 rounded-md bg-off-wash px-2 py-1 text-[13px] text-off">
                          {fault}
                        </p>
                      )}
                    </li>
                  );
                })}
              </ul>
              <Button
                className="mt-3"
                disabled={targets.moments.length === 0}
                onClick={() =>
                  setTargets({
                    ...targets,
                    gates: [
                      ...targets.gates,
                      {
                        moment: targets.moments.at(-1)?.name ?? 'fridge',
                        quantity: 'yieldStressPa',
                        ...QUANTITY_WORDS.yieldStressPa.usual,
                      },
                    ],
                  })
                }
              >
                <Plus size={16} aria-hidden="true" /> Add a gate
              </Button>
            </section>

            <section>
              <h3 className="mb-2 font-sans font-semibold">Yield</h3>
              <div className="grid grid-cols-3 items-end gap-2">
                <NumberField
                  label="Wanted on the table"
                  showLabel
                  optional
                  placeholder="any"
                  value={targets.yield?.targetGrams}
                  rules={GRAMS}
                  write={gramsPlain}
                  onValue={(targetGrams) =>
                    setTargets({ ...targets, yield: { bowlLossGrams: 0, ...targets.yield, targetGrams } })
                  }
                />
                <NumberField
                  label="Water boils off"
                  showLabel
                  optional
                  placeholder="0"
                  value={targets.yield?.evaporationGrams}
                  rules={GRAMS}
                  write={gramsPlain}
                  onValue={(evaporationGrams) =>
                    setTargets({ ...targets, yield: { bowlLossGrams: 0, ...targets.yield, evaporationGrams } })
                  }
                />
                <NumberField
                  label="Stays in pan and bowl"
                  showLabel
                  value={targets.yield?.bowlLossGrams ?? 0}
                  rules={GRAMS}
                  write={gramsPlain}
                  onValue={(bowlLossGrams) =>
                    setTargets({ ...targets, yield: { ...targets.yield, bowlLossGrams: bowlLossGrams ?? 0 } })
                  }
                />
              </div>
            </section>
          </div>
          <div className="flex gap-2 border-rule border-t px-5 py-3">
            <Button className="flex-1" onClick={onClose}>
              Leave as it was
            </Button>
            <Button look="primary" className="flex-1" disabled={faulty} onClick={() => onTake(targets)}>
              Use these
            </Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
