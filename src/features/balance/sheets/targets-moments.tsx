import { Plus, Trash2 } from 'lucide-react';
import { MOST_MOMENTS } from '@/core/formula/moments';
import { Button } from '@/ui/button';
import { CELSIUS_UNITS, HOUR_UNITS } from '@/ui/field-units';
import { momentTitle } from '@/ui/moment-words';
import { NumberField } from '@/ui/number-field';
import type { AmountRules } from '@/ui/parse-amount';
import { plainNumber, type Targets } from './targets';

const CELSIUS: AmountRules = { least: -5, most: 110, unit: '°C', units: CELSIUS_UNITS, example: '32' };
const HOURS: AmountRules = { least: 0, most: 10_000, unit: 'h', units: HOUR_UNITS, example: '12' };

/** What is wrong with the moments' names, if anything. */
export function momentsFault(moments: Targets['moments']): string | undefined {
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

/** The moments a formula is looked at: named, set, added and left out. */
export function MomentsFields({
  targets,
  fault,
  onTargets,
  onRows,
}: {
  targets: Targets;
  /** what is wrong with them, if anything */
  fault: string | undefined;
  onTargets: (targets: Targets) => void;
  /** a row comes or goes */
  onRows: () => void;
}) {
  const renameMoment = (index: number, name: string) => {
    const old = targets.moments[index]?.name;
    const alone = targets.moments.filter((moment) => moment.name === old).length === 1;
    onTargets({
      ...targets,
      moments: targets.moments.map((moment, i) => (i === index ? { ...moment, name } : moment)),
      gates: alone
        ? targets.gates.map((gate) => (gate.moment === old ? { ...gate, moment: name } : gate))
        : targets.gates,
    });
  };
  const setMoment = (index: number, temperatureC: number, hours: number) =>
    onTargets({
      ...targets,
      moments: targets.moments.map((moment, i) =>
        i === index ? { ...moment, temperatureC, history: [[hours, temperatureC]] } : moment,
      ),
    });

  return (
    <section>
      <h3 className="mb-2 font-sans font-semibold">Moments</h3>
      <ul className="space-y-2">
        {targets.moments.map((moment, index) => {
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: the name is being typed; the place tells moments apart
            <li key={index} className="grid grid-cols-[1fr_104px_104px_44px] items-start gap-2">
              <MomentFields
                moment={moment}
                place={index + 1}
                onName={(name) => renameMoment(index, name)}
                onClimate={(temperatureC, hours) => setMoment(index, temperatureC, hours)}
                onRemove={() => {
                  onRows();
                  onTargets({
                    ...targets,
                    moments: targets.moments.filter((_, i) => i !== index),
                    gates: targets.gates.filter((gate) => gate.moment !== moment.name),
                  });
                }}
              />
            </li>
          );
        })}
      </ul>
      {fault && (
        <p role="alert" className="mt-2 text-[13px] text-off">
          {fault}
        </p>
      )}
      <Button
        className="mt-3"
        disabled={targets.moments.length >= MOST_MOMENTS}
        onClick={() => {
          onRows();
          onTargets({ ...targets, moments: [...targets.moments, newMoment(targets.moments)] });
        }}
      >
        <Plus size={16} aria-hidden="true" /> Add a moment
      </Button>
    </section>
  );
}

/** One moment: its name, how warm and how long. */
function MomentFields({
  moment,
  place,
  onName,
  onClimate,
  onRemove,
}: {
  moment: Targets['moments'][number];
  place: number;
  onName: (name: string) => void;
  onClimate: (temperatureC: number, hours: number) => void;
  onRemove: () => void;
}) {
  const last = moment.history.at(-1) ?? [0.3, moment.temperatureC];
  const steps = moment.history.length;
  return (
    <>
      <input
        aria-label={`Name of moment ${place}`}
        className="h-11 w-full min-w-0 rounded-lg border border-rule bg-field px-3 font-medium"
        value={moment.name}
        maxLength={40}
        onChange={(event) => onName(event.target.value)}
      />
      <NumberField
        label={`Temperature, ${momentTitle(moment.name)}`}
        value={moment.temperatureC}
        rules={CELSIUS}
        write={plainNumber}
        onValue={(value) => value !== undefined && onClimate(value, last[0])}
      />
      {steps > 1 ? (
        <span className="pt-2.5 text-[13px] text-mute">after {steps} steps</span>
      ) : (
        <NumberField
          label={`Hours, ${momentTitle(moment.name)}`}
          value={last[0]}
          rules={HOURS}
          write={plainNumber}
          onValue={(value) => value !== undefined && onClimate(moment.temperatureC, value)}
        />
      )}
      <Button look="bare" className="!px-0" aria-label={`Leave out ${momentTitle(moment.name)}`} onClick={onRemove}>
        <Trash2 size={16} aria-hidden="true" />
      </Button>
    </>
  );
}
