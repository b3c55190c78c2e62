import { dayOf } from '@/formats/day';
import { type Plan, planOn, planText, readPlan } from '@/kitchen/method/plan';
import { tabletSetting } from '@/ui/tablet-setting';

/** The time was taken away: what the brief wants is not taken for one either. */
const NO_TIME = 'none';

const settings = new Map<string, ReturnType<typeof tabletSetting<string>>>();

/** Where this tablet keeps the plan of a formula. */
function planSetting(id: string) {
  const known = settings.get(id);
  if (known) return known;
  const made = tabletSetting<string>(
    `plan:${id}`,
    (text) => (text === NO_TIME || readPlan(text) ? text : undefined),
    '',
  );
  settings.set(id, made);
  return made;
}

/**
 * When a formula is to be begun: kept on this tablet, so that it stays when another screen is opened.
 *
 * @param wanted as its brief wants it, until another time is set here
 */
export function usePlan(id: string, wanted?: Plan) {
  const useSetting = planSetting(id);
  const [text, keep] = useSetting();
  const plan = text === '' ? wanted : readPlan(text);
  const take = (next: Plan | undefined) => keep(next ? planText(next) : NO_TIME);
  return {
    plan,
    /** min of the plan's own day, today without one; may lie before or after it */
    startAt: (minutes: number) => take(planOn(plan?.day ?? dayOf(new Date()), minutes)),
    onDay: (day: string) => plan && take({ ...plan, day }),
    startNow: () => {
      const now = new Date();
      take(planOn(dayOf(now), now.getHours() * 60 + now.getMinutes()));
    },
    clear: () => take(undefined),
  };
}

export type KeptPlan = ReturnType<typeof usePlan>;
