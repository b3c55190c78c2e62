import { z } from 'zod';
import { formulaFileSchema } from './formula-file';

/** The formula file as a JSON Schema (draft 2020-12), from the same declaration the app reads with. */
export function formulaJsonSchema() {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Dark Pour formula, version 1',
    description:
      'A chocolate sauce, ganache or glaze: what goes in, what was done to it, the moments it is looked at and the gates it must pass. ' +
      'Compositions are g per 100 g, histories hours and °C, oldest first.',
    ...z.toJSONSchema(formulaFileSchema, {
      io: 'input',
      // What is read-only in the app's memory may well be written in a file.
      override: ({ jsonSchema }) => {
        delete jsonSchema.readOnly;
      },
    }),
  };
}
