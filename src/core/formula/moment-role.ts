import type { Moment, MomentRole } from './moments';

/** Temperatures and time by which a moment without a role is told: hot in the pan, worked warm, cold (J). */
const PAN_FROM_C = 50;
const PAN_WITHIN_H = 1;
const POUR_FROM_C = 26;
const FRIDGE_TO_C = 10;

/** The role of a moment: its own, or what its temperature and time make it. */
export function roleOf({ role, temperatureC, history }: Pick<Moment, 'role' | 'temperatureC' | 'history'>): MomentRole {
  if (role) return role;
  const hours = history.reduce((sum, [span]) => sum + span, 0);
  if (temperatureC >= PAN_FROM_C && hours <= PAN_WITHIN_H) return 'pan';
  if (temperatureC > POUR_FROM_C) return 'pour';
  return temperatureC <= FRIDGE_TO_C ? 'fridge' : 'bench';
}

interface AtMoment {
  readonly moment: Moment;
}

/** The first of some readings with one of the roles, asked in their order. */
function firstOf<Reading extends AtMoment>(readings: readonly Reading[], roles: readonly MomentRole[]) {
  for (const role of roles) {
    const found = readings.find(({ moment }) => roleOf(moment) === role);
    if (found) return found;
  }
  return undefined;
}

/** Where a batch is poured or worked: the first warm moment after the pan, else the first there is. */
export function atThePour<Reading extends AtMoment>(readings: readonly Reading[]): Reading | undefined {
  return firstOf(readings, ['pour', 'bench', 'fridge', 'eat']) ?? readings[0];
}

/** Where a batch has set: cold, else as it is eaten, else on the bench; nothing where it is only poured. */
export function onceSet<Reading extends AtMoment>(readings: readonly Reading[]): Reading | undefined {
  return firstOf(readings, ['fridge', 'eat', 'bench']);
}
