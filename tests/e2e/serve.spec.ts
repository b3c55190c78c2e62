import type { Page } from '@playwright/test';
import { readPdf } from '../support/read-pdf';
import { expect, expectAccessible, openFormula, test } from './kitchen';

const ready = (page: Page) => expect(page.locator('[data-ready=true]')).toBeVisible();
const SAUCE = [
  { ingredient: 'cream-35', grams: 240, form: 'boil, then pour' },
  { ingredient: 'dark-couverture-60', grams: 160, form: 'chopped' },
  { ingredient: 'water', grams: 60 },
];

/** A sauce of one's own on its way to the table, and one of its views. */
async function serve(page: Page, name: string, view: string): Promise<string> {
  const id = await openFormula(page, { name, lines: SAUCE });
  await page.goto(`/formulas/${id}/serve`);
  await ready(page);
  await page.getByRole('navigation', { name: 'Serve' }).getByRole('button', { name: view }).click();
  return id;
}

const noSideways = async (page: Page) =>
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);

test('hearts on a plate, drawn with a second sauce that is balanced to the first', async ({ page, silent }) => {
  await openFormula(page, {
    name: 'Weir pale drawing',
    lines: [
      { ingredient: 'cream-35', grams: 200 },
      { ingredient: 'white-couverture-28', grams: 150 },
      { ingredient: 'milk-whole', grams: 50 },
    ],
  });
  await serve(page, 'Weir plate', 'On the plate');
  const plate = page.getByRole('region', { name: 'On the plate' });
  await expect(plate.getByRole('img', { name: /drawn hearts on a round plate of 18 cm/ })).toBeVisible();
  const wide = plate.getByLabel('Flat of the plate');
  const takes = plate.getByText('A plate takes').locator('..').getByRole('definition');
  await expect(takes).toHaveText(/^\d+\sg$/);
  const small = Number.parseFloat((await takes.textContent()) ?? '');
  await wide.fill('200');
  await expect(plate.getByRole('alert')).toContainText('60');
  await wide.fill('36');
  await wide.press('Enter');
  // A plate twice as wide takes four times as much.
  await expect.poll(async () => Number.parseFloat((await takes.textContent()) ?? '') / small).toBeGreaterThan(3.7);
  expect(Number.parseFloat((await takes.textContent()) ?? '') / small).toBeLessThan(4.3);
  await plate.getByLabel('A second sauce to draw with').selectOption({ label: 'Weir pale drawing' });
  await expect(plate.getByTestId('second-sauce')).toContainText(/lines (hold|stay)/);
  await expect(plate.getByTestId('second-sauce')).toContainText('White couverture');
  await expect(plate.getByTestId('reheat')).toContainText('stirred after each');
  await expect(plate.getByRole('row', { name: /Pool a plate/ })).toContainText('in the batch');
  for (const pattern of ['mirror', 'swirl', 'ring of dots', 'line', 'drawn star', 'random swirl', 'pool']) {
    await plate.getByLabel('What is drawn').selectOption({ label: pattern });
    await expect(plate.getByRole('img', { name: new RegExp(pattern) })).toBeVisible();
  }
  await expectAccessible(page);
  await page.setViewportSize({ width: 768, height: 1024 });
  await noSideways(page);
  expect(silent).toEqual([]);
});

test('a plate drawn by hand: dots by finger and by keys, a pick through them, taken back', async ({ page, silent }) => {
  await openFormula(page);
  await serve(page, 'Weir hand', 'On the plate');
  const plate = page.getByRole('region', { name: 'On the plate' });
  await plate.getByLabel('What is drawn').selectOption({ label: 'drawn by hand' });
  const drawing = plate.getByRole('application');
  const shapes = () => drawing.locator('path[d$=Z]').evaluateAll((all) => all.map((each) => each.getAttribute('d')));
  expect(await shapes()).toHaveLength(0);
  await drawing.scrollIntoViewIfNeeded();
  const box = await drawing.boundingBox();
  if (!box) throw new Error('no plate');
  const at = (x: number, y: number) => [box.x + x * box.width, box.y + y * box.height] as const;
  await page.mouse.click(...at(0.42, 0.5));
  await page.mouse.click(...at(0.58, 0.5));
  await expect.poll(async () => (await shapes()).length).toBe(2);
  const round = await shapes();
  const drops = plate.getByText('of the second sauce').locator('..').getByRole('definition');
  await expect(drops).toHaveText(/\d/);
  await plate.getByRole('button', { name: 'Pick', exact: true }).click();
  await page.mouse.move(...at(0.3, 0.5));
  await page.mouse.down();
  for (let i = 1; i <= 12; i++) await page.mouse.move(...at(0.3 + 0.035 * i, 0.5));
  await page.mouse.up();
  await expect.poll(shapes).not.toEqual(round);
  await plate.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(shapes).toEqual(round);
  // By keys alone: a third dot, and a pick from it upwards.
  await drawing.focus();
  for (const key of [
    'ArrowDown',
    'ArrowDown',
    'ArrowDown',
    'Enter',
    ' ',
    'ArrowUp',
    'ArrowUp',
    'ArrowUp',
    'ArrowUp',
    ' ',
  ]) {
    await page.keyboard.press(key);
  }
  await expect.poll(async () => (await shapes()).length).toBe(3);
  const drawn = await shapes();
  await expectAccessible(page);
  await page.reload();
  await expect.poll(shapes).toEqual(drawn);
  await plate.getByRole('button', { name: 'Clear the plate' }).click();
  await expect.poll(shapes).toEqual([]);
  expect(silent).toEqual([]);
});

test('a board for twelve, with what is fried beside it', async ({ page, silent }) => {
  await serve(page, 'Weir board', 'Board to dip from');
  const board = page.getByRole('region', { name: 'A board to dip from' });
  await board.getByLabel('Guests').fill('12');
  await board.getByLabel('fruit').fill('4');
  await board.getByLabel('fried dough').fill('2');
  await board.getByLabel('fried dough').press('Enter');
  await expect(board).toContainText('48 pieces');
  await expect(board).toContainText('24 pieces');
  await expect(board).toContainText('never water');
  await expect(board).toContainText('milk, soya');
  await board.getByLabel('Guests').fill('-3');
  await expect(board.getByRole('alert')).toBeVisible();
  await expectAccessible(page);
  expect(silent).toEqual([]);
});

test('jars are planned, filled and put onto the shelf', async ({ page, silent }) => {
  const name = 'Weir jars';
  await serve(page, name, 'Jars and tubs');
  const jars = page.getByRole('region', { name: 'Jars and tubs' });
  await jars.getByLabel('At most so many of them').fill('1');
  await jars.getByLabel('At most so many of them').press('Enter');
  await expect(jars).toContainText('1 jar of 250');
  await expect(jars).toContainText('Lid on at');
  // A jar that cools too slowly is told, with the way that is fast enough.
  await expect(jars.getByTestId('too-slow')).toContainText(/tray|ice/);
  await jars.getByLabel('The large ones, to the brim').fill('0');
  await expect(jars.getByRole('alert')).toContainText('10');
  await jars.getByLabel('The large ones, to the brim').fill('200');
  await jars.getByLabel('The large ones, to the brim').press('Enter');
  await expect(jars).toContainText('1 jar of 200');
  await jars.getByRole('button', { name: 'Onto the shelf' }).click();
  await expect(jars.getByRole('status')).toContainText('stand on the shelf');
  await expectAccessible(page);
  await page.goto('/shelf');
  const line = page.getByRole('listitem').filter({ hasText: name });
  await expect(line).toHaveCount(2);
  await line.first().getByText('How long it keeps').click();
  await expect(line.first()).toContainText('Fridge, about');
  expect(silent).toEqual([]);
});

test('finishing, taste and what a guest asks', async ({ page, silent }) => {
  await serve(page, 'Weir finishing', 'Finishing');
  const finishing = page.getByRole('region', { name: 'Finishing' });
  for (const [way, word] of [
    ['rolled truffles', 'Bowls in this order'],
    ['slabs and layers, cut', 'Trimmings'],
    ['piped swirls', 'A bag in warm hands'],
    ['filled shells', 'Fill no warmer than'],
    ['whipped ganache', 'Stop when the cup weighs'],
  ] as const) {
    await finishing.getByLabel('It is').selectOption({ label: way });
    await expect(finishing).toContainText(word);
    await expectAccessible(page);
  }
  await finishing.getByLabel('The same cup, now').fill('300');
  await finishing.getByLabel('The same cup, now').press('Enter');
  await expect(finishing.getByRole('alert')).toContainText('weighs more');
  const views = page.getByRole('navigation', { name: 'Serve' });
  await views.getByRole('button', { name: 'Taste' }).click();
  const taste = page.getByRole('region', { name: 'Taste' });
  await taste.getByLabel('Ground chilli in it').fill('2');
  await taste.getByLabel('Ground chilli in it').press('Enter');
  await expect(taste).toContainText('hot');
  await expect(taste.getByRole('row', { name: /Dark couverture/ })).toContainText(/thicker|thinner/);
  await expectAccessible(page);
  await views.getByRole('button', { name: 'For a guest' }).click();
  const guest = page.getByRole('region', { name: 'For a guest' });
  await expect(guest).toContainText('Contains: milk, soya');
  await guest.getByLabel('Figures as').selectOption({ label: 'US-style' });
  await expect(guest).toContainText('Calories');
  await expectAccessible(page);
  await page.setViewportSize({ width: 768, height: 1024 });
  await noSideways(page);
  expect(silent).toEqual([]);
});

test('a batch gets its labels, and the PDF says what the page shows', async ({ page, silent }) => {
  const id = await openFormula(page, { name: 'Weir ربيع 茶 sauce', lines: SAUCE });
  await page.goto(`/formulas/${id}/record`);
  await ready(page);
  await page.getByRole('button', { name: 'Write a batch down' }).click();
  await page.getByRole('button', { name: 'Into the book' }).click();
  await expect(page).toHaveURL(/batches\/.*\/record/);
  await ready(page);
  await page.getByRole('link', { name: 'Labels' }).click();
  await expect(page.getByRole('heading', { name: 'Labels' })).toBeVisible();
  const asked = page.getByRole('region', { name: 'What the label says' });
  const printed = page.getByRole('region', { name: 'As it prints' });
  await expect(printed.getByRole('img', { name: /^Label 1/ })).toContainText('Ingredients:');
  await asked.getByLabel('Net weight').fill('200');
  await asked.getByLabel('Net weight').press('Enter');
  await expect(page).toHaveURL(/netG=200/);
  await asked.getByLabel('Size').selectOption({ label: 'tub' });
  await asked.getByLabel('Figures as').selectOption({ label: 'US-style' });
  await asked.getByLabel('How many').fill('6');
  await asked.getByLabel('How many').press('Enter');
  await expect(printed.getByRole('img', { name: /^Label 1/ })).toContainText('Contains: milk, soya');
  await expect(page).toHaveURL(/count=6/);
  // One letter is in none of the PDF’s fonts.
  await expect(printed.getByRole('alert')).toContainText('no letters for some of what stands on it (1 of them)');
  await expectAccessible(page);
  const address = await page.getByRole('link', { name: 'PDF', exact: true }).getAttribute('href');
  const answer = await page.request.get(address ?? '');
  expect(answer.headers()['content-type']).toContain('application/pdf');
  const pdf = await readPdf(await answer.body());
  const text = pdf.texts.map((each) => each.text).join(' ');
  expect(text).toContain('200 g');
  expect(text).toContain('Calories');
  expect(text.match(/Ingredients:/g)).toHaveLength(6);

  // An address that makes no sense is told, and shows the usual label.
  await page.goto(`${new URL(page.url()).pathname}?count=-4&size=barrel`);
  await expect(printed.getByRole('alert').first()).toContainText('could not be read');
  expect((await page.request.get(`${address}&size=barrel`)).status()).toBe(422);
  expect(silent).toEqual([]);
});
