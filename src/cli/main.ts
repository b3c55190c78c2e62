import { readFileSync, statSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { answerBalance, answerPredict } from '@/formats/answers';
import { finiteAnswer } from '@/formats/finite-answer';
import { LARGEST_FILE_BYTES, parseFormulaText, readFormula } from '@/formats/formula-file';
import { FormulaFileError } from '@/formats/formula-file-error';
import type { Ingredient } from '@/formats/ingredient';
import { parseLarderCsv } from '@/formats/larder-csv';
import { answerLearn } from '@/formats/learn-answers';
import { readTests } from '@/formats/learn-file';
import { lookUp } from '@/formats/look-up';
import { messageOf } from '@/formats/message-of';
import { answerPan } from '@/formats/pan-answers';
import { readPan } from '@/formats/read-pan';
import { readRescue } from '@/formats/rescue-file';
import { answerRescue } from '@/kitchen/cook/rescue-answers';
import { answerMethod } from '@/kitchen/method/method-answers';

const USAGE = `Usage:
  dark-pour predict FILE.json     what a formula will be like
  dark-pour balance FILE.json     the least change that brings it through its gates
  dark-pour method FILE.json      the steps that make it, with their times, temperatures and states
  dark-pour pan FILE.json         a pan followed through what happens to it
  dark-pour learn FILE.json       what a kitchen's own tests teach, and what is predicted with it
  dark-pour rescue FILE.json      why a pan is not right, and what goes in next
FILE.json holds one formula or a list of them (format dark-pour/formula, version 1), for pan one pan or a list
(format dark-pour/pan, version 1), for learn one kitchen's tests or a list (format dark-pour/tests, version 1),
for rescue one rescue or a list (format dark-pour/rescue, version 1);
- reads standard input.`;

type Larder = ReadonlyMap<string, Ingredient>;

interface Verb {
  /** what its file holds one or many of */
  readonly reads: string;
  readonly answer: (value: unknown, larder: Larder) => unknown;
  /** names in its answer that are null where there is none */
  readonly mayBeNone?: readonly string[];
}

const VERBS: Readonly<Record<string, Verb>> = {
  predict: { reads: 'formula', answer: (value, larder) => answerPredict(readFormula(value), larder) },
  balance: { reads: 'formula', answer: (value, larder) => answerBalance(readFormula(value), larder) },
  method: { reads: 'formula', answer: (value, larder) => answerMethod(readFormula(value), larder) },
  pan: { reads: 'pan', answer: (value, larder) => answerPan(readPan(value), larder) },
  rescue: {
    reads: 'rescue',
    answer: (value, larder) => answerRescue(readRescue(value), larder),
    mayBeNone: ['portion'],
  },
  learn: { reads: 'kitchen', answer: (value, larder) => answerLearn(readTests(value), larder) },
};

function readText(path: string): string {
  if (path === '-') return readFileSync(0, 'utf8');
  let size: number;
  try {
    size = statSync(path).size;
  } catch {
    throw new FormulaFileError(`${path}: there is no such file`);
  }
  if (size > LARGEST_FILE_BYTES) {
    throw new FormulaFileError(`${path}: the file is over 5 MB; a formula file is a few kilobytes`);
  }
  return readFileSync(path, 'utf8');
}

function answerFile({ reads, answer, mayBeNone }: Verb, path: string): unknown {
  const larder = new Map(
    parseLarderCsv(readFileSync(fileURLToPath(new URL('../../data/starting-larder.csv', import.meta.url)), 'utf8')).map(
      (ingredient) => [ingredient.id, ingredient],
    ),
  );
  const value = parseFormulaText(readText(path));
  if (!Array.isArray(value)) return finiteAnswer(answer(value, larder), mayBeNone);
  return value.map((one, index) => {
    try {
      return finiteAnswer(answer(one, larder), mayBeNone);
    } catch (error) {
      if (error instanceof FormulaFileError) throw new FormulaFileError(`${reads} ${index + 1}: ${error.message}`);
      throw error;
    }
  });
}

function main(): number {
  const [command, path, ...rest] = process.argv.slice(2);
  const verb = lookUp(VERBS, command ?? '');
  if (!verb || path === undefined || rest.length > 0) {
    process.stderr.write(`${USAGE}\n`);
    return command === '--help' || command === 'help' ? 0 : 2;
  }
  try {
    process.stdout.write(`${JSON.stringify(answerFile(verb, path), null, 2)}\n`);
    return 0;
  } catch (error) {
    process.stderr.write(`dark-pour: ${messageOf(error)}\n`);
    return 2;
  }
}

process.exitCode = main();
