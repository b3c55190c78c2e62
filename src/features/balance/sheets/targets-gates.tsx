import { Plus, Trash2 } from 'lucide-react';
import { GATE_QUANTITIES, type GateQuantity } from '@/core/formula/gate-quantities';
import type { FileGate } from '@/formats/formula-file';
import { Button } from '@/ui/button';
import { choiceOf } from '@/ui/choice-of';
import { momentTitle } from '@/ui/moment-words';
import { NumberField } from '@/ui/number-field';
import { QUANTITY_WORDS } from '@/ui/quantity-words';
import { plainNumber, type Targets } from './targets';

/** How much a miss of a gate counts when not all can be met. */
const WEIGHTS = [
  [0.3, 'a wish'],
  [1, 'counts'],
  [3, 'counts most'],
] as const;

/** What is wrong with a gate, if anything. */
export function gateFault(gate: FileGate): string | undefined {
  if (gate.low === undefined && gate.high === undefined) return 'Give it a lower or an upper edge.';
  if (gate.high !== undefined && gate.high <= 0) return 'The upper edge must be above 0.';
  if (gate.high !== undefined && (gate.low ?? 0) >= gate.high) return 'The lower edge must be below the upper one.';
  return undefined;
}

/** The gates a formula must pass: what is read, when, between which edges, and how much a miss counts. */
export function GatesFields({
  targets,
  onTargets,
  onRows,
}: {
  targets: Targets;
  onTargets: (targets: Targets) => void;
  /** a row comes, goes or changes its kind */
  onRows: () => void;
}) {
  const setGate = (index: number, change: Partial<FileGate>) =>
    onTargets({ ...targets, gates: targets.gates.map((gate, i) => (i === index ? { ...gate, ...change } : gate)) });
  return (
    <section>
      <h3 className="mb-2 font-sans font-semibold">Gates</h3>
      <ul className="space-y-3">
        {targets.gates.map((gate, index) => {
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: two gates may be alike; their place tells them apart
            <li key={index} className="rounded-lg border border-rule bg-field p-3">
              <GateFields
                gate={gate}
                moments={targets.moments}
                onGate={(change) => setGate(index, change)}
                onQuantity={(quantity) => {
                  onRows();
                  setGate(index, { quantity, low: undefined, high: undefined, ...QUANTITY_WORDS[quantity].usual });
                }}
                onRemove={() => {
                  onRows();
                  onTargets({ ...targets, gates: targets.gates.filter((_, i) => i !== index) });
                }}
              />
            </li>
          );
        })}
      </ul>
      <Button
        className="mt-3"
        disabled={targets.moments.length === 0}
        onClick={() =>
          onTargets({
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
  );
}

/** One gate: what is read, when, between which edges, and how much a miss counts. */
function GateFields({
  gate,
  moments,
  onGate,
  onQuantity,
  onRemove,
}: {
  gate: FileGate;
  moments: Targets['moments'];
  onGate: (change: Partial<FileGate>) => void;
  onQuantity: (quantity: GateQuantity) => void;
  onRemove: () => void;
}) {
  const { name, rules } = QUANTITY_WORDS[gate.quantity];
  const fault = gateFault(gate);
  return (
    <>
      <div className="mb-2 grid grid-cols-[1fr_130px_44px] gap-2">
        <select
          aria-label="Quantity"
          className="h-11 rounded-lg border border-rule bg-field px-2"
          value={gate.quantity}
          onChange={(event) => onQuantity(choiceOf(GATE_QUANTITIES, event.target.value) ?? gate.quantity)}
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
          onChange={(event) => onGate({ moment: event.target.value })}
        >
          {moments.map((moment) => (
            <option key={moment.name} value={moment.name}>
              {momentTitle(moment.name)}
            </option>
          ))}
        </select>
        <Button look="bare" className="!px-0" aria-label={`Remove the gate for ${name}`} onClick={onRemove}>
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
          write={plainNumber}
          onValue={(low) => onGate({ low })}
        />
        <NumberField
          label={`At most, ${name}`}
          optional
          placeholder="no upper edge"
          value={gate.high}
          rules={rules}
          write={plainNumber}
          onValue={(high) => onGate({ high })}
        />
        <select
          aria-label={`Weight, ${name}`}
          className="h-11 rounded-lg border border-rule bg-field px-1 text-[13px]"
          value={gate.weight ?? 1}
          onChange={(event) => onGate({ weight: Number(event.target.value) })}
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
    </>
  );
}
