import { roleOf } from '@/core/formula/moment-role';
import type { Calibration } from '@/core/learn/kitchen';
import type { MixingLine } from '@/core/matter/mixing';
import type { Process } from '@/core/matter/process';
import type { MethodFault } from '@/core/method/fault';
import type { FollowedStep } from '@/core/method/follow-method';
import { timesOf } from '@/core/method/hands';
import { type MethodKitchen, USUAL_METHOD_KITCHEN } from '@/core/method/kitchen';
import { type MethodRows, methodRows } from '@/core/method/rows';
import type { WayId } from '@/core/method/step';
import { methodInKitchen, tried } from '@/core/method/ways/in-kitchen';
import { suitingWays } from '@/core/method/ways/ways';
import { HOB_EFFICIENCY } from '@/core/pan/heat-source';
import { USUAL_KITCHEN } from '@/core/pan/vessel';
import { offsetsOf } from '@/core/predict/flow-parts';
import { findUse } from '@/core/uses/ready-gates';
import type { FormulaFile } from '@/formats/formula-file';
import type { FileMethod } from '@/formats/method';
import { type LarderComposition, resolveFormula } from '@/formats/resolve-formula';
import { stepsOfFile } from './file-steps';
import { type Proposal, proposalFor, type WayQuestion } from './proposals';
import { rowHints } from './row-hints';

/** °C poured at where a formula names no pour. */
const USUAL_POUR_C = 35;

/** A method worked out for a batch in a kitchen. */
export interface WorkedMethod {
  readonly way: WayId;
  /** why it is proposed; nothing where it was chosen */
  readonly proposal: Proposal | undefined;
  /** all ways that suit the formula */
  readonly ways: readonly WayId[];
  readonly pourC: number;
  readonly rows: MethodRows;
  readonly followed: readonly FollowedStep[];
  readonly faults: readonly MethodFault[];
  /** the method as a formula keeps it: its steps only where they are a cook's own */
  readonly kept: FileMethod;
  readonly kitchen: MethodKitchen;
  /** s in all */
  readonly seconds: number;
}

/** °C a formula is poured at: its own moment of the pour, or its use's. */
function pourOf({ moments, use }: Pick<FormulaFile, 'moments' | 'use'>): number {
  const pours = [...moments, ...(findUse(use)?.moments ?? [])].find((moment) => roleOf(moment) === 'pour');
  return pours?.temperatureC ?? USUAL_POUR_C;
}

/** The pan, hob, microwave and air of a kitchen. */
export interface StoveFacts {
  readonly panCm: number;
  readonly powerW: number;
  readonly hob: keyof typeof HOB_EFFICIENCY;
  readonly microwaveW: number;
  /** m above the sea, and % of damp in the air */
  readonly altitudeM: number;
  readonly dampPercent: number;
}

/** The kitchen a formula is worked in: its brief's pan and hob where it names them, else those that are there. */
export function kitchenOf({ brief }: Pick<FormulaFile, 'brief'>, kitchenC: number, stove?: StoveFacts): MethodKitchen {
  const { altitudeM = 0, dampPercent = 50, microwaveW = USUAL_METHOD_KITCHEN.microwaveW } = stove ?? {};
  const there = { ...USUAL_METHOD_KITCHEN, kitchenC, microwaveW, altitudeM, humidity: dampPercent / 100 };
  const facts = brief?.making ?? stove;
  if (!facts) return there;
  const panM = facts.panCm / 100;
  return {
    ...there,
    panM,
    bowlM: Math.max(panM, USUAL_METHOD_KITCHEN.bowlM),
    powerW: facts.powerW,
    efficiency: HOB_EFFICIENCY[facts.hob],
  };
}

/** A formula in a kitchen, as its ways are tried. */
export function wayQuestion(
  file: Pick<FormulaFile, 'lines' | 'moments' | 'use' | 'process' | 'brief'>,
  { lines, process }: { readonly lines: readonly MixingLine[]; readonly process: Process },
  stove: MethodKitchen,
): WayQuestion {
  return {
    // Plain, so that it can be sent: of a row a method reads no more.
    lines: lines.map(({ perGram, grams, ph }) => ({ perGram, grams, ph })),
    hints: rowHints(file.lines),
    pourC: pourOf(file),
    about: { mix: file.process.mix, isWhipped: file.brief?.jobs.some(({ use }) => use === 'whip') ?? false },
    kitchen: { ...stove, offsets: offsetsOf(process) },
  };
}

/**
 * Works out the method of a formula: the way chosen for it, or the one that suits it.
 *
 * @param formula as it is resolved, row by row as in the file
 * @param stove the kitchen it is worked in; what its tests taught comes with the formula
 * @param propose finds a way where none is chosen
 * @returns nothing where no way suits it
 */
export function workMethod(
  file: Pick<FormulaFile, 'lines' | 'moments' | 'use' | 'process' | 'brief' | 'method'>,
  formula: { readonly lines: readonly MixingLine[]; readonly process: Process },
  stove: MethodKitchen,
  propose: (question: WayQuestion) => Proposal | undefined = proposalFor,
): WorkedMethod | undefined {
  const question = wayQuestion(file, formula, stove);
  const { hints, pourC, kitchen } = question;
  const rows = methodRows(formula.lines, hints);
  const ways = suitingWays(rows, pourC);
  if (ways.length === 0) return undefined;
  const chosen = file.method?.way;
  const own = file.method?.steps;
  const isChosen = chosen !== undefined && (own !== undefined || ways.includes(chosen));
  const proposal = isChosen ? undefined : propose(question);
  const worked = own
    ? tried(
        rows,
        { way: chosen ?? proposal?.method.way ?? 'pouredOver', steps: stepsOfFile(own, file.lines) },
        kitchen,
        pourC,
      )
    : isChosen
      ? methodInKitchen(chosen, rows, pourC, kitchen)
      : proposal && tried(rows, proposal.method, kitchen, pourC);
  if (!worked) return undefined;
  const { method, followed, faults } = worked;
  return {
    way: method.way,
    proposal,
    ways,
    pourC,
    rows,
    kitchen,
    kept: { way: method.way, ...(own ? { steps: own } : {}) },
    followed,
    faults,
    seconds: timesOf(followed).seconds,
  };
}

/**
 * Works out the method of a formula file where nobody says how warm the kitchen is: as its brief does, or as usual.
 *
 * @throws {FormulaFileError} a row nobody knows
 */
export function workFile(
  file: FormulaFile,
  larder: LarderComposition,
  calibration: Calibration,
): WorkedMethod | undefined {
  const kitchen = kitchenOf(file, file.brief?.kitchenC ?? USUAL_KITCHEN.kitchenC);
  return workMethod(file, resolveFormula(file, larder, calibration), kitchen);
}
