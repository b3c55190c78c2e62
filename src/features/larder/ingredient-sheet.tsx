'use client';

import { Copy, Pencil, Trash2 } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import { COMPONENT_NAMES, compositionVector } from '@/core/matter/components';
import { contentsOf } from '@/core/matter/contents';
import { measureDoubt, VOLUMES } from '@/core/matter/measures';
import { nutrition } from '@/core/matter/nutrition';
import type { Ingredient, StoredIngredient } from '@/formats/ingredient';
import { messageOf } from '@/formats/message-of';
import { fetchUses } from '@/kitchen/client/larder';
import { useFetched } from '@/kitchen/use-fetched';
import { allergenLine } from '@/kitchen/words/allergen-sentences';
import { alluloseWords } from '@/kitchen/words/nutrition-words';
import { Button } from '@/ui/button';
import { CompositionStrip, stripAmounts } from '@/ui/composition-strip';
import { gramsPlain, significant, weight } from '@/ui/format';
import { COMPONENT_WORDS } from '@/ui/ingredient/component-words';
import { PRICE, STOCK } from '@/ui/ingredient/ingredient-values';
import { NumberField } from '@/ui/number-field';
import { NutritionTable } from '@/ui/nutrition-table';
import { Sheet } from '@/ui/sheet';

/** Everything about one ingredient: what it is made of, how it measures, where it is used, price and stock. */
export function IngredientSheet({
  ingredient,
  onClose,
  onEdit,
  onCopy,
  onRemove,
  onKeep,
}: {
  ingredient: StoredIngredient;
  onClose: () => void;
  onEdit: () => void;
  onCopy: () => void;
  onRemove: () => Promise<void>;
  /** keeps price, stock and note */
  onKeep: (ingredient: Ingredient) => Promise<void>;
}) {
  const [kept, setKept] = useState<ByHand>({
    pricePerKg: ingredient.pricePerKg,
    stockG: ingredient.stockG,
    note: ingredient.note,
  });
  const [said, setSaid] = useState<{ text: string; bad: boolean } | undefined>();
  const { components } = ingredient;
  const contents = contentsOf(ingredient);
  const changed =
    kept.pricePerKg !== ingredient.pricePerKg || kept.stockG !== ingredient.stockG || kept.note !== ingredient.note;

  const attempt = async (work: () => Promise<void>, done?: string) => {
    try {
      await work();
      if (done) setSaid({ text: done, bad: false });
    } catch (error) {
      setSaid({ text: messageOf(error), bad: true });
    }
  };

  return (
    <Sheet
      title={ingredient.name}
      width="wide"
      onClose={onClose}
      footer={
        <>
          <Changing
            origin={ingredient.origin}
            onEdit={onEdit}
            onCopy={onCopy}
            onRemove={() => void attempt(onRemove)}
          />
          <Button
            look="primary"
            className="ml-auto"
            disabled={!changed}
            onClick={() => void attempt(() => onKeep({ ...ingredient, ...kept }), 'Kept.')}
          >
            Keep price, stock and note
          </Button>
        </>
      }
    >
      {said && (
        <p
          role={said.bad ? 'alert' : 'status'}
          className={`mb-3 rounded-lg px-3 py-2 ${said.bad ? 'bg-off-wash text-off' : 'bg-enamel-wash'}`}
        >
          {said.text}
        </p>
      )}
      <div className="grid gap-6 md:grid-cols-2">
        <div className="space-y-4">
          <MadeOf components={components} />
          <KeptByHand kept={kept} onKept={setKept} />
        </div>
        <div className="space-y-4 text-[14px]">
          <section>
            <h3 className="mb-1 text-[1.05rem]">Nutrition</h3>
            <NutritionTable per100={nutrition(compositionVector(components))} />
            <p className="mt-1 text-mute">{alluloseWords(compositionVector(components), 'eu')}</p>
          </section>
          <Measures ingredient={ingredient} />
          <WhereUsed id={ingredient.id} />
          <section className="space-y-1 text-mute">
            <p>
              Contains {allergenLine(contents)}
              {contents.vegan === 'yes' ? '; vegan' : ''}. Read the pack: traces and recipes change.
            </p>
            {ingredient.madeOf && <p className="break-words">Made of {ingredient.madeOf}.</p>}
            {ingredient.keeps && <p>Keeps {ingredient.keeps}.</p>}
            {ingredient.caution && <p className="text-near">{ingredient.caution}</p>}
            {ingredient.source && <p>Composition: {ingredient.source}.</p>}
          </section>
        </div>
      </div>
    </Sheet>
  );
}

/** An own ingredient is changed or taken out; another one is copied first. */
function Changing({
  origin,
  onEdit,
  onCopy,
  onRemove,
}: {
  origin: StoredIngredient['origin'];
  onEdit: () => void;
  onCopy: () => void;
  onRemove: () => void;
}) {
  return (
    <>
      {origin === 'own' ? (
        <>
          <Button onClick={onEdit}>
            <Pencil size={16} aria-hidden="true" /> Change it
          </Button>
          <Button look="danger" onClick={onRemove}>
            <Trash2 size={16} aria-hidden="true" /> Take it out
          </Button>
        </>
      ) : (
        <Button onClick={onCopy}>
          <Copy size={16} aria-hidden="true" /> Copy it to change
        </Button>
      )}
    </>
  );
}

type ByHand = Pick<Ingredient, 'pricePerKg' | 'stockG' | 'note'>;

/** What a kitchen itself says of an ingredient. */
function KeptByHand({ kept, onKept }: { kept: ByHand; onKept: (kept: ByHand) => void }) {
  return (
    <section className="grid grid-cols-2 gap-3">
      <NumberField
        label="Price"
        showLabel
        optional
        value={kept.pricePerKg ?? undefined}
        rules={PRICE}
        write={(value) => String(Math.round(value * 100) / 100)}
        onValue={(pricePerKg) => onKept({ ...kept, pricePerKg: pricePerKg ?? null })}
      />
      <NumberField
        label="In hand"
        showLabel
        optional
        value={kept.stockG ?? undefined}
        rules={STOCK}
        write={gramsPlain}
        step={100}
        onValue={(stockG) => onKept({ ...kept, stockG: stockG ?? null })}
      />
      <label className="col-span-2 block">
        <span className="mb-1 block text-[0.86rem] text-mute">Note</span>
        <input
          className="h-11 w-full rounded-lg border border-rule bg-field px-3"
          value={kept.note}
          maxLength={1000}
          onChange={(event) => onKept({ ...kept, note: event.target.value })}
        />
      </label>
    </section>
  );
}

/** What 100 g is made of, the most first. */
function MadeOf({ components }: Pick<StoredIngredient, 'components'>) {
  const parts = COMPONENT_NAMES.filter((name) => (components[name] ?? 0) > 0).sort(
    (a, b) => (components[b] ?? 0) - (components[a] ?? 0),
  );
  return (
    <section>
      <h3 className="mb-1 text-[1.05rem]">What 100 g is made of</h3>
      <CompositionStrip amounts={stripAmounts(components)} total={100} />
      <dl className="mt-2 grid grid-cols-[1fr_auto] gap-x-4 text-[13.5px]">
        {parts.map((name) => (
          <div key={name} className="contents">
            <dt className="border-rule-soft border-b py-1">{COMPONENT_WORDS[name]}</dt>
            <dd className="read border-rule-soft border-b py-1 text-right">{components[name]} g</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** The formulas it is used in. */
function WhereUsed({ id }: Pick<StoredIngredient, 'id'>) {
  const { data: usedIn, fault } = useFetched(() => fetchUses(id));
  return (
    <section>
      <h3 className="mb-1 text-[1.05rem]">Where it is used</h3>
      {!usedIn ? (
        <p className="text-mute">{fault ?? 'Looking…'}</p>
      ) : usedIn.length === 0 ? (
        <p className="text-mute">In no formula.</p>
      ) : (
        <ul className="flex flex-wrap gap-x-4">
          {usedIn.map(({ id: formula, name }) => (
            <li key={formula}>
              <Link
                href={`/formulas/${formula}/balance`}
                className="inline-flex min-h-11 items-center text-enamel underline"
              >
                {name}
              </Link>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** What a cup, a spoon and a piece weigh, with how far a cook's filling differs. */
function Measures({ ingredient }: { ingredient: StoredIngredient }) {
  const volumes = Object.entries(ingredient.measures);
  const pieces = Object.entries(ingredient.pieces);
  if (volumes.length === 0 && pieces.length === 0) return null;
  return (
    <section>
      <h3 className="mb-1 text-[1.05rem]">Measures</h3>
      <table className="w-full text-[13.5px]">
        <thead>
          <tr className="border-rule border-b text-right text-mute">
            <th className="py-1 text-left font-medium">filled</th>
            <th className="font-medium">cup, 250 ml</th>
            <th className="font-medium">tbsp, 15 ml</th>
            <th className="font-medium">give or take</th>
          </tr>
        </thead>
        <tbody>
          {volumes.map(([form, perMl]) => (
            <tr key={form} className="border-rule-soft border-b text-right">
              <th className="py-1 text-left font-medium">{form === 'cup' ? 'level' : form}</th>
              <td className="read">{weight(perMl * VOLUMES.cup)}</td>
              <td className="read">{significant(perMl * VOLUMES.tbsp, 3)} g</td>
              <td className="read">±{Math.round(100 * measureDoubt('cup', form))} %</td>
            </tr>
          ))}
          {pieces.map(([piece, each]) => (
            <tr key={piece} className="border-rule-soft border-b text-right">
              <th className="py-1 text-left font-medium">one {piece}</th>
              <td className="read" colSpan={2}>
                {weight(each)}
              </td>
              <td className="read">±{Math.round(100 * measureDoubt(piece, undefined))} %</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
