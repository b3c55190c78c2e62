import { useState } from 'react';
import type { FilmFluid } from '@/core/film/mobility';
import { fetchSummaries } from '@/kitchen/client/library';
import { useFetched } from '@/kitchen/use-fetched';
import { Button } from '@/ui/button';
import { PourPicture } from '@/ui/sauce/pour-picture';
import type { SauceLook } from '@/ui/sauce/scene';

/** A sauce that can be poured on a plate. */
export interface Poured {
  readonly name: string;
  readonly fluid: FilmFluid;
  readonly look: SauceLook;
  readonly temperatureC: number;
}

/**
 * Another sauce poured beside this one.
 *
 * @param near the same formula before these edits or with a proposal, and those its curve is held against, at the same moment
 * @param except id of this formula: all others can be chosen, each at its own pour
 */
export function PourBeside({ near, except }: { near: readonly Poured[]; except: string }) {
  const [beside, setBeside] = useState<Poured | undefined>();
  const [asks, setAsks] = useState(false);
  return (
    <section aria-label="Beside it" className="min-w-0">
      <div className="flex flex-wrap items-center gap-2">
        <span className="text-mute">Beside it:</span>
        {near.map((each) => (
          <Button key={each.name} aria-pressed={beside?.name === each.name} onClick={() => setBeside(each)}>
            {each.name}
          </Button>
        ))}
        {asks ? (
          <OtherFormulas except={except} onChoose={setBeside} />
        ) : (
          <Button onClick={() => setAsks(true)}>Another formula</Button>
        )}
        {beside && (
          <Button
            look="bare"
            onClick={() => {
              setBeside(undefined);
              setAsks(false);
            }}
          >
            Nothing
          </Button>
        )}
      </div>
      {beside && (
        <div className="mt-3">
          <h3 className="mb-1 font-sans text-[1rem] font-semibold break-words">{beside.name}</h3>
          <PourPicture key={beside.name} fluid={beside.fluid} look={beside.look} temperatureC={beside.temperatureC} />
        </div>
      )}
    </section>
  );
}

/** All other formulas by their names. */
function OtherFormulas({ except, onChoose }: { except: string; onChoose: (poured: Poured) => void }) {
  const { data, fault } = useFetched(fetchSummaries);
  const others = (data ?? []).filter(({ id, predicted }) => id !== except && predicted);
  if (fault) {
    return (
      <span role="alert" className="text-off">
        {fault}
      </span>
    );
  }
  return (
    <select
      aria-label="Another formula"
      aria-busy={!data}
      className="h-11 min-w-0 max-w-full rounded-lg border border-rule bg-field px-2"
      defaultValue=""
      onChange={({ target }) => {
        const found = others.find(({ id }) => id === target.value);
        if (!found?.predicted) return;
        const { fluid, colour, shine, pourC } = found.predicted;
        onChoose({ name: found.name, fluid, look: { colour, shine }, temperatureC: pourC });
      }}
    >
      <option value="" disabled>
        {data ? 'choose one' : 'coming…'}
      </option>
      {others
        .toSorted((a, b) => a.name.localeCompare(b.name))
        .map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
    </select>
  );
}
