import { findUse } from '@/core/balance/uses';
import { roleOf } from '@/core/formula/moment-role';
import { methodFaults } from '@/core/method/checks';
import { type FollowedStep, followMethod } from '@/core/method/follow-method';
import { USUAL_METHOD_KITCHEN } from '@/core/method/kitchen';
import { proposeWay } from '@/core/method/propose';
import { type MethodRows, methodRows } from '@/core/method/rows';
import { methodBy, suitingWays } from '@/core/method/ways/ways';
import { massG, undissolvedG, unmeltedG } from '@/core/pan/pan';
import type { FormulaFile } from './formula-file';
import { FormulaFileError } from './formula-file-error';
import { type LarderComposition, resolveFormula } from './resolve-formula';
import { rowHints } from './row-hints';

/** °C poured at where a formula names no pour. */
const USUAL_POUR_C = 35;

/** °C a formula is poured at: its own moment of the pour, or its use's. */
function pourOf({ moments, use }: Pick<FormulaFile, 'moments' | 'use'>): number {
  const pours = [...moments, ...(findUse(use)?.moments ?? [])].find((moment) => roleOf(moment) === 'pour');
  return pours?.temperatureC ?? USUAL_POUR_C;
}

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

const proposed = (file: FormulaFile, rows: MethodRows, pourC: number) =>
  proposeWay(rows, pourC, {
    mix: file.process.mix,
    isWhipped: file.brief?.jobs.some(({ use }) => use === 'whip') ?? false,
  });

/**
 * Answers `method` for one formula file: the way of working that suits it, its steps for this batch, and what is wrong with them.
 *
 * @throws {FormulaFileError} an unknown ingredient, nothing in the pan, or no way that suits it
 */
export function answerMethod(file: FormulaFile, larder: LarderComposition) {
  if (!file.lines.some(({ grams }) => grams > 0))
    throw new FormulaFileError('nothing is in the pan: every line is 0 g');
  const rows = methodRows(resolveFormula(file, larder).lines, rowHints(file.lines));
  const pourC = pourOf(file);
  const found = proposed(file, rows, pourC);
  const method = found && methodBy(found.way, rows, pourC);
  if (!found || !method) throw new FormulaFileError('no way of working suits what is in this pan');
  const followed = followMethod(rows, method, USUAL_METHOD_KITCHEN);
  return {
    name: file.name,
    way: found.way,
    why: found.why,
    otherWays: suitingWays(rows, pourC).filter((way) => way !== found.way),
    pourC,
    seconds: followed.reduce((sum, { seconds }) => sum + seconds, 0),
    steps: followed.map((each) => stepAnswer(each, file)),
    faults: methodFaults(rows, followed),
  };
}
