import { GRAVITY } from '../gravity';
import { DEEPEST_M, type FilmFluid, mobilityOf } from './mobility';

/** A drip is about as wide as this, m (J). */
const DRIP_M = 0.009;
/** A film thinner than this is a stain, m: what runs leaves at least so much behind. */
const LEAST_FILM_M = 0.000_15;

/** It is followed by so much at a time, m. */
const STEP_M = 0.000_25;

/** m of film that the yield stress holds up on an upright side for good. */
export const heldFilm = ({ yieldStressPa, densityKgM3 }: FilmFluid): number => yieldStressPa / (densityKgM3 * GRAVITY);

/**
 * How long a drip gets at last: it runs until all of it is left behind as the film its yield holds.
 *
 * @param volumeMl ml that go over the edge in one drip
 * @returns m
 * @see science-film.md section 3
 */
export function dripLength(fluid: FilmFluid, volumeMl: number): number {
  return (volumeMl * 1e-6) / (DRIP_M * Math.max(heldFilm(fluid), LEAST_FILM_M));
}

/**
 * How far a drip has run: its head is what is left of it, and runs as a film as deep as that on an upright side.
 *
 * @param volumeMl ml that go over the edge in one drip
 * @param seconds s since it went over, 0 or more
 * @returns m, never more than {@link dripLength}
 */
export function dripAfter(fluid: FilmFluid, volumeMl: number, seconds: number): number {
  const flows = mobilityOf(fluid);
  const left = Math.max(heldFilm(fluid), LEAST_FILM_M);
  const whole = dripLength(fluid, volumeMl);
  const step = STEP_M;
  let [run, past] = [0, 0];
  while (run < whole) {
    // The head is round: as long as it is wide.
    const head = (volumeMl * 1e-6 - DRIP_M * left * run) / (DRIP_M * DRIP_M);
    const depth = Math.min(left + Math.max(head, 0), DEEPEST_M);
    const speed = flows(depth, 1) / depth;
    if (speed <= 0) return run;
    past += step / speed;
    if (past > seconds) return Math.min(run + step - (past - seconds) * speed, whole);
    run += step;
  }
  return whole;
}
