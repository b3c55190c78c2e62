import { useState } from 'react';
import type { KitchenSettings, SettingsChange } from '@/formats/settings';
import { Button } from '@/ui/button';
import { EntryForm } from '@/ui/entry-form';

const FIELDS = [
  ['makerName', 'Maker', 'Lantern Mill'],
  ['makerAddress', 'Address', '1 Mill Lane, Riverside'],
  ['makerCountry', 'Country', 'as a buyer reads it'],
  ['labelLink', 'A label’s code leads to', 'https://…, or nothing for no code'],
] as const;

/** Who makes it and where a label's code leads: kept once for the kitchen. */
export function MakerFields({
  settings,
  onChange,
}: {
  settings: KitchenSettings;
  onChange: (change: SettingsChange) => void;
}) {
  const [typed, setTyped] = useState(settings);
  const change = Object.fromEntries(
    FIELDS.filter(([key]) => typed[key].trim() !== settings[key]).map(([key]) => [key, typed[key].trim()]),
  );
  return (
    <EntryForm className="py-2" onEntry={() => onChange(change)}>
      {FIELDS.map(([key, label, hint]) => (
        <label key={key} className="grid items-center gap-x-6 py-1 sm:grid-cols-[14rem_1fr]">
          <span className="font-medium">{label}</span>
          <input
            className="h-11 w-full rounded-lg border border-rule bg-field px-3"
            maxLength={160}
            placeholder={hint}
            value={typed[key]}
            onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
          />
        </label>
      ))}
      <Button type="submit" className="mt-1" disabled={Object.keys(change).length === 0}>
        Keep
      </Button>
    </EntryForm>
  );
}
