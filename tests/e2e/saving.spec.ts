import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { expect, gramsOf, hearNothing, kept, openFormula, prepareTablet, saved, test } from './kitchen';

/** Versions of a formula, the newest first: their names and grams of cream. */
async function versionsOf(page: Page, id: string): Promise<[string, number][]> {
  const { versions } = (await (await page.request.get(`/api/formulas/${id}/versions`)).json()) as {
    versions: { name: string; file: { lines: { grams: number }[] } }[];
  };
  return versions.map(({ name, file }) => [name, file.lines[1]?.grams ?? 0]);
}

/** No save of the formula arrives from here on. */
const barSaves = (page: Page, id: string) =>
  page.route(`**/api/formulas/${id}`, (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  );

test('a second tablet is told, nothing is overwritten, and either version can go on', async ({ page, context }) => {
  const id = await openFormula(page);
  await hearNothing(page, id);
  const other = await context.newPage();
  await other.goto(`/formulas/${id}/balance`);
  await gramsOf(other, 'Whipping cream').fill('250');
  await saved(other);

  await page.bringToFront();
  await gramsOf(page, 'Whipping cream').fill('300');
  const notice = page.getByRole('alert').filter({ hasText: 'Another tablet saved this formula' });
  await expect(notice).toBeVisible();
  await expect(page.getByTestId('save-state')).toHaveText('Not saved: changed elsewhere');
  expect((await kept(page, id)).file.lines[1]?.grams).toBe(250);
  await expect(gramsOf(page, 'Whipping cream')).toHaveValue('300');
  const cream = notice.getByRole('row').filter({ hasText: 'Whipping cream' });
  await expect(cream).toContainText('250 g');
  await expect(cream).toContainText('300 g');
  await hearNothing(other, id);
  await notice.getByRole('button', { name: 'Keep mine' }).click();
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  expect((await kept(page, id)).file.lines[1]?.grams).toBe(300);

  await gramsOf(other, 'Whipping cream').fill('270');
  await other.getByRole('button', { name: 'Take theirs' }).click();
  await expect(gramsOf(other, 'Whipping cream')).toHaveValue('300');
  await other.getByRole('button', { name: 'Undo' }).click();
  await expect(gramsOf(other, 'Whipping cream')).toHaveValue('270');
  expect(await versionsOf(page, id), 'what went is a version').toEqual([
    ['Typed here, while another tablet saved', 270],
    ['Saved by another tablet', 250],
  ]);
});

test('what could not be saved is said, kept on the tablet, and brought back', async ({ page, context }) => {
  const id = await openFormula(page);
  await context.setOffline(true);
  await gramsOf(page, 'Whipping cream').fill('260');
  await expect(page.getByRole('alert').filter({ hasText: 'cannot be reached' })).toBeVisible();
  await expect(page.getByTestId('save-state')).toHaveText('Not saved yet');
  await context.setOffline(false);
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  expect((await kept(page, id)).file.lines[1]?.grams).toBe(260);

  await barSaves(page, id);
  await gramsOf(page, 'Whipping cream').fill('275');
  await expect(page.getByTestId('save-state')).toHaveText('Not saved yet');
  await page.reload();
  await page.unroute(`**/api/formulas/${id}`);
  await page.getByRole('button', { name: 'Bring them back' }).click();
  await expect(gramsOf(page, 'Whipping cream')).toHaveValue('275');
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await expect.poll(async () => (await kept(page, id)).file.lines[1]?.grams).toBe(275);
});

test('a formula deleted on another tablet is told', async ({ page }) => {
  const id = await openFormula(page);
  await page.request.delete(`/api/formulas/${id}`);
  await gramsOf(page, 'Whipping cream').fill('250');
  await expect(page.getByRole('alert').filter({ hasText: 'deleted on another tablet' })).toBeVisible();
});

test('going back shows what was saved last, not what the browser kept', async ({ page, silent }) => {
  const id = await openFormula(page);
  await gramsOf(page, 'Dark couverture').fill('211');
  await saved(page);
  await page.getByRole('button', { name: /^Dark Pour/ }).click();
  await page.getByRole('menuitem', { name: 'Formulas' }).click();
  await page.waitForURL((url) => url.pathname === '/formulas');
  await expect(page.getByRole('heading', { name: 'Formulas' })).toBeVisible();
  await page.goBack();
  await page.waitForURL(/balance$/);
  await expect(gramsOf(page, 'Dark couverture')).toHaveValue('211');
  await gramsOf(page, 'Dark couverture').fill('212');
  await saved(page);
  expect((await kept(page, id)).file.lines[0]?.grams).toBe(212);
  await page.getByRole('link', { name: 'Brief' }).click();
  await page.waitForURL(/brief$/);
  await page.getByLabel('Coat pastry: how many', { exact: true }).fill('33');
  await page.getByRole('button', { name: 'Open on the bench' }).click();
  await page.waitForURL(/balance$/);
  await page.goBack();
  await page.waitForURL(/brief$/);
  await expect(page.getByLabel('Coat pastry: how many', { exact: true })).toHaveValue('33');
  await page.getByLabel('Coat pastry: how many', { exact: true }).fill('34');
  await page.getByRole('button', { name: 'Open on the bench' }).click();
  await page.waitForURL(/balance$/);
  expect(silent).toEqual([]);
});

test('a bench that has rested goes on in full while the server cannot be reached', async ({ page, context }) => {
  const id = await openFormula(page);
  // What may be asked for next is fetched while the bench rests.
  await page.waitForTimeout(3000);
  await context.setOffline(true);
  await page.keyboard.press('b');
  await expect(page.getByTestId('outcome')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('verdict')).not.toContainText('too');
  await page.keyboard.press('m');
  await expect(page.getByTestId('map-inside')).toBeAttached();
  await page.keyboard.press('m');
  await page.getByRole('button', { name: 'Change what it must do' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Add a moment' }).click();
  await page.getByRole('button', { name: 'Use these' }).click();
  await expect(page.locator('[data-moment=later]')).toBeVisible();
  await expect(page.getByTestId('save-state')).toHaveText('Not saved yet');
  await context.setOffline(false);
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  expect((await kept(page, id)).file.moments.map(({ name }) => name)).toContain('later');
});

test('a bench whose server goes away while it comes up stays, says so, and is whole again', async ({
  page,
  context,
}) => {
  const failures: string[] = [];
  page.on('pageerror', (error) => failures.push(error.message));
  await openFormula(page);
  await context.setOffline(true);
  await page.keyboard.press('b');
  await expect(
    page.getByTestId('outcome').or(page.getByRole('alert').filter({ hasText: 'cannot be reached' })),
  ).toBeVisible();
  await gramsOf(page, 'Whipping cream').fill('260');
  await expect(page.getByTestId('verdict')).toBeVisible();
  await page.waitForTimeout(2000);
  await expect(page.getByTestId('verdict'), 'what is on the screen stays').toBeVisible();
  await context.setOffline(false);
  await expect(page.getByTestId('resistance-chart').locator('.apexcharts-series path').first()).toBeAttached();
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await page.getByRole('button', { name: 'Balance it' }).click();
  await expect(page.getByTestId('outcome')).toBeVisible();
  expect(failures).toEqual([]);
});

test('an edit is saved by leaving at once, and what is opened shows it', async ({ page, silent }) => {
  const id = await openFormula(page);
  await gramsOf(page, 'Whipping cream').fill('234');
  await page.getByRole('button', { name: 'More of this formula' }).click();
  await page.getByRole('menuitem', { name: 'Bench card, to print' }).click();
  await page.waitForURL(/card$/);
  await expect(page.getByRole('main')).toContainText('234');
  expect((await kept(page, id)).file.lines[1]?.grams).toBe(234);

  await page.goto(`/formulas/${id}/balance`);
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  await gramsOf(page, 'Whipping cream').fill('244');
  await page.getByRole('link', { name: 'Brief' }).click();
  await page.waitForURL(/brief$/);
  expect((await kept(page, id)).file.lines[1]?.grams).toBe(244);
  await page.goBack();
  await page.waitForURL(/balance$/);
  await expect(gramsOf(page, 'Whipping cream')).toHaveValue('244');
  await gramsOf(page, 'Whipping cream').fill('255');
  await page.goBack();
  await expect.poll(async () => (await kept(page, id)).file.lines[1]?.grams).toBe(255);
  expect(silent).toEqual([]);
});

test('a tablet on which nothing was typed follows what another saves', async ({ page, context, silent }) => {
  const id = await openFormula(page);
  const other = await context.newPage();
  await other.goto(`/formulas/${id}/balance`);
  await expect(other.getByTestId('save-state')).toHaveText('Saved');
  await gramsOf(other, 'Whipping cream').fill('251');
  await saved(other);
  await expect(gramsOf(page, 'Whipping cream')).toHaveValue('251');
  await expect(page.getByText('Another tablet saved this formula')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep mine' })).toHaveCount(0);
  const { revision } = await kept(page, id);
  await page.waitForTimeout(12_000);
  expect((await kept(page, id)).revision, 'following saves nothing').toBe(revision);
  expect(silent).toEqual([]);
});

test('another tablet’s save is told as it happens, not at the next look', async ({ page, context }) => {
  // Without the look every ten seconds: what then arrives was told.
  await page.addInitScript(() => {
    const often = window.setInterval;
    window.setInterval = ((work: TimerHandler, ms?: number) => (ms === 10_000 ? 0 : often(work, ms))) as typeof often;
  });
  const id = await openFormula(page);
  const other = await context.newPage();
  await other.goto(`/formulas/${id}/balance`);
  await expect(other.getByTestId('save-state')).toHaveText('Saved');
  await gramsOf(other, 'Whipping cream').fill('253');
  await saved(other);
  await expect(gramsOf(page, 'Whipping cream')).toHaveValue('253');
});

test('work that was left behind is brought back over a newer save only with that one as a version', async ({
  page,
  context,
}) => {
  const id = await openFormula(page);
  await barSaves(page, id);
  await gramsOf(page, 'Whipping cream').fill('275');
  await expect(page.getByTestId('save-state')).toHaveText('Not saved yet');
  const other = await context.newPage();
  await other.goto(`/formulas/${id}/balance`);
  await expect(other.getByTestId('save-state')).toHaveText('Saved');
  await expect(other.getByRole('button', { name: 'Bring them back' }), 'its page is still open').toHaveCount(0);
  await gramsOf(other, 'Whipping cream').fill('222');
  await saved(other);
  await page.close();
  await other.reload();
  await other.getByRole('button', { name: 'Bring them back' }).click();
  await expect(gramsOf(other, 'Whipping cream')).toHaveValue('275');
  await expect.poll(async () => (await kept(other, id)).file.lines[1]?.grams).toBe(275);
  expect(await versionsOf(other, id)).toEqual([['Before unsaved work was brought back', 222]]);
});

test('a save without an answer is told, and what is typed meanwhile is kept', async ({ page }) => {
  const id = await openFormula(page);
  await page.route(`**/api/formulas/${id}`, (route) =>
    route.request().method() === 'PUT' ? undefined : route.continue(),
  );
  await gramsOf(page, 'Whipping cream').fill('261');
  await expect(page.getByTestId('save-state')).toHaveText('Saving…');
  await gramsOf(page, 'Whipping cream').fill('262');
  await expect(page.getByRole('alert').filter({ hasText: 'does not answer' })).toBeVisible();
  await page.reload();
  await page.unroute(`**/api/formulas/${id}`);
  await page.getByRole('button', { name: 'Bring them back' }).click();
  await expect(gramsOf(page, 'Whipping cream')).toHaveValue('262');
});

test('a browser that is killed two seconds after an edit without a server still has it', async ({ page, baseURL }) => {
  const id = await openFormula(page);
  const home = mkdtempSync(path.join(tmpdir(), 'dark-pour-tablet-'));
  const { executablePath, args } = test.info().project.use.launchOptions ?? {};
  const open = async () => {
    const tablet = await chromium.launchPersistentContext(home, {
      ...(executablePath ? { executablePath } : {}),
      ...(args ? { args } : {}),
      ...(baseURL ? { baseURL } : {}),
    });
    await prepareTablet(tablet);
    const bench = await tablet.newPage();
    await barSaves(bench, id);
    await bench.goto(`/formulas/${id}/balance`);
    await expect(bench.getByTestId('save-state')).toHaveText('Saved');
    return { tablet, bench };
  };
  try {
    const { bench } = await open();
    await gramsOf(bench, 'Whipping cream').fill('287');
    await bench.waitForTimeout(2_000);
    spawnSync('pkill', ['-KILL', '-f', home]);
    rmSync(path.join(home, 'SingletonLock'), { force: true });
    const again = await open();
    await again.bench.getByRole('button', { name: 'Bring them back' }).click();
    await expect(gramsOf(again.bench, 'Whipping cream')).toHaveValue('287');
    await again.tablet.close();
  } finally {
    rmSync(home, { recursive: true, force: true });
  }
});
