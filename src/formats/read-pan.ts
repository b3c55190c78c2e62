import type { z } from 'zod';
import { placeOf } from './formula-file';
import { FormulaFileError } from './formula-file-error';
import { eventSchemaOf, type PanFile, panFileSchema } from './pan-file';

const MOST_REASONS = 5;

/** Reasons of a refused value, each with its place. */
function reasonsOf(error: z.ZodError, before: readonly PropertyKey[] = []): string[] {
  return error.issues.map(({ path, message }) => {
    const at = placeOf([...before, ...path]);
    return at ? `${at}: ${message}` : message;
  });
}

/**
 * Reads one parsed JSON value as a pan file.
 *
 * @throws {FormulaFileError} with up to five places and reasons
 */
export function readPan(value: unknown): PanFile {
  if (value === null || typeof value !== 'object' || Array.isArray(value)) {
    throw new FormulaFileError('a pan must be a JSON object with "format", "version", "name", "pan" and "events"');
  }
  const parsed = panFileSchema.safeParse(value);
  if (parsed.success) return parsed.data;
  // An event that fits no kind says only that: asked by its own kind, it says what is wrong.
  const events = 'events' in value && Array.isArray(value.events) ? value.events : [];
  const ofEvents = events.flatMap((event, i) => {
    const own = eventSchemaOf(event).safeParse(event);
    return own.success ? [] : reasonsOf(own.error, ['events', i]);
  });
  const others = parsed.error.issues.filter(({ path }) => path[0] !== 'events' || path.length < 2);
  const reasons = [...others.map(({ path, message }) => `${placeOf(path)}: ${message}`), ...ofEvents];
  throw new FormulaFileError(reasons.slice(0, MOST_REASONS).join('; '));
}
