import type { Page } from '@playwright/test';
import sharp, { type SharpOptions } from 'sharp';
import type { BatchAnswer } from '@/formats/batch';
import { expect, expectAccessible, openFormula, test } from './kitchen';

const SAUCE = [
  { ingredient: 'cream-35', grams: 240, form: 'boil, then pour' },
  { ingredient: 'dark-couverture-60', grams: 200, form: 'chopped' },
  { ingredient: 'butter-unsalted-82', grams: 40, form: 'cold, at the end' },
];
const ready = (page: Page) => expect(page.locator('[data-ready=true]')).toBeVisible();
const batchOf = async (page: Page): Promise<BatchAnswer> =>
  (await page.request.get(`/api/batches/${new URL(page.url()).pathname.split('/')[2]}`)).json();
const kinds = async (page: Page) => (await batchOf(page)).events.map(({ what: { kind } }) => kind);

/** Opens the book of one formula and its sheet to write a batch down. */
async function writing(page: Page, name: string): Promise<string> {
  const id = await openFormula(page, { name, lines: SAUCE });
  await page.goto(`/formulas/${id}/record`);
  await ready(page);
  await page.getByRole('button', { name: 'Write a batch down' }).click();
  await expect(page.getByLabel('Made on')).toBeVisible();
  return id;
}

test('a batch made yesterday is written down by keys alone, and what comes of it later', async ({ page, silent }) => {
  await writing(page, 'Weir yesterday');
  await page.getByLabel('Made on').focus();
  await page.keyboard.press('Tab');
  await page.getByLabel('Times the formula').focus();
  await page.keyboard.type('2');
  await page.getByLabel('In the bowl').focus();
  await page.keyboard.type('912');
  await page.getByLabel('Ring on a plate').focus();
  await page.keyboard.type('88');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'temperature' })).toBeVisible();
  await page.getByLabel('Poured at').focus();
  await page.keyboard.type('38');
  await page.getByLabel('Used for', { exact: true }).focus();
  await page.keyboard.type('40 éclairs');
  await page.getByLabel('How it went, this one').selectOption('yes');
  await page.getByLabel('Note', { exact: true }).focus();
  await page.keyboard.type('the new crate');
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/batches\/.*\/record/);
  await ready(page);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('batch landed');
  const happened = page.getByRole('list', { name: 'What happened' });
  await expect(happened).toContainText('40 éclairs');
  await expect(happened).toContainText('Ring and ruler');
  await expect(happened).toContainText(/Poured at.*38\s°C/s);
  // How much went on the éclairs nobody said: it is not all of it.
  await expect(happened).toContainText('nobody weighed how much');
  await expect(page.getByRole('region', { name: 'What came of it' })).toContainText(/912\sg/);

  // What is told afterwards goes on in the same book.
  await page.getByLabel('What became of the rest').selectOption('thrown');
  await page.getByLabel('What was left: grams').fill('30');
  await page.keyboard.press('Enter');
  await expect(happened).toContainText('Thrown away');
  await expect(page.getByText('more than came into the bowl')).toHaveCount(0);
  await page.getByLabel('A note').fill('too dark');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'It missed' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('missed');
  await expect.poll(() => kinds(page)).toEqual(expect.arrayContaining(['leftover', 'note', 'verdict']));
  await page.reload();
  await ready(page);
  await expect(happened).toContainText('too dark');
  await page.setViewportSize({ width: 768, height: 1024 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
  await expectAccessible(page);
  expect(silent).toEqual([]);
});

test('two tests move what the kitchen knows, one is set aside, a slip is asked about', async ({ page, silent }) => {
  await writing(page, 'Weir tests');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Write a batch down' }).click();
  await page.getByRole('button', { name: 'Into the book' }).click();
  await expect(page).toHaveURL(/batches\/.*\/record/);
  await ready(page);
  const form = page.getByRole('region', { name: 'Kitchen test' });
  const learnt = page.getByTestId('learnt-warm');
  await expect(learnt).toBeVisible();
  const before = await learnt.textContent();
  const list = page.getByRole('list', { name: 'Tests of this batch' });
  const ring = async (across: string) => {
    await form.getByLabel('Across').fill(across);
    await form.getByLabel('Read at').fill('38');
    await form.getByRole('combobox', { name: 'After' }).selectOption('30');
    await expect(page.getByTestId('against-the-book')).toContainText('more than the book says');
    await form.getByRole('button', { name: 'Into the book' }).click();
  };
  await ring('80');
  await expect(list.getByRole('listitem')).toHaveCount(1);
  await ring('79');
  await expect(list.getByRole('listitem')).toHaveCount(2);
  await ring('52');
  await expect(form.getByRole('alert')).toContainText('far off');
  await form.getByRole('button', { name: 'Type it again' }).click();
  await expect(list.getByRole('listitem')).toHaveCount(2);
  await expect(learnt).not.toHaveText(before ?? '');
  // Two rings of one batch tell little more than one: what is learnt is gone when both are set aside.
  const setAside = list.getByRole('button', { name: /^Set aside/ });
  await setAside.first().click();
  await expect(setAside).toHaveCount(1);
  await setAside.click();
  await expect(list.getByRole('button', { name: /^Count it again/ })).toHaveCount(2);
  await expect(learnt).toHaveText(before ?? '');

  // The tongue is held against the book, and moves nothing.
  const [tests, knows] = [await list.getByRole('listitem').count(), await learnt.textContent()];
  await form.getByRole('combobox', { name: 'Which test' }).selectOption('taste');
  await form.getByLabel('It tastes').selectOption('bitter');
  await expect(page.getByTestId('against-the-book')).toContainText('By the book it is');
  await form.getByRole('button', { name: 'Into the book' }).click();
  await expect(list.getByRole('listitem')).toHaveCount(tests + 1);
  await expect(learnt).toHaveText(knows ?? '');

  // A cold test, and figures that make no sense.
  await form.getByRole('combobox', { name: 'Which test' }).selectOption('handle');
  await form.getByLabel('How deep').fill('900');
  await expect(form.getByRole('alert')).toContainText('60');
  await form.getByLabel('How deep').fill('0.5');
  await form.getByLabel('It is at').fill('5');
  await form.getByLabel('Poured so long ago').fill('12');
  await form.getByRole('button', { name: 'Into the book' }).click();
  await expect(form.getByRole('alert')).toContainText('far off');
  await form.getByRole('button', { name: 'Type it again' }).click();
  await expectAccessible(page);

  // The bench reckons as this kitchen pours, and says so; the book is one press away.
  await page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name: 'Balance' }).click();
  const whose = page.getByRole('group', { name: 'Whose figures' });
  await whose.getByRole('button', { name: /this kitchen/ }).click();
  const resistance = page.getByRole('region', { name: 'Measures' });
  await expect(resistance).toBeVisible();
  const here = await resistance.textContent();
  await whose.getByRole('button', { name: 'book' }).click();
  await expect(resistance).not.toHaveText(here ?? '');
  expect(silent).toEqual([]);
});

test('photos come into the story, and what is no photo is refused with a word', async ({ page, silent }) => {
  await writing(page, 'Weir photo');
  await page.getByRole('button', { name: 'Into the book' }).click();
  await expect(page).toHaveURL(/batches\/.*\/record/);
  await ready(page);
  const photos = page.getByRole('region', { name: 'Photos' });
  const choose = (name: string, mimeType: string, buffer: Buffer) =>
    page.getByTestId('photo-file').setInputFiles({ name, mimeType, buffer });
  await photos.getByLabel('What the photo shows').fill('the skin after an hour');
  // Over the ten megabytes that a page in front of a server may pass on by itself, as grain makes them.
  const grain = {
    create: { width: 2400, height: 1800, channels: 3, noise: { type: 'gaussian', mean: 120, sigma: 40 } },
  };
  const large = await sharp(grain as SharpOptions)
    .png({ compressionLevel: 0 })
    .toBuffer();
  expect(large.length).toBeGreaterThan(12e6);
  await choose('skin.png', 'image/png', large);
  const story = page.getByRole('list', { name: 'What happened' });
  const picture = story.getByRole('img', { name: 'the skin after an hour' });
  await expect(picture).toBeVisible();
  await picture.scrollIntoViewIfNeeded();
  await expect.poll(() => picture.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(1600);

  await choose('notes.jpg', 'image/jpeg', Buffer.from('120 g of cream'));
  await expect(photos.getByRole('alert')).toContainText('notes.jpg: This is no photo');
  await choose('lamp.svg', 'image/svg+xml', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'));
  await expect(photos.getByRole('alert')).toContainText('SVG');
  await choose('none.jpg', 'image/jpeg', Buffer.alloc(0));
  await expect(photos.getByRole('alert')).toContainText('empty');
  await photos.evaluate((element) => {
    const dropped = new DataTransfer();
    dropped.items.add(new File([new Uint8Array(80e6)], 'vast.jpg', { type: 'image/jpeg' }));
    element.dispatchEvent(new DragEvent('drop', { dataTransfer: dropped, bubbles: true, cancelable: true }));
  });
  await expect(photos.getByRole('alert')).toContainText('80 MB');
  await expectAccessible(page);

  await page.reload();
  await ready(page);
  await expect(picture).toBeVisible();
  await story.getByRole('button', { name: /^Take the photo away/ }).click();
  await expect(picture).toHaveCount(0);
  await expect.poll(() => kinds(page)).toEqual(expect.arrayContaining(['photo', 'photoOff']));
  expect(silent).toEqual([]);
});

test('the book is searched, narrowed, compared and taken out', async ({ page, silent }) => {
  await page.goto('/book');
  await ready(page);
  const table = page.getByRole('table', { name: 'Batches' });
  const lines = table.getByRole('row');
  await expect(lines.nth(1)).toBeVisible();
  // On paper all of it stands, not what is in sight.
  const total = Number(await page.locator('footer .read').textContent());
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  await expect(lines).toHaveCount(Math.min(total, 100) + 1);
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await page.getByRole('searchbox', { name: 'Search the book' }).fill('gloss');
  await expect(table).not.toContainText('Rainy day shine');
  await page.getByRole('combobox', { name: 'How it went' }).selectOption('no');
  await expect(table.or(page.getByText('No batch answers all of that'))).toBeVisible();
  await page.getByRole('searchbox', { name: 'Search the book' }).fill('nothing like it');
  await expect(page.getByText('No batch answers all of that')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Search the book' }).fill('');
  await page.getByRole('combobox', { name: 'How it went' }).selectOption('');
  await page.getByRole('combobox', { name: 'By whom it was made' }).selectOption('Ines');
  await expect(table).not.toContainText('Tomas');
  const csv = await (await page.request.get('/api/book?as=csv&by=Ines')).text();
  expect(csv.split('\r\n')[0]).toContain('number,formula,begun');
  expect(csv).not.toContain('Tomas');
  const json = (await (await page.request.get('/api/book?as=json')).json()) as { batches: unknown[] };
  expect(json.batches.length).toBeGreaterThan(20);
  expect((await page.request.get('/api/book?landed=perhaps')).status()).toBe(422);
  await expectAccessible(page);
  await page.getByRole('combobox', { name: 'By whom it was made' }).selectOption('');

  // Two of one formula side by side; others cannot be laid beside them.
  const formula = page.getByRole('combobox', { name: 'Formula' });
  await formula.selectOption({ label: 'Landing stage cocoa syrup' });
  await expect(table).not.toContainText('Rainy day shine');
  await table.getByRole('checkbox').nth(0).check();
  await table.getByRole('checkbox').nth(1).check();
  await page.getByRole('link', { name: 'Lay 2 side by side' }).click();
  await ready(page);
  await expect(page.getByRole('table', { name: 'Batches side by side' })).toContainText('In the bowl');
  await expect(page.getByTestId('compare-chart')).toBeVisible();
  await expectAccessible(page);
  await page.goto('/book/compare?ids=nobody');
  await expect(page.getByText('None of these batches is here')).toBeVisible();

  // From the book of all, a batch is written down of a formula that is chosen first.
  await page.goto('/book');
  await ready(page);
  await page.getByRole('button', { name: 'Write a batch down' }).click();
  await expect(page.getByRole('button', { name: 'Into the book' })).toBeDisabled();
  await page.getByLabel('In the bowl').fill('300');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'Choose the formula' })).toBeVisible();
  await page.getByLabel('Formula made').selectOption({ label: 'Landing stage cocoa syrup' });
  await page.getByRole('button', { name: 'Into the book' }).click();
  await expect(page).toHaveURL(/batches\/.*\/record/);
  await expect(page.getByText('Landing stage cocoa syrup').first()).toBeVisible();
  expect(silent).toEqual([]);
});

test('dates to come and senseless batches are refused with a word', async ({ page, silent }) => {
  const id = await openFormula(page, { name: 'Weir future', lines: SAUCE });
  const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 };
  const write = async (change: object) => {
    const data = { formulaId: id, stove, kitchenC: 22, madeMs: Date.now() - 1000, happened: [], ...change };
    return page.request.post('/api/book/past', { data });
  };
  const future = await write({ madeMs: Date.now() + 86_400_000 });
  expect([future.status(), await future.text()]).toEqual([422, expect.stringContaining('future')]);
  expect((await write({ happened: [{ kind: 'begin', step: 0 }] })).status()).toBe(422);
  expect((await write({ formulaId: 'constructor' })).status()).toBe(404);
  expect((await write({ times: 1e9 })).status()).toBe(422);
  expect((await write({})).status()).toBe(201);
  expect(silent).toEqual([]);
});

test('what is left goes onto the shelf, is used, is never more than there is, and is thrown away', async ({
  page,
  silent,
}) => {
  await writing(page, 'Weir shelf');
  await page.getByRole('button', { name: 'Into the book' }).click();
  await expect(page).toHaveURL(/batches\/.*\/record/);
  await ready(page);
  const away = page.getByRole('region', { name: 'Put away' });
  await expect(away).toContainText('aw');
  await away.getByLabel('How many').fill('2');
  await away.getByLabel('Grams put away').fill('300');
  await away.getByLabel('Use by').fill('2020-01-01');
  await away.getByRole('button', { name: 'Onto the shelf' }).click();
  await expect(away.getByRole('alert')).toContainText('before it was made');
  await away.getByLabel('Use by').fill('2099-01-01');
  await away.getByRole('button', { name: 'Onto the shelf' }).click();
  await expect(page.getByRole('list', { name: 'What happened' })).toContainText('Put away');
  await page.goto('/shelf');
  await ready(page);
  const line = page.getByRole('listitem').filter({ hasText: 'Weir shelf' }).filter({ hasText: '2 jars' });
  await expect(line).toContainText(/300\sg/);
  await line.getByLabel('Take from Weir shelf').fill('400');
  await line.getByRole('button', { name: 'Use', exact: true }).click();
  await expect(line.getByRole('alert')).toContainText('300 g');
  await line.getByLabel('Take from Weir shelf').fill('120');
  await page.keyboard.press('Enter');
  await expect(line).toContainText(/180\sg/);
  await line.getByText('How long it keeps').click();
  await expect(line).toContainText('its cream or milk spoils first');
  await expectAccessible(page);
  await page.setViewportSize({ width: 768, height: 1024 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
  // A jar is taken as a jar.
  await line.getByRole('button', { name: 'Use one jar of Weir shelf' }).click();
  await expect(line).toContainText(/30\sg/);
  await line.getByRole('button', { name: 'Throw all away' }).click();
  await expect(line).toHaveCount(0);
  // The refusal was an answer of the server: the browser notes it.
  expect(silent.filter((said) => !said.includes('409') && !said.includes('422'))).toEqual([]);
  silent.length = 0;
});

test('the first page says what runs, what is due, what to use first and what was made lately', async ({
  page,
  silent,
}) => {
  const id = await openFormula(page, { name: 'Weir today', lines: SAUCE });
  const now = new Date();
  const two = (value: number) => String(value).padStart(2, '0');
  const day = `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
  await page.request.post(`/api/days/${day}`, { data: { formulaId: id, readyMinutes: 1050 } });
  const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 };
  await page.request.post('/api/batches', { data: { formulaId: id, stove, kitchenC: 22 } });
  await page.goto('/');
  await ready(page);
  await expect(page.getByRole('region', { name: 'On the stove' })).toContainText('Weir today');
  await expect(page.getByRole('region', { name: 'Due today' })).toContainText('17:30');
  // What is past its day is never said to be good today.
  await expect(page.getByRole('region', { name: 'Use first' }).getByRole('listitem').first()).toContainText(
    'do not serve',
  );
  await page.goto('/shelf');
  await expect(page.getByRole('region', { name: /^Past its date/ })).toContainText('do not serve');
  await expect(
    page.getByRole('region', { name: /^Past its date/ }).getByRole('button', { name: 'Use', exact: true }),
  ).toHaveCount(0);
  await page.goto('/');
  await ready(page);
  await expect(page.getByRole('region', { name: 'Made lately' }).getByRole('listitem').first()).toBeVisible();
  await expectAccessible(page);
  await page.setViewportSize({ width: 768, height: 1024 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
  await page.getByRole('link', { name: /^All \d+ formulas$/ }).click();
  await expect(page.getByRole('heading', { name: 'Formulas' })).toBeVisible();
  expect(silent).toEqual([]);
});

test('a shelf that stays open over midnight turns to the new day', async ({ page, silent }) => {
  const now = new Date();
  const two = (value: number) => String(value).padStart(2, '0');
  const dayAt = (days: number) => {
    const at = new Date(now.getFullYear(), now.getMonth(), now.getDate() + days);
    return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
  };
  const item = { name: 'Weir midnight', container: 'jar', count: 1, grams: 200, place: 'fridge' };
  await page.request.post('/api/shelf', { data: { ...item, madeOn: dayAt(-1), useBy: dayAt(1) } });
  await page.clock.install({ time: new Date(now.getFullYear(), now.getMonth(), now.getDate(), 23, 59, 30) });
  await page.goto('/shelf');
  await ready(page);
  const line = page.getByRole('listitem').filter({ hasText: 'Weir midnight' });
  await expect(line).toContainText('use by');
  await page.clock.fastForward('01:00');
  await expect(line).toContainText('use today');
  await page.clock.fastForward('24:00:00');
  await expect(line).toContainText('do not serve');
  expect(silent).toEqual([]);
});
