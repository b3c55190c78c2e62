'use client';

import { useCallback, useEffect, useState } from 'react';
import type { Brief, Making, Wishes } from '@/core/brief/brief';
import { type Job, usualJob } from '@/core/brief/job';
import type { Gate } from '@/core/formula/gates';
import type { JobUse } from '@/core/uses/catalogue';
import { usualSizes } from '@/core/yields/portions';
import { MOST_JOBS } from '@/formats/brief';

/** Keeps what is said on this tablet until it is opened on the bench, in case it goes dark before. */
const kept = {
  async find(place: string): Promise<Brief | undefined> {
    try {
      const text = localStorage.getItem(place);
      if (text === null) return undefined;
      const { briefSchema } = await import('@/formats/brief');
      const read = briefSchema.safeParse(JSON.parse(text));
      return read.success ? read.data : undefined;
    } catch {
      return undefined;
    }
  },
  keep(place: string, brief: Brief) {
    try {
      localStorage.setItem(place, JSON.stringify(brief));
    } catch {
      // Storage is full or barred: it stays on the screen.
    }
  },
  letGo(place: string) {
    try {
      localStorage.removeItem(place);
    } catch {
      // Nothing kept, nothing to let go.
    }
  },
};

/** A job with another way to count: its sizes begin anew. */
export function countedAs(job: Job, portion: Job['portion']): Job {
  const sizes = usualSizes(portion);
  const guests = job.guests ?? sizes.guests ?? 1;
  // A board is one for all its guests.
  return portion === 'board' ? { ...job, portion, count: 1, sizes: { ...sizes, guests } } : { ...job, portion, sizes };
}

/** A brief with a use taken in or out. */
function toggled(now: Brief, use: JobUse, isUnasked: boolean): Brief {
  const others = now.jobs.filter((job) => job.use !== use);
  const isIn = others.length < now.jobs.length;
  if (isUnasked) return isIn ? { ...now } : { ...now, jobs: [usualJob(use)] };
  if (isIn) return others.length > 0 ? { ...now, jobs: others } : now;
  return now.jobs.length < MOST_JOBS ? { ...now, jobs: [...now.jobs, usualJob(use)] } : now;
}

/**
 * The brief that is being said.
 *
 * @param start as it stands with the formula, or a usual one
 * @param place where what is said is kept on this tablet
 * @param isProposed the use it starts with was asked for by nobody
 */
export function useBrief(start: Brief, place: string, isProposed: boolean) {
  const [said, setSaid] = useState<Brief | undefined>();
  const [isKept, setIsKept] = useState(false);

  useEffect(() => {
    let here = true;
    void kept.find(place).then((found) => {
      if (!here || !found || JSON.stringify(found) === JSON.stringify(start)) return;
      setSaid(found);
      setIsKept(true);
    });
    return () => {
      here = false;
    };
  }, [place, start]);

  const change = useCallback(
    (next: (now: Brief) => Brief) =>
      setSaid((now) => {
        const changed = next(now ?? start);
        kept.keep(place, changed);
        return changed;
      }),
    [place, start],
  );

  return {
    brief: said ?? start,
    /** what stands here was said on an earlier visit and never opened */
    isKept,
    change,
    job: (index: number, next: Partial<Job>) =>
      change((now) => ({ ...now, jobs: now.jobs.map((job, i) => (i === index ? { ...job, ...next } : job)) })),
    counts: (counts: readonly number[]) =>
      change((now) => ({ ...now, jobs: now.jobs.map((job, i) => ({ ...job, count: counts[i] ?? job.count })) })),
    wantedAt: (wantedAt: string | undefined) => change((now) => ({ ...now, wantedAt })),
    /** one more of the same use, for other pieces */
    more: (index: number) =>
      change((now) => {
        const job = now.jobs[index];
        if (!job || now.jobs.length >= MOST_JOBS) return now;
        return { ...now, jobs: now.jobs.toSpliced(index + 1, 0, { ...job, what: '' }) };
      }),
    remove: (index: number) =>
      change((now) => (now.jobs.length > 1 ? { ...now, jobs: now.jobs.toSpliced(index, 1) } : now)),
    /** takes a use in or out, with all its pieces; the last one stays. The first that is asked for takes the place of one nobody asked for. */
    toggle: (use: JobUse) => change((now) => toggled(now, use, isProposed && now === start)),
    wish: (next: Partial<Wishes>) => change((now) => ({ ...now, wishes: { ...now.wishes, ...next } })),
    make: (next: Partial<Making>) => change((now) => ({ ...now, making: { ...now.making, ...next } })),
    /** a gate set on the bench is let go, or a wish's own comes back */
    letGo: (gate: Gate) =>
      change((now) => ({
        ...now,
        byHand: now.byHand && { ...now.byHand, gates: now.byHand.gates.filter((each) => each !== gate) },
      })),
    kitchen: (kitchenC: number) => change((now) => ({ ...now, kitchenC })),
    again: () => {
      kept.letGo(place);
      setSaid(undefined);
      setIsKept(false);
    },
    done: () => kept.letGo(place),
  };
}

export type OpenBrief = ReturnType<typeof useBrief>;
