'use client';

import { useEffect, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { withBenchChanges } from '@/core/brief/bench-changes';
import type { Brief } from '@/core/brief/brief';
import { type BriefPlan, briefSize, planBrief } from '@/core/brief/plan';
import type { Ingredient } from '@/formats/ingredient';
import type { OwnFormula, Start } from '@/kitchen/brief/brief-answers';
import { fetchFormulas, fetchLarder } from '@/kitchen/client/shelf';
import { larderOf } from '@/kitchen/known-item';
import { type Carried, useWhole } from '@/kitchen/use-whole';
import { Button, Key } from '@/ui/button';
import { weight } from '@/ui/format';
import { useCalibration, usePours } from '@/ui/pours/pours-provider';
import { PoursSwitch } from '@/ui/pours/pours-switch';
import { Steps } from '@/ui/steps';
import { TopBar } from '@/ui/top-bar';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { useRefreshOnReturn } from '@/ui/use-refresh-on-return';
import { AmountPanel } from './amount-panel';
import { AsItIs } from './as-it-is';
import { BriefCurve } from './brief-curve';
import { usualBrief, whatFor } from './brief-file';
import { BriefSays } from './brief-says';
import { OpenOnBench } from './open-on-bench';
import { panAsItIs } from './pan-as-it-is';
import { PasteStart } from './paste-start';
import { holdsAlcohol, ScalingNotes, StartList } from './start-list';
import { useBrief } from './use-brief';
import { replacesWhatStands, type StoredOf, useOpenBench } from './use-open-bench';
import { useProposals } from './use-proposals';

/** Keeps the grams of the formula the brief belongs to. */
const AS_IT_IS = 'as-it-is';

/**
 * What opening on the bench will do.
 *
 * @param of the formula the brief belongs to
 */
function openingWords(start: Start | 'asItIs' | undefined, of: StoredOf | undefined): string {
  if (!start) return 'Choose where to start.';
  const scaled = start === 'asItIs' ? undefined : start;
  const isOver = of && (!scaled || scaled.id === of.id) && replacesWhatStands(of.file, scaled);
  const kept = isOver ? ' What stands there now is kept as a version.' : '';
  if (!scaled) return `The gates and the amount follow the brief; the grams stay as they are.${kept}`;
  const total = scaled.lines.reduce((sum, line) => sum + line.grams, 0);
  return `Opens ${scaled.name} at ${weight(Math.round(total))}.${kept}`;
}

const NO_STARTS: readonly Start[] = [];

/** The start that is taken unless another is picked: the first without alcohol. */
const proposedOf = (starts: readonly Start[]) =>
  starts.find((start) => start.lands && !holdsAlcohol(start)) ??
  starts.find((start) => !holdsAlcohol(start)) ??
  starts[0];

/**
 * What the bench is opened with: the formula as it is, or one of the starts; the first one until another is picked.
 *
 * @param of the formula the brief belongs to
 */
function useChosenStart({
  of,
  starts,
  formulas,
  general,
  larder,
}: {
  of: StoredOf | undefined;
  starts: readonly Start[];
  formulas: readonly OwnFormula[];
  general: BriefPlan;
  larder: ReadonlyMap<string, Ingredient>;
}) {
  const [picked, setPicked] = useState<string | undefined>(of ? AS_IT_IS : undefined);
  const chosen = starts.find(({ id }) => id === picked) ?? (picked === AS_IT_IS ? undefined : proposedOf(starts));
  const calibration = useCalibration(of?.id);
  const pan = useMemo(
    () => (of ? panAsItIs(of.file, general, larder, calibration) : undefined),
    [of, general, larder, calibration],
  );
  return {
    ...{ picked, setPicked, starts, chosen, pan },
    chosenFile: formulas.find(({ id }) => id === chosen?.id)?.file,
    /** what the curve and the amount are those of */
    drawn: picked === AS_IT_IS ? pan : chosen,
  };
}

/** All formulas and the larder, from which a brief may start. */
function useShelf(carriedShelf: Carried<OwnFormula>, carriedLarder: Carried<Ingredient>) {
  const { rows: formulas, ...shelfRest } = useWhole(carriedShelf, fetchFormulas);
  const { rows: ingredients, ...larderRest } = useWhole(carriedLarder, fetchLarder);
  const isWhole = shelfRest.isWhole && larderRest.isWhole;
  const { inUse } = usePours();
  const shelf = useMemo(
    () => (isWhole ? { formulas, ingredients, knowledge: inUse } : undefined),
    [isWhole, formulas, ingredients, inUse],
  );
  const larder = useMemo(() => larderOf(ingredients), [ingredients]);
  return {
    formulas,
    larder,
    /** nothing until both are here whole */
    shelf,
    fault: shelfRest.fault ?? larderRest.fault,
    again: () => {
      for (const rest of [shelfRest, larderRest]) if (rest.fault) rest.again();
    },
  };
}

interface BriefProps {
  readonly of: StoredOf | undefined;
  /** the brief is for another occasion of that formula, which itself stays as it is */
  readonly isFor: boolean;
  readonly shelf: Carried<OwnFormula>;
  readonly larder: Carried<Ingredient>;
}

/** The brief of a formula as the bench left it; a usual one without. */
const briefToBegin = (of: StoredOf | undefined, kitchenC: number) =>
  of?.file.brief ? withBenchChanges(of.file.brief, of.file) : usualBrief(kitchenC, of?.file.use);

/** A brief while it is written: what it comes to, where to start, and opening it on the bench. */
function useWrittenBrief({ of, isFor, shelf: carriedShelf, larder: carriedLarder }: BriefProps) {
  const [kitchenC] = useKitchenTemperature();
  const belongs = of !== undefined && !isFor;
  const start = useMemo(() => briefToBegin(of, kitchenC), [of, kitchenC]);
  const open = useBrief(start, `dark-pour:brief:${of ? `${of.id}${isFor ? ':for' : ''}` : 'new'}`, of === undefined);
  const { brief } = open;
  const general = useMemo(() => planBrief(brief), [brief]);
  const { formulas, larder, shelf, fault: shelfFault, again: fetchAgain } = useShelf(carriedShelf, carriedLarder);
  const [pasted, setPasted] = useState<string | undefined>();
  const proposals = useProposals(brief, pasted ?? of?.id, shelf);
  const { picked, setPicked, starts, chosen, chosenFile, pan, drawn } = useChosenStart({
    of: belongs ? of : undefined,
    starts: proposals.answer?.starts ?? NO_STARTS,
    formulas,
    general,
    larder,
  });
  // Jars and coats are filled by volume: the amount is that of what is chosen, by its own density.
  const plan = useMemo(
    () => ({ ...general, size: drawn && 'size' in drawn ? drawn.size : briefSize(brief, drawn?.densityKgM3) }),
    [general, drawn, brief],
  );
  const { busy, fault, open: openBench } = useOpenBench({ of: belongs ? of : undefined, open, plan });
  const openChosen = () => void openBench(picked === AS_IT_IS ? 'asItIs' : chosen, chosenFile);
  useHotkeys('mod+enter', openChosen, { enableOnFormTags: true, preventDefault: true });

  // Tells when the page listens.
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);
  return {
    ...{
      own: belongs ? of : undefined,
      open,
      brief,
      plan,
      pan,
      chosen,
      chosenFile,
      starts,
      proposals,
      larder,
      busy,
      ready,
    },
    isAsItIs: picked === AS_IT_IS,
    choose: setPicked,
    /** a recipe that was pasted is judged beside the others, at the head of the list */
    takePasted: (id: string) => {
      setPasted(id);
      setPicked(id);
    },
    chooseAsItIs: () => setPicked(AS_IT_IS),
    drawn,
    /** why the shelf or the starts are not here */
    startsFault: shelfFault ?? proposals.fault,
    askAgain: () => {
      fetchAgain();
      proposals.again();
    },
    /** why it was not opened */
    fault,
    openChosen,
    openEmpty: () => void openBench(undefined, undefined),
    /** what opening will do */
    does: openingWords(picked === AS_IT_IS ? 'asItIs' : chosen, belongs ? of : undefined),
  };
}

/** The Brief: what it must do and for how many, said as a sentence; the gates, the amount and where to start follow at once. */
export function BriefScreen(props: BriefProps) {
  useRefreshOnReturn();
  const { of, isFor } = props;
  const written = useWrittenBrief(props);
  const { own, open, brief, plan, chosen, chosenFile, proposals, drawn, busy } = written;

  return (
    <div className="flex min-h-screen flex-col" data-ready={written.ready}>
      <TopBar
        title={
          <span className="min-w-0 truncate px-2 text-[1.05rem]">
            {of ? (isFor ? `${of.file.name}, for another occasion` : of.file.name) : 'New brief'}
          </span>
        }
        steps={<Steps at="brief" id={own?.id} />}
      />
      <main className="grid flex-1 grid-cols-1 md:grid-cols-[minmax(0,1fr)_292px] lg:grid-cols-[minmax(0,1fr)_372px]">
        <BriefSays open={open} plan={plan} landsSomewhere={written.starts.some(({ lands }) => lands)} />

        <aside className="border-rule bg-sheet md:border-l">
          <div className="thin-scroll px-5 pt-4 pb-6 md:sticky md:top-0 md:max-h-screen md:overflow-y-auto">
            <AmountPanel brief={brief} size={plan.size} densityKgM3={drawn?.densityKgM3} onCounts={open.counts} />
            <div className="mt-2">
              <BriefCurve
                targets={plan.targets}
                curve={drawn?.curve}
                colour={drawn?.colour}
                kitchenC={brief.kitchenC}
              />
            </div>
            <OpenOnBench
              busy={busy}
              isPossible={chosen !== undefined || own !== undefined}
              fault={written.fault}
              does={written.does}
              onOpen={written.openChosen}
            />
            {chosen && chosenFile && (
              <ScalingNotes
                start={chosen}
                fromG={chosenFile.lines.reduce((sum, line) => sum + line.grams, 0)}
                kitchenC={brief.kitchenC}
              />
            )}
            {own && (
              <AsItIs
                massG={own.file.lines.reduce((sum, line) => sum + line.grams, 0)}
                pan={written.pan}
                brief={brief}
                isChosen={written.isAsItIs}
                onChoose={written.chooseAsItIs}
              />
            )}
            <StartList
              answer={proposals.answer}
              share={proposals.share}
              stopped={proposals.stopped}
              fault={written.startsFault}
              larder={written.larder}
              chosen={chosen?.id}
              onChoose={written.choose}
              onStop={proposals.stop}
              onAgain={written.askAgain}
            />
            <PasteStart onMade={written.takePasted} />
            {!own && (
              <Button look="bare" className="mt-2 w-full" disabled={busy} onClick={written.openEmpty}>
                Start with an empty pan
              </Button>
            )}
          </div>
        </aside>
      </main>
      <BriefFoot brief={brief} />
    </div>
  );
}

function BriefFoot({ brief }: { brief: Brief }) {
  return (
    <footer className="flex min-h-9 flex-wrap items-center gap-x-7 gap-y-1 border-rule border-t bg-foot px-4 py-1 text-[13px]">
      <span>
        For <strong>{whatFor(brief)}</strong>
      </span>
      <span>Kept on this tablet until it is opened</span>
      <PoursSwitch />
      <span className="ml-auto">
        Open on the bench <Key>Ctrl ↵</Key>
      </span>
    </footer>
  );
}
