import { describe, expect, it } from 'vitest';
import { readFormula } from '@/formats/formula-file';
import { wayOfSteps } from '@/kitchen/method/way-of-steps';
import { fileOf, larder } from '../support/kitchen';

const ganache = readFormula(
  fileOf([
    ['dark-couverture-60', 200],
    ['cream-35', 200],
    ['butter-unsalted-82', 30],
  ]),
);
const sauce = readFormula(
  fileOf([
    ['milk-whole', 300],
    ['sugar-caster', 60],
    ['starch-corn', 15],
    ['dark-couverture-60', 100],
  ]),
);

describe('the way that a pasted recipe tells', () => {
  it.each([
    [['Bring the cream to the boil.', 'Pour it over the chocolate and wait a minute.'], 'pouredOver'],
    [['Melt the chocolate with the cream in a bowl over simmering water.'], 'waterBath'],
    [['Heat cream and chocolate in the microwave in short bursts.'], 'creamInMicrowave'],
    [['Put all of it into the microwave, 20 s at a time.'], 'microwave'],
    [['Sahne aufkochen. Über die Schokolade gießen.'], 'pouredOver'],
    [['Faites fondre au bain-marie.'], 'waterBath'],
    [['Verser la crème bouillante sur le chocolat.'], 'pouredOver'],
    [['Warm the cream gently, stir the chocolate in.'], 'simmered'],
    [['Serve with pears.'], undefined],
    [[], undefined],
  ] as const)('%j', (steps, way) => {
    expect(wayOfSteps(steps, ganache, larder)).toBe(way);
  });

  it('is one that suits: a custard needs egg, starch is cooked only where there is some', () => {
    expect(wayOfSteps(['Whisk in the yolks and cook to 83 °C.'], ganache, larder)).not.toBe('custard');
    expect(wayOfSteps(['Stir the cornflour with a little milk, boil, add the chocolate.'], sauce, larder)).toBe(
      'starchSauce',
    );
    expect(wayOfSteps(['Stir the cornflour in.'], ganache, larder)).toBeUndefined();
  });
});
