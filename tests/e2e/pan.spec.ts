import { expect, expectAccessible, gramsOf, kept, openFormula, STIFF_GANACHE, saved, test } from './kitchen';

test('the doubt is drawn in full and the chance to land told', async ({ page, silent }) => {
  await openFormula(page);
  await expect(page.getByTestId('chance')).toContainText(/\d+\u202f%/);
  await expect(page.locator('[data-measure=gate-0]')).toContainText('8 in 10');
  const before = await page.getByTestId('chance').textContent();
  await page.keyboard.press('b');
  await expect(page.getByTestId('outcome')).toContainText(/This would (land|be borderline)/);
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('outcome')).toContainText('Balanced');
  await expect(page.getByTestId('chance')).toContainText(/\d+\u202f%/);
  await expect(page.getByTestId('chance')).not.toHaveText(before ?? '');
  expect(silent).toEqual([]);
});

test('measures stand beside grams, are typed, and are balanced to', async ({ page, silent }) => {
  const id = await openFormula(page, {
    gates: [
      { moment: 'pour', quantity: 'apparentViscosityPaS', low: 0.3, high: 4 },
      { moment: 'fridge', quantity: 'yieldStressPa', low: 300, high: 4500 },
    ],
  });
  await page.getByLabel('Measures beside grams').selectOption('cups metric');
  const measure = page.getByLabel(/^Measure of Dark couverture/);
  await expect(measure).toHaveValue('≈\u00a01 ¼\u00a0cup');
  await measure.fill('2');
  await expect(page.getByText('2 of what?')).toBeVisible();
  await measure.fill('1 cup');
  await expect(gramsOf(page, 'Dark couverture')).toHaveValue('167.5');
  await gramsOf(page, 'Dark couverture').fill('1 1/2 cup');
  await expect(measure).toHaveValue('1 ½\u00a0cup');
  await saved(page);
  expect((await kept(page, id)).file.lines[0]?.grams).toBeCloseTo(251.25, 2);
  await page.getByRole('checkbox', { name: /whole spoons/ }).check();
  await page.getByRole('button', { name: /Balance it/ }).click();
  await page.getByRole('button', { name: /Accept/ }).click();
  await expect(page.getByTestId('outcome')).toContainText('Balanced');
  await expect(page.getByTestId('verdict')).not.toContainText('too');
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  expect((await kept(page, id)).file.lines[1]?.byVolume).toBe(true);
  const cups = ((await kept(page, id)).file.lines[1]?.grams ?? 0) / (250 * 0.996);
  expect(Math.abs(cups * 4 - Math.round(cups * 4))).toBeLessThan(0.01);
  await page.getByLabel('Measures beside grams').selectOption('grams');
  expect(silent).toEqual([]);
});

test('a row says what its grams do, keeps its ratio, and is swapped', async ({ page, silent }) => {
  const id = await openFormula(page);
  await page.getByRole('button', { name: /Whipping cream.*steps/ }).click();
  await expect(page.getByTestId('effects')).toContainText(/thinner at 36\u202f°C ×0\.\d/);
  const words = (await page.getByTestId('effects').textContent()) ?? '';
  const told = Number(/×(0\.\d+)/.exec(words)?.[1]);
  await expect(page.getByTestId('resistance-chart')).toContainText(`×${told.toFixed(2)}`);
  await page.getByLabel(/Ratio of Whipping cream/).selectOption('A');
  await page.getByRole('button', { name: /Dark couverture.*steps/ }).click();
  await page.getByLabel(/Ratio of Dark couverture/).selectOption('A');
  await expect(page.locator('li[data-key]').first()).toContainText('ratio A');
  await page.getByRole('button', { name: 'Swap it' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Search a stand-in').fill('couverture 70');
  await sheet.getByRole('button', { name: 'Dark couverture 70 %' }).click();
  await expect(sheet.getByTestId('swap-result')).toContainText('The flow stays within');
  await expect(sheet.getByTestId('swap-result')).toContainText('Sweetness');
  await expectAccessible(page);
  await sheet.getByRole('button', { name: 'Take the swap' }).click();
  await saved(page);
  expect((await kept(page, id)).file.lines[0]?.ingredient).toBe('dark-couverture-70');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(gramsOf(page, 'Dark couverture 60')).toHaveValue('200');
  expect(silent).toEqual([]);
});

test('the whole pan does without dairy, and says what changes', async ({ page, silent }) => {
  await openFormula(page);
  await page.getByRole('button', { name: 'Do without…' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('button', { name: 'no dairy' }).click();
  await expect(sheet.getByTestId('swap-result')).toContainText('Allergens');
  await sheet.getByRole('button', { name: 'Take the swap' }).click();
  await expect(page.getByRole('contentinfo')).not.toContainText('milk');
  expect(silent).toEqual([]);
});

test('a blend takes a row’s place, exact in cocoa', async ({ page, silent }) => {
  const id = await openFormula(page);
  await page.getByRole('button', { name: /Dark couverture.*steps/ }).click();
  await page.getByRole('button', { name: 'Blend it' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Part 1').selectOption('dark-couverture-54');
  await sheet.getByLabel('Part 2').selectOption('dark-couverture-70');
  await expect(sheet.getByTestId('blend-part').first()).toHaveText('125 g');
  await sheet.getByLabel('Wanted').fill('90');
  await expect(sheet).toContainText('These reach 54.0–70.0');
  await sheet.getByLabel('Wanted').fill('62');
  await expect(sheet.getByTestId('blend-part').first()).toHaveText('100 g');
  await expect(sheet.getByTestId('blend-curve')).toContainText('Resistance to the spoon against temperature.');
  await expectAccessible(page);
  await sheet.getByRole('button', { name: 'Put the blend in its place' }).click();
  await saved(page);
  expect((await kept(page, id)).file.lines.map(({ ingredient, grams }) => [ingredient, grams]).slice(0, 2)).toEqual([
    ['dark-couverture-54', 100],
    ['dark-couverture-70', 100],
  ]);
  expect(silent).toEqual([]);
});

test('gates on taste, alcohol and cost are judged, and nutrition is told per portion', async ({ page, silent }) => {
  await openFormula(page, {
    gates: [
      ...(STIFF_GANACHE.gates ?? []),
      { moment: 'pour', quantity: 'sweetness', high: 15 },
      { moment: 'pour', quantity: 'costPerKg', high: 3 },
    ],
  });
  await expect(page.getByTestId('verdict')).toContainText('It is too sweet. It is too dear.');
  await expect(page.locator('[data-measure=gate-3]')).toContainText(/€\d+\.\d\d\/kg/);
  await page.getByRole('button', { name: 'Nutrition' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Portion').fill('50');
  await expect(sheet).toContainText('50 g portion');
  await expect(sheet).toContainText('milk, soya');
  await expectAccessible(page);
  expect(silent).toEqual([]);
});
