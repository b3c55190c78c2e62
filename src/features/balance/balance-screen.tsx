'use client';

import { useDeferredValue, useMemo, useState } from 'react';
import { type CupSystem, formIn } from '@/core/matter/measures';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { fetchLarder } from '@/kitchen/client/shelf';
import { itemOf, type Larder } from '@/kitchen/known-item';
import { byKey, type KnownPan, keyed, predictPan } from '@/kitchen/known-pan';
import { panContents } from '@/kitchen/pan-contents';
import { useAutosave } from '@/kitchen/saving/use-autosave';
import { type Carried, useWhole } from '@/kitchen/use-whole';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { useMeasures } from '@/ui/use-measure-system';
import { useRefreshOnReturn } from '@/ui/use-refresh-on-return';
import type { Household } from '@/workers/balance.worker';
import { BenchBar } from './bench-bar';
import { BenchFoot } from './bench-foot';
import type { FormulaDraft } from './draft/edit';
import { fileOf, withGrams } from './draft/formula-draft';
import { flowsOtherwise } from './draft/keep-flow';
import { useFormula } from './draft/use-formula';
import { useBenchFocus } from './keys/use-bench-focus';
import { useBenchKeys } from './keys/use-bench-keys';
import { LaterBriefNote, LaterDayChart, LaterMapView, LaterSheets } from './later-parts';
import { type Compared, CurveView } from './material/curve-view';
import { MaterialCard, type MaterialView } from './material/material-card';
import { MomentsStrip } from './material/moments-strip';
import { useDoubt } from './material/use-doubt';
import { MovedFigures } from './moved-figures';
import { triedMore } from './pan/more-of-row';
import { ingredientName, Pan } from './pan/pan';
import { SaveNotice, saveWords } from './save-notice';
import type { OpenSheet } from './sheets/bench-sheets';
import { useReadyAhead } from './use-ready-ahead';
import { useBalancing } from './verdict/use-balancing';
import { VerdictDetails } from './verdict/verdict-details';
import { VerdictHead } from './verdict/verdict-head';

/** The cups and spoons a balance rounds to, for each line of the known pan. */
function cupsOf(draft: FormulaDraft, { keys }: KnownPan, larder: Larder, cups: CupSystem): Household {
  const lines = new Map(draft.lines.map((line) => [line.key, line]));
  return {
    system: 'cups',
    cups,
    lines: keys.map((key) => {
      const line = lines.get(key);
      const known = line && itemOf(draft, larder, line.ingredient)?.stocked;
      if (!known) return undefined;
      const { measures, pieces, densityGPerMl } = known;
      const measurable = { measures, pieces, densityGPerMl };
      return { measurable, form: formIn(measurable, line.form) };
    }),
  };
}

/** Grams each row had before the last step, where a proposal or a swap changed them. */
function changedFrom(draft: FormulaDraft, previous: FormulaDraft | undefined): ReadonlyMap<string, number> {
  const before = new Map(previous?.lines.map((line) => [line.key, line.grams]));
  return new Map(
    draft.lines.flatMap(({ key, grams }) => {
      const was = before.get(key);
      return was === undefined || was === grams ? [] : [[key, was] as const];
    }),
  );
}

const NO_CHANGES: ReadonlyMap<string, number> = new Map();

/** Of a big larder only what is in the pan came with the page. */
function LarderMissing({ fault, onAgain }: { fault: string; onAgain: () => void }) {
  return (
    <p role="alert" className="bg-near-wash px-4 py-1 text-[14px]">
      The rest of the larder is not here yet. {fault}{' '}
      <button type="button" className="min-h-11 font-semibold text-enamel underline" onClick={onAgain}>
        Try again
      </button>
    </p>
  );
}

/** The Balance screen: the pan, the material and the verdict of one formula. */
export function BalanceScreen({
  id,
  opened,
  carried,
}: {
  id: string;
  opened: {
    revision: number;
    baseId: string | null;
    file: FormulaFile;
    figuresMoved: boolean;
    base: FormulaFile | undefined;
  };
  carried: Carried<Ingredient>;
}) {
  useRefreshOnReturn();
  const { rows: ingredients, fault: larderFault, again: fetchAgain } = useWhole(carried, fetchLarder);
  const [added, setAdded] = useState<readonly Ingredient[]>([]);
  const all = useMemo(() => {
    const known = new Set(ingredients.map(({ id: each }) => each));
    return [...ingredients, ...added.filter(({ id: each }) => !known.has(each))];
  }, [ingredients, added]);
  const larder = useMemo(() => new Map(all.map((ingredient) => [ingredient.id, ingredient])), [all]);
  const formula = useFormula(opened.file, larder, opened.base);
  const { draft, predicted, previous, edit } = formula;
  const file = useMemo(() => fileOf(draft), [draft]);
  const autosave = useAutosave(id, opened, file, formula.open);
  const [sheet, setSheet] = useState<OpenSheet | undefined>();
  const [rested, setRested] = useState(24);
  const [view, setView] = useState<MaterialView>('curve');
  const [household, setHousehold] = useState(false);
  const [openKey, setOpenKey] = useState<string | undefined>();
  const focusRow = useBenchFocus(sheet !== undefined);
  const [compared, setCompared] = useState<readonly Compared[]>([]);
  const { system: measures, cups } = useMeasures();
  const [kitchenC] = useKitchenTemperature();
  const doubt = useDoubt(predicted?.formula, rested);
  const balancing = useBalancing(formula, larder, (asked, pan) =>
    household && measures === 'cups' ? cupsOf(asked, pan, larder, cups) : undefined,
  );
  const { proposal } = balancing;
  useReadyAhead(view === 'map' ? undefined : predicted?.formula, balancing.ready);
  const current = useBenchKeys(formula, balancing, {
    free: sheet === undefined,
    save: () => void autosave.saveNow(),
    add: () => setSheet('add'),
    shortcuts: () => setSheet('shortcuts'),
    view,
    onView: setView,
  });

  const openers = useMemo(
    () => ({
      add: () => setSheet('add'),
      targets: () => setSheet('targets'),
      swap: (key: string | undefined) => setSheet({ swap: key }),
      blend: (key: string) => setSheet({ blend: key }),
    }),
    [],
  );
  const nameOf = (ingredient: string) => ingredientName(draft, larder, ingredient);
  const proposedGrams = proposal && proposal.change > 0 ? proposal.grams : undefined;
  const proposed = useMemo(
    () => proposedGrams && predictPan({ ...draft, lines: withGrams(draft.lines, proposedGrams) }, larder)?.prediction,
    [proposedGrams, draft, larder],
  );
  const shownBeside = useMemo(
    () => (proposed ? [{ name: 'proposed', prediction: proposed }] : compared),
    [proposed, compared],
  );
  const more = useMemo(
    () => predicted && triedMore(predicted.formula, predicted.keys.indexOf(openKey ?? '')),
    [openKey, predicted],
  );
  const compare = (name: string, other: FormulaFile) => {
    const prediction = predictPan(keyed(other), larder)?.prediction;
    if (prediction) setCompared([...compared.slice(-1), { name, prediction }]);
    setView('curve');
  };
  const isStep = formula.lastStep === 'balanced' || formula.lastStep === 'lines';
  // The measures may come a frame after the curve, the puddles and the verdict.
  const later = useDeferredValue(predicted);
  const laterDraft = useDeferredValue(draft);
  const laterDoubt = useDeferredValue(doubt);
  const contents = useMemo(() => panContents(laterDraft, larder), [laterDraft, larder]);
  const prediction = predicted?.prediction;
  const otherwise = useMemo(
    () => later !== undefined && flowsOtherwise(later, formula.reference, larder),
    [later, formula.reference, larder],
  );

  return (
    <div className="flex min-h-screen flex-col lg:h-screen">
      <BenchBar
        id={id}
        name={draft.name}
        canUndo={formula.canUndo}
        canRedo={formula.canRedo}
        edit={edit}
        undo={formula.undo}
        redo={formula.redo}
        pause={formula.pause}
        isVariant={opened.baseId !== null}
        onSheet={setSheet}
      />
      <SaveNotice autosave={autosave} draft={draft} larder={larder} onOpen={formula.open} />
      {larderFault && <LarderMissing fault={larderFault} onAgain={fetchAgain} />}
      {opened.figuresMoved && <MovedFigures id={id} />}
      <main className="grid flex-1 grid-cols-1 md:grid-cols-[372px_minmax(0,1fr)] md:grid-rows-[auto_auto_1fr] lg:min-h-0 lg:grid-cols-[396px_minmax(0,1fr)_292px] lg:grid-rows-[auto_minmax(0,1fr)]">
        <div className="thin-scroll border-rule border-r bg-sheet md:row-span-3 lg:row-span-2 lg:overflow-y-auto">
          <Pan
            formula={formula}
            larder={larder}
            from={isStep ? changedFrom(draft, formula.previousDraft) : NO_CHANGES}
            measures={measures}
            cups={cups}
            current={current}
            openKey={openKey}
            onOpenKey={setOpenKey}
            more={more}
            onAdd={openers.add}
            onSwap={openers.swap}
            onBlend={openers.blend}
          />
        </div>
        {predicted && prediction ? (
          <>
            <div className="thin-scroll border-rule bg-sheet lg:col-start-3 lg:max-h-[74vh] lg:overflow-y-auto lg:border-l">
              {laterDraft.brief && <LaterBriefNote id={id} draft={laterDraft} contents={contents} edit={edit} />}
              <VerdictHead
                draft={draft}
                prediction={prediction}
                proposed={proposed}
                doubt={doubt}
                balancing={balancing}
                justBalanced={formula.lastStep === 'balanced'}
                nameOf={nameOf}
                household={measures === 'cups' ? household : undefined}
                onHousehold={setHousehold}
                canKeepFlow={otherwise}
              />
            </div>
            <div className="thin-scroll px-4 pt-3 pb-6 lg:col-start-2 lg:row-span-2 lg:row-start-1 lg:overflow-y-auto">
              <MaterialCard
                view={view}
                onView={setView}
                rested={rested}
                onRested={setRested}
                compared={compared}
                onCompare={() => setSheet('compare')}
                onStopComparing={() => setCompared([])}
              >
                {view === 'curve' && (
                  <CurveView
                    predicted={predicted}
                    doubt={doubt}
                    rested={rested}
                    previous={previous?.prediction}
                    more={more}
                    compared={shownBeside}
                    kitchenC={kitchenC}
                    edit={edit}
                  />
                )}
                {view === 'day' && <LaterDayChart prediction={prediction} />}
                {view === 'map' && (
                  <LaterMapView
                    formula={predicted.formula}
                    use={draft.use}
                    proposedGrams={proposedGrams && predicted.keys.map((key) => proposedGrams.get(key) ?? 0)}
                    nameOf={nameOf}
                    onGrams={(grams) => edit({ type: 'mapped', grams: byKey(predicted, grams) })}
                  />
                )}
              </MaterialCard>
              <MomentsStrip prediction={prediction} onMoments={openers.targets} />
            </div>
            <div className="thin-scroll border-rule bg-sheet lg:col-start-3 lg:overflow-y-auto lg:border-l">
              <VerdictDetails
                draft={later ? laterDraft : draft}
                prediction={later?.prediction ?? prediction}
                doubt={laterDoubt}
                contents={contents}
                onTargets={openers.targets}
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
      <BenchFoot contents={contents} prediction={prediction} saving={saveWords(autosave.state)} onSheet={setSheet} />
      {sheet !== undefined && (
        <LaterSheets
          id={id}
          baseId={opened.baseId}
          sheet={sheet}
          onSheet={setSheet}
          formula={formula}
          larder={larder}
          ingredients={all}
          contents={contents}
          balancing={balancing}
          compared={compared}
          onCompare={compare}
          onNewIngredient={(ingredient) => setAdded([...added, ingredient])}
          onAdded={focusRow}
        />
      )}
    </div>
  );
}
