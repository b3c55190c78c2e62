import { expect, expectAccessible, kept, openFormula, STIFF_GANACHE, saved, test } from './kitchen';

test('the list shows the demo formulas with colour, use, batch and standing, and finds them', async ({
  page,
  silent,
}) => {
  await page.goto('/formulas');
  const cards = page.getByRole('listitem');
  // The demo's are the oldest here: below those of other tests.
  const more = page.getByRole('button', { name: /^Show more/ });
  await expect(cards.first()).toBeVisible();
  // Of a big kitchen the rest comes after the first page.
  await expect(page.getByText('are being fetched')).toHaveCount(0);
  while (await more.isVisible()) await more.click();
  expect(await cards.count()).toBeGreaterThanOrEqual(13);
  const gloss = cards.filter({ has: page.getByText('Millrace éclair gloss', { exact: true }) });
  await expect(gloss).toContainText('Coat éclairs');
  await expect(gloss).toContainText('598 g, 7 rows');
  // By this kitchen’s figures, which the tests before this one may have moved.
  for (const [card, gates] of [
    [gloss, 6],
    [cards.filter({ hasText: 'Pear tart slab' }), 1],
  ] as const)
    await expect(card).toContainText(new RegExp(`misses \\d of ${gates} gates|(lands|borderline), \\d+\\s*% likely`));
  const fill = (name: string) => cards.filter({ hasText: name }).locator('svg path').first().getAttribute('fill');
  expect(await fill('Snowmelt mirror')).not.toBe(await fill('Millrace'));
  await expectAccessible(page);

  const search = page.getByRole('searchbox');
  await search.fill('hazelnut');
  await expect(cards).toHaveCount(1);
  await expect(cards).toContainText('Ferry truffles');
  await search.fill('zzzz');
  await expect(page.getByText('No formula matches')).toBeVisible();
  await page.getByRole('button', { name: /Show all/ }).click();
  expect(await cards.count()).toBeGreaterThanOrEqual(13);
  expect(silent).toEqual([]);
});

test('a formula is made from nothing, named, filled and kept', async ({ page, silent }) => {
  await page.goto('/formulas');
  await page.getByRole('button', { name: 'New formula' }).click();
  await page.getByRole('button', { name: 'Start with an empty pan' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'name' })).toHaveText('Give it a name first.');
  await page.getByRole('textbox', { name: /^Name/ }).fill('Sluice gate drizzle');
  await page.getByLabel('What must it do?').selectOption('pool_plate');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Start with an empty pan' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing to judge yet' })).toBeVisible();
  await expectAccessible(page);

  await page.keyboard.press('/');
  await page.getByLabel('Search the larder').fill('dark couverture 64');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel(/^Grams of Dark couverture 64/)).toHaveValue('200');
  await page.getByRole('button', { name: /Add an ingredient/ }).click();
  await page.getByLabel('Search the larder').fill('whole milk');
  await page
    .getByRole('option', { name: /^Whole milk/ })
    .first()
    .click();
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Sluice gate drizzle');
  await expect(page.getByLabel(/^Grams of/)).toHaveCount(2);
  expect(silent).toEqual([]);
});

test('a copy stands by itself; a deleted formula comes back with undo', async ({ page, silent }) => {
  const id = await openFormula(page, { name: 'Tailrace original' });
  await page.goto('/formulas');
  await page.getByRole('button', { name: 'Copy Tailrace original' }).click();
  await expect(page.getByLabel('Name of the formula')).toHaveValue('Tailrace original, copy');
  await page.getByLabel(/^Grams of Dark couverture/).fill('333');
  await saved(page);
  expect((await kept(page, id)).file.lines[0]?.grams).toBe(200);

  await page.goto('/formulas');
  await page.getByRole('button', { name: 'Delete Tailrace original', exact: true }).click();
  await expect(page.getByText('“Tailrace original” is deleted.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Delete Tailrace original', exact: true })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Delete Tailrace original', exact: true })).toBeVisible();
  expect((await kept(page, id)).file.lines[0]?.grams).toBe(200);
  expect(silent).toEqual([]);
});

test('a formula goes out as a file and comes back; files that are none are refused with the reason', async ({
  page,
  silent,
}) => {
  const id = await openFormula(page, { name: 'Leat file' });
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'More of this formula' }).click();
  await page.getByRole('menuitem', { name: 'Formula file (JSON)' }).click();
  const path = await (await download).path();
  await page.goto('/formulas');
  await page.getByTestId('formula-file').setInputFiles(path);
  await page.waitForURL(/balance/);
  expect(page.url()).not.toContain(id);
  const again = await kept(page, page.url().split('/').at(-2) as string);
  expect(again.file).toEqual((await kept(page, id)).file);

  for (const [name, text, words] of [
    ['notes.json', 'dear diary', 'this is not JSON'],
    ['empty.json', '[]', 'there is no formula in it'],
    [
      'half.json',
      JSON.stringify([
        { ...STIFF_GANACHE, name: 'Half a file' },
        { ...STIFF_GANACHE, name: '' },
      ]),
      'formula 2: name: must not be empty',
    ],
    ['later.json', JSON.stringify({ ...STIFF_GANACHE, version: 9 }), 'only version 1'],
    [
      'grams.json',
      JSON.stringify({ ...STIFF_GANACHE, lines: [{ ingredient: 'water', grams: -4 }] }),
      'lines[0].grams: must be 0 g or more',
    ],
    ['huge.json', `"${'x'.repeat(31_000_000)}"`, 'over 30 MB'],
  ] as const) {
    await page.goto('/formulas');
    await page
      .getByTestId('formula-file')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
    await expect(page.getByRole('alert').filter({ hasText: name })).toContainText(words);
  }
  await expect(page.getByText('Half a file'), 'none of a file that is refused is kept').toHaveCount(0);
  expect(silent).toEqual([]);
});

test('a formula that is not here says so', async ({ page }) => {
  await page.goto('/formulas/nowhere/balance');
  await expect(page.getByRole('heading', { name: 'Not in this kitchen' })).toBeVisible();
  await expectAccessible(page);
});
