import { describe, expect, it } from 'vitest';
import { FormulaFileError } from '@/formats/formula-file-error';
import { answerPan } from '@/formats/pan-answers';
import { readPan } from '@/formats/read-pan';
import { larder } from '../support/kitchen';

const HEAT = { powerW: 2000, efficiency: 0.48, level: 0.5 };

const fileWith = (events: readonly object[], more: object = {}) => ({
  format: 'dark-pour/pan',
  version: 1,
  name: 'Test pan',
  pan: { diameterM: 0.18, kitchenC: 24, humidity: 0.5, altitudeM: 0 },
  events,
  ...more,
});

const answer = (events: readonly object[], more: object = {}) =>
  answerPan(readPan(fileWith(events, more)), larder).events as Record<string, number | boolean | string | object>[];

const CREAM = { add: 'cream-35', grams: 200, temperatureC: 5 };
const CHOCOLATE = { add: 'dark-couverture-66', grams: 220, temperatureC: 20, as: 'pieces', radiusMm: 4 };

describe('a pan file', () => {
  it('is followed event by event, to the table', () => {
    const events = answer([
      CREAM,
      { add: 'sugar-granulated', grams: 40, as: 'grains', radiusMm: 0.25 },
      { heat: HEAT, stir: 0.4, cover: 0, until: { boil: true } },
      CHOCOLATE,
      { stir: 0.4, tool: 'whisk', until: { melted: true } },
      { heat: { microwaveW: 800 }, until: { seconds: 20 } },
      {
        stand: {
          shape: 'slab',
          lengthM: 0.01,
          parts: [
            { hours: 0.5, h: 9, aroundC: 22 },
            { hours: 2, h: 12, aroundC: 4 },
          ],
        },
      },
    ]);
    const [cream, sugar, boiled, chocolate, melted, burst, stood] = events;
    expect(cream).toMatchObject({ seconds: 0, temperatureC: 5, massG: 200, undissolvedG: 0 });
    expect(sugar).toMatchObject({ massG: 240, undissolvedG: 40 });
    expect(boiled).toMatchObject({ reached: true, undissolvedG: 0, unmeltedG: 0 });
    expect(Math.abs(Number(boiled?.temperatureC) - Number(boiled?.boilsAtC))).toBeLessThan(0.31);
    expect(chocolate).toMatchObject({ unmeltedG: 220, seconds: boiled?.seconds });
    expect(melted).toMatchObject({ reached: true, unmeltedG: 0 });
    expect(Number(melted?.mix)).toBeGreaterThan(0.3);
    expect(Number(burst?.hottestC)).toBeGreaterThan(Number(burst?.temperatureC));
    expect(stood).toMatchObject({ hours: 2.5 });
    expect(Number(stood?.edgeC)).toBeLessThan(Number(stood?.centreC));
    expect(Number(stood?.edgeYieldPa)).toBeGreaterThan(Number(stood?.centreYieldPa));
  });

  it('takes what is usual where a file does not say', () => {
    const [added] = answer([{ add: 'water', grams: 100 }], { pan: { diameterM: 0.2 } });
    expect(added).toMatchObject({ temperatureC: 22 });
  });

  it('knows the ingredients of its own', () => {
    const own = { 'mill-water': { name: 'Mill water', components: { water: 100 } } };
    const [added] = answer([{ add: 'mill-water', grams: 100 }], { ingredients: own });
    expect(Number(added?.boilsAtC)).toBeCloseTo(100, 1);
  });

  it('ends at a loss, at a temperature going down, at a cooked starch', () => {
    const water = { add: 'water', grams: 400, temperatureC: 90 };
    const heat = { heat: { powerW: 2000, level: 1 }, stir: 0.3 };
    expect(Number(answer([water, { ...heat, until: { lostG: 50 } }])[1]?.lostWaterG)).toBeGreaterThanOrEqual(50);
    expect(Number(answer([water, { stir: 0.3, until: { temperatureC: 60 } }])[1]?.temperatureC)).toBeLessThanOrEqual(
      60,
    );
    const starch = answer([water, { add: 'starch-corn', grams: 12 }, { ...heat, until: { cooked: 0.9 } }]);
    expect(Number(starch[2]?.cook)).toBeGreaterThanOrEqual(0.9);
  });

  it('gives an end up that is never reached', () => {
    const given = answer([CREAM, { heat: { powerW: 0 }, until: { boil: true }, limitSeconds: 60 }])[1];
    expect(given).toMatchObject({ reached: false, seconds: 60 });
  });

  it('says when a pan is too small', () => {
    const small = { pan: { diameterM: 0.05 } };
    expect(answer([{ add: 'milk-whole', grams: 3000 }], small)[0]?.fill).toBe('overflows');
    expect(answer([{ add: 'milk-whole', grams: 40 }], small)[0]?.fill).toBe('boilsOver');
    expect(answer([{ add: 'milk-whole', grams: 20 }], small)[0]?.fill).toBe('fits');
  });

  it('gives no boiling point to lumps alone', () => {
    expect(answer([CHOCOLATE])[0]?.boilsAtC).toBeUndefined();
  });

  it.each([
    ['no pan', [], { pan: undefined }, 'pan: '],
    ['another format', [], { format: 'dark-pour/formula' }, 'must be "dark-pour/pan"'],
    ['negative grams', [{ ...CREAM, grams: -1 }], {}, 'events[0].grams: must be above 0 g'],
    ['no number', [{ ...CREAM, grams: '200' }], {}, 'events[0].grams: must be a number of grams'],
    ['a step without an end', [CREAM, { heat: HEAT }], {}, 'events[1].until: must say when this ends'],
    ['two ends', [CREAM, { until: { boil: true, seconds: 3 } }], {}, 'events[1].until: must name one end'],
    ['an unknown ingredient', [{ add: 'moondust', grams: 5 }], {}, 'events[0].add: "moondust" is neither'],
    ['an empty pan on the heat', [{ heat: HEAT, until: { seconds: 5 } }], {}, 'events[0]: nothing is in the pan yet'],
    ['a mountain too high', [], { pan: { diameterM: 0.2, altitudeM: 9000 } }, 'pan.altitudeM: must be -400 to 6000 m'],
    [
      'a shape nobody has',
      [CREAM, { stand: { shape: 'cube', lengthM: 1, parts: [] } }],
      {},
      'stand.shape: must be slab',
    ],
    ['a word for an event', ['boil'], {}, 'events[0]'],
  ])('refuses %s with a place and a reason', (_, events, more, words) => {
    const attempt = () => answerPan(readPan(fileWith(events as object[], more)), larder);
    expect(attempt).toThrow(FormulaFileError);
    expect(attempt).toThrow(words);
  });

  it.each([[null], [7], ['pan'], [[]]])('refuses %j', (value) => {
    expect(() => readPan(value)).toThrow('must be a JSON object');
  });
});
