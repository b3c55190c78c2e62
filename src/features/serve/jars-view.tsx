import { useMemo, useRef, useState } from 'react';
import { keysOf } from '@/core/keys-of';
import { type FilledKind, fillJars, fillWindow } from '@/core/serve/jars';
import { dayOf } from '@/formats/day';
import { messageOf } from '@/formats/message-of';
import { putAway } from '@/kitchen/client/shelf-items';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { CONTAINER_WORDS } from '@/kitchen/words/keeping-words';
import { Button } from '@/ui/button';
import { celsius, weight } from '@/ui/format';
import { KITCHEN_RULES } from '@/ui/use-kitchen-temperature';
import { useTyped } from '@/ui/use-typed';
import { Amount, AskedAnswered, Choice, Fact } from './asked';
import { JarCooling } from './jar-cooling';
import type { Serving } from './use-serving';

const KIND_WORDS = { jar: 'jars', tub: 'tubs' } as const;

/** Jars and tubs: how many of which size, how warm they are filled and lidded, and onto the shelf with them. */
export function JarsView({ serving }: { serving: Serving }) {
  const [kind, setKind] = useTyped<keyof typeof KIND_WORDS>('jar kind', 'jar', keysOf(KIND_WORDS));
  const [asked, setAsked] = useTyped('jars', { largeMl: 250, smallMl: 100, most: 100, headspace: 8 });
  const { prediction, batchG, kitchenC, setKitchenC, file } = serving;
  const say = (change: Partial<typeof asked>) => setAsked({ ...asked, ...change });
  const warm = useMemo(() => fillWindow(prediction.batch, kitchenC), [prediction.batch, kitchenC]);
  const headspace = asked.headspace / 100;
  const sizes = [asked.largeMl, asked.smallMl];
  const { filled, leftG } = fillJars(batchG, prediction.densityKgM3, [
    { brimMl: asked.largeMl, headspace, most: asked.most },
    { brimMl: asked.smallMl, headspace },
  ]);
  const fillC = Math.max(warm.leastC ?? warm.mostC, serving.pour.temperatureC);
  return (
    <AskedAnswered
      name="Jars and tubs"
      asked={
        <>
          <Choice label="What is filled" value={kind} words={KIND_WORDS} onChoose={setKind} />
          <JarSizes asked={asked} onSay={say} />
          <Amount
            label="The kitchen is"
            unit="°C"
            reach={[KITCHEN_RULES.least, KITCHEN_RULES.most]}
            value={kitchenC}
            onValue={setKitchenC}
          />
        </>
      }
    >
      <dl className="max-w-2xl">
        {filled.map(({ count, eachG }, i) => (
          <Fact
            key={sizes[i]}
            name={`${count} ${CONTAINER_WORDS[kind][count === 1 ? 0 : 1]} of ${sizes[i]} ml`}
            note={`${weight(Math.round(eachG))} each`}
          >
            {weight(Math.round(count * eachG))}
          </Fact>
        ))}
        <Fact name="Left over">{weight(Math.round(leftG))}</Fact>
        <Fact
          name="Fill at"
          note={
            warm.leastC === undefined
              ? 'it does not run through a funnel: spoon or pipe it in'
              : warm.leastC <= kitchenC
                ? 'it runs through a funnel as warm as the kitchen'
                : 'cooler it sets in the funnel'
          }
        >
          {warm.leastC === undefined ? '–' : `${celsius(Math.ceil(warm.leastC))} and over`}
        </Fact>
        <Fact name="Lid on at" note="warmer, its damp gathers under the lid and drips back">
          {celsius(Math.floor(warm.lidC))} or under
        </Fact>
      </dl>
      {filled.some(({ count }) => count > 0) && (
        <JarCooling serving={serving} brimMl={filled[0]?.count ? asked.largeMl : asked.smallMl} fillC={fillC} />
      )}
      <p className="mt-3 text-[13.5px] text-mute">
        Loosely covered until then. {CAUTION_WORDS.coolDairy} A lid that pops does not make it keep.{' '}
        {CAUTION_WORDS.code}
      </p>
      <OntoShelf filled={filled} kind={kind} name={file.name} />
    </AskedAnswered>
  );
}

/** Puts what was filled onto the shelf. */
function OntoShelf({
  filled,
  kind,
  name,
}: {
  filled: readonly FilledKind[];
  kind: keyof typeof KIND_WORDS;
  name: string;
}) {
  const [told, setTold] = useState<{ text: string; isBad: boolean } | undefined>();
  const [busy, setBusy] = useState(false);
  /** kinds that stand there already, where a later one failed */
  const standing = useRef(new Set<number>());
  const put = async () => {
    setBusy(true);
    try {
      for (const [i, { count, eachG }] of filled.entries()) {
        if (count === 0 || standing.current.has(i)) continue;
        const grams = count * eachG;
        await putAway({ name, container: kind, count, grams, place: 'fridge', madeOn: dayOf(Date.now()) });
        standing.current.add(i);
      }
      standing.current.clear();
      setTold({ text: 'They stand on the shelf, in the fridge, made today. Set their use-by there.', isBad: false });
    } catch (error) {
      setTold({ text: messageOf(error), isBad: true });
    }
    setBusy(false);
  };
  return (
    <>
      <p className="no-print mt-3">
        <Button look="primary" disabled={busy || filled.every(({ count }) => count === 0)} onClick={() => void put()}>
          Onto the shelf
        </Button>
      </p>
      {told && (
        <p role={told.isBad ? 'alert' : 'status'} className={`mt-2 ${told.isBad ? 'text-off' : ''}`}>
          {told.text}
        </p>
      )}
    </>
  );
}

interface Asked {
  readonly largeMl: number;
  readonly smallMl: number;
  readonly most: number;
  /** % */
  readonly headspace: number;
}

/** Two sizes, how many of the large ones there are, and what is left empty. */
function JarSizes({ asked, onSay: say }: { asked: Asked; onSay: (change: Partial<Asked>) => void }) {
  return (
    <>
      <Amount
        label="The large ones, to the brim"
        unit="ml"
        reach={[10, 5000]}
        value={asked.largeMl}
        onValue={(largeMl) => say({ largeMl })}
      />
      <Amount
        label="At most so many of them"
        unit=""
        reach={[0, 1000]}
        value={asked.most}
        onValue={(most) => say({ most: Math.round(most) })}
      />
      <Amount
        label="The small ones, to the brim"
        unit="ml"
        reach={[10, 5000]}
        value={asked.smallMl}
        onValue={(smallMl) => say({ smallMl })}
      />
      <Amount
        label="Left empty"
        unit="%"
        reach={[0, 50]}
        value={asked.headspace}
        onValue={(value) => say({ headspace: value })}
      />
    </>
  );
}
