import { z } from 'zod';
import type { FormulaFileInput } from '@/formats/formula-file';

const createdSchema = z.object({ id: z.string() });
const storedSchema = z.object({ file: z.looseObject({ name: z.string() }) });
const refusedSchema = z.object({ message: z.string() });

/** Sends a request and reads its refusal as words. */
async function ask(path: string, method: string, body?: unknown): Promise<unknown> {
  let answer: Response;
  try {
    answer = await fetch(path, {
      method,
      ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    });
  } catch {
    throw new Error('The server cannot be reached. Nothing was changed.');
  }
  const value: unknown = await answer.json().catch(() => undefined);
  if (!answer.ok) {
    const refused = refusedSchema.safeParse(value);
    throw new Error(refused.success ? refused.data.message : 'The server did not answer as it should. Try again.');
  }
  return value;
}

/** Keeps a new formula and returns its id. */
export async function createFormula(formula: FormulaFileInput): Promise<string> {
  return createdSchema.parse(await ask('/api/formulas', 'POST', { formula })).id;
}

/** Keeps a copy of a formula under a name of its own and returns its id. */
export async function copyFormula(id: string): Promise<string> {
  const { file } = storedSchema.parse(await ask(`/api/formulas/${id}`, 'GET'));
  const name = `${file.name.slice(0, 113)}, copy`;
  return createFormula({ ...(file as unknown as FormulaFileInput), name });
}

export async function deleteFormula(id: string): Promise<void> {
  await ask(`/api/formulas/${id}`, 'DELETE');
}

export async function restoreFormula(id: string): Promise<void> {
  await ask(`/api/formulas/${id}/restore`, 'POST');
}
