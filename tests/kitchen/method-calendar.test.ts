import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { resolveFormula } from '@/formats/resolve-formula';
import { readLocalTime, timeOn, workCalendar } from '@/kitchen/method/calendar';
import { kitchenOf, workMethod } from '@/kitchen/method/work-method';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../support/kitchen';

const START = { year: 2026, month: 11, day: 28, hour: 23, minute: 50 };
const nameOf = (id: string) => larder.get(id)?.name ?? id;

/** The events of a calendar, read back by another library. */
function readBack(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text));
  return calendar.getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
}

const planned = lanternMillFormulas().map((file) => {
  const worked = workMethod(file, resolveFormula(file, larder, 'standard'), kitchenOf(file, 22));
  if (!worked) throw new Error(file.name);
  return { file, worked, text: workCalendar(file.name, [{ id: 'f-1', file, worked, start: START, nameOf }]) };
});

describe('the work in a calendar', () => {
  it.each(planned)(
    '$file.name: an event a step, one after the other, on the kitchen’s clock',
    ({ file, worked, text }) => {
      const events = readBack(text);
      // One more to weigh before it.
      expect(events).toHaveLength(1 + worked.followed.filter(({ seconds }) => seconds > 0).length);
      for (const event of events) {
        expect(event.summary).toContain(file.name);
        expect(event.startDate.zone.tzid).toBe('floating');
        expect(event.endDate.compare(event.startDate)).toBe(1);
      }
      expect(events[0]?.endDate.toString()).toBe('2026-11-28T23:50:00');
      expect(events[0]?.description).toContain('You need');
      expect(events[1]?.startDate.toString()).toBe('2026-11-28T23:50:00');
      const last = events.at(-1)?.endDate.subtractDate(ICAL.Time.fromDateTimeString('2026-11-28T23:50:00'));
      expect(Math.abs((last?.toSeconds() ?? 0) - worked.seconds)).toBeLessThanOrEqual(90);
      expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
    },
  );

  it('goes over midnight and keeps what is written beside a name', () => {
    const gloss = planned.find(({ file }) => file.name === 'Feast day gloss');
    const events = readBack(gloss?.text ?? '');
    expect(events.at(-1)?.startDate.toString()).toMatch(/^2026-11-29T/);
    for (const event of events.slice(0, 2)) {
      expect(event.description).toContain('850 g Whipping cream 35 %, 240 g Glucose syrup');
    }
    // The pour and its warmth stand with the last step, a caution with the one it is for.
    expect(events.at(-1)?.description).toContain(`It pours at ${gloss?.worked.pourC} °C.`);
    expect(events[1]?.description).toContain('scald');
  });

  it('holds a whole day: each formula from its own start, also from the evening before', () => {
    const works = planned.slice(0, 4).map(({ file, worked }, i) => ({
      id: `f-${i}`,
      file,
      worked,
      start: timeOn('2026-11-28', -30 + 60 * i) ?? START,
      nameOf,
    }));
    const events = readBack(workCalendar('2026-11-28', works));
    expect(events).toHaveLength(
      works.reduce((sum, { worked }) => sum + 1 + worked.followed.filter(({ seconds }) => seconds > 0).length, 0),
    );
    expect(events[0]?.endDate.toString()).toBe('2026-11-27T23:30:00');
    expect(events[1]?.startDate.toString()).toBe('2026-11-27T23:30:00');
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
  });

  it.each([['2026-11-28T14:08'], ['2028-02-29T00:00']])('reads the start %s', (text) => {
    expect(readLocalTime(text)).toBeDefined();
  });

  it.each([
    ['2026-11-31T14:08'],
    ['2026-02-29T10:00'],
    ['2026-11-28T24:00'],
    ['2026-11-28T10:61'],
    ['tomorrow'],
    [''],
    ['2026-11-28 14:08'],
  ])('refuses %j', (text) => {
    expect(readLocalTime(text)).toBeUndefined();
  });
});
