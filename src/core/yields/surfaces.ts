/** Lengths in cm, areas in cm². What is coated: its top alone, or with its sides. The underside never counts. */

/** A finger such as an éclair: a round-ended bar, half of it above the line it is dipped to; with sides, all round. */
export function fingerArea(lengthCm: number, widthCm: number, sides: boolean): number {
  const wide = Math.min(widthCm, lengthCm);
  const allRound = Math.PI * wide * (lengthCm - wide) + Math.PI * wide ** 2;
  return sides ? allRound : allRound / 2;
}

/** A round cake or biscuit. */
export function roundArea(diameterCm: number, heightCm: number, sides: boolean): number {
  return (Math.PI * diameterCm ** 2) / 4 + (sides ? Math.PI * diameterCm * heightCm : 0);
}

/** A dome: half a ball. */
export function domeArea(diameterCm: number): number {
  return (Math.PI * diameterCm ** 2) / 2;
}

/** A log lying flat side down: half a cylinder; with sides, both ends too. */
export function logArea(lengthCm: number, diameterCm: number, sides: boolean): number {
  return (Math.PI * diameterCm * lengthCm) / 2 + (sides ? (Math.PI * diameterCm ** 2) / 4 : 0);
}

/** A square or oblong piece. */
export function blockArea(lengthCm: number, widthCm: number, heightCm: number, sides: boolean): number {
  return lengthCm * widthCm + (sides ? 2 * (lengthCm + widthCm) * heightCm : 0);
}

/** A disc's area. */
export function discArea(diameterCm: number): number {
  return (Math.PI * diameterCm ** 2) / 4;
}

/** Volume of a dot: half of a flattened ball, mL. */
export function dotVolume(diameterCm: number, heightCm: number): number {
  return (Math.PI * diameterCm ** 2 * heightCm) / 6;
}

/** Volume of a drawn line with a half-oval section, mL. */
export function lineVolume(lengthCm: number, widthCm: number, heightCm: number): number {
  return (Math.PI * widthCm * heightCm * lengthCm) / 4;
}

/** A piped swirl is fuller than the cone that just holds it (J). */
const SWIRL_FULLNESS = 1.35;

/** Volume of a piped swirl, mL: a cone as wide and high, and a little more. */
export function swirlVolume(diameterCm: number, heightCm: number): number {
  return (SWIRL_FULLNESS * Math.PI * diameterCm ** 2 * heightCm) / 12;
}
