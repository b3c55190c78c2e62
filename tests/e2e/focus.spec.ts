import { expect, expectAccessible, gramsOf, openFormula, test } from './kitchen';

test('sheets from the menu take the focus and give it back; the menu stands within its landmark', async ({
  page,
  silent,
}) => {
  await openFormula(page, { name: 'Lock-keeper’s sheet test' });
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Lock-keeper’s sheet test');
  const more = page.getByRole('button', { name: 'More of this formula' });
  for (const [item, title] of [
    ['Versions…', 'Versions'],
    ['Variants…', 'Variants'],
    ['Tags…', 'Tags'],
  ] as const) {
    await more.focus();
    await page.keyboard.press('Enter');
    if (item === 'Versions…') await expectAccessible(page);
    await page.getByRole('menuitem', { name: item }).click();
    const sheet = page.getByRole('dialog', { name: title });
    await expect(sheet.getByRole('heading', { name: title })).toBeVisible();
    await expect.poll(() => sheet.evaluate((dialog) => dialog.contains(document.activeElement))).toBe(true);
    await page.keyboard.press('Escape');
    await expect(sheet).toHaveCount(0);
    await expect(more).toBeFocused();
  }
  expect(silent).toEqual([]);
});

test('a form that is half filled asks before Escape throws it away', async ({ page, silent }) => {
  await page.goto('/formulas');
  await page.getByRole('button', { name: 'From a recipe' }).click();
  const sheet = page.getByRole('dialog');
  const text = sheet.getByRole('textbox', { name: /A line an ingredient/ });
  await text.fill('200 g cream');
  await page.keyboard.press('Escape');
  await expect(sheet.getByRole('alert')).toContainText('not kept yet');
  await sheet.getByRole('button', { name: 'Go on with it' }).click();
  await expect(text).toHaveValue('200 g cream');
  await page.keyboard.press('Escape');
  await sheet.getByRole('button', { name: 'Throw it away' }).click();
  await expect(sheet).toHaveCount(0);

  await page.getByRole('button', { name: 'From a recipe' }).click();
  await expect(sheet.getByRole('heading', { name: 'From a recipe' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog'), 'an empty form leaves at once').toHaveCount(0);
  expect(silent).toEqual([]);
});

test('a new row takes the focus, its grams selected; a spice starts at a pinch; the chosen row is read aloud', async ({
  page,
  silent,
}) => {
  await openFormula(page);
  await page.keyboard.press('/');
  await page.getByLabel('Search the larder').fill('cinnamon');
  await page.keyboard.press('Enter');
  const cinnamon = gramsOf(page, 'Ground cinnamon');
  await expect(cinnamon).toBeFocused();
  expect(Number(await cinnamon.inputValue())).toBeLessThan(0.6);
  await page.keyboard.type('0.8');
  await page.keyboard.press('Enter');
  await expect(cinnamon).toHaveValue('0.8');
  await expect(cinnamon).not.toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('l');
  await expect(page.getByRole('status').filter({ hasText: /^Row 1 of 4/ })).toHaveText(
    /^Row 1 of 4: Dark couverture 60.%, 200\sg, locked\.$/,
  );
  await expect(page.locator('li[aria-current=true]')).toContainText('Dark couverture');
  expect(silent).toEqual([]);
});

test('the verdict never repeats itself: two pours at one temperature are said once', async ({ page, silent }) => {
  await openFormula(page, {
    moments: [
      { name: 'first pour', temperatureC: 36, history: [[0.3, 36]] },
      { name: 'second pour', temperatureC: 36, history: [[0.5, 36]] },
    ],
    gates: [
      { moment: 'first pour', quantity: 'apparentViscosityPaS', low: 0.1, high: 40 },
      { moment: 'second pour', quantity: 'apparentViscosityPaS', low: 0.1, high: 40 },
    ],
  });
  const said = 'Coats at 36\u202f°C.';
  await expect(page.getByTestId('verdict')).toHaveText(said);
  await gramsOf(page, 'Whipping cream').fill('220');
  await expect(page.getByTestId('verdict')).toHaveText(said);
  await expect(page.getByRole('status').filter({ hasText: said })).toHaveText(said);
  expect(silent).toEqual([]);
});
