import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Happening } from '@/formats/batch';
import { dayOf } from '@/formats/day';
import { messageOf } from '@/formats/message-of';
import { writePast } from '@/kitchen/client/book';
import { byWhom } from '@/kitchen/cook/by-whom';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { useStove } from '@/ui/use-stove';
import { useTyped } from '@/ui/use-typed';

/** Noon: a batch whose hour nobody remembers stands in the middle of its day. */
const NOON_H = 12;

/** Noon of a day, or now where the day is today and noon is still to come. */
function momentOf(day: string, nowMs: number): number {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const noon = new Date(year, month - 1, date, NOON_H).getTime();
  return day === dayOf(nowMs) ? Math.min(noon, nowMs) : noon;
}

/** What is remembered of a batch. */
export type PastDraft = {
  readonly formulaId: string;
  readonly day: string;
  readonly times: number;
  readonly inBowl?: number | undefined;
  readonly pouredC?: number | undefined;
  readonly ringMm?: number | undefined;
  readonly use: string;
  readonly went: '' | 'yes' | 'no';
  readonly note: string;
};

/** What happened, as far as it is remembered. */
function happened({ inBowl, pouredC, ringMm, use, went, note }: PastDraft): Happening[] {
  return [
    ...(pouredC === undefined ? [] : [{ kind: 'temperature', temperatureC: pouredC, by: 'hand' } as const]),
    ...(ringMm === undefined || pouredC === undefined
      ? []
      : [{ kind: 'ring', diameterMm: ringMm, temperatureC: pouredC } as const]),
    ...(inBowl === undefined ? [] : [{ kind: 'poured', grams: inBowl } as const]),
    // How much of it went there nobody weighed: 0 g is not known.
    ...(use.trim() === '' ? [] : [{ kind: 'used', what: use.trim(), grams: 0 } as const]),
    ...(went === '' ? [] : [{ kind: 'verdict', hasLanded: went === 'yes' } as const]),
    ...(note.trim() === '' ? [] : [{ kind: 'note', text: note.trim() } as const]),
  ];
}

/** A batch that is being written down, and how it goes into the book. */
export function usePastBatch(formulaId: string, nowMs: number) {
  const router = useRouter();
  const [kitchenC] = useKitchenTemperature();
  const { panCm, powerW, hob, microwaveW, altitudeM, dampPercent } = useStove();
  const usual: PastDraft = { formulaId, day: dayOf(nowMs), times: 1, use: '', went: '', note: '' };
  const [draft, setDraft] = useTyped<PastDraft>('past batch', usual);
  const [isBusy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | undefined>();
  const write = async () => {
    if (draft.formulaId === '') {
      setFault('Choose the formula it was made after.');
      return;
    }
    if (draft.ringMm !== undefined && draft.pouredC === undefined) {
      setFault('A ring says nothing without the temperature it was read at.');
      return;
    }
    setBusy(true);
    setFault(undefined);
    try {
      const stove = { panCm, powerW, hob, microwaveW, altitudeM, dampPercent };
      const about = { formulaId: draft.formulaId, times: draft.times, stove, kitchenC, by: byWhom() };
      const id = await writePast({ ...about, madeMs: momentOf(draft.day, nowMs), happened: happened(draft) });
      setDraft(usual);
      router.push(`/batches/${id}/record`);
    } catch (error) {
      setFault(messageOf(error));
      setBusy(false);
    }
  };
  return { draft, say: (change: Partial<PastDraft>) => setDraft({ ...draft, ...change }), write, isBusy, fault };
}
