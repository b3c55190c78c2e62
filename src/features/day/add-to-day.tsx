import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useFormulaNames } from '@/kitchen/client/use-formula-names';
import { Button } from '@/ui/button';
import { TimeOfDay } from '@/ui/time-of-day';

/** Five in the afternoon: before the evening's plates. */
const USUAL_READY = 17 * 60;

/** Puts a formula of the kitchen on the day, with the time it is to be ready. */
export function AddToDay({ onAdd }: { onAdd: (formulaId: string, readyMinutes: number) => void }) {
  const { names, fault } = useFormulaNames();
  const [chosen, setChosen] = useState('');
  const [ready, setReady] = useState(USUAL_READY);
  return (
    <form
      className="mt-5 flex flex-wrap items-center gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (chosen !== '') onAdd(chosen, ready);
        setChosen('');
      }}
    >
      <label className="flex min-w-0 items-center gap-2">
        Make
        <select
          aria-label="Formula"
          className="min-h-11 max-w-[60vw] rounded-lg border border-rule bg-field px-2"
          value={chosen}
          onChange={(event) => setChosen(event.target.value)}
        >
          <option value="">a formula</option>
          {names.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <span>
        ready at <TimeOfDay label="Ready at" minutes={ready} onMinutes={setReady} />
      </span>
      <Button type="submit" look="primary" disabled={chosen === ''}>
        <Plus size={17} aria-hidden="true" /> Put it on the day
      </Button>
      {fault && (
        <p role="alert" className="w-full text-off">
          {fault}
        </p>
      )}
    </form>
  );
}
