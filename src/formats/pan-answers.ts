import { type Addition, add } from '@/core/pan/add';
import { type Doing, readPan } from '@/core/pan/advance';
import { dissolves } from '@/core/pan/dissolving';
import { DRY_G } from '@/core/pan/dry';
import { fillOf } from '@/core/pan/fill';
import { type End, follow } from '@/core/pan/follow';
import { GRAIN_RADII_M, PIECE_RADII_M } from '@/core/pan/lump';
import { solidFatOf } from '@/core/pan/melting';
import { emptyPan, liquidG, massG, type PanState, undissolvedG, unmeltedG } from '@/core/pan/pan';
import { settle } from '@/core/pan/settle';
import { NO_FLOW_OFFSETS } from '@/core/predict/flow-parts';
import { FormulaFileError } from './formula-file-error';
import { lookUp } from './look-up';
import type { PanEvent, PanFile } from './pan-file';
import { type LarderComposition, vectorOf } from './resolve-formula';

/** A pan after an event, as the shell prints it. */
function panAnswer(pan: PanState) {
  return {
    seconds: pan.seconds,
    temperatureC: pan.temperatureC,
    massG: massG(pan),
    lostWaterG: pan.lostWaterG,
    lostEthanolG: pan.lostEthanolG,
    unmeltedG: unmeltedG(pan),
    undissolvedG: undissolvedG(pan),
    cook: pan.cook,
    mix: pan.mix,
    catching: pan.catching,
    skin: pan.skin,
    // Lumps alone do not boil.
    boilsAtC: liquidG(pan) > DRY_G ? readPan(pan).boilsAtC : undefined,
    fill: fillOf(pan),
  };
}

type TimeEvent = Extract<PanEvent, { until: unknown }>;
type AddEvent = Extract<PanEvent, { add: unknown }>;
type StandEvent = Extract<PanEvent, { stand: unknown }>;

function endOf({ boil, melted, temperatureC, seconds, lostG, cooked }: TimeEvent['until']): End {
  if (boil) return { kind: 'boil' };
  if (melted) return { kind: 'melted' };
  if (temperatureC !== undefined) return { kind: 'temperature', temperatureC };
  if (seconds !== undefined) return { kind: 'seconds', seconds };
  if (lostG !== undefined) return { kind: 'lost', grams: lostG };
  return cooked === undefined ? { kind: 'dissolved' } : { kind: 'cooked', share: cooked };
}

function doingOf({ heat, stir, tool, cover }: TimeEvent): Doing {
  if (!heat) return { stir, tool, cover };
  return 'microwaveW' in heat ? { stir, tool, cover, microwaveW: heat.microwaveW } : { stir, tool, cover, hob: heat };
}

const KINDS = { pieces: 'piece', grains: 'grain', liquid: 'liquid' } as const;
const USUAL_RADII_M = { pieces: PIECE_RADII_M.callets, grains: GRAIN_RADII_M.granulated, liquid: undefined } as const;

function additionOf(event: AddEvent, file: PanFile, larder: LarderComposition, place: number): Addition {
  const known = lookUp(file.ingredients, event.add) ?? larder.get(event.add);
  if (!known) {
    throw new FormulaFileError(
      `events[${place}].add: "${event.add}" is neither in the file's ingredients nor in the larder`,
    );
  }
  const perGram = vectorOf(known.components);
  const refuse = (reason: string) => new FormulaFileError(`events[${place}].as: "${event.add}" ${reason}`);
  if (event.as === 'pieces' && solidFatOf(perGram) <= 0) {
    throw refuse('has no fat that melts: add it as grains, or as liquid');
  }
  if (event.as === 'grains' && !dissolves(perGram)) {
    throw refuse('has nothing that dissolves: add it as liquid');
  }
  return {
    key: event.add,
    perGram,
    grams: event.grams,
    temperatureC: event.temperatureC ?? file.pan.kitchenC,
    as: KINDS[event.as],
    radiusM: event.radiusMm === undefined ? USUAL_RADII_M[event.as] : event.radiusMm / 1000,
  };
}

function standAnswer(pan: PanState, { stand: { shape, lengthM, parts } }: StandEvent) {
  const places = parts.map(({ hours, h, aroundC }) => ({ hours, surface: h, aroundC }));
  const { after, readings } = settle(pan, { shape, lengthM }, places, NO_FLOW_OFFSETS);
  const told = readings.map(({ hours, edge, centre }) => ({
    hours,
    edgeC: edge.temperatureC,
    centreC: centre.temperatureC,
    edgeYieldPa: edge.yieldStressPa,
    centreYieldPa: centre.yieldStressPa,
  }));
  return { after, answer: { ...told.at(-1), parts: told } };
}

/**
 * Answers `pan` for one pan file: the state after each of its events.
 *
 * @throws {FormulaFileError} an unknown ingredient, pieces that do not melt, grains that do not dissolve, or time that passes over an empty pan
 */
export function answerPan(file: PanFile, larder: LarderComposition) {
  let pan = emptyPan(file.pan);
  const events = file.events.map((event, i) => {
    if ('add' in event) {
      pan = add(pan, additionOf(event, file, larder, i));
      return panAnswer(pan);
    }
    if (!(massG(pan) > 0)) throw new FormulaFileError(`events[${i}]: nothing is in the pan yet`);
    if ('stand' in event) {
      const { after, answer } = standAnswer(pan, event);
      pan = after;
      return answer;
    }
    const followed = follow(pan, doingOf(event), endOf(event.until), undefined, event.limitSeconds);
    pan = followed.pan;
    return {
      ...panAnswer(pan),
      reached: followed.reached,
      ...(followed.stopped && { stopped: followed.stopped }),
      ...(followed.hottestC === undefined ? {} : { hottestC: followed.hottestC }),
    };
  });
  return { name: file.name, events };
}
