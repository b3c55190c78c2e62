import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { answerBalance, answerPredict } from '@/formats/answers';
import { readFormula } from '@/formats/formula-file';
import { answerLearn } from '@/formats/learn-answers';
import { readTests } from '@/formats/learn-file';
import { answerPan } from '@/formats/pan-answers';
import { readPan } from '@/formats/read-pan';
import { fileOf, larder } from '../support/kitchen';

const FORMULA = fileOf(
  [
    ['dark-couverture-60', 200],
    ['cream-35', 200],
  ],
  [{ moment: 'fridge', quantity: 'yieldStressPa', low: 300, high: 3000 }],
);
const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-'));
const keep = (name: string, text: string) => {
  const file = path.join(folder, name);
  writeFileSync(file, text);
  return file;
};
const file = keep('ganache.json', JSON.stringify(FORMULA));

function darkPour(args: string[], input = '') {
  const { status, stdout, stderr } = spawnSync('npm', ['run', '-s', 'dark-pour', '--', ...args], {
    input,
    encoding: 'utf8',
  });
  return { status, stdout, stderr: stderr.replace(/^npm warn.*\n/gm, '') };
}

const PAN = {
  format: 'dark-pour/pan',
  version: 1,
  name: 'Saturday',
  pan: { diameterM: 0.18, kitchenC: 24 },
  events: [
    { add: 'cream-35', grams: 200, temperatureC: 5 },
    { heat: { powerW: 2000, efficiency: 0.48, level: 0.5 }, stir: 0.4, until: { boil: true } },
  ],
};

const TESTS = {
  format: 'dark-pour/tests',
  version: 1,
  tests: [{ formula: FORMULA, temperatureC: 40, daysAgo: 3, measured: { ring: { diameterMm: 80 } } }],
  predict: [{ formula: FORMULA, temperatureC: 5 }],
};

const plain = (value: unknown) => JSON.parse(JSON.stringify(value));

describe('dark-pour from the shell', () => {
  it('predicts what the screen predicts', () => {
    const { status, stdout } = darkPour(['predict', file]);
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toEqual(plain(answerPredict(readFormula(FORMULA), larder)));
  });

  it('balances from standard input', () => {
    const { status, stdout } = darkPour(['balance', '-'], JSON.stringify(FORMULA));
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toEqual(plain(answerBalance(readFormula(FORMULA), larder)));
  });

  it('follows a pan', () => {
    const { status, stdout } = darkPour(['pan', '-'], JSON.stringify([PAN]));
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toEqual(plain([answerPan(readPan(PAN), larder)]));
  });

  it('learns from a kitchen’s tests', () => {
    const { status, stdout } = darkPour(['learn', '-'], JSON.stringify([TESTS]));
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toEqual(plain([answerLearn(readTests(TESTS), larder)]));
  });

  it('answers a list with a list, in order', () => {
    const { stdout } = darkPour(['predict', '-'], JSON.stringify([FORMULA, { ...FORMULA, name: 'Second' }]));
    expect(JSON.parse(stdout).map((answer: { name: string }) => answer.name)).toEqual(['Test pour', 'Second']);
  });

  it.each([
    ['no such file', ['predict', path.join(folder, 'nowhere.json')], '', 'there is no such file'],
    ['no JSON', ['predict', '-'], '{ "name"', 'not JSON'],
    ['another version', ['predict', '-'], JSON.stringify({ ...FORMULA, version: 7 }), 'only version 1'],
    [
      'an unknown ingredient in a list',
      ['balance', '-'],
      JSON.stringify([FORMULA, { ...FORMULA, lines: [{ ingredient: 'moondust', grams: 5 }] }]),
      'formula 2: lines[0].ingredient: "moondust"',
    ],
    ['50 MB', ['predict', keep('huge.json', `"${'x'.repeat(50_000_000)}"`)], '', 'over 5 MB'],
    ['a formula where a pan is meant', ['pan', file], '', 'must be "dark-pour/pan"'],
    ['no command', [], '', 'Usage'],
    ['an unknown command', ['taste', file], '', 'Usage'],
  ])('ends with code 2 and one clear line for %s', (_, args, input, words) => {
    const { status, stdout, stderr } = darkPour(args, input);
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toContain(words);
    expect(stderr).not.toMatch(/\n\s+at /);
  });
});
