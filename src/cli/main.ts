import { readFileSync, statSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { answerBalance, answerPredict } from '@/formats/answers';
import { LARGEST_FILE_BYTES, parseFormulaText, readFormula } from '@/formats/formula-file';
import { FormulaFileError } from '@/formats/formula-file-error';
import { parseLarderCsv } from '@/formats/larder-csv';
import { messageOf } from '@/formats/message-of';

const USAGE = `Usage:
  dark-pour predict FILE.json     what a formula will be like
  dark-pour balance FILE.json     the least change that brings it through its gates
FILE.json holds one formula or a list of them (format dark-pour/formula, version 1); - reads standard input.`;

const ANSWERS = { predict: answerPredict, balance: answerBalance };

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

function answer(command: string, path: string): unknown {
  const respond = ANSWERS[command as keyof typeof ANSWERS];
  const larder = new Map(
    parseLarderCsv(readFileSync(fileURLToPath(new URL('../../data/starting-larder.csv', import.meta.url)), 'utf8')).map(
      (ingredient) => [ingredient.id, ingredient],
    ),
  );
  const value = parseFormulaText(readText(path));
  if (!Array.isArray(value)) return respond(readFormula(value), larder);
  return value.map((one, index) => {
    try {
      return respond(readFormula(one), larder);
    } catch (error) {
      if (error instanceof FormulaFileError) throw new FormulaFileError(`formula ${index + 1}: ${error.message}`);
      throw error;
    }
  });
}

function main(): number {
  const [command, path, ...rest] = process.argv.slice(2);
  if (command === undefined || !Object.hasOwn(ANSWERS, command) || path === undefined || rest.length > 0) {
    process.stderr.write(`${USAGE}\n`);
    return command === '--help' || command === 'help' ? 0 : 2;
  }
  try {
    process.stdout.write(`${JSON.stringify(answer(command, path), null, 2)}\n`);
    return 0;
  } catch (error) {
    process.stderr.write(`dark-pour: ${messageOf(error)}\n`);
    return 2;
  }
}

process.exitCode = main();
