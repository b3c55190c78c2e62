import { useState } from 'react';
import { Button } from '@/ui/button';
import { EntryForm } from '@/ui/entry-form';
import { inlinePlain } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import { StepClock } from './step-clock';
import type { Cook } from './use-cook';

const SECONDS = { least: 1, most: 86_400, unit: 's', units: { s: 1, sec: 1, min: 60, h: 3600 }, example: '10 min' };

/** Timers of the cook's own, beside those of the steps. */
export function Timers({ cook: { state, log } }: { cook: Cook }) {
  const [label, setLabel] = useState('');
  const [seconds, setSeconds] = useState<number | undefined>();
  const [made, setMade] = useState(0);
  const set = () => {
    if (seconds === undefined) return;
    const name = label.trim() || `Timer ${state.timers.length + 1}`;
    log.tell({ kind: 'timer', id: `${state.seq}-${made}-${name}`.slice(0, 60), label: name, seconds });
    setLabel('');
    setSeconds(undefined);
    setMade(made + 1);
  };
  return (
    <>
      <h2 className="mt-4 text-[1.15rem]">Timers</h2>
      <ul>
        {state.timers.map(({ id, label: name, seconds: lasts, ms }) => (
          <li key={id} className="flex items-center gap-3 border-rule border-t py-1.5">
            <span className="min-w-0 flex-1 leading-tight">{name}</span>
            <StepClock seconds={lasts} begunMs={ms} now={log.now} className="text-[1.2rem]" />
            <Button aria-label={`Stop the timer ${name}`} onClick={() => log.tell({ kind: 'timerOff', id })}>
              Off
            </Button>
          </li>
        ))}
      </ul>
      <EntryForm className="mt-1 flex items-center gap-2" onEntry={set}>
        <input
          aria-label="What the timer is for"
          className="min-h-11 w-0 min-w-0 flex-1 rounded-lg border border-rule bg-field px-2"
          placeholder="tray, case…"
          maxLength={40}
          value={label}
          onChange={(event) => setLabel(event.target.value)}
        />
        <NumberField
          key={made}
          label="Timer runs for"
          value={seconds}
          optional
          rules={SECONDS}
          write={inlinePlain}
          placeholder="10 min"
          onValue={setSeconds}
          className="w-24"
        />
        <Button type="submit" disabled={seconds === undefined} className="!px-3">
          Set
        </Button>
      </EntryForm>
    </>
  );
}
