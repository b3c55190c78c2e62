import type { Moment } from '../formula/moments';
import type { SetByHand } from './brief';
import type { BriefTargets } from './targets';

/** Whether two moments are the same time, whatever they are called. */
export const sameTime = (a: Moment, b: Moment) =>
  a.temperatureC === b.temperatureC && JSON.stringify(a.history) === JSON.stringify(b.history);

/**
 * Puts what was set by hand into what a brief gives.
 *
 * @returns the brief's moments, with the cook's own name and time where the brief still gives the one it stands for, then the cook's own; gates of
 * the cook go over a wish's gate of the same moment and quantity, or come last
 */
export function withSetByHand(targets: BriefTargets, byHand: SetByHand | undefined): BriefTargets {
  if (!byHand) return targets;
  const names = new Map<string, string>();
  const moments: Moment[] = targets.moments.map((given) => {
    const own = byHand.moments.find(({ over }) => over && over.name === given.name && sameTime(over, given))?.moment;
    const isFree = own && !targets.moments.some(({ name }) => name === own.name && name !== given.name);
    if (!own || !isFree) return given;
    names.set(given.name, own.name);
    return own;
  });
  for (const { moment, over } of byHand.moments) {
    if (!over && !moments.some(({ name }) => name === moment.name)) moments.push(moment);
  }
  const renamed = (name: string) => names.get(name) ?? name;
  const gates = targets.gates.map((each) => ({
    ...each,
    gate: { ...each.gate, moment: renamed(each.gate.moment) },
  }));
  for (const own of byHand.gates) {
    // Where the brief gives another time now, its name has come back with it.
    const isThere = moments.some(({ name }) => name === own.moment);
    const over = byHand.moments.find(({ moment }) => moment.name === own.moment)?.over?.name;
    const moment = isThere ? own.moment : over;
    if (moment === undefined || !moments.some(({ name }) => name === moment)) continue;
    const gate = { ...own, moment };
    const wish = gates.findIndex(
      (each) => each.job === undefined && each.gate.moment === moment && each.gate.quantity === own.quantity,
    );
    if (wish >= 0) gates[wish] = { gate, byHand: own };
    else gates.push({ gate, byHand: own });
  }
  const asked = targets.asked.map((each) => ({ ...each, moment: renamed(each.moment) }));
  return { moments, gates, asked };
}
