import { readFileSync } from 'node:fs';
import type { ComponentVector } from '@/core/matter/components';
import { compositionVector } from '@/core/matter/components';
import { type Addition, add } from '@/core/pan/add';
import type { Doing } from '@/core/pan/advance';
import { type End, type Followed, follow } from '@/core/pan/follow';
import { emptyPan, massG, type PanState, undissolvedG, unmeltedG } from '@/core/pan/pan';
import { USUAL_KITCHEN, type Vessel } from '@/core/pan/vessel';
import { parseLarderCsv } from '@/formats/larder-csv';

const larder = new Map(
  parseLarderCsv(readFileSync('data/starting-larder.csv', 'utf8')).map(({ id, components, ph }) => [
    id,
    { perGram: compositionVector(components), ph: ph ?? undefined },
  ]),
);

export const LARDER_IDS: readonly string[] = [...larder.keys()];

function entry(id: string) {
  const found = larder.get(id);
  if (!found) throw new Error(`${id} is not in the larder`);
  return found;
}

/** What 1 g of an ingredient of the starting larder is made of. */
export const perGram = (id: string): ComponentVector => entry(id).perGram;

/** Its pH, where that is known. */
export const phOf = (id: string): number | undefined => entry(id).ph;

/** An addition, with what is usual: liquid, at the kitchen's temperature. */
export function addition(id: string, grams: number, more: Partial<Addition> = {}): Addition {
  return { key: id, perGram: perGram(id), grams, temperatureC: 22, as: 'liquid', ...more };
}

export const pieces = (mm: number, temperatureC = 22) => ({ as: 'piece', radiusM: mm / 1000, temperatureC }) as const;
export const grains = (mm: number, temperatureC = 22) => ({ as: 'grain', radiusM: mm / 1000, temperatureC }) as const;

export const vesselOf = (diameterM: number, more: Partial<Vessel> = {}): Vessel => ({
  ...USUAL_KITCHEN,
  diameterM,
  ...more,
});

/** A pan with some things in it. */
export const panWith = (vessel: Vessel, additions: readonly Addition[]): PanState =>
  additions.reduce(add, emptyPan(vessel));

export const gas = (level: number, powerW = 1800) => ({ powerW, efficiency: 0.48, level });
export const DOING: Doing = { stir: 0, cover: 0 };
export const until = (kind: 'boil' | 'melted' | 'dissolved'): End => ({ kind });
export const forSeconds = (seconds: number): End => ({ kind: 'seconds', seconds });

export type { Followed, PanState };
export { follow, massG, undissolvedG, unmeltedG };
