import { describe, expect, it } from 'vitest';
import { methodPaper } from '@/features/method/method-paper';
import { methodPdf } from '@/features/method/method-pdf';
import { readStove, stoveQuery } from '@/kitchen/method/stove-query';
import { workFile } from '@/kitchen/method/work-method';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
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
      expect(paper.cautions.at(-1)).toContain('food code');
    },
  );

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
