import type { Page } from '@playwright/test';
import type { BatchAnswer } from '@/formats/batch';
import { expect, expectAccessible, openFormula, test } from './kitchen';

const STOVE = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 };
const row = (ingredient: string, grams: number) => ({ ingredient, grams });

async function begin(page: Page, name: string, lines = [row('cream-35', 240), row('dark-couverture-60', 200)]) {
  const formula = await openFormula(page, { name, lines });
  const answer = await page.request.post('/api/batches', { data: { formulaId: formula, stove: STOVE, kitchenC: 22 } });
  const { id: batch } = (await answer.json()) as { id: string };
  return { formula, batch };
}
const tell = (page: Page, batch: string, ...whats: readonly object[]) =>
  page.request.post(`/api/batches/${batch}/events`, {
    data: {
      after: 0,
      events: whats.map((what) => ({ key: `key-${Math.random()}`, tablet: 'test', tabletMs: Date.now(), what })),
    },
  });
const eventsOf = async (page: Page, id: string) =>
  ((await (await page.request.get(`/api/batches/${id}`)).json()) as BatchAnswer).events.map(({ what }) => what);
const shelfOf = async (page: Page, name: string) =>
  ((await (await page.request.get('/api/shelf')).json()) as { items: { name: string; leftG: number }[] }).items.filter(
    (item) => item.name === name,
  );

/** The server does what it is asked, and its answer is lost on the way: so many times. */
async function loseAnswers(page: Page, path: string, times: number): Promise<void> {
  let left = times;
  await page.route(path, async (route) => {
    if (route.request().method() === 'GET' || left === 0) return route.continue();
    left -= 1;
    await route.fetch();
    await route.abort('connectionreset');
  });
}

test('what goes onto the shelf stands there once, though its answer was lost', async ({ page }) => {
  const { batch } = await begin(page, 'Weir once');
  await tell(page, batch, { kind: 'finish' });
  await page.goto(`/batches/${batch}/record`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await loseAnswers(page, '**/api/shelf', 2);
  await page.getByLabel('Grams put away').fill('500');
  await page.getByRole('button', { name: 'Onto the shelf' }).click();
  await expect(page.getByText('It is not known whether this was saved. Looking…')).toBeVisible();
  await expectAccessible(page);
  await expect(page.getByText('It is not known whether this was saved. Looking…')).toBeHidden();
  await expect.poll(() => eventsOf(page, batch)).toContainEqual({ kind: 'leftover', fate: 'putAway', grams: 500 });
  expect((await shelfOf(page, 'Weir once')).map(({ leftG }) => leftG)).toEqual([500]);
});

test('pressed again after a long silence it is still done once, also after a reload', async ({ page }) => {
  const { batch } = await begin(page, 'Weir silence');
  await tell(page, batch, { kind: 'finish' });
  await page.goto(`/batches/${batch}/record`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await loseAnswers(page, '**/api/shelf', 5);
  await page.getByLabel('Grams put away').fill('120');
  await page.getByRole('button', { name: 'Onto the shelf' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Press again: it is never saved twice.' })).toBeVisible();
  await page.reload();
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await expect(page.getByLabel('Grams put away')).toHaveValue('120');
  await page.getByRole('button', { name: 'Onto the shelf' }).click();
  await expect.poll(() => eventsOf(page, batch)).toContainEqual({ kind: 'leftover', fate: 'putAway', grams: 120 });
  expect(await shelfOf(page, 'Weir silence')).toHaveLength(1);
});

test('what is typed and not sent is there again after a reload or a link: a record, a past batch, serving', async ({
  page,
  silent,
}) => {
  const { formula, batch } = await begin(page, 'Weir typed');
  await tell(page, batch, { kind: 'finish' });
  await page.goto(`/batches/${batch}/record`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await page.getByLabel('A note', { exact: true }).fill('the rim was dull');
  await page.reload();
  await expect(page.getByLabel('A note', { exact: true })).toHaveValue('the rim was dull');
  await page.goto(`/formulas/${formula}/serve`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await page.getByRole('button', { name: 'Board to dip from' }).click();
  await page.getByLabel('Guests').fill('31');
  await page.keyboard.press('Enter');
  await page.goto(`/batches/${batch}/record`);
  await expect(page.getByLabel('A note', { exact: true })).toHaveValue('the rim was dull');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect.poll(() => eventsOf(page, batch)).toContainEqual({ kind: 'note', text: 'the rim was dull' });
  await page.reload();
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await expect(page.getByLabel('A note', { exact: true })).toHaveValue('');
  await page.goto(`/formulas/${formula}/serve`);
  await expect(page.getByLabel('Guests')).toHaveValue('31');

  await page.goto(`/formulas/${formula}/record`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await page.getByRole('button', { name: 'Write a batch down' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Note').fill('made without a tablet');
  await sheet.getByLabel('Poured at').fill('36');
  await page.keyboard.press('Tab');
  await page.reload();
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await page.getByRole('button', { name: 'Write a batch down' }).click();
  await expect(sheet.getByLabel('Note')).toHaveValue('made without a tablet');
  await expect(sheet.getByLabel('Poured at')).toHaveValue('36');
  expect(silent).toEqual([]);
});

test('a pinch scaled with the rest stays in the batch, and the batch on the screen', async ({ page, silent }) => {
  const lines = [row('cream-35', 240), row('dark-couverture-60', 200), row('lecithin-soy', 0.4)];
  const { batch } = await begin(page, 'Weir pinch', lines);
  await page.goto(`/batches/${batch}`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await page.getByRole('button', { name: 'Weigh the rest as I go' }).click();
  await page.getByLabel('Weighed: Whipping cream 35 %').fill('24');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Make up for it/ }).click();
  await expect.poll(() => eventsOf(page, batch)).toContainEqual({ kind: 'replan', row: 2, grams: 0.04 });
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('rolling boil');
  // What an earlier version wrote down hides nothing either.
  await tell(page, batch, { kind: 'replan', row: 2, grams: 0 });
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('rolling boil');
  expect(silent).toEqual([]);
});

test('what a batch can never take is set aside and told; what waits behind it goes on', async ({ page, silent }) => {
  const { batch } = await begin(page, 'Weir aside');
  await page.goto(`/batches/${batch}`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await page.evaluate((id) => {
    const event = (key: string, what: object) => ({ key, tablet: 'a', tabletMs: Date.now(), what });
    const waiting = [
      event('never-taken-1', { kind: 'done', step: 77 }),
      event('never-taken-2', { kind: 'note', text: 'half a letter \ud800' }),
      event('taken-behind', { kind: 'note', text: 'it goes on' }),
    ];
    localStorage.setItem(`dark-pour:untold:${id}`, JSON.stringify(waiting));
  }, batch);
  await page.reload();
  await expect(page.getByRole('alert').filter({ hasText: '2 entries were not taken' })).toBeVisible();
  await expect.poll(() => eventsOf(page, batch)).toEqual([{ kind: 'note', text: 'it goes on' }]);
  await expectAccessible(page);
  await page.reload();
  await page.getByRole('button', { name: 'I have read it' }).click();
  await page.reload();
  await expect(page.getByText('Kept as you go')).toBeVisible();
  await expect(page.getByText('were not taken')).toBeHidden();
  expect(silent).toEqual([]);
});

test('work told after the end is in the record, and the label says that it was redone', async ({ page }) => {
  const { batch } = await begin(page, 'Weir late');
  await tell(page, batch, { kind: 'finish' });
  const ago = Date.now() - 600_000;
  const paste = { kind: 'add', name: 'Hazelnut paste, pure', components: { liquid_oil: 60 }, grams: 30 };
  // Ten minutes before, by a tablet that could not tell; the batch began just now, so that it counts from there.
  await page.request.post(`/api/batches/${batch}/events`, {
    data: {
      after: 0,
      sentMs: Date.now(),
      events: [{ key: 'late-paste-1', tablet: 'other', tabletMs: ago, what: paste }],
    },
  });
  await page.goto(`/batches/${batch}/record`);
  await expect(page.getByText('More work came in after the end')).toBeVisible();
  await page.goto(`/batches/${batch}/label`);
  await expect(page.getByRole('alert').filter({ hasText: 'This label was redone' })).toContainText('Hazelnut paste');
});
