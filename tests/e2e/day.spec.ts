import ICAL from 'ical.js';
import { expect, expectAccessible, openFormula, test } from './kitchen';

test('the Saturday of the mill: overlaps are shown and spread, a formula is put on it and taken off', async ({
  page,
  silent,
}) => {
  await page.goto('/day');
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Saturday');
  const work = page.getByRole('list', { name: 'Work of the day' }).getByRole('listitem');
  await expect(work).toHaveCount(4);
  const overlaps = page.getByRole('alert').filter({ hasText: 'More hands are wanted' });
  await expect(overlaps).toContainText('Millrace éclair gloss');
  await expectAccessible(page);
  const day = await page.getByLabel('Day', { exact: true }).inputValue();
  const last = page.getByLabel('Ready: Plated sponge, thick dip');
  const before = await last.inputValue();
  await page.getByRole('button', { name: /^Spread them/ }).click();
  await expect(page.getByText('are enough for it')).toBeVisible();
  // What is ready last keeps its time, and all of it is kept.
  await expect(last).toHaveValue(before);
  const kept = async () => (await (await page.request.get(`/api/days/${day}`)).json()).tasks;
  const times = (await kept()).map(({ readyMinutes }: { readyMinutes: number }) => readyMinutes);
  expect(new Set(times).size).toBe(4);
  // Spreading keeps what was promised: what is ready earlier waits for its hour, and says so; it can be taken back.
  const promised = (await kept()).filter(
    ({ servedMinutes }: { servedMinutes: number | null }) => servedMinutes !== null,
  );
  expect(promised.length).toBeGreaterThan(0);
  for (const { readyMinutes, servedMinutes } of promised) expect(servedMinutes).toBeGreaterThan(readyMinutes);
  await expect(work.filter({ hasText: 'Promised for' })).toHaveCount(promised.length);
  await page.getByRole('button', { name: 'Undo the spreading' }).click();
  await expect(overlaps).toBeVisible();
  expect((await kept()).map(({ servedMinutes }: { servedMinutes: number | null }) => servedMinutes)).toEqual([
    null,
    null,
    null,
    null,
  ]);
  // More hands are enough for it without.
  await page.getByLabel('People').selectOption('3');
  await expect(page.getByText('Three pairs of hands')).toBeVisible();
  await page.getByLabel('People').selectOption('1');
  await page.getByRole('button', { name: /^Spread them/ }).click();
  await expect(page.getByText('are enough for it')).toBeVisible();

  await page.getByLabel('Formula', { exact: true }).selectOption({ label: 'Feast day gloss' });
  await page.getByLabel('Ready at').fill('16:00');
  await page.getByRole('button', { name: 'Put it on the day' }).click();
  await expect(work).toHaveCount(5);
  await page.getByLabel('Ready: Feast day gloss').fill('17:30');
  await expect
    .poll(async () => (await kept()).map(({ readyMinutes }: { readyMinutes: number }) => readyMinutes))
    .toContain(17 * 60 + 30);

  const calendar = await page.request.get(`/api/days/${day}/calendar`);
  const events = new ICAL.Component(ICAL.parse(await calendar.text())).getAllSubcomponents('vevent');
  expect(events.length).toBeGreaterThan(20);

  await page.getByRole('button', { name: 'Take Feast day gloss off this day' }).click();
  await expect(work).toHaveCount(4);
  await page.setViewportSize({ width: 768, height: 1024 });
  await expectAccessible(page);
  expect(silent).toEqual([]);
});

test('a day with nothing on it, one that is no day, another tablet, and a formula that goes', async ({
  page,
  context,
  silent,
}) => {
  const id = await openFormula(page, { name: 'Weir day' });
  await page.goto('/day?on=2031-02-03');
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await expect(page.getByText('Nothing is planned on this day yet')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Put it on the day' })).toBeDisabled();
  // Another tablet puts it there.
  await page.request.post('/api/days/2031-02-03', { data: { formulaId: id, readyMinutes: 600 } });
  await expect(page.getByRole('link', { name: 'Weir day' })).toBeVisible();
  await page.request.delete(`/api/formulas/${id}`);
  await page.reload();
  await expect(page.getByText('Nothing is planned on this day yet')).toBeVisible();

  const status = async (path: string, data: unknown) => (await page.request.post(path, { data })).status();
  expect(await status('/api/days/2031-02-30', { formulaId: id, readyMinutes: 600 })).toBe(400);
  expect(await status('/api/days/2031-02-03', { formulaId: 'constructor', readyMinutes: 600 })).toBe(404);
  expect(await status('/api/days/2031-02-03', { formulaId: id, readyMinutes: 1e9 })).toBe(422);
  expect((await context.request.get('/api/days/2031-02-03/calendar')).status()).toBe(404);
  expect(silent).toEqual([]);
});
