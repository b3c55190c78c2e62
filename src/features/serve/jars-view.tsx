import { useMemo, useRef, useState } from 'react';
import { spoilersOf } from '@/core/keep/keeping';
import { keysOf } from '@/core/keys-of';
import { modelDoubt } from '@/core/predict/doubt';
import { type FilledKind, fillJars, fillWindow } from '@/core/serve/jars';
import { capital } from '@/formats/capital';
import { dayOf } from '@/formats/day';
import { messageOf } from '@/formats/message-of';
import type { Keeping } from '@/formats/shelf';
import { fetchBook } from '@/kitchen/client/book';
import { putAway } from '@/kitchen/client/shelf-items';
import { useFetched } from '@/kitchen/use-fetched';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { dayWords } from '@/kitchen/words/due-words';
import { CONTAINER_WORDS, keepsWords } from '@/kitchen/words/keeping-words';
import { batchNumber } from '@/ui/batch-number';
import { Button } from '@/ui/button';
import { celsius, weight } from '@/ui/format';
import { KITCHEN_RULES } from '@/ui/use-kitchen-temperature';
import { useTyped } from '@/ui/use-typed';
import { Amount, AskedAnswered, Choice, Fact } from './asked';
import { JarCooling } from './jar-cooling';
import type { Serving } from './use-serving';

const BOX = 'h-11 min-w-0 rounded-lg border border-rule bg-field px-2';
const KIND_WORDS = { jar: 'jars', tub: 'tubs' } as const;

/** Jars and tubs: how many of which size, how warm they are filled and lidded, and onto the shelf with them. */
export function JarsView({ serving }: { serving: Serving }) {
  const [kind, setKind] = useTyped<keyof typeof KIND_WORDS>('jar kind', 'jar', keysOf(KIND_WORDS));
  const [asked, setAsked] = useTyped('jars', { largeMl: 250, smallMl: 100, most: 100, headspace: 8 });
  const { prediction, batchG, kitchenC, setKitchenC } = serving;
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
      <OntoShelf filled={filled} kind={kind} serving={serving} />
    </AskedAnswered>
  );
}

/** What the keeping of a formula as it is filled is judged by. */
const keepingOf = ({ prediction, formula }: Serving): Keeping => ({
  waterActivity: prediction.asKept.waterActivity,
  waterActivitySd: modelDoubt(prediction.batch.mixture).waterActivity,
  alcoholPercentVol: prediction.alcoholPercentVol,
  spoilers: spoilersOf(formula.lines),
  growsH: null,
});

/** Puts what was filled onto the shelf, with the batch it is of, how long it keeps and the cook's own use-by. */
function OntoShelf({
  filled,
  kind,
  serving,
}: {
  filled: readonly FilledKind[];
  kind: keyof typeof KIND_WORDS;
  serving: Serving;
}) {
  const { name } = serving.file;
  const { data: book } = useFetched(() => fetchBook({ formula: serving.id }));
  const batches = book?.rows ?? [];
  const [batchId, setBatch] = useState('');
  const [useBy, setUseBy] = useState('');
  const keeping = useMemo(() => keepingOf(serving), [serving]);
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
        const batch = batches.find(({ id }) => id === batchId);
        const madeOn = dayOf(batch?.startedMs ?? Date.now());
        const of = { batchId: batch?.id ?? null, useBy: useBy || null, keeping };
        await putAway({ name, container: kind, count, grams, place: 'fridge', madeOn, ...of });
        standing.current.add(i);
      }
      standing.current.clear();
      setTold({ text: 'They stand on the shelf, in the fridge.', isBad: false });
    } catch (error) {
      setTold({ text: messageOf(error), isBad: true });
    }
    setBusy(false);
  };
  return (
    <>
      <div className="no-print mt-4 flex max-w-2xl flex-wrap items-end gap-3">
        <label className="grid gap-1">
          Of batch
          <select
            aria-label="Of batch"
            className={BOX}
            value={batchId}
            onChange={(event) => setBatch(event.target.value)}
          >
            <option value="">none, made today</option>
            {batches.map(({ id, number, startedMs }) => (
              <option key={id} value={id}>
                {batchNumber(number)}, {dayWords(dayOf(startedMs))}
              </option>
            ))}
          </select>
        </label>
        <label className="grid gap-1">
          Use by, as you set it
          <input
            type="date"
            aria-label="Use by"
            className={BOX}
            value={useBy}
            onChange={(event) => setUseBy(event.target.value)}
          />
        </label>
        <Button look="primary" disabled={busy || filled.every(({ count }) => count === 0)} onClick={() => void put()}>
          Onto the shelf
        </Button>
        <p className="w-full text-[14px] text-mute">{capital(keepsWords(keeping))}</p>
      </div>
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
