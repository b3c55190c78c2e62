import { dayOf } from '@/formats/day';
import { type Plan, planOn, planText, readPlan } from '@/kitchen/method/plan';
import { tabletSetting } from '@/ui/tablet-setting';

const settings = new Map<string, ReturnType<typeof tabletSetting<string>>>();

/** Where this tablet keeps the plan of a formula. */
function planSetting(id: string) {
  const known = settings.get(id);
  if (known) return known;
  const made = tabletSetting<string>(`plan:${id}`, (text) => (readPlan(text) ? text : undefined), '');
  settings.set(id, made);
  return made;
}

/** When a formula is to be begun: kept on this tablet, so that it stays when another screen is opened. */
export function usePlan(id: string) {
  const useSetting = planSetting(id);
  const [text, keep] = useSetting();
  const plan = text === '' ? undefined : readPlan(text);
  const take = (next: Plan | undefined) => keep(next ? planText(next) : '');
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
