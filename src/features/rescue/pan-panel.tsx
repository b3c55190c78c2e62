import { useState } from 'react';
import { PROBE_REACH } from '@/formats/batch';
import { Button } from '@/ui/button';
import { weight } from '@/ui/format';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import { MoreInPan } from './more-in-pan';
import type { RescuedPan } from './use-rescued-pan';

const PROBE = inlineRules(PROBE_REACH, '°C', '38');
const GRAMS = { least: 0, most: 100_000, unit: 'g', units: { g: 1, kg: 1000 }, example: '236' };

/** What is in the pan now and how warm it is; every figure can be corrected. */
export function PanPanel({ pan }: { pan: RescuedPan }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <section aria-label="In the pan" className="mt-3 rounded-xl border border-rule bg-sheet px-5 py-3">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <p className="text-[1.1rem]">
          In the pan now: <strong className="read">{weight(Math.round(pan.massG))}</strong>
          {pan.pan.lostG >= 0.5 && (
            <span className="text-mute">, {weight(Math.round(pan.pan.lostG))} of water boiled off</span>
          )}
        </p>
        <button
          type="button"
          aria-expanded={isOpen}
          className="min-h-11 text-enamel underline"
          onClick={() => setOpen(!isOpen)}
        >
          {isOpen ? 'That is right' : 'Correct it'}
        </button>
        <span className="ml-auto flex items-center gap-2">
          It is at
          <NumberField
            label="Temperature of the pan"
            value={pan.temperatureC}
            optional
            rules={PROBE}
            write={inlinePlain}
            placeholder="–"
            onValue={pan.setTemperature}
            className="w-28"
          />
        </span>
      </div>
      {pan.pan.unsaid.length > 0 && (
        <div role="alert" className="mt-2 flex flex-wrap items-center gap-3 rounded-lg bg-near-wash px-3 py-2">
          <p className="min-w-0 flex-1">
            Not entered as in, so not counted:{' '}
            {pan.pan.unsaid
              .map(({ row, grams }) => `${pan.names[row]} ${weight(Math.round(grams * 10) / 10)}`)
              .join(', ')}
            .
          </p>
          <Button onClick={pan.allIsIn}>All of it is in</Button>
        </div>
      )}
      {isOpen && (
        <ul className="mt-2 grid gap-x-6 md:grid-cols-2">
          {pan.names.map((name, row) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: rows stand in the order of the formula; two may be alike
            <li key={row} className="flex items-center gap-3 border-rule border-t py-1">
              <span className="min-w-0 flex-1">{name}</span>
              <NumberField
                label={`In the pan: ${name}`}
                value={Math.round((pan.pan.rows[row] ?? 0) * 10) / 10}
                rules={GRAMS}
                write={inlinePlain}
                onValue={(value) => value !== undefined && pan.correct(row, value)}
                className="w-32"
              />
            </li>
          ))}
          <li className="flex items-center gap-3 border-rule border-t py-1">
            <span className="min-w-0 flex-1">Water that boiled off</span>
            <NumberField
              label="Water that boiled off"
              value={Math.round(pan.pan.lostG)}
              rules={GRAMS}
              write={inlinePlain}
              onValue={(value) => value !== undefined && pan.correctLost(value)}
              className="w-32"
            />
          </li>
          {pan.pan.added.map(({ name, grams }, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: what went in stands in its order; two may be alike
            <li key={`more ${i}`} className="border-rule border-t py-2">
              {name}, put in later: <span className="read">{weight(grams)}</span>
            </li>
          ))}
        </ul>
      )}
      {isOpen && <MoreInPan onMore={pan.more} />}
    </section>
  );
}
