import { useMemo, useState } from 'react';
import { keysOf } from '@/core/keys-of';
import { type PlatePattern, plateGuide } from '@/core/serve/plate-guides';
import { laidShapes } from '@/core/serve/plate-shapes';
import { pourWindow } from '@/core/serve/pour-window';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { Button } from '@/ui/button';
import { celsius, millimetres, significant, weight } from '@/ui/format';
import { Tick } from '@/ui/tick';
import { useTyped } from '@/ui/use-typed';
import { Amount, AskedAnswered, Choice, Fact } from './asked';
import { Contains } from './contains';
import { HandTools } from './hand-tools';
import { PlateDrawing } from './plate-drawing';
import { PlateSet } from './plate-set';
import { Reheat } from './reheat';
import { SecondSauce, useSecondSauce } from './second-sauce';
import { ServingAmounts } from './serving-amounts';
import { useOwnPlate } from './use-own-plate';
import { type PlateTool, usePlateHand } from './use-plate-hand';
import { usePlateShapes } from './use-plate-shapes';
import type { Serving } from './use-serving';

const PATTERN_WORDS: Readonly<Record<PlatePattern, string>> = {
  pool: 'pool',
  mirror: 'mirror',
  swirl: 'swirl',
  dots: 'ring of dots',
  line: 'line',
  star: 'drawn star',
  hearts: 'drawn hearts',
  feather: 'feathered lines',
  random: 'random swirl',
  own: 'drawn by hand',
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
  feather: [
    'Pour the pool.',
    'Five lines of the second sauce side by side.',
    'Drag a pick across them, once down, once up; wipe it after each.',
  ],
  own: [
    'Pour the pool.',
    'Dots of the second sauce where they are drawn.',
    'Drag the pick through them; wipe it after each.',
  ],
  random: ['Hold the tip a hand above the plate.', 'One stroke, quick at the turns; stop before it thins.'],
};

/** A plate while it is asked for: what is drawn on it, by a pattern or by hand, and how it lies in the end. */
function usePlate() {
  const [pattern, setPattern] = useTyped<PlatePattern>('pattern', 'hearts', keysOf(PATTERN_WORDS));
  const [shape, setShape] = useTyped<keyof typeof SHAPE_WORDS>('shape', 'round', keysOf(SHAPE_WORDS));
  const [asked, setAsked] = useTyped('plate', { flatCm: 18, depthMm: 2, drawnMm: 9, plates: 1 });
  const [seed, setSeed] = useTyped('which swirl', 1);
  const [showsHand, setShowsHand] = useState(false);
  const [isWiped, setWiped] = useState(true);
  const [tool, setTool] = useState<PlateTool>('dot');
  const mine = useOwnPlate();
  const hand = usePlateHand(tool, asked.flatCm / 2, mine.addDot, mine.addPick);
  const plate = { ...asked, isSquare: shape === 'square' };
  const guide = plateGuide(pattern, plate, seed, mine.own);
  const isOwn = pattern === 'own';
  const { strokes, dots, picks } = guide;
  const shapes = usePlateShapes(
    isOwn ? { marks: mine.marks, acrossMm: asked.drawnMm, isWiped } : { guide: { strokes, dots, picks }, isWiped },
    isOwn ? [] : laidShapes(guide),
  );
  return {
    ...{
      pattern,
      setPattern,
      shape,
      setShape,
      asked,
      plate,
      guide,
      shapes,
      mine,
      tool,
      setTool,
      showsHand,
      setShowsHand,
      isWiped,
      setWiped,
    },
    isOwn,
    hand: isOwn ? hand : undefined,
    say: (change: Partial<typeof asked>) => setAsked({ ...asked, ...change }),
    another: () => setSeed(seed + 1),
  };
}

type AskedPlate = ReturnType<typeof usePlate>;

/** What is asked of a plate. */
function PlateAsked({ on, second }: { on: AskedPlate; second: ReturnType<typeof useSecondSauce> }) {
  const { asked, guide, isOwn, say } = on;
  return (
    <>
      <Choice label="What is drawn" value={on.pattern} words={PATTERN_WORDS} onChoose={on.setPattern} />
      <Choice label="Plate" value={on.shape} words={SHAPE_WORDS} onChoose={on.setShape} />
      <Amount
        label="Flat of the plate"
        unit="cm"
        reach={[4, 60]}
        value={asked.flatCm}
        onValue={(flatCm) => say({ flatCm })}
      />
      {guide.poolCm > 0 && (
        <Amount
          label="Pool so deep"
          unit="mm"
          reach={[0.5, 10]}
          value={asked.depthMm}
          onValue={(depthMm) => say({ depthMm })}
        />
      )}
      {(guide.strokes.length > 0 || guide.dots.length > 0 || isOwn) && (
        <Amount
          label="Lines and dots"
          unit="mm"
          reach={[1, 30]}
          value={asked.drawnMm}
          onValue={(drawnMm) => say({ drawnMm })}
        />
      )}
      {isOwn && <HandTools tool={on.tool} onTool={on.setTool} mine={on.mine} />}
      {on.pattern === 'random' && <Button onClick={on.another}>Another one</Button>}
      {guide.picks.length > 0 && (
        <>
          <Tick label="Show the way of the pick" isOn={on.showsHand} onTick={on.setShowsHand} />
          <Tick label="Wipe the pick after each drag" isOn={on.isWiped} onTick={on.setWiped} />
        </>
      )}
      <Amount
        label="For so many plates"
        unit=""
        reach={[1, 200]}
        value={asked.plates}
        onValue={(plates) => say({ plates: Math.round(plates) })}
      />
      {(guide.picks.length > 0 || isOwn) && <SecondSauce second={second} />}
    </>
  );
}

/** How much of what a plate takes, in which order, how warm. */
function PlateFacts({
  on: { guide, asked, pattern },
  serving,
  second,
}: {
  on: AskedPlate;
  serving: Serving;
  second: ReturnType<typeof useSecondSauce>;
}) {
  const { prediction, pour, batchG } = serving;
  const warm = useMemo(() => pourWindow(prediction.batch, pour.temperatureC), [prediction.batch, pour.temperatureC]);
  const gramsPerMl = prediction.densityKgM3 / 1000;
  const hasPool = guide.poolCm > 0;
  const firstG = gramsPerMl * (guide.pouredMl + (hasPool ? 0 : guide.drawnMl));
  const secondG = hasPool ? ((second.answer?.densityKgM3 ?? prediction.densityKgM3) / 1000) * guide.drawnMl : 0;
  const plates = firstG > 0 ? Math.floor(batchG / firstG) : 0;
  return (
    <div>
      <h3 className="font-head text-[1.2rem] font-semibold">{serving.file.name}</h3>
      <dl className="mt-2">
        <Fact name="A plate takes">{weight(significant2(firstG))}</Fact>
        {secondG > 0 && (
          <Fact name="of the second sauce" note={second.answer?.name}>
            {weight(significant2(secondG))}
          </Fact>
        )}
        {asked.plates > 1 && (
          <Fact
            name={`For ${asked.plates} plates`}
            note={secondG > 0 ? `and ${weight(significant2(asked.plates * secondG))} of the second sauce` : undefined}
          >
            {weight(significant2(asked.plates * firstG))}
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
  );
}

/** A plate drawn to scale, finished: how much of what, in which order, how warm. */
export function PlateView({ id, serving }: { id: string; serving: Serving }) {
  const on = usePlate();
  const { pattern, plate, shape, asked, guide } = on;
  const second = useSecondSauce(id, Math.min(serving.pour.temperatureC, 35));
  const drawn = second.answer?.colour ?? '#f2e8d5';
  return (
    <AskedAnswered name="On the plate" asked={<PlateAsked on={on} second={second} />}>
      <div className="grid gap-6 lg:grid-cols-[minmax(0,430px)_minmax(0,1fr)]">
        <PlateDrawing
          plate={plate}
          guide={guide}
          shapes={on.shapes}
          showsHand={on.showsHand}
          hand={on.hand}
          fillsSquare={pattern === 'mirror' && plate.isSquare}
          poured={serving.colour}
          drawn={drawn}
          label={`${PATTERN_WORDS[pattern]} on a ${SHAPE_WORDS[shape]} plate of ${asked.flatCm} cm, to scale`}
        />
        <PlateFacts on={on} serving={serving} second={second} />
      </div>
      {guide.picks.length > 0 && <PlateOrder on={on} poured={serving.colour} drawn={drawn} />}
      {asked.plates > 1 && (
        <PlateSet
          plate={plate}
          count={asked.plates}
          poolCm={guide.poolCm}
          shapes={on.shapes}
          poured={serving.colour}
          drawn={drawn}
        />
      )}
      <p className="mt-4 no-print">
        <Button onClick={() => window.print()}>Print the card for the pass</Button>
      </p>
    </AskedAnswered>
  );
}

/** The strokes in their order, for the card at the pass: what is laid, how the pick goes, how it lies in the end. */
function PlateOrder({ on, poured, drawn }: { on: AskedPlate; poured: string; drawn: string }) {
  const { guide, plate, pattern, shapes } = on;
  const laid = useMemo(() => laidShapes(guide), [guide]);
  const steps = [
    ['1. Pour and lay', laid, false],
    ['2. Drag the pick', laid, true],
    ['3. As it lies', shapes, false],
  ] as const;
  return (
    <ol aria-label="In its order" className="mt-4 grid max-w-2xl grid-cols-3 gap-4">
      {steps.map(([name, outlines, showsHand]) => (
        <li key={name} className="text-center text-[14px]">
          <PlateDrawing
            plate={plate}
            guide={guide}
            shapes={outlines}
            showsHand={showsHand}
            hand={undefined}
            fillsSquare={pattern === 'mirror' && plate.isSquare}
            poured={poured}
            drawn={drawn}
            label={name}
          />
          {name}
        </li>
      ))}
    </ol>
  );
}

/** To two places that count, so that a plate's grams are not falser than a spoon. */
const significant2 = (grams: number) => Number(grams.toPrecision(2));
