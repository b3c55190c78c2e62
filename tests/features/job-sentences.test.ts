import { describe, expect, it } from 'vitest';
import { usualJob } from '@/core/brief/job';
import { JOB_FACTS, JOB_USES } from '@/core/uses/catalogue';
import { jobFields } from '@/features/brief/job-sentence-fields';
import { JOB_WORDS } from '@/kitchen/words/job-words';
import { sentenceParts } from '@/ui/sentence-parts';

describe.each(JOB_USES)('the sentence of %s', (use) => {
  it.each(JOB_FACTS[use].portions)('has a field for each it asks, counted as %s', (portion) => {
    const fields = jobFields({
      job: { ...usualJob(use), portion },
      label: (what) => what,
      onJob: () => {},
      kitchenC: 22,
      onKitchen: () => {},
    });
    const parts = sentenceParts(JOB_WORDS[use].sentence, (slot) => fields[slot] !== undefined);
    const asked = parts.flatMap((part) => ('slot' in part ? [part.slot] : []));
    for (const slot of asked) expect(fields[slot], slot).toBeDefined();
    expect(new Set(asked).size).toBe(asked.length);
    // What changes with the pieces is always asked: their sizes, and the sides of what has sides.
    for (const slot of ['sizes', 'sides', 'mm', 'runOff', 'counted'] as const) {
      expect(asked.includes(slot), slot).toBe(fields[slot] !== undefined);
    }
  });
});
