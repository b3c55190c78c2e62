import { mkdirSync, writeFileSync } from 'node:fs';
import { formulaJsonSchema } from '../src/formats/formula-json-schema';

/** `npm run schema:generate`: writes the JSON Schema of the formula file from the schema the app itself reads with. */
mkdirSync('docs/schemas', { recursive: true });
writeFileSync('docs/schemas/dark-pour-formula-1.schema.json', `${JSON.stringify(formulaJsonSchema(), null, 2)}\n`);
