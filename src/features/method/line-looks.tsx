import { useMemo } from 'react';
import type { Process } from '@/core/matter/process';
import type { PanState } from '@/core/pan/pan';
import { celsius } from '@/ui/format';
import { LINES, type Line, lineStills } from '@/ui/sauce/line-stills';
import { SauceStill } from '@/ui/sauce/sauce-still';

const NAMES: Readonly<Record<Line, string>> = { bitThin: 'too thin', good: 'right', bitThick: 'too thick' };

/** A spoon's line through this batch at the end of a step, three seconds on: too thin, right, too thick. */
export function LineLooks({ pan, process }: { pan: PanState; process: Process }) {
  const stills = useMemo(() => lineStills(pan, process), [pan, process]);
  return (
    <figure className="mt-2" data-testid="line-looks">
      <ul className="grid grid-cols-3 gap-1.5">
        {LINES.map((line) => (
          <li
            key={line}
            className={`text-center text-[13.5px] leading-tight ${line === 'good' ? 'font-semibold' : 'text-mute'}`}
          >
            <SauceStill
              of={stills[line].still}
              name=""
              flat={<span className="px-1 text-[12.5px]">{stills[line].says}</span>}
              className="mb-1"
            />
            {NAMES[line]}
            <span className="sr-only">: {stills[line].says}</span>
          </li>
        ))}
      </ul>
      <figcaption className="mt-1 text-[13px] text-mute">
        A spoon’s line after three seconds, at {celsius(Math.round(pan.temperatureC))}.
      </figcaption>
    </figure>
  );
}
