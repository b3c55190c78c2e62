import type { FollowedStep } from '@/core/method/follow-method';
import { massG, undissolvedG, unmeltedG } from '@/core/pan/pan';
import { leftAloneSeconds } from '@/kitchen/method/left-alone';
import type { Splash } from '@/kitchen/method/reheating';
import { duration } from '@/ui/duration';
import { celsius, percent, significant, weight } from '@/ui/format';

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

/** The figures the pan in time gives for a step. */
export function StepFigures({ followed, splash }: { followed: FollowedStep; splash?: Splash | undefined }) {
  const { step, start, end, seconds, together, bursts, hottestC, standing } = followed;
  const lengths = (bursts ?? []).map((burst) => burst.seconds);
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
          value={lengths.length > 4 ? `${Math.min(...lengths)}–${Math.max(...lengths)} s` : `${lengths.join(' · ')} s`}
          note={
            hottestC === undefined
              ? undefined
              : `stirred 15 s between; its hottest place ${celsius(Math.round(hottestC))}`
          }
        />
      )}
      {splash && (
        <Figure
          name="Splash to pour again"
          value={splash.water === undefined ? 'more than it takes' : weight(Math.round(splash.water * 10) / 10)}
          note={`of hot water${splash.milk === undefined ? '' : `, or ${weight(Math.round(splash.milk * 10) / 10)} of milk`}: a spoon at a time`}
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
