import { expect, expectAccessible, gramsOf, kept, openFormula, saved, test } from './kitchen';

test.afterEach(async ({ page }) => {
  const usual = { temperature: 'C', weight: 'g', length: 'cm', numbers: 'en-GB', currency: 'EUR' };
  expect((await page.request.patch('/api/settings', { data: usual })).ok()).toBe(true);
});

test('units, comma and currency are chosen once and hold everywhere; what is kept stays in g and °C', async ({
  page,
  silent,
}) => {
  await page.goto('/settings');
  await expectAccessible(page);
  await page.getByLabel('Temperatures').selectOption('°F');
  await expect(page.getByText('a pour at 93 °F')).toBeVisible();
  await page.getByLabel('Weights').selectOption('ounces');
  await page.getByLabel('Lengths').selectOption('inches');
  await page.getByLabel('Numbers and money as in').selectOption('German (Germany)');
  await page.getByLabel('Currency').selectOption({ label: 'USD, US Dollar' });
  await expect(page.getByText('4,31 $/lb, 0,35 $ a portion')).toBeVisible();

  const id = await openFormula(page);
  const cream = gramsOf(page, 'Whipping cream 35');
  await expect(cream).toHaveValue('7,05');
  await cream.fill('8,5');
  await cream.press('Enter');
  await saved(page);
  expect((await kept(page, id)).file.lines[1]?.grams).toBeCloseTo(8.5 * 28.3495, 1);
  await cream.fill('250 g');
  await cream.press('Enter');
  await saved(page);
  expect((await kept(page, id)).file.lines[1]?.grams).toBeCloseTo(250, 2);
  await expect(page.getByTestId('verdict')).toContainText('°F');
  await expect(page.locator('main')).not.toContainText('°C,');

  await page.getByRole('button', { name: 'Change moments' }).click();
  const pour = page.getByRole('dialog').getByLabel('Temperature, At the pour');
  await expect(pour).toHaveValue('96,8');
  await pour.fill('90');
  await page.getByRole('button', { name: 'Use these' }).click();
  await expect.poll(async () => (await kept(page, id)).file.moments[1]?.temperatureC).toBeCloseTo(32.2222, 3);

  await page.goto(`/formulas/${id}/card`);
  await expect(page.locator('main')).toContainText('8,82 oz');
  await expect(page.locator('main')).toContainText('90 °F');
  await page.goto('/brief');
  await expect(page.getByTestId('amount')).toContainText('oz');
  await expect(page.getByLabel('Coat pastry: worked at')).toHaveValue('89,6');
  await page.goto('/larder');
  await expect(page.locator('tr[data-ingredient]').first()).toContainText('$/lb');
  expect(silent).toEqual([]);
});

test('another tablet’s choice is taken over when a page is entered', async ({ page, silent }) => {
  await page.goto('/settings');
  await expect(page.getByText('a pour at 34 °C')).toBeVisible();
  await page.request.patch('/api/settings', { data: { temperature: 'F' } });
  await page.getByRole('link', { name: 'Larder' }).click();
  await expect(page.getByRole('table', { name: 'Larder' })).toBeVisible();
  await page.getByRole('link', { name: 'Settings' }).click();
  await expect(page.getByText('a pour at 93 °F')).toBeVisible();
  expect(silent).toEqual([]);
});

test('a choice that could not be kept is told, and the old one stays', async ({ page }) => {
  await page.goto('/settings');
  await page.route('**/api/settings', (route) => route.abort());
  await page.getByLabel('Weights').selectOption('ounces');
  await expect(page.getByRole('main').getByRole('alert')).toContainText('cannot be reached');
  await expect(page.getByLabel('Weights')).toHaveValue('g');
});

test('a backup is taken, looked at and put back; what is no backup is refused with a word', async ({
  page,
  silent,
}) => {
  await page.goto('/settings');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Back up now' }).click();
  const file = await (await download).path();
  const id = await openFormula(page, { name: 'Made after the backup' });

  await page.goto('/settings');
  await page.getByTestId('backup-file').setInputFiles({ name: 'x.backup', mimeType: '', buffer: Buffer.from('no') });
  await expect(page.getByRole('main').getByRole('alert')).toContainText('This is no backup of Dark Pour');
  await page.getByTestId('backup-file').setInputFiles(file);
  const preview = page.getByRole('region', { name: 'Putting a backup back' });
  await expect(preview).toContainText('formulas: 1 gone');
  await preview.getByRole('button', { name: 'Leave it' }).click();
  expect((await page.request.get(`/api/formulas/${id}`)).status()).toBe(200);

  await page.getByTestId('backup-file').setInputFiles(file);
  await preview.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByText('The backup is put back.')).toBeVisible();
  expect((await page.request.get(`/api/formulas/${id}`)).status()).toBe(404);
  // What was here before has a name of its own, says what is in it, and can be put back.
  const before = page.getByRole('region', { name: 'What was here before a backup was put back' });
  await expect(before.getByRole('listitem').first()).toContainText(/\d+ formulas, \d+ batches/);
  await expectAccessible(page);
  await before.getByRole('button').first().click();
  await expect(preview).toContainText('formulas: 1 new');
  await preview.getByRole('button', { name: 'Put it back' }).click();
  await expect(before.getByRole('listitem')).toHaveCount(2);
  expect((await page.request.get(`/api/formulas/${id}`)).status()).toBe(200);
  expect(silent).toEqual([]);
});
