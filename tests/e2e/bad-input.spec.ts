import { expect, expectAccessible, gramsOf, kept, openFormula, STIFF_GANACHE, saved, test } from './kitchen';

test('grams that cannot be read keep what was typed, say why, and the last good number counts', async ({
  page,
  silent,
}) => {
  const id = await openFormula(page);
  const cream = gramsOf(page, 'Whipping cream');
  const verdict = await page.getByTestId('verdict').textContent();
  for (const [typed, words] of [
    ['-5', 'below 0 g'],
    ['', 'Type a number'],
    ['1e9', "can't be more than 100 000 g"],
    ['NaN', "isn't a number"],
    ['12 barrels', 'can be read here'],
    ['1,250', 'Is that 1250 or 1.25?'],
  ] as const) {
    await cream.fill(typed);
    await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible();
    await expect(cream).toHaveValue(typed);
    await cream.blur();
    await expect(cream).toHaveValue(typed);
    await expect(page.getByTestId('verdict')).toHaveText(verdict ?? '');
  }
  await expectAccessible(page);
  await cream.evaluate((input) => {
    const data = new DataTransfer();
    data.setData('text', '12\n13\n14');
    input.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  });
  await expect(page.getByRole('alert').filter({ hasText: 'several lines' })).toBeVisible();
  expect((await kept(page, id)).file.lines[1]?.grams).toBe(200);

  for (const [typed, grams] of [
    ['212,5', 212.5],
    ['1/2', 0.5],
    [' 180 g ', 180],
    ['0', 0],
  ] as const) {
    await cream.fill(typed);
    await expect(page.getByRole('alert').filter({ hasText: /./ })).toHaveCount(0);
    await expect.poll(async () => (await kept(page, id)).file.lines[1]?.grams).toBe(grams);
  }
  await expect(page.getByRole('main')).not.toContainText(/NaN|Infinity/);
  expect(silent).toEqual([]);
});

test('pans without water, without fat, of one row, all locked or empty are judged without nonsense', async ({
  page,
  silent,
}) => {
  for (const lines of [
    [{ ingredient: 'cocoa-butter', grams: 100 }],
    [{ ingredient: 'sugar-granulated', grams: 100 }],
    [{ ingredient: 'water', grams: 100 }],
    [{ ingredient: 'dark-couverture-66', grams: 100 }],
    [{ ingredient: 'cream-35', grams: 0 }],
    [],
  ]) {
    await openFormula(page, { lines });
    await expect(page.getByRole('main')).not.toContainText(/NaN|Infinity|undefined/);
    await page.keyboard.press('b');
    await expect(page.getByRole('main')).not.toContainText(/NaN|Infinity|undefined/);
  }
  await openFormula(page, { lines: STIFF_GANACHE.lines.map((line) => ({ ...line, locked: true })) });
  await expect(page.getByText('Every row is locked: unlock one to let it move.')).toBeVisible();
  await page.keyboard.press('b');
  await expect(page.getByTestId('outcome')).toContainText('It cannot land');
  expect(silent).toEqual([]);
});

test('an ingredient nobody knows any more is told at its row and counted as nothing', async ({ page, silent }) => {
  await openFormula(page, { lines: [...STIFF_GANACHE.lines, { ingredient: 'moondust', grams: 50 }] });
  await expect(page.getByText('not in the larder: counted as nothing')).toBeVisible();
  await expect(page.getByTestId('verdict')).toBeVisible();
  expect(silent).toEqual([]);
});

test('a name that is none stays in its field with the reason', async ({ page, silent }) => {
  const id = await openFormula(page);
  await page.getByLabel('Name of the formula').fill('');
  await expect(page.getByRole('alert').filter({ hasText: 'needs a name' })).toBeVisible();
  await page
    .getByLabel('Name of the formula')
    .fill('A very long name for a glaze that is poured over the chestnut entremets of the weekend boat on Saturdays');
  await saved(page);
  expect((await kept(page, id)).file.name).toMatch(/^A very long name/);
  expect(silent).toEqual([]);
});

test('the server refuses what it cannot keep, in words, and keeps what it has', async ({ page }) => {
  const id = await openFormula(page);
  const put = (data: unknown) =>
    page.request.put(`/api/formulas/${id}`, {
      data: typeof data === 'string' ? Buffer.from(data) : data,
      headers: { 'content-type': 'application/json' },
    });
  for (const [data, status, words] of [
    ['not json', 400, 'not JSON'],
    [
      { revision: 1, formula: { ...STIFF_GANACHE, lines: [{ ingredient: 'water', grams: -1 }] } },
      422,
      'must be 0 g or more',
    ],
    [{ revision: 1, formula: { ...STIFF_GANACHE, name: '' } }, 422, 'name'],
    [{ revision: 'x', formula: STIFF_GANACHE }, 422, 'revision'],
    ['x'.repeat(6_000_000), 413, 'over 5 MB'],
  ] as const) {
    const answer = await put(data);
    expect(answer.status()).toBe(status);
    expect((await answer.json()).message).toContain(words);
  }
  const foreign = await page.request.put(`/api/formulas/${id}`, {
    data: { revision: 1, formula: STIFF_GANACHE },
    headers: { origin: 'http://elsewhere.example' },
  });
  expect(foreign.status()).toBe(403);
  expect((await kept(page, id)).revision).toBe(1);
});
