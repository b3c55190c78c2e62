'use client';

import { CalendarDays, X } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { placedStretches } from '@/core/method/day-plan';
import { holdWarm } from '@/core/pan/hold-warm';
import type { StoredTask } from '@/formats/day';
import type { Ingredient } from '@/formats/ingredient';
import { stoveQuery } from '@/kitchen/method/stove-query';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { WAY_WORDS } from '@/kitchen/words/method-words';
import { Button } from '@/ui/button';
import { duration } from '@/ui/duration';
import { celsius, weight } from '@/ui/format';
import { InlineChoice } from '@/ui/inline-choice';
import { clockOf, TimeOfDay } from '@/ui/time-of-day';
import { TopBar } from '@/ui/top-bar';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { useRefreshOnReturn } from '@/ui/use-refresh-on-return';
import { useStove } from '@/ui/use-stove';
import { AddToDay } from './add-to-day';
import { DayKey, DayLine, type DaySpan } from './day-line';
import { DayOverlaps } from './day-overlaps';
import { type DayFormula, type DayWork, PEOPLE, useDay } from './use-day';
import { useNowOn } from './use-now-on';

const LONG = { weekday: 'long', day: 'numeric', month: 'long' } as const;

/** Marks on the day's axis, about so many. */
const MARKS = 7;
/** min by which all hours must be longer than the busy ones to be worth a choice. */
const LEAST_ZOOM_MIN = 30;
const STEPS_MIN = [15, 30, 60, 120, 240];

/**
 * From the first beginning to the last end, with a little room.
 *
 * @param isBusy only the hours in which hands or hob are wanted: a night in the fridge would leave them no room
 */
function spanOf(works: readonly DayWork[], isBusy: boolean): DaySpan {
  const busy = works.flatMap(placedStretches).filter(({ what, from }) => what !== 'fridge' && from >= 0);
  const drawn =
    isBusy && busy.length > 0 ? busy : works.map(({ ready, lasts }) => ({ from: ready - lasts, to: ready }));
  const from = Math.min(...drawn.map((each) => each.from), 24 * 60);
  const to = Math.max(...drawn.map((each) => each.to), ...works.map(({ served }) => served ?? 0), 0);
  return from < to
    ? { from: Math.floor(from / 15) * 15 - 5, to: Math.ceil(to / 15) * 15 + 5 }
    : { from: 480, to: 1080 };
}

/** The hours that are shown: the busy ones, or all. */
function useSpan(works: readonly DayWork[]) {
  const [isBusy, setBusy] = useState(true);
  const busy = spanOf(works, true);
  const all = spanOf(works, false);
  const canZoom = all.to - all.from > busy.to - busy.from + LEAST_ZOOM_MIN;
  return { span: isBusy ? busy : all, isBusy, setBusy, canZoom };
}

function marksOf({ from, to }: DaySpan): number[] {
  const step = STEPS_MIN.find((each) => (to - from) / each <= MARKS) ?? 480;
  const first = Math.ceil(from / step) * step;
  return Array.from({ length: Math.floor((to - first) / step) + 1 }, (_, i) => first + i * step);
}

/** A day: everything that is to be made on one line, backwards from when each is to be ready. */
export function DayScreen({
  day,
  tasks,
  formulas,
  ingredients,
}: {
  day: string;
  tasks: readonly StoredTask[];
  formulas: readonly DayFormula[];
  ingredients: readonly Ingredient[];
}) {
  useRefreshOnReturn();
  const router = useRouter();
  const plan = useDay(day, tasks, formulas, ingredients);
  // Tells when the page listens.
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);
  const [kitchenC] = useKitchenTemperature();
  const stove = useStove();
  const { span, isBusy, setBusy, canZoom } = useSpan(plan.works);
  const noon = new Date(`${day}T12:00`);
  return (
    <div className="flex min-h-screen flex-col" data-ready={ready}>
      <TopBar />
      <main className="mx-auto w-full max-w-[1180px] flex-1 px-5 py-6">
        <div className="flex flex-wrap items-center gap-4">
          <h1 className="text-[1.8rem]">{noon.toLocaleDateString([], LONG)}</h1>
          <label className="flex items-center gap-2 text-mute">
            Another day
            <input
              type="date"
              aria-label="Day"
              className="read min-h-11 rounded-lg border border-rule bg-field px-2 text-ink"
              value={day}
              onChange={(event) => event.target.value && router.push(`/day?on=${event.target.value}`)}
            />
          </label>
          {plan.works.length > 0 && (
            <a
              href={`/api/days/${day}/calendar?${stoveQuery(stove, kitchenC)}`}
              className="ml-auto inline-flex min-h-11 items-center gap-2 font-medium text-enamel"
            >
              <CalendarDays size={17} aria-hidden="true" /> Calendar file
            </a>
          )}
        </div>
        {plan.fault && (
          <p role="alert" className="mt-2 rounded-lg bg-off-wash px-3 py-2 text-off">
            {plan.fault}
          </p>
        )}
        {plan.works.length === 0 ? (
          <p className="mt-6 max-w-prose text-mute">
            Nothing is planned on this day yet. Put a formula on it and say when it is to be ready: the day is worked
            out backwards, hands, hob and fridge apart.
          </p>
        ) : (
          <>
            <DayOverlaps
              overlaps={plan.overlaps}
              works={plan.works}
              canSpread={plan.canSpread}
              people={plan.people}
              onSpread={plan.spread}
            />
            {plan.spreadBack && (
              <p role="status" className="mt-2 flex flex-wrap items-center gap-3">
                {plan.spreadBack.moved === 1
                  ? 'One is ready earlier, and waits for its time.'
                  : `${plan.spreadBack.moved} are ready earlier, and wait for their time.`}
                <Button onClick={plan.spreadBack.undo}>Undo the spreading</Button>
              </p>
            )}
            <div className="mt-3 flex flex-wrap items-center gap-x-5 gap-y-1 text-[13.5px]">
              <span>
                Work shared by{' '}
                <InlineChoice
                  label="People"
                  value={String(plan.people)}
                  options={PEOPLE.map((n) => [String(n), n === 1 ? 'one person' : `${n} people`] as const)}
                  onChoose={(n) => plan.setPeople(Number(n))}
                />
              </span>
              {canZoom && (
                <Button aria-pressed={isBusy} onClick={() => setBusy(!isBusy)}>
                  {isBusy ? 'Show all hours' : 'Show the busy hours'}
                </Button>
              )}
            </div>
            <div className="mt-2 overflow-hidden rounded-xl border border-rule bg-sheet">
              <DayAxis span={span} day={day} />
              <ol aria-label="Work of the day">
                {plan.works.map((work) => (
                  <DayRow
                    key={work.id}
                    work={work}
                    day={day}
                    span={span}
                    overlaps={plan.overlaps}
                    onReady={(minutes) => plan.moveTo(work.id, minutes)}
                    onRemove={() => void plan.remove(work.id)}
                  />
                ))}
              </ol>
            </div>
            <div className="mt-3">
              <DayKey />
            </div>
          </>
        )}
        <AddToDay onAdd={plan.add} />
      </main>
    </div>
  );
}

const COLUMNS = 'md:grid md:grid-cols-[300px_minmax(0,1fr)_44px] md:items-center md:gap-3';

function DayAxis({ span, day }: { span: DaySpan; day: string }) {
  const now = useNowOn(day);
  const at = (minutes: number) => `${(100 * (minutes - span.from)) / (span.to - span.from)}%`;
  return (
    <div className={`${COLUMNS} px-3 pt-2 text-[12.5px] text-mute`} aria-hidden="true">
      <span />
      <svg className="h-5 w-full overflow-visible" aria-hidden="true">
        {marksOf(span).map((minutes) => (
          <text key={minutes} x={at(minutes)} y={14} textAnchor="middle" className="read fill-mute text-[12.5px]">
            {clockOf(minutes)}
          </text>
        ))}
        {now !== undefined && now >= span.from && now <= span.to && (
          <text x={at(now)} y={14} textAnchor="middle" className="fill-enamel font-semibold text-[12.5px]">
            now
          </text>
        )}
      </svg>
    </div>
  );
}

/** What is ready before its time: how long it is kept warm, and what that costs it. */
function WaitsFor({ work: { ready, served, method } }: { work: DayWork }) {
  const end = method?.followed.at(-1)?.end;
  if (served === undefined || served <= ready) return null;
  const promised = `Promised for ${clockOf(served)}.`;
  const hasSet = method?.followed.some(({ step }) => step.end.kind === 'stand');
  if (!end || !method || hasSet) return <p className="text-[13px]">{promised}</p>;
  const minutes = served - ready;
  const lostG = (holdWarm(end, method.pourC).lostGPerHour * minutes) / 60;
  return (
    <p className="text-[13px]">
      {promised} Keep it at {celsius(Math.round(method.pourC))} for {duration(60 * minutes)}, covered: open it loses{' '}
      {weight(Math.round(lostG * 10) / 10)} of water.{' '}
      <span className="text-mute">
        {CAUTION_WORDS.holdWarm} {CAUTION_WORDS.code}
      </span>
    </p>
  );
}

function DayRow({
  work,
  day,
  span,
  overlaps,
  onReady,
  onRemove,
}: {
  work: DayWork;
  day: string;
  span: DaySpan;
  overlaps: Parameters<typeof DayLine>[0]['overlaps'];
  onReady: (minutes: number) => void;
  onRemove: () => void;
}) {
  const { formula, method, ready, lasts } = work;
  const now = useNowOn(day);
  const { name } = formula.file;
  return (
    <li className={`${COLUMNS} relative border-rule border-t px-3 py-2`}>
      <div className="min-w-0 max-md:pr-12">
        <Link
          href={`/formulas/${formula.id}/method`}
          className="flex min-h-11 items-center font-semibold hover:text-enamel"
        >
          {name}
        </Link>
        <p className="text-[13px] text-mute">
          {method
            ? `${WAY_WORDS[method.way].name}, ${duration(60 * lasts)}`
            : 'no way of working suits it yet: its time is not known'}
        </p>
        <p className="text-[0.95rem]">
          Start {clockOf(ready - lasts)}
          {ready - lasts < 0 && ' the day before'}, ready{' '}
          <TimeOfDay label={`Ready: ${name}`} minutes={ready} onMinutes={onReady} />
        </p>
        <WaitsFor work={work} />
      </div>
      <DayLine work={work} span={span} overlaps={overlaps} now={now} />
      <Button
        look="bare"
        className="!px-0 w-11 max-md:absolute max-md:top-2 max-md:right-2"
        aria-label={`Take ${name} off this day`}
        onClick={onRemove}
      >
        <X size={17} aria-hidden="true" />
      </Button>
    </li>
  );
}
