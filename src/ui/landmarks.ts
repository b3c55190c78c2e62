/** Everyday places on the axis of resistance to the spoon, Pa (judgement). */
export const LANDMARKS = [
  { resistancePa: 0.03, name: 'water' },
  { resistancePa: 0.3, name: 'thin syrup' },
  { resistancePa: 2, name: 'pouring cream' },
  { resistancePa: 10, name: 'runny honey' },
  { resistancePa: 100, name: 'thick yoghurt' },
  { resistancePa: 1_000, name: 'soft butter' },
  { resistancePa: 10_000, name: 'cold butter' },
  { resistancePa: 100_000, name: 'chocolate bar' },
] as const;

/** The landmark nearest to a resistance, on the logarithmic axis. */
export function nearestLandmark(resistancePa: number): string {
  const distance = (pa: number) => Math.abs(Math.log(Math.max(resistancePa, 1e-6) / pa));
  return LANDMARKS.reduce((best, mark) => (distance(mark.resistancePa) < distance(best.resistancePa) ? mark : best))
    .name;
}

/** What 20 ml does on the plate, in one word. */
export function behaviour(resistancePa: number): string {
  if (resistancePa < 1) return 'runs';
  if (resistancePa < 10) return 'pours';
  if (resistancePa < 60) return 'coats';
  if (resistancePa < 300) return 'mounds';
  if (resistancePa < 3_000) return 'spreads';
  if (resistancePa < 20_000) return 'holds firm';
  if (resistancePa < 100_000) return 'cuts';
  return 'snaps';
}
