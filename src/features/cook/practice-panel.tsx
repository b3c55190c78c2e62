import { useState } from 'react';
import { RESOLUTIONS_G } from '@/formats/device';
import type { Devices } from '@/kitchen/cook/use-devices';
import { Button } from '@/ui/button';
import { EntryForm } from '@/ui/entry-form';
import { inlinePlain } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';

const GRAMS = { least: 0, most: 20_000, unit: 'g', units: { g: 1, kg: 1000 }, example: '240' };
const SPEEDS = [1, 10, 60] as const;

/** The scale and probe that ship for practice: what is poured on, what fails, how fast their time runs. */
export function PracticePanel({ devices: { reading, order } }: { devices: Devices }) {
  const [poured, setPoured] = useState<number | undefined>();
  const isLost = (what: 'scale' | 'probe') => reading?.[what].kind === 'lost';
  const pour = () => {
    if (poured !== undefined) order({ order: 'pour', grams: poured });
    setPoured(undefined);
  };
  return (
    <section aria-label="Practice scale and probe" className="mt-4 rounded-lg border border-rule px-3 py-2">
      <h2 className="text-[1.05rem]">Practice scale and probe</h2>
      <p className="text-[13px] text-mute">They stand in for real ones: the probe follows the pan as it is reckoned.</p>
      <EntryForm className="mt-1 flex items-center gap-2" onEntry={pour}>
        <NumberField
          label="Pour onto the scale"
          value={poured}
          optional
          rules={GRAMS}
          write={inlinePlain}
          placeholder="grams"
          onValue={setPoured}
          className="w-28"
        />
        <Button type="submit" disabled={poured === undefined} className="!px-3">
          Pour
        </Button>
        <Button className="!px-3" onClick={() => order({ order: 'clear' })}>
          Clear
        </Button>
      </EntryForm>
      <div className="mt-1 flex flex-wrap gap-x-4">
        <label className="flex min-h-11 items-center gap-2 text-[14px]">
          shows
          <select
            aria-label="Steps of the scale"
            className="min-h-9 rounded border border-rule bg-field px-1"
            defaultValue="1"
            onChange={(event) => {
              const grams = RESOLUTIONS_G.find((each) => String(each) === event.target.value);
              if (grams !== undefined) order({ order: 'resolution', grams });
            }}
          >
            {RESOLUTIONS_G.map((grams) => (
              <option key={grams} value={grams}>
                {grams} g
              </option>
            ))}
          </select>
        </label>
        <label className="flex min-h-11 items-center gap-2 text-[14px]">
          time
          <select
            aria-label="Speed of practice time"
            className="min-h-9 rounded border border-rule bg-field px-1"
            defaultValue="1"
            onChange={(event) => order({ order: 'speed', times: Number(event.target.value) })}
          >
            {SPEEDS.map((times) => (
              <option key={times} value={times}>
                ×{times}
              </option>
            ))}
          </select>
        </label>
        {(['scale', 'probe'] as const).map((what) => (
          <label key={what} className="flex min-h-11 items-center gap-2 text-[14px]">
            <input
              type="checkbox"
              className="size-5"
              checked={isLost(what)}
              onChange={() => order({ order: 'lose', what, isLost: !isLost(what) })}
            />
            {what} lost
          </label>
        ))}
      </div>
    </section>
  );
}
