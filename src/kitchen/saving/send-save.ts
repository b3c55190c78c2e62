import type { StoredFormula } from '@/formats/server-answers';

/** Loaded once the bench is there, and before it is needed. */
export const answers = () => import('./saved-answers');

/** A save that is not answered by then is tried again. */
const ANSWER_MS = 12_000;
/** A browser lets a page send no more than this while it is being left. */
const MOST_KEEPALIVE_BYTES = 60_000;

const AFTER_IT = ' It is tried again by itself.';

/** What became of a save. */
export type Sent =
  | { readonly kind: 'kept'; readonly revision: number }
  | { readonly kind: 'stale'; readonly theirs: StoredFormula }
  | { readonly kind: 'gone' }
  | { readonly kind: 'refused'; readonly message: string }
  /** it may have arrived all the same */
  | { readonly kind: 'unanswered'; readonly message: string };

/**
 * Sends a save of a formula over the revision it started from.
 *
 * @param formula as JSON
 */
export async function sendSave(id: string, revision: number, formula: string): Promise<Sent> {
  const body = `{"revision":${revision},"formula":${formula}}`;
  try {
    const answer = await fetch(`/api/formulas/${id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body,
      keepalive: body.length < MOST_KEEPALIVE_BYTES,
      signal: AbortSignal.timeout(ANSWER_MS),
    });
    const [read, { readSaved, readStale, readRefused }] = await Promise.all([
      answer.json() as Promise<unknown>,
      answers(),
    ]);
    if (answer.ok) return { kind: 'kept', revision: readSaved(read).revision };
    if (answer.status === 409) return { kind: 'stale', theirs: readStale(read) };
    if (answer.status === 404) return { kind: 'gone' };
    return { kind: 'refused', message: `${readRefused(read)}${answer.status === 503 ? AFTER_IT : ''}` };
  } catch (error) {
    const isLate = error instanceof DOMException && error.name === 'TimeoutError';
    return {
      kind: 'unanswered',
      message: `The server ${isLate ? 'does not answer' : 'cannot be reached'}.${AFTER_IT}`,
    };
  }
}
