'use client';

import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { keysOf } from '@/core/keys-of';
import { aimOf, type Blend, type BlendAim, blend } from '@/core/matter/blend';
import { compositionVector } from '@/core/matter/components';
import type { Ingredient } from '@/formats/ingredient';
import type { Predicted } from '@/kitchen/known-pan';
import { Button } from '@/ui/button';
import { choiceOf } from '@/ui/choice-of';
import { gramsPlain, significant, weight } from '@/ui/format';
import { NumberField } from '@/ui/number-field';
import { GRAMS } from '@/ui/parse-amount';
import { Sheet } from '@/ui/sheet';
import { Tick } from '@/ui/tick';
import type { PanLine } from '../draft/edit';
import { BeforeAfterCurve } from '../material/before-after-curve';

const AIMS: Record<BlendAim, { name: string; short: string }> = {
  cocoaPercent: { name: 'cocoa %', short: 'cocoa' },
  fatPercent: { name: 'fat %', short: 'fat' },
};

const PERCENT = { least: 0, most: 100, unit: '%', units: { '%': 1 }, example: '64' };

/** The nearest below and above an ingredient, by what is aimed at. */
function nearestAround(
  current: Ingredient,
  kin: readonly Ingredient[],
  reads: (ingredient: Ingredient) => number,
): readonly string[] {
  const own = reads(current);
  const others = kin.filter(({ id }) => id !== current.id).toSorted((a, b) => reads(a) - reads(b));
  const below = others.findLast((each) => reads(each) < own);
  const above = others.find((each) => reads(each) > own);
  return [below?.id, above?.id].filter((id) => id !== undefined);
}

/** What came of the blend. */
function blendWords(found: Blend | undefined, aim: BlendAim, target: number): string {
  if (found === undefined) return 'Choose at least two.';
  const { short } = AIMS[aim];
  if (found.possible) return `Exactly ${significant(found.reached, 3)} % ${short}, as evenly as that allows.`;
  return found.reason === 'aim'
    ? `These reach ${significant(found.least, 3)}–${significant(found.most, 3)} % ${short}, not ${target} %: take another part.`
    : 'There is not enough in hand for that much: less of the blend, or another part.';
}

/** What is wanted of a blend, what it is made of, and what comes of it. */
function useBlend(line: PanLine, current: Ingredient, ingredients: readonly Ingredient[]) {
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
  const [chosen, setChosen] = useState(() => nearestAround(current, kin, (each) => aimOf(partOf(each, false), aim)));

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
  const shares = found?.possible ? found.grams.map((grams) => Math.round(grams * 10) / 10) : undefined;
  return {
    ...{ kin, partOf, aim, setAim, target, setTarget, totalG, setTotalG },
    ...{ inStock, setInStock, chosen, setChosen, parts, found },
    /** grams of each part, as they are weighed */
    shares,
  };
}

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
  const blending = useBlend(line, current, ingredients);
  const { kin, partOf, aim, setAim, target, setTarget, totalG, setTotalG } = blending;
  const { inStock, setInStock, chosen, setChosen, parts, found, shares } = blending;
  const rows = (keyOf: (place: number) => string) =>
    parts.flatMap((part, i) => {
      const grams = shares?.[i] ?? 0;
      return grams > 0 ? [{ ...line, key: keyOf(i), ingredient: part.id, grams }] : [];
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
        <AimChoice aim={aim} onAim={setAim} />
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
          <PartRow
            key={part.id}
            name={`Part ${i + 1}`}
            part={part}
            choices={kin.filter(({ id }) => id === part.id || !chosen.includes(id))}
            reads={`${significant(aimOf(partOf(part, false), aim), 3)} %${inStock && part.stockG !== null ? `, ${weight(part.stockG)} in hand` : ''}`}
            grams={shares?.[i]}
            isNeeded={parts.length <= 2}
            onChoose={(id) => setChosen(chosen.with(i, id))}
            onLeaveOut={() => setChosen(chosen.filter((id) => id !== part.id))}
          />
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
        <Tick label="only what is in hand" isOn={inStock} onTick={setInStock} />
      </div>
      <p role="status" className={`mt-3 ${found && !found.possible ? 'text-off' : 'text-mute'}`}>
        {blendWords(found, aim, target)}
      </p>
      {before && after && (
        <div className="mt-3" data-testid="blend-curve">
          <BeforeAfterCurve before={before} after={after} />
        </div>
      )}
    </Sheet>
  );
}

function AimChoice({ aim, onAim }: { aim: BlendAim; onAim: (aim: BlendAim) => void }) {
  return (
    <label className="block">
      <span className="mb-1 block text-[0.86rem] text-mute">Aim at</span>
      <select
        className="h-11 w-full rounded-lg border border-rule bg-field px-2"
        value={aim}
        onChange={(event) => onAim(choiceOf(keysOf(AIMS), event.target.value) ?? aim)}
      >
        {keysOf(AIMS).map((each) => (
          <option key={each} value={each}>
            {AIMS[each].name}
          </option>
        ))}
      </select>
    </label>
  );
}

/** One part of the blend: what it is, what it reads, how much of it. */
function PartRow({
  name,
  part,
  choices,
  reads,
  grams,
  isNeeded,
  onChoose,
  onLeaveOut,
}: {
  name: string;
  part: Ingredient;
  choices: readonly Ingredient[];
  reads: string;
  /** nothing while no blend is found */
  grams: number | undefined;
  /** it cannot be left out */
  isNeeded: boolean;
  onChoose: (id: string) => void;
  onLeaveOut: () => void;
}) {
  return (
    <li className="grid grid-cols-[1fr_auto_110px_44px] items-center gap-3">
      <select
        aria-label={name}
        className="h-11 w-full min-w-0 rounded-lg border border-rule bg-field px-2"
        value={part.id}
        onChange={(event) => onChoose(event.target.value)}
      >
        {choices.map((each) => (
          <option key={each.id} value={each.id}>
            {each.name}
          </option>
        ))}
      </select>
      <span className="read text-[0.86rem] text-mute">{reads}</span>
      <span className="read text-right text-[1.05rem]" data-testid="blend-part">
        {grams === undefined ? '–' : weight(grams)}
      </span>
      <Button
        look="bare"
        className="!px-0"
        disabled={isNeeded}
        onClick={onLeaveOut}
        aria-label={`Leave out ${part.name}`}
      >
        <Trash2 size={16} aria-hidden="true" />
      </Button>
    </li>
  );
}
