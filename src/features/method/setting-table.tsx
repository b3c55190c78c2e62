import { useMemo, useState } from 'react';
import { KITCHEN_PRIOR } from '@/core/learn/learnt';
import { holdWarm } from '@/core/pan/hold-warm';
import { type SettingBody, settingTimes } from '@/kitchen/method/setting-bodies';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { Button } from '@/ui/button';
import { duration } from '@/ui/duration';
import { celsius, percent, significant, weight } from '@/ui/format';
import { usePours } from '@/ui/pours/pours-provider';

const BODY_WORDS: Readonly<Record<SettingBody, string>> = {
  tray: 'a tray, 15 mm deep',
  bowl: 'all of it in one bowl',
  jar: 'jars, 7 cm across',
  piped: 'piped, 3 cm across',
};

/** How sure the book is of a time to set, ln. */
const BOOK_SD = KITCHEN_PRIOR.time.sd;

function about(hours: number | undefined): string {
  if (hours === undefined) return 'not in three days';
  return hours === 0 ? 'as it is poured' : duration(3600 * hours);
}

/** How long it takes to set in the fridge, edge and centre apart, by what it is put into. */
export function SettingTable({ method }: { method: WorkedMethod }) {
  const [isOpen, setOpen] = useState(false);
  const time = usePours().inUse?.offsets.time;
  const times = useMemo(() => (isOpen ? settingTimes(method) : []), [isOpen, method]);
  if (!isOpen) {
    return (
      <Button className="mt-4" onClick={() => setOpen(true)}>
        How long until it sets, and held warm?
      </Button>
    );
  }
  return (
    <section className="mt-5" aria-label="Setting">
      <h2 className="mb-2 text-[1.1rem]">Until it has barely set, at {celsius(4)}</h2>
      <table className="w-full rounded-xl border border-rule bg-sheet text-[14px]">
        <thead>
          <tr className="text-left text-mute">
            <th className="px-3 py-1.5 font-medium">put into</th>
            <th className="px-3 text-right font-medium">edge</th>
            <th className="px-3 text-right font-medium">centre</th>
          </tr>
        </thead>
        <tbody>
          {times.map(({ which, edgeH, centreH }) => (
            <tr key={which} className="border-rule-soft border-t">
              <th className="px-3 py-1.5 text-left font-medium">{BODY_WORDS[which]}</th>
              <td className="read px-3 text-right">{about(edgeH)}</td>
              <td className="read px-3 text-right">{about(centreH)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <HeldWarmSentence method={method} />
      <p className="mt-1 text-[13px] text-mute">
        Give or take {percent(Math.exp(time?.sd ?? BOOK_SD) - 1)}
        {time && time.tests > 0 && ', as this kitchen’s own tests have it'}. It comes to about{' '}
        {significant(times[0]?.endsAtPa ?? 0)} Pa in the end: 100 Pa is barely set, 300 to 3 000 scoops.
      </p>
    </section>
  );
}

/** What keeping it warm does: what dries off, what to give back, and how long it may stand. */
function HeldWarmSentence({ method: { followed, pourC } }: { method: WorkedMethod }) {
  const end = followed.at(-1)?.end;
  if (!end) return null;
  const { lostGPerHour, skinMinutes } = holdWarm(end, pourC);
  return (
    <p className="mt-3">
      Held at {celsius(Math.round(pourC))}, open, it loses about{' '}
      <strong>{weight(Math.round(lostGPerHour * 10) / 10)} of water an hour</strong>: cover it, or stir so much hot
      water back in.{' '}
      {skinMinutes === undefined
        ? 'It hardly skins.'
        : `Left alone a skin forms in about ${duration(60 * skinMinutes)}.`}{' '}
      {CAUTION_WORDS.holdWarm} {CAUTION_WORDS.code}
    </p>
  );
}
