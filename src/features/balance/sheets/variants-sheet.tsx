'use client';

import Link from 'next/link';
import { useState } from 'react';
import { atThePour, onceSet } from '@/core/formula/moment-role';
import type { MomentReading, Prediction } from '@/core/predict/predict-formula';
import { type FormulaFile, readFormula } from '@/formats/formula-file';
import { messageOf } from '@/formats/message-of';
import { createFormula, fetchFormula, listVariants } from '@/kitchen/client/formulas';
import type { Larder } from '@/kitchen/known-item';
import { keyed, predictPan } from '@/kitchen/known-pan';
import { panContents } from '@/kitchen/pan-contents';
import { useFetched } from '@/kitchen/use-fetched';
import { ALCOHOL_TRACE } from '@/kitchen/words/alcohol-words';
import { allergenWords } from '@/kitchen/words/allergen-sentences';
import { Button } from '@/ui/button';
import { flowWords } from '@/ui/flow-words';
import { priceByWeight, significant } from '@/ui/format';
import { useCalibration } from '@/ui/pours/pours-provider';
import { QUANTITY_WORDS } from '@/ui/quantity-words';
import { fixed } from '@/ui/settings/numerals';
import { BY_WEIGHT, unitName } from '@/ui/settings/shown-units';
import { Sheet } from '@/ui/sheet';
import type { FormulaDraft } from '../draft/edit';
import { fileOf } from '../draft/formula-draft';

/** One base, many children: each stores only what it does differently, follows the base, and shows which gates it keeps. */
export function VariantsSheet({
  id,
  baseId,
  draft,
  larder,
  onClose,
}: {
  id: string;
  /** the base this formula is itself a variant of */
  baseId: string | null;
  draft: FormulaDraft;
  larder: Larder;
  onClose: () => void;
}) {
  const base = baseId ?? id;
  const { data, fault } = useFetched(async () => ({
    variants: await listVariants(base),
    root: baseId === null ? undefined : await fetchFormula(baseId),
  }));
  const variants = data?.variants;
  const [name, setName] = useState('');
  const [said, setSaid] = useState<string | undefined>();
  const [busy, setBusy] = useState(false);

  const create = async () => {
    if (name.trim() === '') {
      setSaid('Give the variant a name first.');
      return;
    }
    setBusy(true);
    try {
      const child = await createFormula(readFormula({ ...fileOf(draft), name: name.trim() }), base);
      window.location.assign(`/formulas/${child}/balance`);
    } catch (error) {
      setSaid(messageOf(error));
      setBusy(false);
    }
  };

  return (
    <Sheet title="Variants" width="wide" onClose={onClose}>
      <p className="mb-3 text-mute">
        A variant keeps only what it does differently. All else follows {baseId ? 'its base' : 'this formula'}, also
        when that changes later.
      </p>
      {baseId && (
        <p className="mb-3">
          <Link
            href={`/formulas/${baseId}/balance`}
            className="inline-flex min-h-11 items-center text-enamel underline"
          >
            Open the base
          </Link>
        </p>
      )}
      <form
        className="mb-4 flex flex-wrap gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void create();
        }}
      >
        <input
          aria-label="Name of the variant"
          placeholder="Name, like: with orange liqueur"
          maxLength={120}
          className="h-11 min-w-60 flex-1 rounded-lg border border-rule bg-field px-3"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <Button look="primary" type="submit" disabled={busy}>
          Start a variant from this pan
        </Button>
      </form>
      {(said ?? fault) && (
        <p role="alert" className="mb-3 text-off">
          {said ?? fault}
        </p>
      )}
      {variants?.length === 0 && <p className="text-mute">No variant yet.</p>}
      {variants && variants.length > 0 && (
        <VariantTable
          rows={[
            ...(data?.root ? [{ id: data.root.id, name: `${data.root.file.name} (base)`, file: data.root.file }] : []),
            { id: '', name: baseId ? 'this pan' : `${draft.name} (base)`, file: fileOf(draft) },
            ...variants
              .filter((variant) => variant.id !== id)
              .map(({ id: key, file }) => ({ id: key, name: file.name, file })),
          ]}
          larder={larder}
        />
      )}
    </Sheet>
  );
}

const hasAlcohol = (prediction: Prediction | undefined) => (prediction?.alcoholPercentVol ?? 0) > ALCOHOL_TRACE;

/** All children against the base: which gates each keeps, and what else differs. */
function VariantTable({
  rows,
  larder,
}: {
  rows: readonly { id: string; name: string; file: FormulaFile }[];
  larder: Larder;
}) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-[13.5px]" data-testid="variants">
        <thead>
          <tr className="border-rule border-b text-right text-mute">
            <th className="py-1 text-left font-medium">variant</th>
            <th className="text-left font-medium">gates</th>
            <th className="font-medium">flow at the pour</th>
            <th className="font-medium">set</th>
            <th className="font-medium">shine</th>
            <th className="font-medium">aw</th>
            <th className="font-medium">sweet</th>
            <th className="font-medium">{unitName(BY_WEIGHT)}</th>
            <th className="font-medium">alcohol</th>
            <th className="pl-3 text-left font-medium">contains</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <VariantRow key={row.id || 'base'} {...row} larder={larder} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** A flow or a set in words, its figure small below. */
function FlowCell({
  quantity,
  reading,
  densityKgM3,
}: {
  quantity: 'apparentViscosityPaS' | 'yieldStressPa';
  reading: MomentReading | undefined;
  densityKgM3: number | undefined;
}) {
  if (!reading || densityKgM3 === undefined) return <td>–</td>;
  const { number, unit } = QUANTITY_WORDS[quantity].show(reading.state.flow[quantity]);
  return (
    <td className="pl-3 leading-tight">
      {flowWords(quantity, reading, densityKgM3)}
      <span className="read block text-[0.8rem] text-mute">
        {number} {unit}
      </span>
    </td>
  );
}

/** One variant beside the others: its gates, flow, shine, keeping, taste, cost, alcohol and allergens. */
function VariantRow({ id, name, file, larder }: { id: string; name: string; file: FormulaFile; larder: Larder }) {
  const calibration = useCalibration(id);
  const prediction = predictPan(keyed(file), larder, calibration)?.prediction;
  const pour = prediction && atThePour(prediction.moments);
  const set = prediction && onceSet(prediction.moments);
  const declared = allergenWords(panContents(file, larder));
  const missed = prediction?.gates.filter(({ lands }) => !lands) ?? [];
  return (
    <tr className="border-rule-soft border-b text-right">
      <th className="py-1.5 text-left font-semibold">
        {id ? (
          <Link href={`/formulas/${id}/balance`} className="inline-flex min-h-11 items-center text-enamel underline">
            {name}
          </Link>
        ) : (
          name
        )}
      </th>
      <td className={`text-left ${missed.length > 0 ? 'text-off' : 'text-enamel'}`}>
        {prediction === undefined
          ? 'empty pan'
          : missed.length === 0
            ? `all ${prediction.gates.length} ✓`
            : `✕ ${missed.map(({ quantity }) => QUANTITY_WORDS[quantity].short).join(', ')}`}
      </td>
      <FlowCell quantity="apparentViscosityPaS" reading={pour} densityKgM3={prediction?.densityKgM3} />
      <FlowCell quantity="yieldStressPa" reading={set} densityKgM3={prediction?.densityKgM3} />
      <td className="read">{pour ? fixed(pour.state.shine, 0) : '–'}</td>
      <td className="read">{prediction ? fixed(prediction.asKept.waterActivity, 2) : '–'}</td>
      <td className="read">{prediction ? fixed(prediction.taste.sweetness, 0) : '–'}</td>
      <td className="read">{prediction ? priceByWeight(prediction.costPerKg) : '–'}</td>
      <td className={`read ${hasAlcohol(prediction) ? 'font-semibold text-off' : ''}`}>
        {hasAlcohol(prediction) ? `${significant(prediction?.alcoholPercentVol ?? 0, 2)} % vol` : 'none'}
      </td>
      <td className="pl-3 text-left text-mute">
        {[declared.contains, declared.mayContain && `may contain ${declared.mayContain}`, ...declared.unknown]
          .filter(Boolean)
          .join('; ')}
      </td>
    </tr>
  );
}
