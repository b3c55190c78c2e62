import { z } from 'zod';
import { formulaFileSchema } from './formula-file';
import { learnFileSchema } from './learn-file';
import { panFileSchema } from './pan-file';
import { rescueFileSchema } from './rescue-file';

/** A file as a JSON Schema (draft 2020-12), from the same declaration the app reads with. */
function jsonSchema(title: string, description: string, schema: z.ZodType) {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title,
    description,
    ...z.toJSONSchema(schema, {
      io: 'input',
      // What is read-only in the app's memory may well be written in a file.
      override: ({ jsonSchema: part }) => {
        delete part.readOnly;
      },
    }),
  };
}

/** The open files, by the name their schema is kept under. */
export const jsonSchemas = () => ({
  'dark-pour-formula-1': jsonSchema(
    'Dark Pour formula, version 1',
    'A chocolate sauce, ganache or glaze: what goes in, what was done to it, the moments it is looked at and the gates it must pass. ' +
      'Compositions are g per 100 g, histories hours and °C, oldest first.',
    formulaFileSchema,
  ),
  'dark-pour-pan-1': jsonSchema(
    'Dark Pour pan, version 1',
    'A pan and what happens to it, event by event: something goes in (add), time passes with or without heat until an end is reached ' +
      '(until), or it is poured and stands (stand). Grams, °C, seconds, m, W; W/m²K for places.',
    panFileSchema,
  ),
  'dark-pour-rescue-1': jsonSchema(
    'Dark Pour rescue, version 1',
    'A pan that is not right: its formula with the gates it should meet, how warm it is, the sign that was seen, what was answered, and what went in ' +
      'and was seen since (then). Grams, °C, mm.',
    rescueFileSchema,
  ),
  'dark-pour-tests-1': jsonSchema(
    'Dark Pour tests, version 1',
    'What was measured in a kitchen (tests), each with its formula, its temperature and history and how long ago, and what is to be predicted with ' +
      'what they teach (predict). mm, mL, s, Pa, Pa·s, hours, °C; sd is the standard error in natural logarithms.',
    learnFileSchema,
  ),
});
