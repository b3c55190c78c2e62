import { keysOf } from '@/core/keys-of';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { celsius } from '@/ui/format';
import { KITCHEN_RULES } from '@/ui/use-kitchen-temperature';
import { useTyped } from '@/ui/use-typed';
import { Amount, AskedAnswered, Choice } from './asked';
import { Shells } from './finish-shells';
import { Slab } from './finish-slab';
import { Swirls } from './finish-swirls';
import { Truffles } from './finish-truffles';
import { Whipped } from './finish-whipped';
import type { Serving } from './use-serving';

const WORDS = {
  truffles: 'rolled truffles',
  slab: 'slabs and layers, cut',
  swirls: 'piped swirls',
  shells: 'filled shells',
  whipped: 'whipped ganache',
} as const;
type Finish = keyof typeof WORDS;

const PARTS: Readonly<Record<Finish, (props: { serving: Serving }) => React.ReactNode>> = {
  truffles: Truffles,
  slab: Slab,
  swirls: Swirls,
  shells: Shells,
  whipped: Whipped,
};

/** What becomes of it once it has set: rolled, cut, piped, filled or whipped. */
export function FinishingView({ serving }: { serving: Serving }) {
  const [finish, setFinish] = useTyped<Finish>('finish', keysOf(WORDS)[0] ?? 'truffles', keysOf(WORDS));
  const Part = PARTS[finish];
  return (
    <AskedAnswered
      name="Finishing"
      asked={
        <>
          <Choice label="It is" value={finish} words={WORDS} onChoose={setFinish} />
          <Amount
            label="The kitchen is"
            unit="°C"
            reach={[KITCHEN_RULES.least, KITCHEN_RULES.most]}
            value={serving.kitchenC}
            onValue={serving.setKitchenC}
          />
          <p className="mt-2 text-[13.5px] text-mute">
            Times are for pieces straight from a fridge of {celsius(4)}, give or take a third.
          </p>
        </>
      }
    >
      <Part serving={serving} />
      <p className="mt-3 text-[13.5px] text-mute">
        {CAUTION_WORDS.traces} {CAUTION_WORDS.code}
      </p>
    </AskedAnswered>
  );
}
