import { nth } from '../../nth';
import { changedStep, movedRow, movedStep, withShare, withStepAt } from '../edit-steps';
import type { HeatWord, MethodStep } from '../step';
import { boil, step } from '../ways/parts';
import { type Case, hereOf, type Remedy, rowsIn } from './remedy';

/** The first step of the pan that takes thin liquid. */
const liquidStep = (which: Case): number =>
  which.steps.findIndex((each) => each.where !== 'aside' && rowsIn(which, each, 'liquid').length > 0);

const warmUntil = (kind: 'melted' | 'dissolved', where: MethodStep['where'], heat: HeatWord): MethodStep =>
  step('warm', where, { kind }, { heat, stir: 0.5, tool: 'whisk' });

/** Sugar that stays: into the thin liquid first, or warmed longer. */
export function dissolving(which: Case): Remedy[] {
  const { steps, at } = which;
  const to = liquidStep(which);
  const grains = steps.flatMap((each, from) =>
    to >= 0 && from <= at && from !== to ? rowsIn(which, each, 'sugar').map((row) => ({ row, from })) : [],
  );
  const slowly: Partial<MethodStep> = {
    kind: 'warm',
    end: { kind: 'dissolved' },
    heat: 'medium',
    stir: 0.5,
    tool: 'whisk',
  };
  const gathered = grains.reduce<readonly MethodStep[]>((now, { row, from }) => movedRow(now, row, from, to), steps);
  const { where } = hereOf(which);
  return [
    ...(grains.length > 0
      ? [
          ['withTheLiquid', gathered] as const,
          ['dissolveFirst', withStepAt(changedStep(gathered, to, slowly), to + 1, boil([]))] as const,
        ]
      : []),
    ...(to >= 0 ? [['dissolveFirst', withStepAt(changedStep(steps, to, slowly), to + 1, boil([]))] as const] : []),
    ['warmUntilDissolved', withStepAt(steps, at + 1, warmUntil('dissolved', where, 'medium'))],
    ['warmUntilDissolved', withStepAt(steps, at + 1, warmUntil('dissolved', where, 'low'))],
  ];
}

/** Pieces that stay: hotter liquid, smaller pieces, or warmed after. */
export function melting(which: Case): Remedy[] {
  const { steps, at, rows } = which;
  const heated = steps.findLastIndex((each, i) => i < at && each.where === 'pan' && each.heat !== undefined);
  const pieces = steps
    .slice(0, at + 1)
    .flatMap(({ adds }, i) =>
      adds.flatMap(({ row, share }) =>
        rows.roles[row] === 'chocolate' || rows.roles[row] === 'butter' ? [{ i, row, share }] : [],
      ),
    );
  const finer = pieces.reduce<readonly MethodStep[]>(
    (now, { i, row, share }) => withShare(now, i, row, share, 'choppedFine'),
    steps,
  );
  const { where } = hereOf(which);
  return [
    ...(heated >= 0 && nth(steps, heated).end.kind !== 'boil'
      ? [['boilFirst', changedStep(steps, heated, { end: { kind: 'boil' }, heat: 'high' })] as const]
      : []),
    ['finer', finer],
    ['warmUntilMelted', withStepAt(steps, at + 1, warmUntil('melted', where === 'aside' ? 'pan' : where, 'low'))],
    [
      'warmUntilMelted',
      withStepAt(steps, at + 1, step('bursts', 'bowl', { kind: 'bursts', toC: 40 }, { stir: 0.6, tool: 'whisk' })),
    ],
  ];
}

/** Liquid too little for melted chocolate: the liquid first, or all of it at once. */
export function seizing(which: Case): Remedy[] {
  const { steps, at } = which;
  const chocolate = steps.findIndex((each) => rowsIn(which, each, 'chocolate').length > 0);
  const wet = steps.flatMap((each, from) =>
    from > at ? rowsIn(which, each, 'liquid', 'syrup', 'spirit').map((row) => ({ row, from })) : [],
  );
  return [
    ['allAtOnce', wet.reduce<readonly MethodStep[]>((now, { row, from }) => movedRow(now, row, from, at), steps)],
    ...(chocolate >= 0 && chocolate < at ? [['liquidFirst', movedStep(steps, at, chocolate)] as const] : []),
    ...(chocolate >= 0 && chocolate < at
      ? [
          [
            'liquidFirst',
            changedStep(movedStep(steps, at, chocolate), chocolate, { heat: 'high', end: { kind: 'boil' } }),
          ] as const,
        ]
      : []),
  ];
}
