import type { FollowedStep } from '@/core/method/follow-method';
import { massG, undissolvedG, unmeltedG } from '@/core/pan/pan';
import type { FormulaFile } from '@/formats/formula-file';
import { FormulaFileError } from '@/formats/formula-file-error';
import type { LarderComposition } from '@/formats/resolve-formula';
import { workFile } from './work-method';

/** A step as the shell prints it. */
function stepAnswer({ step, additions, start, end, seconds, reached, ...more }: FollowedStep, file: FormulaFile) {
  return {
    kind: step.kind,
    where: step.where,
    adds: additions.map(({ key, grams }) => ({ ingredient: file.lines[Number(key)]?.ingredient ?? key, grams })),
    heat: step.heat,
    stir: step.stir,
    tool: step.tool,
    end: step.end,
    seconds,
    reached,
    ...(step.where === 'aside'
      ? {}
      : {
          startsAtC: start.temperatureC,
          temperatureC: end.temperatureC,
          massG: massG(end),
          lostWaterG: end.lostWaterG - start.lostWaterG,
          unmeltedG: unmeltedG(end),
          undissolvedG: undissolvedG(end),
          cook: end.cook,
          mix: end.mix,
          catching: end.catching,
        }),
    together: more.together,
    bursts: more.bursts,
    hottestC: more.hottestC,
    standing: more.standing && {
      hours: more.standing.hours,
      edgeC: more.standing.edge.temperatureC,
      centreC: more.standing.centre.temperatureC,
      edgeYieldPa: more.standing.edge.yieldStressPa,
      centreYieldPa: more.standing.centre.yieldStressPa,
    },
  };
}

/**
 * Answers `method` for one formula file: its way of working or the one that suits it, its steps for this batch, and what is wrong with them.
 *
 * @throws {FormulaFileError} an unknown ingredient, nothing in the pan, or no way that suits it
 */
export function answerMethod(file: FormulaFile, larder: LarderComposition) {
  if (!file.lines.some(({ grams }) => grams > 0))
    throw new FormulaFileError('nothing is in the pan: every line is 0 g');
  const worked = workFile(file, larder, 'standard');
  if (!worked) throw new FormulaFileError('no way of working suits what is in this pan');
  const { way, proposal, ways, pourC, seconds, followed, faults } = worked;
  return {
    name: file.name,
    way,
    why: proposal?.why,
    togetherC: proposal?.togetherC,
    instead: proposal?.instead,
    otherWays: ways.filter((each) => each !== way),
    pourC,
    seconds,
    steps: followed.map((each) => stepAnswer(each, file)),
    faults,
  };
}
