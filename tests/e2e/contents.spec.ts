import { expect, gramsOf, kept, openFormula, saved, test } from './kitchen';

const FARM_CREAM = {
  name: 'Farm cream',
  components: { water: 59.2, milk_fat: 35, milk_protein: 2.1, lactose: 3.1, milk_ash: 0.6 },
};

test('what only the formula knows is seen by allergens, cautions, the card and the wish without dairy', async ({
  page,
  silent,
}) => {
  const id = await openFormula(page, {
    name: 'Farm ganache',
    lines: [
      { ingredient: 'dark-couverture-60', grams: 200 },
      { ingredient: 'farm', grams: 200 },
    ],
    ingredients: { farm: FARM_CREAM },
  });
  const foot = page.getByRole('contentinfo');
  await expect(foot).toContainText('Contains milk, soya');
  await expect(foot).toContainText('one row may contain anything');
  await expect(page.getByText('Cool dairy fast and keep it at 5 °C (41 °F) or under.')).toBeVisible();
  await page.getByRole('button', { name: 'Do without…' }).click();
  await page.getByRole('button', { name: 'no dairy' }).click();
  await expect(page.getByTestId('swap-result')).toContainText('Farm cream →');
  await page.goto(`/formulas/${id}/card`);
  await expect(page.getByText('Farm cream: nobody has said what it contains')).toBeVisible();
  await expect(page.getByText('Contains milk, soya')).toBeVisible();

  await page.goto('/brief');
  await page
    .getByLabel(/^no dairy/)
    .or(page.getByRole('button', { name: 'no dairy' }))
    .first()
    .click();
  await expect(page.getByTestId('starts')).toContainText('all tried');
  await expect(page.getByTestId('starts')).not.toContainText('Farm ganache');
  expect(silent).toEqual([]);
});

test('with a row nobody knows first, a swap and a balance move the rows that are meant', async ({ page, silent }) => {
  const id = await openFormula(page, {
    name: 'Ghost ganache',
    lines: [
      { ingredient: 'ghost-of-the-larder', grams: 77 },
      { ingredient: 'dark-couverture-60', grams: 200 },
      { ingredient: 'cream-35', grams: 200 },
    ],
  });
  await page.getByRole('button', { name: 'Do without…' }).click();
  await page.getByRole('button', { name: 'no dairy' }).click();
  await expect(page.getByTestId('swap-result')).toBeVisible();
  await page.getByRole('button', { name: 'Take the swap' }).click();
  await saved(page);
  const { lines } = (await kept(page, id)).file;
  expect(lines[0]).toMatchObject({ ingredient: 'ghost-of-the-larder', grams: 77 });
  expect(lines[1]?.ingredient).toBe('dark-couverture-60');
  expect(lines[2]?.ingredient).not.toBe('cream-35');
  expect(lines[2]?.grams).toBeGreaterThan(50);
  await page.keyboard.press('b');
  await expect(page.getByTestId('outcome')).toBeVisible();
  await expect(page.getByTestId('outcome')).not.toContainText('ghost');
  await expect(gramsOf(page, 'ghost')).toHaveValue('77');
  expect(silent).toEqual([]);
});
