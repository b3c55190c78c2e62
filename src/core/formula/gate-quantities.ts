/** What a gate can be set on: read at its moment, or of the batch as a whole. */
export const GATE_QUANTITIES = [
  'apparentViscosityPaS',
  'yieldStressPa',
  'resistancePa',
  'shine',
  'waterActivity',
  'sweetness',
  'tasteBalance',
  'sugarPercent',
  'cocoaPercent',
  'alcoholPercentVol',
  'costPerKg',
  'brokenRisk',
  'seizedRisk',
  'grainyRisk',
  'chalkyRisk',
  'gummyRisk',
  'weepingRisk',
  'skinRisk',
  'bloomRisk',
] as const;

export type GateQuantity = (typeof GATE_QUANTITIES)[number];
