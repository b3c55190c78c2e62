'use client';

import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import type { Larder } from '@/kitchen/known-item';
import { predictPan } from '@/kitchen/known-pan';
import type { PanContents } from '@/kitchen/pan-contents';
import type { FormulaDraft } from '../draft/edit';
import { totalGrams } from '../draft/formula-draft';
import type { OpenFormula } from '../draft/use-formula';
import { Shortcuts } from '../keys/shortcuts';
import type { Compared } from '../material/curve-view';
import { firstGrams } from '../pan/first-grams';
import type { Balancing } from '../verdict/use-balancing';
import { AddIngredient } from './add-ingredient';
import { BlendSheet } from './blend-sheet';
import { CompareSheet } from './compare-sheet';
import { NutritionSheet } from './nutrition-sheet';
import { SwapSheet } from './swap-sheet';
import { TagsSheet } from './tags-sheet';
import { TargetsSheet } from './targets-sheet';
import { VariantsSheet } from './variants-sheet';
import { VersionsSheet } from './versions-sheet';

/** What lies over the bench. */
export type OpenSheet =
  | 'add'
  | 'targets'
  | 'shortcuts'
  | 'nutrition'
  | 'versions'
  | 'variants'
  | 'compare'
  | 'tags'
  | { readonly swap: string | undefined }
  | { readonly blend: string };

/** The sheets over the bench, one at a time. */
export function BenchSheets({
  id,
  baseId,
  sheet,
  onSheet,
  formula,
  larder,
  ingredients,
  contents,
  balancing,
  compared,
  onCompare,
  onNewIngredient,
  onAdded,
}: {
  id: string;
  baseId: string | null;
  sheet: OpenSheet | undefined;
  onSheet: (sheet: OpenSheet | undefined) => void;
  formula: OpenFormula;
  larder: Larder;
  ingredients: readonly Ingredient[];
  contents: PanContents;
  balancing: Balancing;
  compared: readonly Compared[];
  onCompare: (name: string, file: FormulaFile) => void;
  onNewIngredient: (ingredient: Ingredient) => void;
  /** told of the key of a row that was put into the pan */
  onAdded: (key: string) => void;
}) {
  const { draft, predicted, edit } = formula;
  const close = () => onSheet(undefined);
  const isSwap = typeof sheet === 'object' && 'swap' in sheet;
  const blended = typeof sheet === 'object' && 'blend' in sheet && draft.lines.find(({ key }) => key === sheet.blend);
  const blendedIngredient = blended && larder.get(blended.ingredient);
  const inPlace = (parts: FormulaDraft['lines']) =>
    draft.lines.flatMap((line) => (blended && line.key === blended.key ? parts : [line]));
  return (
    <>
      {sheet === 'add' && (
        <AddIngredient
          ingredients={ingredients}
          onClose={close}
          onNew={onNewIngredient}
          onAdd={(ingredient) => {
            const key = formula.newKey();
            const grams = firstGrams(totalGrams(draft), ingredient);
            edit({ type: 'add', line: { key, ingredient: ingredient.id, grams, locked: false } });
            close();
            onAdded(key);
          }}
        />
      )}
      {sheet === 'targets' && (
        <TargetsSheet
          draft={draft}
          onClose={close}
          onTake={(targets) => {
            edit(targets);
            close();
          }}
        />
      )}
      {sheet === 'nutrition' && predicted && (
        <NutritionSheet prediction={predicted.prediction} contents={contents} onClose={close} />
      )}
      {sheet === 'tags' && (
        <TagsSheet
          tags={draft.tags ?? []}
          onClose={close}
          onTake={(tags) => {
            edit({ type: 'tags', tags });
            close();
          }}
        />
      )}
      {sheet === 'versions' && (
        <VersionsSheet
          id={id}
          draft={draft}
          larder={larder}
          onClose={close}
          onRestore={(file) => {
            formula.open({ ...file, name: draft.name });
            close();
          }}
          onCompare={(name, file) => {
            onCompare(name, file);
            close();
          }}
        />
      )}
      {sheet === 'variants' && <VariantsSheet id={id} baseId={baseId} draft={draft} larder={larder} onClose={close} />}
      {sheet === 'compare' && (
        <CompareSheet id={id} chosen={compared.map(({ name }) => name)} onClose={close} onChoose={onCompare} />
      )}
      {isSwap && predicted && (
        <SwapSheet
          draft={draft}
          predicted={predicted}
          larder={larder}
          rowKey={sheet.swap}
          balancing={balancing}
          onClose={close}
          onTake={(lines) => {
            edit({ type: 'lines', lines });
            close();
          }}
        />
      )}
      {blended && blendedIngredient && (
        <BlendSheet
          line={blended}
          current={blendedIngredient}
          ingredients={ingredients}
          newKey={formula.newKey}
          before={formula.predicted}
          withParts={(parts) => predictPan({ ...draft, lines: inPlace(parts) }, larder)}
          onClose={close}
          onTake={(parts) => {
            edit({ type: 'lines', lines: inPlace(parts) });
            close();
          }}
        />
      )}
      <Shortcuts open={sheet === 'shortcuts'} onClose={close} />
    </>
  );
}
