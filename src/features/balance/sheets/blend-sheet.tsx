'use client';

import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { aimOf, type BlendAim, blend } from '@/core/matter/blend';
import { compositionVector } from '@/core/matter/components';
import type { Ingredient } from '@/formats/ingredient';
import type { Predicted } from '@/kitchen/known-pan';
import { Button } from '@/ui/button';
import { gramsPlain, significant, weight } from '@/ui/format';
import { NumberField } from '@/ui/number-field';
import { GRAMS } from '@/ui/parse-amount';
import { Sheet } from '@/ui/sheet';
import type { PanLine } from '../draft/edit';
import { BeforeAfterCurve } from '../material/before-after-curve';

const AIMS: Record<BlendAim, { name: string; short: string }> = {
  cocoaPercent: { name: 'cocoa %', short: 'cocoa' },
  fatPercent: { name: 'fat %', short: 'fat' },
};

const PERCENT = { least: 0, most: 100, unit: '%', units: { '%': 1 }, example: '64' };

/** Blends two or more of a kind to an exact cocoa % or fat % and puts the blend in a row's place. */
export function BlendSheet({
  line,
  current,
  ingredients,
  newKey,
  before,
  withParts,
  onClose,
  onTake,
}: {
  line: PanLine;
  current: Ingredient;
  ingredients: readonly Ingredient[];
  newKey: () => string;
  before: Predicted | undefined;
  /** the formula with other rows in this row's place */
  withParts: (lines: readonly PanLine[]) => Predicted | undefined;
  onClose: () => void;
  /** the rows that take the row's place */
  onTake: (lines: readonly PanLine[]) => void;
}) {
  const kin = ingredients.filter(({ group }) => group === current.group);
  const partOf = (ingredient: Ingredient, inStock: boolean) => ({
    perGram: compositionVector(ingredient.components),
    labelled: aim === 'cocoaPercent' ? (ingredient.cocoaPercent ?? undefined) : undefined,
    stockG: inStock ? (ingredient.stockG ?? undefined) : undefined,
  });
  const [aim, setAim] = useState<BlendAim>(current.group === 'chocolate' ? 'cocoaPercent' : 'fatPercent');
  const [target, setTarget] = useState(() => Math.round(aimOf(partOf(current, false), aim)));
  const [totalG, setTotalG] = useState(line.grams);
  const [inStock, setInStock] = useState(false);
  const [chosen, setChosen] = useState<readonly string[]>(() => {
    const far = (sign: 1 | -1) =>
      kin
        .filter(({ id }) => id !== current.id)
        .toSorted((a, b) => sign * (aimOf(partOf(a, false), aim) - aimOf(partOf(b, false), aim)));
    const own = aimOf(partOf(current, false), aim);
    const above = far(1).find((each) => aimOf(partOf(each, false), aim) > own);
    const below = far(-1).find((each) => aimOf(partOf(each, false), aim) < own);
    return [below?.id, above?.id].filter((id): id is string => id !== undefined);
  });

  const parts = chosen.flatMap((id) => kin.find((each) => each.id === id) ?? []);
  const found =
    parts.length >= 2 && totalG > 0
      ? blend(
          parts.map((part) => partOf(part, inStock)),
          aim,
          target,
          totalG,
        )
      : undefined;
  const tenth = (value: number) => Math.round(value * 10) / 10;
  const rows = (keyOf: (place: number) => string) =>
    parts.flatMap((part, i) => {
      const share = found?.possible ? tenth(found.grams[i] as number) : 0;
      return share > 0 ? [{ ...line, key: keyOf(i), ingredient: part.id, grams: share }] : [];
    });
  const after = found?.possible ? withParts(rows((i) => `blend-${i}`)) : undefined;

  return (
    <Sheet
      title={`Blend for ${current.name}`}
      besidePan
      asksFirst
      onClose={onClose}
      footer={
        <>
          <Button look="primary" disabled={!found?.possible} onClick={() => onTake(rows(newKey))}>
            Put the blend in its place
          </Button>
          <Button onClick={onClose}>Leave it</Button>
        </>
      }
    >
      <div className="grid gap-3 sm:grid-cols-3">
        <label className="block">
          <span className="mb-1 block text-[0.86rem] text-mute">Aim at</span>
          <select
            className="h-11 w-full rounded-lg border border-rule bg-field px-2"
            value={aim}
            onChange={(event) => setAim(event.target.value as BlendAim)}
          >
            {(Object.keys(AIMS) as BlendAim[]).map((each) => (
              <option key={each} value={each}>
                {AIMS[each].name}
              </option>
            ))}
          </select>
        </label>
        <NumberField
          label="Wanted"
          showLabel
          value={target}
          rules={PERCENT}
          write={gramsPlain}
          onValue={(value) => value !== undefined && setTarget(value)}
        />
        <NumberField
          label="Grams of the blend"
          showLabel
          value={totalG}
          rules={GRAMS}
          write={gramsPlain}
          onValue={(value) => value !== undefined && setTotalG(value)}
        />
      </div>
      <ul className="mt-4 space-y-2">
        {parts.map((part, i) => (
          <li key={part.id} className="grid grid-cols-[1fr_auto_110px_44px] items-center gap-3">
            <select
              aria-label={`Part ${i + 1}`}
              className="h-11 w-full min-w-0 rounded-lg border border-rule bg-field px-2"
              value={part.id}
              onChange={(event) => setChosen(chosen.with(i, event.target.value))}
            >
              {kin
                .filter(({ id }) => id === part.id || !chosen.includes(id))
                .map((each) => (
                  <option key={each.id} value={each.id}>
                    {each.name}
                  </option>
                ))}
            </select>
            <span className="read text-[0.86rem] text-mute">
              {significant(aimOf(partOf(part, false), aim), 3)} %
              {inStock && part.stockG !== null ? `, ${weight(part.stockG)} in hand` : ''}
            </span>
            <span className="read text-right text-[1.05rem]" data-testid="blend-part">
              {found?.possible ? `${weight(tenth(found.grams[i] as number))}` : '–'}
            </span>
            <Button
              look="bare"
              className="!px-0"
              disabled={parts.length <= 2}
              onClick={() => setChosen(chosen.filter((id) => id !== part.id))}
              aria-label={`Leave out ${part.name}`}
            >
              <Trash2 size={16} aria-hidden="true" />
            </Button>
          </li>
        ))}
      </ul>
      <div className="mt-3 flex flex-wrap items-center gap-4">
        <Button
          onClick={() => {
            const next = kin.find(({ id }) => !chosen.includes(id));
            if (next) setChosen([...chosen, next.id]);
          }}
        >
          <Plus size={16} aria-hidden="true" /> Another part
        </Button>
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-5 accent-enamel"
            checked={inStock}
            onChange={(event) => setInStock(event.target.checked)}
          />
          only what is in hand
        </label>
      </div>
      <p role="status" className={`mt-3 ${found && !found.possible ? 'text-off' : 'text-mute'}`}>
        {found === undefined
          ? 'Choose at least two.'
          : found.possible
            ? `Exactly ${significant(found.reached, 3)} % ${AIMS[aim].short}, as evenly as that allows.`
            : found.reason === 'aim'
              ? `These reach ${significant(found.least, 3)}–${significant(found.most, 3)} % ${AIMS[aim].short}, not ${target} %: take another part.`
              : 'There is not enough in hand for that much: less of the blend, or another part.'}
      </p>
      {before && after && (
        <div className="mt-3" data-testid="blend-curve">
          <BeforeAfterCurve before={before} after={after} />
        </div>
      )}
    </Sheet>
  );
}
