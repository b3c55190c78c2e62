import { createEvents, type EventAttributes } from 'ics';
import { preparationOf } from '@/core/method/preparation';
import { utensilsOf } from '@/core/method/utensils';
import type { FormulaFile } from '@/formats/formula-file';
import { CAUTION_WORDS } from '../words/cautions';
import { UTENSIL_WORDS } from '../words/utensil-words';
import { stepText } from './instructions';
import { stepCaution } from './step-caution';
import type { WorkedMethod } from './work-method';

/** A time on the kitchen's own clock, without a zone. */
export interface LocalTime {
  readonly year: number;
  /** 1-12 */
  readonly month: number;
  readonly day: number;
  readonly hour: number;
  readonly minute: number;
}

const FORM = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/;

/** Reads `2026-11-28T14:08`; nothing of what is no time. */
export function readLocalTime(text: string): LocalTime | undefined {
  const [, year = 0, month = 0, day = 0, hour = 0, minute = 0] = FORM.exec(text)?.map(Number) ?? [];
  const date = new Date(Date.UTC(year, month - 1, day, hour, minute));
  const isReal = date.getUTCMonth() === month - 1 && date.getUTCDate() === day && hour < 24 && minute < 60;
  return year > 0 && isReal ? { year, month, day, hour, minute } : undefined;
}

/** A time of a day, min after its midnight; before it on the day before. */
export function timeOn(day: string, minutes: number): LocalTime | undefined {
  const midnight = readLocalTime(`${day}T00:00`);
  if (!midnight) return undefined;
  const [year, month, date, hour, minute] = later(midnight, minutes);
  return { year, month, day: date, hour, minute };
}

/** A time some minutes later, on a clock that nobody puts forward meanwhile. */
function later(
  { year, month, day, hour, minute }: LocalTime,
  minutes: number,
): [number, number, number, number, number] {
  const date = new Date(Date.UTC(year, month - 1, day, hour, minute + Math.round(minutes)));
  return [date.getUTCFullYear(), date.getUTCMonth() + 1, date.getUTCDate(), date.getUTCHours(), date.getUTCMinutes()];
}

/** One formula that is made from a time on. */
export interface PlannedWork {
  /** names its events, so that a second file replaces them */
  readonly id: string;
  readonly file: Pick<FormulaFile, 'name' | 'lines'>;
  readonly worked: WorkedMethod;
  /** when the first step begins */
  readonly start: LocalTime;
  /** of its ingredients */
  readonly nameOf: (ingredient: string) => string;
}

/** An event from and to some minutes after a start. A calendar knows whole minutes: none is shorter than one. */
function eventAt(
  start: LocalTime,
  from: number,
  to: number,
  about: Pick<EventAttributes, 'uid' | 'title' | 'description'>,
) {
  return {
    ...about,
    start: later(start, from),
    startInputType: 'local',
    startOutputType: 'local',
    end: later(start, Math.max(Math.round(to), Math.round(from) + 1)),
    endInputType: 'local',
    endOutputType: 'local',
  } satisfies EventAttributes;
}

/** Before the first step: all that is weighed and chopped, and what it is made with. */
function preparing({ id, file, worked: { rows, followed }, start, nameOf }: PlannedWork): EventAttributes {
  const { weighS, knifeS, cutRows } = preparationOf(rows, followed);
  const weigh = file.lines
    .filter(({ grams }) => grams > 0)
    .map(({ ingredient, grams }) => `${Math.round(grams * 10) / 10} g ${nameOf(ingredient)}`);
  const needs = utensilsOf(followed, cutRows.length > 0).map((each) => UTENSIL_WORDS[each]);
  return eventAt(start, -Math.ceil((weighS + knifeS) / 60), 0, {
    uid: `${id}-0@dark-pour`,
    title: `${file.name}: Weigh ${cutRows.length > 0 ? 'and chop' : 'everything'}`,
    description: `${weigh.join(', ')}. You need: ${needs.join(', ')}.`,
  });
}

/** An event a step, on the kitchen's own clock, after one to weigh. What is done beside the pan begins with the first step. */
function eventsOf(work: PlannedWork): EventAttributes[] {
  const { id, file, worked, start, nameOf } = work;
  let minutes = 0;
  const last = worked.followed.length - 1;
  const steps = worked.followed.flatMap((followed, i): EventAttributes[] => {
    const isAside = followed.step.where === 'aside';
    const from = isAside ? 0 : minutes;
    const to = from + followed.seconds / 60;
    if (!isAside) minutes = to;
    if (followed.seconds === 0) return [];
    const { name, text } = stepText(followed, file, nameOf);
    const caution = stepCaution(followed);
    const pours =
      i === last && followed.step.end.kind !== 'stand' ? ` It pours at ${Math.round(worked.pourC)} °C.` : '';
    const warning = caution ? ` ${caution} ${CAUTION_WORDS.code}` : '';
    return [
      eventAt(start, from, to, {
        uid: `${id}-${i + 1}@dark-pour`,
        title: `${file.name}: ${name}`,
        description: `${text}${pours}${warning}`,
      }),
    ];
  });
  return [preparing(work), ...steps];
}

/**
 * The work on some formulas as a calendar (RFC 5545).
 *
 * @throws {Error} the library refuses an event
 */
export function workCalendar(name: string, works: readonly PlannedWork[]): string {
  const events = works.flatMap(eventsOf);
  const { error, value } = createEvents(events, { productId: 'dark-pour', calName: name });
  if (error || !value) throw error ?? new Error('no calendar was made');
  return value;
}
