import { isFaultSign } from '@/core/rescue/diagnosis';
import { PLANS, type Sign } from '@/core/rescue/signs';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { SIGN_NOTES } from '@/kitchen/words/rescue-words';
import { Fault } from './fault';
import { Portions } from './portions';
import { Taste } from './taste';
import type { RescuedPan } from './use-rescued-pan';

/** What is done about a sign: in portions, by taste, or a few things one after the other; and what it can still become. */
export function RescueAnswer({ pan, sign }: { pan: RescuedPan; sign: Sign }) {
  const plan = PLANS[sign];
  if (!(pan.massG > 0)) {
    return (
      <p role="alert" className="mt-4 text-[18px]">
        Nothing is entered as in the pan yet. Correct it above: how much of what went in.
      </p>
    );
  }
  return (
    <>
      {SIGN_NOTES[sign] && <p className="mt-3 max-w-prose text-[18px]">{SIGN_NOTES[sign]}</p>}
      {plan.kind === 'portions' && <Portions pan={pan} sign={sign} when={plan.when} isForGood={plan.isForGood} />}
      {plan.kind === 'taste' && <Taste pan={pan} sign={sign} wants={plan.wants} />}
      {isFaultSign(sign) && <Fault pan={pan} sign={sign} />}
      <p className="mt-5 text-[14px] text-mute">
        {CAUTION_WORDS.hot} {CAUTION_WORDS.code}
      </p>
    </>
  );
}
