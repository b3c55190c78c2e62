/** A plate of a known size: round, white, its flat middle level with the table. */
export interface PhotoPlate {
  /** mm across its rim */
  readonly acrossMm: number;
  /** mm across its flat middle */
  readonly flatMm: number;
  /** mm its rim stands above its middle */
  readonly rimMm: number;
}

/** The plate of the kitchen's pictures. */
export const USUAL_PLATE: PhotoPlate = { acrossMm: 270, flatMm: 164, rimMm: 14.5 };
