import type { FollowedStep } from '@/core/method/follow-method';
import { massG, undissolvedG, unmeltedG } from '@/core/pan/pan';
import { leftAloneSeconds } from '@/kitchen/method/left-alone';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { faultSentence } from '@/kitchen/words/method-fault-words';
import { REASON_WORDS, STEP_WORDS, TOOL_WORDS, WAY_WORDS } from '@/kitchen/words/method-words';
import { Button } from '@/ui/button';
import { celsius, percent, significant, weight } from '@/ui/format';
import { cautionOf } from './step-caution';
import { duration } from './step-facts';

/** One figure of a step. */
function Figure({ name, value, note }: { name: string; value: string; note?: string | undefined }) {
  return (
    <div className="grid grid-cols-[1fr_auto] border-rule border-t py-2">
      <dt className="font-semibold">{name}</dt>
      <dd className="read text-right text-[1.1rem]">{value}</dd>
      {note && <dd className="col-span-2 text-[13px] text-mute">{note}</dd>}
    </div>
  );
}

/** On what heat, with what in the hand. */
function handsWords({ step }: FollowedStep): string {
  const heat = step.heat ? `On ${step.heat} heat` : step.where === 'aside' ? 'Beside the pan' : 'Off the heat';
  return step.tool ? `${heat}, ${TOOL_WORDS[step.tool]}` : heat;
}

/** The figures the pan in time gives for a step. */
function Figures({ followed }: { followed: FollowedStep }) {
  const { step, start, end, seconds, together, bursts, hottestC, standing } = followed;
  const lost = end.lostWaterG - start.lostWaterG;
  const leftAlone = leftAloneSeconds(followed);
  return (
    <dl className="mt-2">
      {together && (
        <Figure
          name="Together they stand at"
          value={celsius(Math.round(together.temperatureC))}
          note={
            together.unmelted > 0
              ? `${percent(together.unmelted)} of it cannot melt by that alone`
              : 'at best, and melts all of it'
          }
        />
      )}
      {bursts && bursts.length > 0 && (
        <Figure
          name={`${bursts.length} bursts`}
          value={bursts.length > 4 ? `${Math.min(...bursts)}–${Math.max(...bursts)} s` : `${bursts.join(' · ')} s`}
          note={
            hottestC === undefined
              ? undefined
              : `stirred 15 s between; its hottest place ${celsius(Math.round(hottestC))}`
          }
        />
      )}
      <Figure
        name="At its end"
        value={celsius(Math.round(end.temperatureC))}
        note={seconds < 3 ? 'it is there already' : `after about ${duration(seconds)}, give or take a third`}
      />
      {leftAlone !== undefined && (
        <Figure name="Left alone" value={duration(leftAlone)} note="until its middle is there" />
      )}
      {unmeltedG(end) > 0.5 && <Figure name="Still to melt" value={weight(Math.round(unmeltedG(end)))} />}
      {undissolvedG(end) > 0.5 && <Figure name="Still to dissolve" value={weight(Math.round(undissolvedG(end)))} />}
      {end.cook > 0.01 && <Figure name="Starch cooked" value={percent(end.cook)} />}
      {lost >= 0.5 && (
        <Figure
          name="Boils off here"
          value={weight(Math.round(lost))}
          note={`${weight(Math.round(end.lostWaterG))} so far`}
        />
      )}
      {standing && (
        <Figure
          name="Edge and centre"
          value={`${celsius(Math.round(standing.edge.temperatureC))} · ${celsius(Math.round(standing.centre.temperatureC))}`}
          note={`the edge holds ${significant(standing.edge.yieldStressPa)} Pa, the centre ${significant(standing.centre.yieldStressPa)} Pa`}
        />
      )}
      {step.where !== 'aside' && <Figure name="In it now" value={weight(Math.round(massG(end)))} />}
    </dl>
  );
}

/** The step that is looked at: its figures, why it is done so, what can go wrong, and what is wrong with it here. */
export function StepDetail({
  method,
  place,
  names,
  onChoose,
}: {
  method: WorkedMethod;
  place: number;
  names: readonly string[];
  /** looks at another step */
  onChoose: (step: number) => void;
}) {
  const followed = method.followed[place];
  if (!followed) return null;
  const words = STEP_WORDS[followed.step.kind];
  const faults = method.faults.filter((fault) => !('step' in fault) || fault.step === place);
  const caution = cautionOf(followed);
  const numbers = {
    celsius: (c: number) => celsius(Math.round(c)),
    weight: (g: number) => weight(Math.round(g * 10) / 10),
    percent,
    ratio: (value: number) => significant(value),
    row: (row: number) => names[row] ?? '',
  };
  return (
    <section aria-label="This step" className="px-4 pt-3 pb-6">
      <h2 className="text-[1.2rem]">
        {place + 1} · {words.name}
      </h2>
      <p className="text-mute">{handsWords(followed)}</p>
      {faults.map((fault) => (
        <p key={JSON.stringify(fault)} role="alert" className="mt-2 rounded-lg bg-off-wash px-3 py-2 text-off">
          {faultSentence(fault, numbers)}
        </p>
      ))}
      {followed.step.where === 'aside' ? (
        <p className="mt-2 text-mute">Beside the pan, about {duration(followed.seconds)}; it goes in later.</p>
      ) : (
        <Figures followed={followed} />
      )}
      <h3 className="mt-3 font-sans font-semibold">Why</h3>
      <p>{words.why}</p>
      <h3 className="mt-3 font-sans font-semibold">If it goes wrong</h3>
      <p>{words.wrong}</p>
      {caution && (
        <p className="mt-3 rounded-lg border border-near/40 bg-near-wash px-3 py-2">
          {caution} <span className="text-mute">{CAUTION_WORDS.code}</span>
        </p>
      )}
      <div className="mt-4 flex gap-2">
        <Button className="flex-1" disabled={place === 0} onClick={() => onChoose(place - 1)}>
          Step before
        </Button>
        <Button className="flex-1" disabled={place >= method.followed.length - 1} onClick={() => onChoose(place + 1)}>
          Next step
        </Button>
      </div>
      <h3 className="mt-4 font-sans font-semibold">This way</h3>
      <p>
        {method.why ? `Proposed, since ${REASON_WORDS[method.why]}. ` : 'Chosen here. '}
        {WAY_WORDS[method.way].for}
      </p>
      <p className="mt-1 text-mute">
        In all {weight(Math.round(method.followed.at(-1)?.end.lostWaterG ?? 0))} of water boil off; once you choose a
        way, the bench reckons with that, with its emulsion and its cooked starch.
      </p>
    </section>
  );
}
