import { X } from 'lucide-react';
import { keysOf } from '@/core/keys-of';
import { movedRow, shareLeft, withShare } from '@/core/method/edit-steps';
import type { MethodRows } from '@/core/method/rows';
import type { MethodStep, StepAddition } from '@/core/method/step';
import { STEP_WORDS } from '@/kitchen/words/method-words';
import { GRAIN_WORDS, PIECE_WORDS } from '@/kitchen/words/step-words';
import { InlineChoice } from '@/ui/inline-choice';
import { inlinePlain } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';

/** Least that can be put in, g. */
const LEAST_G = 0.1;

type Steps = readonly MethodStep[];

/** How small it is, for what melts or dissolves. */
function SizeChoice({
  role,
  size,
  onSize,
}: {
  role: string | undefined;
  size: StepAddition['size'];
  onSize: (size: StepAddition['size']) => void;
}) {
  const words: Readonly<Record<string, string>> | undefined =
    role === 'chocolate' || role === 'butter' ? PIECE_WORDS : role === 'sugar' ? GRAIN_WORDS : undefined;
  if (!words) return null;
  const sizes = [...keysOf(PIECE_WORDS), ...keysOf(GRAIN_WORDS)].filter((each) => each in words);
  return (
    <InlineChoice
      label="How small"
      value={size ?? 'noted'}
      options={[['noted', 'as noted'], ...sizes.map((each) => [each, words[each] ?? each] as const)]}
      onChoose={(chosen) => onSize(sizes.find((each) => each === chosen))}
    />
  );
}

/** What goes in at the beginning of a step: how much of it, how small, and with which step instead. */
export function StepRows({
  rows,
  steps,
  place,
  names,
  onSteps,
}: {
  rows: MethodRows;
  steps: Steps;
  place: number;
  /** of the rows */
  names: readonly string[];
  onSteps: (steps: Steps) => void;
}) {
  const adds = steps[place]?.adds ?? [];
  const others = rows.lines.flatMap(({ grams }, row) =>
    grams > 0 && !adds.some((each) => each.row === row) ? [row] : [],
  );
  return (
    <div>
      <h3 className="mt-2 font-sans font-semibold">Goes in</h3>
      <ul>
        {adds.map(({ row, share, size }) => {
          const grams = rows.lines[row]?.grams ?? 0;
          const name = names[row] ?? '';
          return (
            <li key={row} className="border-rule border-t py-1.5">
              <div className="flex items-center gap-2">
                <span className="min-w-0 flex-1 font-medium leading-tight">{name}</span>
                <NumberField
                  label={`Grams of ${name} in this step`}
                  look="inline"
                  value={Math.round(grams * share * 10) / 10}
                  rules={{ least: LEAST_G, most: grams, unit: 'g', units: { g: 1 }, example: '40' }}
                  write={inlinePlain}
                  onValue={(value) =>
                    value !== undefined && onSteps(withShare(steps, place, row, Math.min(value / grams, 1)))
                  }
                />
                <button
                  type="button"
                  aria-label={`Take ${name} out of this step`}
                  className="flex size-11 items-center justify-center rounded-md text-mute hover:bg-rule-soft hover:text-ink"
                  onClick={() => onSteps(withShare(steps, place, row, 0))}
                >
                  <X size={17} aria-hidden="true" />
                </button>
              </div>
              <div className="flex flex-wrap items-center gap-x-3 text-[0.92rem]">
                <SizeChoice
                  role={rows.roles[row]}
                  size={size}
                  onSize={(chosen) =>
                    onSteps(
                      steps.map((step, i) =>
                        i === place
                          ? {
                              ...step,
                              adds: step.adds.map((each) => (each.row === row ? { ...each, size: chosen } : each)),
                            }
                          : step,
                      ),
                    )
                  }
                />
                <InlineChoice
                  label={`Step of ${name}`}
                  value={String(place)}
                  options={steps.map((step, i) => [String(i), `step ${i + 1}, ${STEP_WORDS[step.kind].name}`] as const)}
                  onChoose={(to) => Number(to) !== place && onSteps(movedRow(steps, row, place, Number(to)))}
                />
              </div>
            </li>
          );
        })}
      </ul>
      {others.length > 0 && (
        <InlineChoice
          label="Put in"
          value=""
          options={[['', 'put something in'], ...others.map((row) => [String(row), names[row] ?? ''] as const)]}
          onChoose={(chosen) => chosen !== '' && onSteps(putIn(steps, place, Number(chosen)))}
        />
      )}
    </div>
  );
}

/** A row put in here: what no step takes of it, else all of it from wherever it goes in now. */
function putIn(steps: Steps, place: number, row: number): Steps {
  const left = shareLeft(steps, row);
  if (left > 1e-6) return withShare(steps, place, row, left);
  return steps.reduce<Steps>((now, _, from) => (from === place ? now : movedRow(now, row, from, place)), steps);
}
