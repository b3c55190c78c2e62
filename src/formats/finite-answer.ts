import { placeOf } from './formula-file';
import { FormulaFileError } from './formula-file-error';

/** The first place in an answer that holds no number where there should be one. */
function firstUnknown(
  value: unknown,
  at: readonly PropertyKey[],
  mayBeNone: readonly string[],
): readonly PropertyKey[] | undefined {
  if (typeof value === 'number') return Number.isFinite(value) ? undefined : at;
  if (value === null) return mayBeNone.some((name) => name === at.at(-1)) ? undefined : at;
  if (typeof value !== 'object') return undefined;
  const isList = Array.isArray(value);
  for (const [key, each] of Object.entries(value)) {
    // What is left out of an object is left out of JSON; in a list it would be written as null.
    const found =
      each === undefined && isList
        ? [...at, Number(key)]
        : firstUnknown(each, [...at, isList ? Number(key) : key], mayBeNone);
    if (found) return found;
  }
  return undefined;
}

/**
 * An answer as it may be printed: every number is one.
 *
 * @param mayBeNone names of what is null where there is none
 * @throws {FormulaFileError} naming the place that could not be worked out
 */
export function finiteAnswer<Answer>(answer: Answer, mayBeNone: readonly string[] = []): Answer {
  const unknown = firstUnknown(answer, [], mayBeNone);
  if (unknown) throw new FormulaFileError(`${placeOf(unknown)} could not be worked out for this file`);
  return answer;
}
