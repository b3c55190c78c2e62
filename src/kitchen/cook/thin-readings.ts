import type { BatchEvent } from '@/formats/batch';

/** Readings of a probe that are sent as they are; of more, the coldest and the warmest of each stretch. */
const MAX_READINGS = 600;

const readingOf = ({ what }: BatchEvent) =>
  what.kind === 'temperature' && what.by === 'probe' ? what.temperatureC : undefined;

/**
 * A log as it is sent to a tablet: of a probe that was read for hours only what shows where it passed. All else is whole, and so is its last event, which
 * says how far the log is known.
 *
 * @param events in the order of their numbers
 */
export function thinReadings(events: readonly BatchEvent[]): readonly BatchEvent[] {
  const readings = events.filter((event) => readingOf(event) !== undefined);
  if (readings.length <= MAX_READINGS) return events;
  const stretch = Math.ceil(readings.length / (MAX_READINGS / 2));
  const kept = new Set<BatchEvent | undefined>([readings[0], readings.at(-1), events.at(-1)]);
  for (let from = 0; from < readings.length; from += stretch) {
    const each = readings.slice(from, from + stretch).sort((a, b) => (readingOf(a) ?? 0) - (readingOf(b) ?? 0));
    kept.add(each[0]).add(each.at(-1));
  }
  return events.filter((event) => readingOf(event) === undefined || kept.has(event));
}
