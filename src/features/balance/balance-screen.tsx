'use client';

import { Redo2, Undo2 } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { keepingWords } from '@/core/keep/shelf';
import { formIn, type MeasureSystem } from '@/core/matter/measures';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { Key } from '@/ui/button';
import { significant, waterActivity } from '@/ui/format';
import { TopBar } from '@/ui/top-bar';
import { MEASURE_SYSTEMS, useMeasureSystem } from '@/ui/use-measure-system';
import type { Household } from '@/workers/balance.worker';
import { AddIngredient } from './add-ingredient';
import { BlendSheet } from './blend-sheet';
import { allergens, cautions } from './cautions';
import { CurveCard } from './curve-card';
import { applyEdit, type FormulaDraft, fileOf } from './formula-draft';
import { FormulaName } from './formula-name';
import { MomentsStrip } from './moments-strip';
import { NutritionSheet } from './nutrition-sheet';
import { ingredientName, ingredientsInPan, Pan } from './pan';
import { SaveNotice, saveWords } from './save-notice';
import { Shortcuts } from './shortcuts';
import { SwapSheet } from './swap-sheet';
import { TargetsSheet } from './targets-sheet';
import { useAutosave } from './use-autosave';
import { type BalanceOutcome, useBalance } from './use-balance';
import { useDoubt } from './use-doubt';
import { knownLines, type Larder, predictDraft, useFormula } from './use-formula';
import { VerdictDetails, VerdictHead } from './verdict-panel';

/** Grams a new row starts with: a twentieth of the batch, a round number. */
function firstGrams(draft: FormulaDraft): number {
  const total = draft.lines.reduce((sum, line) => sum + line.grams, 0);
  return total === 0 ? 200 : Math.max(Math.round(total / 100) * 5, 5);
}

/** What a balance depends on, as text: an answer to an older question is let go. */
function requestOf({ lines, gates, moments, process }: FormulaDraft): string {
  return JSON.stringify([lines, gates, moments, process]);
}

/** What lies over the screen. */
type Sheet =
  | 'add'
  | 'targets'
  | 'shortcuts'
  | 'nutrition'
  | { readonly swap: string | undefined }
  | { readonly blend: string };

const isSwap = (sheet: Sheet | undefined) => typeof sheet === 'object' && 'swap' in sheet;
const isBlend = (sheet: Sheet | undefined) => typeof sheet === 'object' && 'blend' in sheet;

/** The cups and spoons a balance rounds to, row by row; nothing when the scale is used. */
function cupsOf(draft: FormulaDraft, larder: Larder, system: MeasureSystem): Household | undefined {
  if (system !== 'cups' && system !== 'usCups') return undefined;
  return {
    system,
    lines: draft.lines.map(({ ingredient, form }) => {
      const known = larder.get(ingredient);
      if (!known) return undefined;
      const { measures, pieces, densityGPerMl } = known;
      const measurable = { measures, pieces, densityGPerMl };
      return { measurable, form: formIn(measurable, form) };
    }),
  };
}

/** The Balance screen: the pan, the material and the verdict of one formula. */
export function BalanceScreen({
  id,
  opened,
  ingredients,
}: {
  id: string;
  opened: { revision: number; file: FormulaFile };
  ingredients: readonly Ingredient[];
}) {
  const larder = useMemo(() => new Map(ingredients.map((ingredient) => [ingredient.id, ingredient])), [ingredients]);
  const formula = useFormula(opened.file, larder);
  const { draft, predicted, edit, undo, redo, pause } = formula;
  const autosave = useAutosave(
    id,
    opened,
    useMemo(() => fileOf(draft), [draft]),
  );
  const balancing = useBalance();
  const latest = useRef(draft);
  latest.current = draft;
  const [outcome, setOutcome] = useState<BalanceOutcome & { shownFor: readonly (readonly number[])[] }>();
  const [sheet, setSheet] = useState<Sheet | undefined>();
  const [rested, setRested] = useState(24);
  const [household, setHousehold] = useState(false);
  const [measures, chooseMeasures] = useMeasureSystem();
  const doubt = useDoubt(predicted?.formula, rested);

  const nameOf = (ingredient: string) => ingredientName(draft, larder, ingredient);
  const gramsNow = draft.lines.map((line) => line.grams);
  const sameRows = outcome?.before.lines.length === draft.lines.length && outcome.before.gates === draft.gates;
  const shown =
    sameRows && outcome.shownFor.some((grams) => grams.every((g, i) => g === gramsNow[i])) ? outcome : undefined;
  const landed = shown?.answer.grams.every((g, i) => g === gramsNow[i]) ? shown : undefined;

  const balanceDraft = async (asked: FormulaDraft) => {
    const standing = predictDraft(asked, larder);
    if (!standing || balancing.busy || knownLines(asked, larder).length !== asked.lines.length) return;
    const cups = cupsOf(asked, larder, household ? measures : 'grams');
    const answer = await balancing.ask(standing.formula, cups);
    if (requestOf(latest.current) !== requestOf(asked)) return;
    const from = asked.lines.map((line) => line.grams);
    if (answer.status === 'lands') {
      if (answer.change > 0)
        edit({
          type: 'balanced',
          grams: answer.grams,
          byVolume: cups?.lines.map((line, i) => line !== undefined && !asked.lines[i]?.locked),
        });
      setOutcome({ before: asked, answer, shownFor: [answer.grams] });
    } else {
      setOutcome({ before: asked, answer, shownFor: [from, answer.grams] });
    }
  };
  const balance = () => void balanceDraft(draft);
  const unlock = (index: number) => {
    const line = draft.lines[index];
    if (!line) return;
    edit({ type: 'lock', key: line.key });
    void balanceDraft(applyEdit(draft, { type: 'lock', key: line.key }));
  };

  const noSheet = { enabled: sheet === undefined };
  useHotkeys('b', balance, noSheet, [balance]);
  useHotkeys('slash', () => setSheet('add'), { ...noSheet, preventDefault: true });
  useHotkeys('u', undo, noSheet);
  useHotkeys('r', redo, noSheet);
  useHotkeys('mod+z', undo, { ...noSheet, enableOnFormTags: true, preventDefault: true });
  useHotkeys(['mod+shift+z', 'mod+y'], redo, { ...noSheet, enableOnFormTags: true, preventDefault: true });
  useHotkeys('mod+s', () => void autosave.saveNow(), { enableOnFormTags: true, preventDefault: true });
  useHotkeys('shift+slash', () => setSheet('shortcuts'), noSheet);

  const before = useMemo(
    () => (landed ? predictDraft(landed.before, larder)?.prediction : undefined),
    [landed, larder],
  );
  const from = new Map(
    landed?.before.lines.flatMap((line, i) =>
      line.grams === landed.answer.grams[i] ? [] : [[line.key, line.grams] as const],
    ),
  );
  const inPan = ingredientsInPan(draft, larder);
  const blended = isBlend(sheet) ? draft.lines.find((line) => line.key === sheet.blend) : undefined;
  const blendedIngredient = blended && larder.get(blended.ingredient);

  return (
    <div className="flex min-h-screen flex-col lg:h-screen">
      <TopBar>
        <FormulaName name={draft.name} onName={(name) => edit({ type: 'name', name })} onLeave={pause} />
        <div className="flex shrink-0 gap-1">
          <button
            type="button"
            onClick={undo}
            disabled={!formula.canUndo}
            aria-label="Undo"
            className="flex size-11 items-center justify-center rounded-md hover:bg-white/10 disabled:opacity-35"
          >
            <Undo2 size={20} aria-hidden="true" />
          </button>
          <button
            type="button"
            onClick={redo}
            disabled={!formula.canRedo}
            aria-label="Redo"
            className="flex size-11 items-center justify-center rounded-md hover:bg-white/10 disabled:opacity-35"
          >
            <Redo2 size={20} aria-hidden="true" />
          </button>
          <a href={`/api/formulas/${id}/file`} className="flex min-h-11 items-center rounded-md px-3 hover:bg-white/10">
            File
          </a>
          <select
            aria-label="Measures beside grams"
            className="h-11 rounded-md bg-transparent px-1 text-white [&>option]:text-ink"
            value={measures}
            onChange={(event) => chooseMeasures(event.target.value as MeasureSystem)}
          >
            {(Object.keys(MEASURE_SYSTEMS) as MeasureSystem[]).map((system) => (
              <option key={system} value={system}>
                {MEASURE_SYSTEMS[system]}
              </option>
            ))}
          </select>
        </div>
      </TopBar>
      <SaveNotice autosave={autosave} onOpen={formula.open} />
      <main className="grid flex-1 grid-cols-1 md:grid-cols-[372px_minmax(0,1fr)] md:grid-rows-[auto_auto_1fr] lg:min-h-0 lg:grid-cols-[396px_minmax(0,1fr)_292px] lg:grid-rows-[auto_minmax(0,1fr)]">
        <div className="thin-scroll border-rule border-r bg-sheet md:row-span-3 lg:row-span-2 lg:overflow-y-auto">
          <Pan
            formula={formula}
            larder={larder}
            from={from}
            measures={measures}
            onAdd={() => setSheet('add')}
            onSwap={(key) => setSheet({ swap: key })}
            onBlend={(key) => setSheet({ blend: key })}
          />
        </div>
        {predicted ? (
          <>
            <div className="border-rule bg-sheet lg:col-start-3 lg:border-l">
              <VerdictHead
                draft={draft}
                prediction={predicted.prediction}
                doubt={doubt}
                outcome={shown}
                busy={balancing.busy}
                nameOf={nameOf}
                onBalance={balance}
                onTakeNearest={() => shown && edit({ type: 'balanced', grams: shown.answer.grams })}
                onUnlock={unlock}
                household={measures === 'cups' || measures === 'usCups' ? household : undefined}
                onHousehold={setHousehold}
              />
            </div>
            <div className="thin-scroll px-4 pt-3 pb-6 lg:col-start-2 lg:row-span-2 lg:row-start-1 lg:overflow-y-auto">
              <CurveCard predicted={predicted} doubt={doubt} rested={rested} onRested={setRested} before={before} />
              <MomentsStrip prediction={predicted.prediction} />
            </div>
            <div className="thin-scroll border-rule bg-sheet lg:col-start-3 lg:overflow-y-auto lg:border-l">
              <VerdictDetails
                draft={draft}
                prediction={predicted.prediction}
                doubt={doubt}
                cautions={cautions(predicted.prediction, inPan)}
                onTargets={() => setSheet('targets')}
              />
            </div>
          </>
        ) : (
          <div className="p-8 text-mute lg:col-span-2">
            <h2 className="mb-2 text-[1.3rem] text-ink">Nothing to judge yet</h2>
            <p>Put something in the pan: the curve, the puddles and the verdict appear with the first grams.</p>
          </div>
        )}
      </main>
      <footer className="flex min-h-9 flex-wrap items-center gap-x-7 gap-y-1 border-rule border-t bg-[#d6dee0] px-4 py-1 text-[13px]">
        <span>
          Contains <strong>{allergens(inPan).join(', ') || 'no declared allergen'}</strong>
        </span>
        {predicted && predicted.prediction.alcoholPercentVol > 0.05 && (
          <span>
            Alcohol <strong>{significant(predicted.prediction.alcoholPercentVol)} % vol</strong>: not for children
          </span>
        )}
        {predicted && (
          <span>
            <span className="read">aw {waterActivity(predicted.prediction.asKept.waterActivity).number}</span>:{' '}
            <strong>{keepingWords(predicted.prediction.asKept.waterActivity)}</strong>
          </span>
        )}
        <span className="ml-auto font-medium" role="status" data-testid="save-state">
          {saveWords(autosave.state)}
        </span>
        {predicted && (
          <button type="button" className="min-h-9 underline" onClick={() => setSheet('nutrition')}>
            Nutrition
          </button>
        )}
        <button type="button" className="min-h-9" onClick={() => setSheet('shortcuts')}>
          Keys <Key>?</Key>
        </button>
      </footer>

      <AddIngredient
        open={sheet === 'add'}
        ingredients={ingredients}
        onClose={() => setSheet(undefined)}
        onAdd={(ingredient) => {
          edit({
            type: 'add',
            line: { key: formula.newKey(), ingredient: ingredient.id, grams: firstGrams(draft), locked: false },
          });
          setSheet(undefined);
        }}
      />
      {sheet === 'targets' && (
        <TargetsSheet
          draft={draft}
          onClose={() => setSheet(undefined)}
          onTake={(targets) => {
            edit(targets);
            setSheet(undefined);
          }}
        />
      )}
      {sheet === 'nutrition' && predicted && (
        <NutritionSheet prediction={predicted.prediction} ingredients={inPan} onClose={() => setSheet(undefined)} />
      )}
      {isSwap(sheet) && predicted && (
        <SwapSheet
          draft={draft}
          predicted={predicted}
          larder={larder}
          rowKey={sheet.swap}
          balancing={balancing}
          onClose={() => setSheet(undefined)}
          onTake={(lines) => {
            edit({ type: 'lines', lines });
            setSheet(undefined);
          }}
        />
      )}
      {blended && blendedIngredient && (
        <BlendSheet
          line={blended}
          current={blendedIngredient}
          ingredients={ingredients}
          newKey={formula.newKey}
          onClose={() => setSheet(undefined)}
          onTake={(parts) => {
            edit({ type: 'lines', lines: draft.lines.flatMap((line) => (line.key === blended.key ? parts : [line])) });
            setSheet(undefined);
          }}
        />
      )}
      <Shortcuts open={sheet === 'shortcuts'} onClose={() => setSheet(undefined)} />
    </div>
  );
}
