import { z } from 'zod';
import { keysOf } from '@/core/keys-of';
import { HOB_EFFICIENCY } from '@/core/pan/heat-source';
import { USUAL_KITCHEN } from '@/core/pan/vessel';
import { BRIEF_REACH } from '@/formats/brief';
import type { StoveFacts } from './work-method';

const within = ([least, most]: readonly [number, number]) => z.coerce.number().min(least).max(most);

/** A tablet's stove and air as a link carries them: what the server works out is then for the same kitchen. */
const querySchema = z.object({
  panCm: within(BRIEF_REACH.panCm),
  powerW: within(BRIEF_REACH.powerW),
  hob: z.enum(keysOf(HOB_EFFICIENCY)),
  microwaveW: within([200, 3000]),
  altitudeM: within([-400, 5000]),
  dampPercent: within([5, 95]),
  kitchenC: within([0, 45]),
});

/** The stove as a query: `panCm=20&hob=gas…`. */
export function stoveQuery(stove: StoveFacts, kitchenC: number): string {
  const { panCm, powerW, hob, microwaveW, altitudeM, dampPercent } = stove;
  const facts = { panCm, powerW, hob, microwaveW, altitudeM, dampPercent, kitchenC };
  return new URLSearchParams(Object.entries(facts).map(([name, value]) => [name, String(value)])).toString();
}

/** The stove a link carries; nothing where it carries none that can be read. */
export function readStove(
  query: URLSearchParams,
): { readonly stove: StoveFacts; readonly kitchenC: number } | undefined {
  const read = querySchema.safeParse(Object.fromEntries(query));
  if (!read.success) return undefined;
  const { kitchenC, ...stove } = read.data;
  return { stove, kitchenC: kitchenC ?? USUAL_KITCHEN.kitchenC };
}
