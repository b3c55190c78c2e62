import { useMemo } from 'react';
import { keysOf } from '@/core/keys-of';
import { type PlatePattern, plateGuide } from '@/core/serve/plate-guides';
import { pourWindow } from '@/core/serve/pour-window';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { Button } from '@/ui/button';
import { celsius, millimetres, significant, weight } from '@/ui/format';
import { useTyped } from '@/ui/use-typed';
import { Amount, AskedAnswered, Choice, Fact } from './asked';
import { Contains } from './contains';
import { PlateDrawing } from './plate-drawing';
import { Reheat } from './reheat';
import { SecondSauce, useSecondSauce } from './second-sauce';
import { ServingAmounts } from './serving-amounts';
import type { Serving } from './use-serving';

const PATTERN_WORDS: Readonly<Record<PlatePattern, string>> = {
  pool: 'pool',
  mirror: 'mirror',
  swirl: 'swirl',
  dots: 'ring of dots',
  line: 'line',
  star: 'drawn star',
  hearts: 'drawn hearts',
  random: 'random swirl',
};
const SHAPE_WORDS = { round: 'round', square: 'square' } as const;

/** How the hand goes, in its order. */
const ORDER: Readonly<Record<PlatePattern, readonly string[]>> = {
  pool: ['Pour into the middle and let it run out by itself.', 'Tap the plate once from below.'],
  mirror: ['Pour into the middle.', 'Tip the plate until it has reached the rim all round; wipe the rim.'],
  swirl: ['Begin in the middle, turn the plate, not the hand.', 'End at the rim and lift away.'],
  dots: ['The largest dot first, at the top.', 'Each a little smaller, clockwise; wipe the tip after every fourth.'],
  line: ['One even line through the middle, from left to right.', 'Lift while the hand still moves.'],
  star: [
    'Pour the pool.',
    'Three rings of the second sauce, the smallest first.',
    'Drag a pick from the middle to the rim eight times, then from the rim in between; wipe it after each.',
  ],
  hearts: [
    'Pour the pool.',
    'Six dots of the second sauce in a ring.',
    'One drag of a pick through the middle of all of them, without lifting it.',
  ],
  random: ['Hold the tip a hand above the plate.', 'One stroke, quick at the turns; stop before it thins.'],
};

/** A plate drawn to scale: how much of what, in which order, how warm. */
export function PlateView({ id, serving }: { id: string; serving: Serving }) {
  const [pattern, setPattern] = useTyped<PlatePattern>('pattern', 'hearts', keysOf(PATTERN_WORDS));
  const [shape, setShape] = useTyped<keyof typeof SHAPE_WORDS>('shape', 'round', keysOf(SHAPE_WORDS));
  const [asked, setAsked] = useTyped('plate', { flatCm: 18, depthMm: 2, drawnMm: 9 });
  const [seed, setSeed] = useTyped('which swirl', 1);
  const { prediction, pour, batchG } = serving;
  const second = useSecondSauce(id, Math.min(pour.temperatureC, 35));
  const warm = useMemo(() => pourWindow(prediction.batch, pour.temperatureC), [prediction.batch, pour.temperatureC]);
  const plate = { ...asked, isSquare: shape === 'square' };
  const guide = plateGuide(pattern, plate, seed);
  const gramsPerMl = prediction.densityKgM3 / 1000;
  const hasPool = guide.poolCm > 0;
  const firstG = gramsPerMl * (guide.pouredMl + (hasPool ? 0 : guide.drawnMl));
  const secondG = hasPool ? ((second.answer?.densityKgM3 ?? prediction.densityKgM3) / 1000) * guide.drawnMl : 0;
  const plates = firstG > 0 ? Math.floor(batchG / firstG) : 0;
  const say = (change: Partial<typeof asked>) => setAsked({ ...asked, ...change });
  return (
    <AskedAnswered
      name="On the plate"
      asked={
        <>
          <Choice label="What is drawn" value={pattern} words={PATTERN_WORDS} onChoose={setPattern} />
          <Choice label="Plate" value={shape} words={SHAPE_WORDS} onChoose={setShape} />
          <Amount
            label="Flat of the plate"
            unit="cm"
            reach={[4, 60]}
            value={asked.flatCm}
            onValue={(flatCm) => say({ flatCm })}
          />
          {hasPool && (
            <Amount
              label="Pool so deep"
              unit="mm"
              reach={[0.5, 10]}
              value={asked.depthMm}
              onValue={(depthMm) => say({ depthMm })}
            />
          )}
          {(guide.strokes.length > 0 || guide.dots.length > 0) && (
            <Amount
              label="Lines and dots"
              unit="mm"
              reach={[1, 30]}
              value={asked.drawnMm}
              onValue={(drawnMm) => say({ drawnMm })}
            />
          )}
          {pattern === 'random' && <Button onClick={() => setSeed(seed + 1)}>Another one</Button>}
          {guide.picks.length > 0 && <SecondSauce second={second} />}
        </>
      }
    >
      <div className="grid gap-6 lg:grid-cols-[minmax(0,430px)_minmax(0,1fr)]">
        <PlateDrawing
          plate={plate}
          guide={guide}
          fillsSquare={pattern === 'mirror' && plate.isSquare}
          poured={serving.colour}
          drawn={second.answer?.colour ?? '#f2e8d5'}
          label={`${PATTERN_WORDS[pattern]} on a ${SHAPE_WORDS[shape]} plate of ${asked.flatCm} cm, to scale`}
        />
        <div>
          <h3 className="font-head text-[1.2rem] font-semibold">{serving.file.name}</h3>
          <dl className="mt-2">
            <Fact name="A plate takes">{weight(significant2(firstG))}</Fact>
            {secondG > 0 && (
              <Fact name="of the second sauce" note={second.answer?.name}>
                {weight(significant2(secondG))}
              </Fact>
            )}
            <Fact name="Plates in this batch">{plates}</Fact>
            <Fact
              name="How warm"
              note={`it pours much the same from ${celsius(Math.round(warm.leastC))} to ${celsius(Math.round(warm.mostC))}`}
            >
              {celsius(Math.round(pour.temperatureC))}
            </Fact>
          </dl>
          <ol className="mt-3 list-decimal space-y-1 pl-5">
            {ORDER[pattern].map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
          {guide.dots.length > 0 && (
            <p className="mt-2 text-mute">
              A drop of {millimetres(asked.drawnMm)} is{' '}
              {significant(gramsPerMl * (Math.PI / 12) * (asked.drawnMm / 10) ** 3)} g.
            </p>
          )}
          <Reheat serving={serving} />
          <ServingAmounts serving={serving} />
          <p className="mt-3 text-[13.5px] text-mute">
            <Contains serving={serving} />
            {CAUTION_WORDS.reheat} {CAUTION_WORDS.code}
          </p>
        </div>
      </div>
      <p className="mt-4 no-print">
        <Button onClick={() => window.print()}>Print the card for the pass</Button>
      </p>
    </AskedAnswered>
  );
}

/** To two places that count, so that a plate's grams are not falser than a spoon. */
const significant2 = (grams: number) => Number(grams.toPrecision(2));
