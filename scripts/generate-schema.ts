import { mkdirSync, writeFileSync } from 'node:fs';
import { jsonSchemas } from '../src/formats/json-schemas';

/** `npm run schema:generate`: writes the JSON Schemas of the open files from the schemas the app itself reads with. */
mkdirSync('docs/schemas', { recursive: true });
for (const [name, schema] of Object.entries(jsonSchemas())) {
  writeFileSync(`docs/schemas/${name}.schema.json`, `${JSON.stringify(schema, null, 2)}\n`);
}
