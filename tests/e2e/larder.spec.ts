import { expect, expectAccessible, test } from './kitchen';

const rows = (page: import('@playwright/test').Page) => page.locator('tr[data-ingredient]');

test('the larder is searched, filtered and sorted', async ({ page, silent }) => {
  await page.goto('/larder');
  await expect(page.getByText(/^1\d\d ingredients/)).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('/');
  await page.keyboard.type('cream 35');
  await expect(rows(page).first()).toContainText('Whipping cream 35');
  await page.getByRole('searchbox').fill('');
  await page.getByLabel('Group').selectOption('dairy');
  await page.getByRole('button', { name: 'vegan' }).click();
  await expect(page.getByText('Nothing in the larder is like that.')).toBeVisible();
  await page.getByRole('button', { name: /Show all/ }).click();
  await page.getByLabel('Without').selectOption('soya');
  await expect(rows(page).filter({ hasText: 'soya' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Fat %' }).click();
  await expect(page.getByRole('columnheader', { name: 'Fat %' })).toHaveAttribute('aria-sort', 'descending');
  await expect(rows(page).first()).toContainText('100');
  expect(silent).toEqual([]);
});

test('an ingredient shows its composition, nutrition, measures and use; price and stock are kept', async ({
  page,
  silent,
}) => {
  await page.goto('/larder');
  await page.getByRole('searchbox').fill('couverture 66');
  await page.getByRole('button', { name: /Dark couverture 66/ }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet).toContainText('Cocoa butter');
  await expect(sheet).toContainText(/kJ \/ \d+ kcal/);
  await expect(sheet).toContainText('chopped');
  await expect(sheet.getByRole('link', { name: 'Millrace éclair gloss', exact: true })).toBeVisible();
  await expectAccessible(page);
  await sheet.getByLabel('In hand').fill('2,5 kg');
  await sheet.getByLabel('Price').fill('-3');
  await expect(sheet.getByRole('alert')).toContainText('below 0');
  await sheet.getByLabel('Price').fill('12,40');
  await sheet.getByRole('button', { name: 'Keep price, stock and note' }).click();
  await expect(rows(page).filter({ hasText: 'Dark couverture 66' })).toContainText('12.40');
  await page.reload();
  await page.getByRole('searchbox').fill('couverture 66');
  await expect(rows(page).first()).toContainText('2\u202f500');
  expect(silent).toEqual([]);
});

test('an own ingredient is worked out from its label, kept, changed and taken out', async ({ page, silent }) => {
  await page.goto('/larder');
  await page.getByRole('button', { name: 'New ingredient' }).click();
  await page.getByRole('button', { name: 'Add to the larder' }).click();
  await expect(
    page.getByText('2 fields need another look.').or(page.getByText('Must not be empty.')).first(),
  ).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Sluice dark 62');
  await page.getByLabel('Carbohydrate, g').fill('40');
  await page.getByLabel('of which sugars, g').fill('45');
  await page.getByRole('button', { name: /Work out/ }).click();
  await expect(page.getByText('Sugars are a part of carbohydrate')).toBeVisible();
  await expect(page.getByLabel('of which sugars, g')).toHaveValue('45');
  await page.getByLabel('Carbohydrate, g').fill('');
  await page.getByLabel('of which sugars, g').fill('37');
  await page.getByLabel('Fat, g', { exact: true }).fill('38,5');
  await page.getByLabel('Cocoa, %').fill('62');
  await page.getByRole('button', { name: /Work out/ }).click();
  await expect(page.getByText(/Worked out from/)).toBeVisible();
  await expect(page.getByLabel('Cocoa butter, g')).toHaveValue(/^3[78]\./);
  await expectAccessible(page);
  await page.getByLabel('Density, g/ml').fill('heavy');
  await page.getByRole('button', { name: 'Add to the larder' }).click();
  await expect(page.getByLabel('Density, g/ml')).toHaveValue('heavy');
  await expect(page.getByRole('alert').filter({ hasText: 'number' }).first()).toBeVisible();
  await page.getByLabel('Density, g/ml').fill('1,24');
  await expect(page.getByText(/it may contain anything/)).toBeVisible();
  await page.getByRole('button', { name: /^Contains: nothing chosen/ }).click();
  await page.getByRole('option', { name: 'soya', exact: true }).click();
  await page.getByRole('option', { name: 'milk', exact: true }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Take soya out of contains' })).toBeVisible();
  await page.getByRole('button', { name: 'Add to the larder' }).click();
  await expect(page.getByText('“Sluice dark 62” is in.')).toBeVisible();

  await page.getByRole('button', { name: 'own' }).click();
  await page.getByRole('button', { name: /Sluice dark 62/ }).click();
  await page.getByRole('button', { name: 'Change it' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Dark couverture 66 %');
  await page.getByRole('button', { name: 'Keep the changes' }).click();
  await expect(page.getByText('The larder has this name already.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Sluice dark, 62 %');
  await page.getByRole('button', { name: 'Keep the changes' }).click();
  await page.getByRole('button', { name: /Sluice dark, 62 %/ }).click();
  await page.getByRole('button', { name: 'Take it out' }).click();
  await expect(page.getByText('“Sluice dark, 62 %” is out.')).toBeVisible();
  expect(silent).toEqual([]);
});

test('a CSV is previewed row by row, then written all at once; the export comes back unchanged', async ({
  page,
  silent,
}) => {
  await page.goto('/larder');
  const file = (name: string, text: string) =>
    page.getByTestId('larder-file').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  await file(
    'pantry.csv',
    [
      'name;group;water;sucrose;milk_fat',
      'Weir syrup;sugars;30,5;69,5;0',
      'Impossible;sugars;80;80;0',
      'Whipping cream 35 %;dairy;50;0;50',
    ].join('\n'),
  );
  const sheet = page.getByRole('dialog');
  await expect(sheet).toContainText('Nothing has happened yet');
  await expect(sheet.getByRole('row', { name: /Weir syrup/ })).toContainText('added');
  await expect(sheet.getByRole('row', { name: /Impossible/ })).toContainText('add up to');
  await expect(sheet.getByRole('row', { name: /Whipping cream/ })).toContainText('the typical one stays');
  await expectAccessible(page);
  await sheet.getByRole('button', { name: 'Write 2 ingredients' }).click();
  await expect(sheet).toContainText('2 added, 0 changed.');
  await sheet.getByRole('button', { name: 'Good' }).click();
  await page.getByRole('searchbox').fill('weir syrup');
  await expect(rows(page)).toHaveCount(1);

  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export' }).click();
  await page.getByTestId('larder-file').setInputFiles(await (await download).path());
  await expect(sheet.getByRole('button', { name: 'Nothing to write' })).toBeDisabled();
  await sheet.getByRole('button', { name: 'Leave it' }).click();

  for (const [name, text, words] of [
    ['diary.csv', 'dear diary', 'The first row must name the columns'],
    ['picture.csv', 'PK\u0000\u0000\u0000', 'no text file'],
    ['huge.csv', `name,water\n${'x'.repeat(11_000_000)}`, 'over 10 MB'],
  ] as const) {
    await file(name, text);
    await expect(sheet.getByRole('alert')).toContainText(words);
    await sheet.getByRole('button', { name: 'Close' }).last().click();
  }
  expect(silent).toEqual([]);
});

test('how the numbers are made is told to cook and engineer', async ({ page, silent }) => {
  await page.goto('/numbers');
  await expect(page.getByRole('heading', { name: 'How the numbers are made' })).toBeVisible();
  await page.getByText('What is dissolved in the water').click();
  await expect(page.getByText('Norrish 1966')).toBeVisible();
  await page.getByText('All constants').click();
  await expect(page.getByText('meltCocoaButter', { exact: true })).toBeVisible();
  await expect(page.getByRole('main')).not.toContainText(/NaN|Infinity|undefined/);
  await expectAccessible(page);
  expect(silent).toEqual([]);
});
