import { writeFormulaCsv } from '@/formats/formula-csv';
import type { FormulaFile } from '@/formats/formula-file';
import { recipeJsonLd } from '@/formats/recipe-json-ld';
import { itemOf, type Larder } from '@/kitchen/known-item';
import { methodInstructions } from '@/kitchen/method/instructions';
import { sharedDatabase } from '@/server/db/database';
import { answering, RequestError } from '@/server/read-request';
import { findFormula } from '@/server/repositories/formulas';
import { someIngredients } from '@/server/repositories/larder';

const json = (value: unknown) => `${JSON.stringify(value, null, 2)}\n`;

/** A recipe with its method; without it where a row is known to nobody. */
function writeRecipe(file: FormulaFile, nameOf: (id: string) => string, larder: Larder): string {
  const isKnown = file.lines.every(({ ingredient }) => itemOf(file, larder, ingredient) !== undefined);
  return json(recipeJsonLd(file, nameOf, isKnown ? methodInstructions(file, larder, nameOf) : undefined));
}

/** The open formats a formula goes out in, by the name asked for. */
const FORMATS: Record<
  string,
  { type: string; ending: string; write: (file: FormulaFile, nameOf: (id: string) => string, larder: Larder) => string }
> = {
  formula: { type: 'application/json', ending: 'json', write: json },
  recipe: { type: 'application/ld+json', ending: 'jsonld', write: writeRecipe },
  csv: { type: 'text/csv', ending: 'csv', write: writeFormulaCsv },
};

/** The formula as a file: in its own open format, as a schema.org Recipe (`?as=recipe`), or its rows as CSV (`?as=csv`). */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return answering(async () => {
    const as = new URL(request.url).searchParams.get('as') ?? 'formula';
    const format = Object.hasOwn(FORMATS, as) ? FORMATS[as] : undefined;
    if (!format) throw new RequestError(404, 'There is no such format: formula, recipe or csv.');
    const { db } = await sharedDatabase();
    const formula = await findFormula(db, (await params).id);
    if (!formula) throw new RequestError(404, 'This formula was deleted, or never was here.');
    const { file } = formula;
    const used = file.lines.map(({ ingredient }) => ingredient);
    const larder = new Map((await someIngredients(db, used)).map((each) => [each.id, each]));
    const nameOf = (id: string) => itemOf(file, larder, id)?.name ?? id;
    const fileName = `${file.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}.${format.ending}`;
    return new Response(format.write(file, nameOf, larder), {
      headers: {
        'content-type': `${format.type}; charset=utf-8`,
        'content-disposition': `attachment; filename="formula.${format.ending}"; filename*=UTF-8''${encodeURIComponent(fileName)}`,
      },
    });
  });
}
