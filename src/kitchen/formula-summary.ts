import { type Standing, standingOf } from '@/core/balance/standing';
import type { FilmFluid } from '@/core/film/mobility';
import { atThePour } from '@/core/formula/moment-role';
import { calibrationOf, type KitchenKnowledge } from '@/core/learn/kitchen';
import { linearChance } from '@/core/predict/linear-chance';
import { QUOTED_AT_C } from '@/core/predict/predict-formula';
import { chocolateColour } from '@/core/shine/colour';
import { findUse } from '@/core/uses/ready-gates';
import type { StoredFormula } from '@/formats/server-answers';
import { itemOf, type Larder } from './known-item';
import { keyed, predictPan } from './known-pan';
import { fluidOf } from './method/pan-fluid';
import { JOB_WORDS, USE_NAMES } from './words/job-words';

/** What 20 ml of a formula look like on a plate at its pour. */
export interface PouredLook {
  readonly colour: string;
  readonly shine: number;
  readonly plateDiameterMm: number;
  /** how it flows there, and °C of that */
  readonly fluid: FilmFluid;
  readonly pourC: number;
}

/** A formula as a card of the list shows it. */
export interface FormulaSummary {
  readonly id: string;
  readonly name: string;
  /** what it is for, as a cook says it */
  readonly use: string;
  readonly note: string;
  readonly tags: readonly string[];
  readonly archived: boolean;
  readonly isVariant: boolean;
  readonly batchG: number;
  readonly rows: number;
  /** nothing predicted while the pan is empty or an ingredient is unknown */
  readonly predicted:
    | (PouredLook & {
        readonly standing: Standing;
        /** that every gate lands, 0-1 */
        readonly chance: number;
        readonly gates: number;
        readonly missed: number;
      })
    | undefined;
  /** text the search looks through */
  readonly words: string;
}

/**
 * Sums a formula up for the list: its colour, its puddle at the pour and whether it lands.
 *
 * @param knowledge what the kitchen's tests taught; nothing for the standard figures
 */
export function summarise(
  { id, file, archived, baseId }: StoredFormula,
  larder: Larder,
  knowledge: KitchenKnowledge | undefined,
): FormulaSummary {
  const names = file.lines.map(({ ingredient }) => itemOf(file, larder, ingredient)?.name);
  const predicted = names.includes(undefined)
    ? undefined
    : predictPan(keyed(file), larder, calibrationOf(knowledge, id));
  const prediction = predicted?.prediction;
  const chance = predicted && prediction ? linearChance(predicted.formula, predicted.prediction).chance : 0;
  const jobs = file.brief?.jobs.map((job) => JOB_WORDS[job.use].name).join(', ');
  const known = findUse(file.use);
  const use = jobs ?? (known ? USE_NAMES[known.id] : (file.use ?? 'No use set'));
  const atPour = prediction && atThePour(prediction.moments);
  return {
    id,
    name: file.name,
    use,
    note: file.note ?? '',
    tags: file.tags ?? [],
    archived,
    isVariant: baseId !== null,
    batchG: file.lines.reduce((sum, line) => sum + line.grams, 0),
    rows: file.lines.length,
    predicted: prediction && {
      colour: chocolateColour(prediction.batch.mixture),
      shine: atPour?.state.shine ?? prediction.asKept.shine,
      plateDiameterMm: atPour?.plateDiameterMm ?? 50,
      fluid: fluidOf(atPour?.state ?? prediction.asKept),
      pourC: atPour?.moment.temperatureC ?? QUOTED_AT_C,
      standing: standingOf(prediction.lands, chance),
      chance,
      gates: prediction.gates.length,
      missed: prediction.gates.filter((gate) => !gate.lands).length,
    },
    words: [file.name, use, file.note, ...(file.tags ?? []), ...names].join(' '),
  };
}
