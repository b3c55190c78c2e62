'use client';

import { useCallback, useRef } from 'react';
import type { OtherFlow } from '@/core/swap/keep-curve';
import type { Ingredient } from '@/formats/ingredient';
import type { Predicted } from '@/kitchen/known-pan';
import type { Carried } from '@/kitchen/use-whole';
import { SaveNotice, saveWords } from '@/ui/saving/save-notice';
import { useRefreshOnReturn } from '@/ui/use-refresh-on-return';
import { BenchBar } from './bench-bar';
import { BenchFoot } from './bench-foot';
import { useBenchFocus } from './keys/use-bench-focus';
import { LarderMissing } from './larder-missing';
import { LaterBriefNote, LaterSheets, LaterSideBySide } from './later-parts';
import { BenchMaterial } from './material/bench-material';
import { MovedFigures } from './moved-figures';
import { changedGrams } from './pan/changed-grams';
import { ingredientName, Pan } from './pan/pan';
import { type Bench, type Opened, useBench } from './use-bench';
import { useReadyAhead } from './use-ready-ahead';
import { VerdictDetails } from './verdict/verdict-details';
import { VerdictHead } from './verdict/verdict-head';

/** The Balance screen: the pan, the material and the verdict of one formula. */
export function BalanceScreen({ id, opened, carried }: { id: string; opened: Opened; carried: Carried<Ingredient> }) {
  useRefreshOnReturn();
  const bench = useBench(id, opened, carried);
  const { formula, autosave, shelf, sheet, setSheet, contents } = bench;
  const { draft, predicted } = formula;
  useReadyAhead(bench.view === 'map' ? undefined : predicted?.formula, bench.balancing.ready);
  const focusRow = useBenchFocus(sheet !== undefined);
  return (
    <div className="flex min-h-screen flex-col lg:h-screen">
      <BenchBar
        id={id}
        name={draft.name}
        canUndo={formula.canUndo}
        canRedo={formula.canRedo}
        edit={formula.edit}
        undo={formula.undo}
        redo={formula.redo}
        pause={formula.pause}
        isVariant={opened.baseId !== null}
        onSheet={setSheet}
      />
      <SaveNotice
        autosave={autosave}
        beside={({ file }, at) => (
          <LaterSideBySide id={id} name={`saved there at ${at}`} file={file} draft={draft} larder={shelf.larder} />
        )}
        onOpen={formula.open}
      />
      {shelf.fault && <LarderMissing fault={shelf.fault} onAgain={shelf.again} />}
      {opened.figuresMoved && <MovedFigures id={id} />}
      <main className="grid flex-1 grid-cols-1 md:grid-cols-[372px_minmax(0,1fr)] md:grid-rows-[auto_auto_1fr] lg:min-h-0 lg:grid-cols-[396px_minmax(0,1fr)_292px] lg:grid-rows-[auto_minmax(0,1fr)]">
        <div className="thin-scroll border-rule border-r bg-sheet md:row-span-3 lg:row-span-2 lg:overflow-y-auto">
          <BenchPan bench={bench} />
        </div>
        {predicted ? <Judged bench={bench} predicted={predicted} /> : <NothingYet />}
      </main>
      <BenchFoot
        contents={contents}
        prediction={predicted?.prediction}
        saving={saveWords(autosave.state)}
        onSheet={setSheet}
      />
      {sheet !== undefined && <LaterSheets bench={bench} sheet={sheet} onAdded={focusRow} />}
    </div>
  );
}

/** The rows. */
function BenchPan({ bench }: { bench: Bench }) {
  const { formula, shelf, openers } = bench;
  return (
    <Pan
      formula={formula}
      larder={shelf.larder}
      from={changedGrams(formula)}
      measures={bench.measures}
      cups={bench.cups}
      current={bench.current}
      openKey={bench.openKey}
      onOpenKey={bench.setOpenKey}
      more={bench.more}
      onAdd={openers.add}
      onSwap={openers.swap}
      onBlend={openers.blend}
    />
  );
}

/** What is said of the pan: the verdict, the material, the measures. */
function Judged({ bench, predicted }: { bench: Bench; predicted: Predicted }) {
  const { formula, shelf, balancing, later, laterDraft, contents, openers } = bench;
  const { draft, edit } = formula;
  // One function for all of the bench's life: the measures are drawn anew only when they change.
  const latest = useRef(balancing.flowOtherwise);
  latest.current = balancing.flowOtherwise;
  const onFlow = useCallback((other: OtherFlow) => void latest.current(other), []);
  return (
    <>
      <div className="thin-scroll border-rule bg-sheet lg:col-start-3 lg:max-h-[74vh] lg:overflow-y-auto lg:border-l">
        {laterDraft.brief && <LaterBriefNote id={bench.id} draft={laterDraft} contents={contents} edit={edit} />}
        <VerdictHead
          draft={draft}
          prediction={predicted.prediction}
          proposed={bench.proposed}
          doubt={bench.doubt}
          balancing={balancing}
          justBalanced={formula.lastStep === 'balanced'}
          nameOf={(ingredient) => ingredientName(draft, shelf.larder, ingredient)}
          household={bench.measures === 'cups' ? bench.household : undefined}
          onHousehold={bench.setHousehold}
          canKeepFlow={bench.otherwise}
        />
      </div>
      <div className="thin-scroll px-4 pt-3 pb-6 lg:col-start-2 lg:row-span-2 lg:row-start-1 lg:overflow-y-auto">
        <BenchMaterial bench={bench} predicted={predicted} />
      </div>
      <div className="thin-scroll border-rule bg-sheet lg:col-start-3 lg:overflow-y-auto lg:border-l">
        <VerdictDetails
          draft={later ? laterDraft : draft}
          prediction={later?.prediction ?? predicted.prediction}
          doubt={bench.laterDoubt}
          contents={contents}
          onTargets={openers.targets}
          onFlow={onFlow}
        />
      </div>
    </>
  );
}

function NothingYet() {
  return (
    <div className="p-8 text-mute lg:col-span-2">
      <h2 className="mb-2 text-[1.3rem] text-ink">Nothing to judge yet</h2>
      <p>Put something in the pan: the curve, the puddles and the verdict appear with the first grams.</p>
    </div>
  );
}
