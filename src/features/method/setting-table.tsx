import { useMemo, useState } from 'react';
import { type SettingBody, settingTimes } from '@/kitchen/method/setting-bodies';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import { Button } from '@/ui/button';
import { celsius, significant } from '@/ui/format';
import { duration } from './step-facts';

const BODY_WORDS: Readonly<Record<SettingBody, string>> = {
  tray: 'a tray, 15 mm deep',
  bowl: 'all of it in one bowl',
  jar: 'jars, 7 cm across',
  piped: 'piped, 3 cm across',
};

function about(hours: number | undefined): string {
  if (hours === undefined) return 'not in three days';
  return hours === 0 ? 'as it is poured' : duration(3600 * hours);
}

/** How long it takes to set in the fridge, edge and centre apart, by what it is put into. */
export function SettingTable({ method }: { method: WorkedMethod }) {
  const [isOpen, setOpen] = useState(false);
  const times = useMemo(() => (isOpen ? settingTimes(method) : []), [isOpen, method]);
  if (!isOpen) {
    return (
      <Button className="mt-4" onClick={() => setOpen(true)}>
        How long until it sets?
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
      <p className="mt-1 text-[13px] text-mute">
        Give or take a third. It comes to about {significant(times[0]?.endsAtPa ?? 0)} Pa in the end: 100 Pa is barely
        set, 300 to 3 000 scoops.
      </p>
    </section>
  );
}
