import type { ReactNode } from 'react';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';

const BOX = 'h-11 min-w-0 rounded-lg border border-rule bg-field px-2';

/** A number that is asked, in a line with its name. */
export function Amount({
  label,
  unit,
  reach,
  value,
  onValue,
}: {
  label: string;
  unit: string;
  reach: readonly [number, number];
  value: number;
  onValue: (value: number) => void;
}) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_140px] items-center gap-2">
      <span>{label}</span>
      <NumberField
        label={label}
        value={value}
        rules={inlineRules(reach, unit, inlinePlain(value))}
        write={inlinePlain}
        placeholder=""
        onValue={(typed) => typed !== undefined && onValue(typed)}
      />
    </div>
  );
}

/** A choice that is asked. */
export function Choice<Key extends string>({
  label,
  value,
  words,
  onChoose,
}: {
  label: string;
  value: Key;
  words: Readonly<Record<Key, string>>;
  onChoose: (value: Key) => void;
}) {
  const keys = Object.keys(words) as Key[];
  return (
    <label className="grid grid-cols-[minmax(0,1fr)_140px] items-center gap-2">
      {label}
      <select
        className={BOX}
        value={value}
        onChange={(event) => {
          const chosen = keys.find((each) => each === event.target.value);
          if (chosen) onChoose(chosen);
        }}
      >
        {keys.map((each) => (
          <option key={each} value={each}>
            {words[each]}
          </option>
        ))}
      </select>
    </label>
  );
}

/** What came out, with its figure. */
export function Fact({ name, children, note }: { name: string; children: ReactNode; note?: string | undefined }) {
  return (
    <div className="flex items-baseline gap-4 border-rule border-t py-2">
      <dt className="min-w-0 flex-1">
        {name}
        {note && <span className="block text-[13.5px] text-mute">{note}</span>}
      </dt>
      <dd className="read text-right text-[1.1rem]">{children}</dd>
    </div>
  );
}

/** What is asked on the left, what comes of it on the right. */
export function AskedAnswered({ name, asked, children }: { name: string; asked: ReactNode; children: ReactNode }) {
  return (
    <section
      aria-label={name}
      className="grid content-start gap-8 md:grid-cols-[minmax(0,300px)_minmax(0,1fr)] print:block"
    >
      <div className="no-print grid content-start gap-2">
        <h2 className="text-[1.35rem]">{name}</h2>
        {asked}
      </div>
      <div className="min-w-0">{children}</div>
    </section>
  );
}
