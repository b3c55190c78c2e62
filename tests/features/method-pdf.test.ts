import { describe, expect, it } from 'vitest';
import { methodPaper } from '@/features/method/method-paper';
import { methodPdf } from '@/features/method/method-pdf';
import { readPlan } from '@/kitchen/method/plan';
import { readStove, stoveQuery } from '@/kitchen/method/stove-query';
import { workFile } from '@/kitchen/method/work-method';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { clockOf } from '@/ui/time-of-day';
import { larder } from '../support/kitchen';

describe('a method on paper', () => {
  it.each(lanternMillFormulas().map((file) => [file.name, file] as const))(
    '%s: every row by its weight, every step by its time',
    (_, file) => {
      const worked = workFile(file, larder, 'standard');
      if (!worked) throw new Error('no method');
      const names = file.lines.map(({ ingredient }) => larder.get(ingredient)?.name ?? ingredient);
      const paper = methodPaper(file.name, worked, names);
      const rows = paper.steps.map((step) => step.rows).join(', ');
      for (const name of names) expect(rows).toContain(name);
      for (const { time, looks } of paper.steps) expect([time, looks].every((words) => words.length > 1)).toBe(true);
      expect(paper.code).toContain('food code');
      expect(paper.weigh.map(([name]) => name)).toEqual(names);
      expect(paper.needs).toContain('You need');
    },
  );

  it('carries clock times where it is planned, each step from the end of the one before', () => {
    const file = lanternMillFormulas().find(({ name }) => name === 'Feast day gloss');
    const worked = file && workFile(file, larder, 'standard');
    if (!worked) throw new Error('no method');
    const plan = readPlan('2026-11-28T23:50');
    const paper = methodPaper(file.name, worked, [], plan);
    expect(paper.steps[0]?.at).toBe('23:50');
    const [first] = worked.followed;
    const second = new Date(Date.UTC(2026, 10, 28, 23, 50) + 1000 * (first?.seconds ?? 0));
    const minutes = Math.round(second.getTime() / 60_000) % 1440;
    expect(paper.steps[1]?.at).toBe(clockOf(minutes));
    expect(paper.pours).toContain('Begin at 23:50, Sat');
    expect(paper.pours).toContain(`Pour at ${clockOf(23 * 60 + 50 + worked.seconds / 60)}`);
    // A caution stands with the step it is for, once.
    const cautions = paper.steps.map(({ caution }) => caution).filter((caution) => caution !== '');
    expect(cautions.length).toBeGreaterThan(0);
    expect(new Set(cautions).size).toBe(cautions.length);
    expect(methodPaper(file.name, worked, []).steps.every(({ at }) => at === '')).toBe(true);
  });

  it('is a PDF with its fonts inside, whatever its letters', async () => {
    const [file] = lanternMillFormulas();
    const worked = file && workFile(file, larder, 'standard');
    if (!worked) throw new Error('no method');
    const pdf = await methodPdf(methodPaper('Żurek さくら', worked, []));
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    expect(pdf.toString('latin1')).toMatch(/DejaVuSans/);
  });
});

describe('the stove a link carries', () => {
  const stove = {
    panCm: 24,
    powerW: 1800,
    hob: 'induction',
    microwaveW: 900,
    altitudeM: 1200,
    dampPercent: 40,
  } as const;

  it('is read as it was written', () => {
    expect(readStove(new URLSearchParams(stoveQuery(stove, 25)))).toEqual({ stove, kitchenC: 25 });
  });

  it.each([['panCm=-3'], ['hob=wood'], ['powerW=NaN'], ['kitchenC=900']])('is none with %s', (wrong) => {
    const query = new URLSearchParams(stoveQuery(stove, 25));
    for (const [name, value] of new URLSearchParams(wrong)) query.set(name, value);
    expect(readStove(query)).toBeUndefined();
  });
});
