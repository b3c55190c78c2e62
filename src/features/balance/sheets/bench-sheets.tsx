'use client';

import { useMemo } from 'react';
import { predictPan } from '@/kitchen/known-pan';
import type { PanLine } from '../draft/edit';
import { totalGrams } from '../draft/formula-draft';
import { Shortcuts } from '../keys/shortcuts';
import { firstGrams } from '../pan/first-grams';
import type { Bench } from '../use-bench';
import { AddIngredient } from './add-ingredient';
import { BlendSheet } from './blend-sheet';
import { CompareSheet } from './compare-sheet';
import { NutritionSheet } from './nutrition-sheet';
import type { OpenSheet } from './open-sheet';
import { PourSheet } from './pour-sheet';
import { SwapSheet } from './swap-sheet';
import { TagsSheet } from './tags-sheet';
import { TargetsSheet } from './targets-sheet';
import { VariantsSheet } from './variants-sheet';
import { VersionsSheet } from './versions-sheet';

interface Props {
  readonly bench: Bench;
  readonly sheet: OpenSheet;
  /** told of the key of a row that was put into the pan */
  readonly onAdded: (key: string) => void;
}

/** The sheets over the bench, one at a time. */
export function BenchSheets({ bench, sheet, onAdded }: Props) {
  const { draft, predicted, edit } = bench.formula;
  const close = () => bench.setSheet(undefined);
  if (typeof sheet === 'object') {
    if ('swap' in sheet) return <Swap bench={bench} rowKey={sheet.swap} close={close} />;
    if ('blend' in sheet) return <Blend bench={bench} rowKey={sheet.blend} close={close} />;
    return <Pour bench={bench} moment={sheet.pour} close={close} />;
  }
  switch (sheet) {
    case 'add':
      return <Add bench={bench} close={close} onAdded={onAdded} />;
    case 'targets':
      return (
        <TargetsSheet
          draft={draft}
          onClose={close}
          onTake={(targets) => {
            edit(targets);
            close();
          }}
        />
      );
    case 'nutrition':
      return (
        predicted && <NutritionSheet prediction={predicted.prediction} contents={bench.contents} onClose={close} />
      );
    case 'tags':
      return (
        <TagsSheet
          tags={draft.tags ?? []}
          onClose={close}
          onTake={(tags) => {
            edit({ type: 'tags', tags });
            close();
          }}
        />
      );
    case 'shortcuts':
      return <Shortcuts open onClose={close} />;
    default:
      return <Others bench={bench} sheet={sheet} close={close} />;
  }
}

interface Part {
  readonly bench: Bench;
  readonly close: () => void;
}

function Add({ bench: { formula, shelf }, close, onAdded }: Part & Pick<Props, 'onAdded'>) {
  return (
    <AddIngredient
      ingredients={shelf.ingredients}
      onClose={close}
      onNew={shelf.add}
      onAdd={(ingredient, typedG) => {
        const key = formula.newKey();
        const grams = typedG ?? firstGrams(totalGrams(formula.draft), ingredient);
        formula.edit({ type: 'add', line: { key, ingredient: ingredient.id, grams, locked: false } });
        close();
        onAdded(key);
      }}
    />
  );
}

/** The pour of a moment, with what it may be laid beside: before these edits, with the proposal, what it is compared with. */
function Pour({ bench, moment, close }: Part & { moment: string }) {
  const { id, formula, shelf, otherwise, proposed, compared } = bench;
  const { predicted, reference, calibration } = formula;
  const before = useMemo(
    () => (otherwise ? predictPan(reference, shelf.larder, calibration)?.prediction : undefined),
    [otherwise, reference, shelf.larder, calibration],
  );
  const others = useMemo(
    () => [
      ...(before ? [{ name: 'Before these edits', prediction: before }] : []),
      ...(proposed ? [{ name: 'With the proposal', prediction: proposed }] : []),
      ...compared,
    ],
    [before, proposed, compared],
  );
  return (
    predicted && <PourSheet id={id} prediction={predicted.prediction} moment={moment} others={others} onClose={close} />
  );
}

/** Other states of the formula, and other formulas. */
function Others({ bench, sheet, close }: Part & { sheet: 'versions' | 'variants' | 'compare' }) {
  const { id, opened, formula, shelf, compared, compare } = bench;
  const { draft } = formula;
  if (sheet === 'variants') {
    return <VariantsSheet id={id} baseId={opened.baseId} draft={draft} larder={shelf.larder} onClose={close} />;
  }
  if (sheet === 'compare') {
    return <CompareSheet id={id} chosen={compared.map(({ name }) => name)} onClose={close} onChoose={compare} />;
  }
  return (
    <VersionsSheet
      id={id}
      draft={draft}
      larder={shelf.larder}
      onClose={close}
      onRestore={(file) => {
        formula.open({ ...file, name: draft.name });
        close();
      }}
      onCompare={(name, file) => {
        compare(name, file);
        close();
      }}
    />
  );
}

function Swap({ bench: { formula, shelf, balancing }, rowKey, close }: Part & { rowKey: string | undefined }) {
  const { draft, predicted, edit } = formula;
  if (!predicted) return null;
  return (
    <SwapSheet
      draft={draft}
      predicted={predicted}
      larder={shelf.larder}
      calibration={formula.calibration}
      rowKey={rowKey}
      balancing={balancing}
      onClose={close}
      onTake={(lines) => {
        edit({ type: 'lines', lines });
        close();
      }}
    />
  );
}

function Blend({ bench: { formula, shelf }, rowKey, close }: Part & { rowKey: string }) {
  const { draft, edit, calibration } = formula;
  const line = draft.lines.find(({ key }) => key === rowKey);
  const current = line && shelf.larder.get(line.ingredient);
  if (!line || !current) return null;
  const inPlace = (parts: readonly PanLine[]) => draft.lines.flatMap((each) => (each.key === rowKey ? parts : [each]));
  return (
    <BlendSheet
      line={line}
      current={current}
      ingredients={shelf.ingredients}
      newKey={formula.newKey}
      before={formula.predicted}
      withParts={(parts) => predictPan({ ...draft, lines: inPlace(parts) }, shelf.larder, calibration)}
      onClose={close}
      onTake={(parts) => {
        edit({ type: 'lines', lines: inPlace(parts) });
        close();
      }}
    />
  );
}
