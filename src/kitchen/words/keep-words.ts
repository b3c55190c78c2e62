import type { FlowReason, SwapLosses } from '@/core/swap/swap-losses';

/** How closely the flow is kept, as a cook reads it. @param within ln */
export const closenessWords = (within: number) => `within ${Math.round(100 * Math.expm1(within))} %`;

/** Why a stand-in cannot keep the flow. */
const REASONS: Readonly<Record<FlowReason, string>> = {
  coconutFat: 'Coconut fat and cocoa butter soften each other when cold. Coconut cream also holds less fat.',
  lessCocoa: 'It brings less cocoa, which is what thickens.',
  moreCocoa: 'It brings more cocoa, which thickens.',
  lessFat: 'It brings less fat.',
  moreFat: 'It brings more fat.',
  lessWater: 'It brings less water.',
  moreWater: 'It brings more water.',
};

/** How numbers are written here. */
interface LossNumbers {
  readonly percent: (share: number) => string;
  readonly amount: (value: number) => string;
  readonly moment: (name: string) => string;
}

/** `1.6 times as thick`, or by how much for small moves. */
function timesWords(times: number, { percent, amount }: LossNumbers): string {
  if (times >= 2 || times <= 0.5)
    return times > 1 ? `${amount(times)} times as thick` : `${amount(1 / times)} times as thin`;
  return `${percent(Math.abs(times - 1))} ${times > 1 ? 'thicker' : 'thinner'}`;
}

/**
 * What a swap keeps and what it cannot, in sentences.
 *
 * @param within ln within which the resistance stays; nothing when it cannot be kept
 */
export function swapSentences(within: number | undefined, losses: SwapLosses, numbers: LossNumbers): string[] {
  const { flows, reason, sweetness } = losses;
  const kept =
    flows.length === 0
      ? [`The flow stays ${closenessWords(within ?? 0.1)} at every moment.`]
      : [
          `The flow cannot be kept: ${flows.map(({ moment, times }) => `${timesWords(times, numbers)} ${numbers.moment(moment)}`).join(', ')}.`,
          ...(reason ? [REASONS[reason]] : []),
        ];
  if (!sweetness) return kept;
  const [was, is] = sweetness;
  return [
    ...kept,
    `It is ${numbers.percent(Math.abs(is / was - 1))} ${is > was ? 'sweeter' : 'less sweet'}. The other rows cannot make up for it and keep the flow.`,
  ];
}
