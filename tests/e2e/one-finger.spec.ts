import type { Locator, Page } from '@playwright/test';
import { expect, expectAccessible, gramsOf, kept, openFormula, saved, test } from './kitchen';

test.use({ viewport: { width: 768, height: 1024 }, hasTouch: true });

/** Draws one finger from the middle of a thing by some pixels, in steps as a hand does. */
async function drag(page: Page, thing: Locator, by: { x?: number; y?: number }, from = { x: 0.5, y: 0.5 }) {
  await thing.scrollIntoViewIfNeeded();
  const box = await thing.boundingBox();
  if (!box) throw new Error('nothing to take hold of');
  const start = { x: box.x + box.width * from.x, y: box.y + box.height * from.y };
  const hand = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', part: number) =>
    hand.send('Input.dispatchTouchEvent', {
      type,
      touchPoints:
        type === 'touchEnd' ? [] : [{ x: start.x + part * (by.x ?? 0), y: start.y + part * (by.y ?? 0), id: 1 }],
    });
  await touch('touchStart', 0);
  for (let step = 1; step <= 8; step++) await touch('touchMove', step / 8);
  await touch('touchEnd', 1);
}

test('one finger does it all on an upright tablet', async ({ page, silent }) => {
  const id = await openFormula(page);
  await page.getByRole('button', { name: 'Lock Dark couverture' }).tap();
  await expect(page.getByRole('button', { name: 'Lock Dark couverture', pressed: true })).toBeVisible();
  await page.getByRole('button', { name: /^Whipping cream.*: steps/ }).tap();
  await page.getByRole('button', { name: 'Add 10 g' }).tap();
  await expect(gramsOf(page, 'Whipping cream')).toHaveValue('210');
  await page.getByRole('button', { name: /^Whipping cream.*: steps/ }).tap();

  await drag(page, page.getByRole('button', { name: 'Move Glucose' }), { y: -150 });
  await expect(page.locator('ol[aria-label=Ingredients] > li').first()).toContainText('Glucose');
  await saved(page).catch(() => undefined);
  expect((await kept(page, id)).file.lines[0]?.ingredient).toBe('glucose-syrup-de42');

  const upper = page.getByRole('slider', { name: 'From the fridge: upper edge of the gate' });
  const before = Number(await upper.getAttribute('aria-valuenow'));
  await drag(page, upper, { y: -40 });
  expect(Number(await upper.getAttribute('aria-valuenow'))).toBeGreaterThan(before + 0.2);

  // The browser may take a tap right after a drag for part of it, as it would from a hand.
  await expect(async () => {
    await page.getByText('Map', { exact: true }).tap();
    await expect(page.getByRole('radio', { name: 'Map' })).toBeChecked({ timeout: 500 });
  }).toPass();
  await expect(page.getByTestId('map-inside')).toBeAttached();
  const creamBefore = await gramsOf(page, 'Whipping cream').inputValue();
  await drag(page, page.getByRole('img', { name: /^Map of/ }), { x: 60, y: -60 });
  await expect(gramsOf(page, 'Whipping cream')).not.toHaveValue(creamBefore);
  await expect(async () => {
    await page.getByText('Curve', { exact: true }).tap();
    await expect(page.getByRole('radio', { name: 'Curve' })).toBeChecked({ timeout: 500 });
  }).toPass();

  await drag(page, upper, { y: 70 });
  await expect(page.getByTestId('verdict')).toContainText('too stiff');
  await expect(async () => {
    await page.getByRole('button', { name: 'Balance it' }).tap();
    await expect(page.getByTestId('outcome')).toContainText('It cannot land', { timeout: 2000 });
  }).toPass();
  await page.getByTestId('outcome').getByRole('button', { name: 'Unlock' }).tap();
  await expect(page.getByTestId('outcome')).toContainText(/This would (land|be borderline)/);
  await page.getByRole('button', { name: /Accept/ }).tap();
  await expect(page.getByTestId('outcome')).toContainText('Balanced');
  await expectAccessible(page);
  expect(silent).toEqual([]);
});

test('Swap stands beside the pan on an upright tablet', async ({ page, silent }) => {
  await openFormula(page);
  await page.getByRole('button', { name: /^Glucose.*: steps/ }).tap();
  await page.getByRole('button', { name: 'Swap it' }).tap();
  const sheet = page.getByRole('dialog').getByRole('heading', { name: /Instead of/ });
  await expect(sheet).toBeVisible();
  const pan = await page.locator('section[aria-label="In the pan"]').boundingBox();
  const place = await sheet.boundingBox();
  expect(place?.x).toBeGreaterThanOrEqual((pan?.x ?? 0) + (pan?.width ?? 0));
  await page.getByRole('button', { name: 'Invert sugar paste' }).tap();
  await expect(page.getByTestId('swap-result')).toContainText('Invert sugar paste');
  const inside = await page.getByTestId('swap-result').evaluate((element) => element.scrollWidth - element.clientWidth);
  expect(inside).toBeLessThanOrEqual(0);
  expect(silent).toEqual([]);
});

test('a keyboard beside a screen that is touched: what is typed after “/” finds the ingredient', async ({ page }) => {
  await openFormula(page);
  await page.keyboard.press('/');
  await expect(page.getByLabel('Search the larder')).toBeFocused();
  await page.keyboard.type('butter');
  await page.keyboard.press('Enter');
  await expect(gramsOf(page, 'Butter, unsalted')).toBeFocused();
});
