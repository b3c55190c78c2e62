import { describe, expect, it } from 'vitest';
import { predictFormula } from '@/core/predict/predict-formula';
import { readFormula } from '@/formats/formula-file';
import { resolveFormula } from '@/formats/resolve-formula';
import { summarise } from '@/kitchen/formula-summary';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { fileOf, larder } from '../support/kitchen';

const stored = (file: ReturnType<typeof readFormula>, more = {}) => ({
  id: 'one',
  revision: 1,
  updatedAt: '2026-01-01T08:00:00.000Z',
  baseId: null,
  archived: false,
  modelRevision: 2,
  file,
  ...more,
});

describe('a formula on its card', () => {
  it('lands, misses and weighs as the prediction says, for every demo formula', () => {
    for (const file of lanternMillFormulas()) {
      const card = summarise(stored(file), larder, undefined);
      const prediction = predictFormula(resolveFormula(file, larder, 'standard'));
      expect(card.predicted?.standing !== 'misses', file.name).toBe(prediction?.lands);
      expect(card.predicted?.missed).toBe(prediction?.gates.filter((gate) => !gate.lands).length);
      expect(card.predicted?.gates).toBe(file.gates.length);
      expect(card.batchG).toBeCloseTo(
        file.lines.reduce((sum, { grams }) => sum + grams, 0),
        9,
      );
      expect(card.rows).toBe(file.lines.length);
    }
  });

  it('draws the puddle of the pour, and a white glaze lighter than a dark sauce', () => {
    const demo = lanternMillFormulas();
    const card = (name: string) => {
      const file = demo.find((each) => each.name.includes(name));
      if (!file) throw new RangeError(`no demo formula is called ${name}`);
      return { file, predicted: summarise(stored(file), larder, undefined).predicted };
    };
    const gloss = card('Millrace');
    const pour = predictFormula(resolveFormula(gloss.file, larder, 'standard'))?.moments.find(
      ({ moment }) => moment.name === 'pour',
    );
    expect(gloss.predicted?.plateDiameterMm).toBe(pour?.plateDiameterMm);
    const light = (hex = '') => [1, 3, 5].reduce((sum, at) => sum + Number.parseInt(hex.slice(at, at + 2), 16), 0);
    expect(light(card('Snowmelt').predicted?.colour)).toBeGreaterThan(light(card('Lantern mirror').predicted?.colour));
  });

  it('predicts nothing of an empty pan, nor of an ingredient nobody knows', () => {
    expect(summarise(stored(readFormula(fileOf([]))), larder, undefined).predicted).toBeUndefined();
    const strange = readFormula(fileOf([['moon-dust', 100]]));
    expect(summarise(stored(strange), larder, undefined).predicted).toBeUndefined();
  });

  it('is found by its name, use, note, tags and ingredients', () => {
    const file = { ...readFormula(fileOf([['cream-35', 100]])), name: 'Weir', note: 'for the boat', tags: ['feast'] };
    const { words, isVariant } = summarise(stored(file, { baseId: 'base' }), larder, undefined);
    for (const word of ['Weir', 'boat', 'feast', 'Whipping cream']) expect(words).toContain(word);
    expect(isVariant).toBe(true);
  });
});
