import type { Page } from '@playwright/test';
import { expect, expectAccessible, gramsOf, kept, openFormula, STIFF_GANACHE, saved, test } from './kitchen';

const field = (page: Page, label: string) => page.getByLabel(label, { exact: true });
const use = (page: Page, name: string) => page.getByRole('button', { name, exact: true });

/** Grams to make, as they stand. */
async function toMake(page: Page): Promise<number> {
  const text = await page.getByTestId('make-grams').textContent();
  return Number(text?.replace(/[^\d.]/g, ''));
}

/** Opens a new brief and waits until it listens. */
async function newBrief(page: Page, path = '/brief') {
  await page.goto(path);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
}

/** Waits until everything has been tried. */
const allTried = (page: Page) =>
  expect(page.getByTestId('starts').getByRole('status')).toContainText('all tried', { timeout: 60_000 });

test('a brief with two uses is said, answered, and opened on the bench with its gates and amount', async ({
  page,
  silent,
}) => {
  await page.goto('/formulas');
  await page.getByRole('link', { name: 'New brief' }).first().click();
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await field(page, 'Coat pastry: how many').fill('48');
  await field(page, 'Coat pastry: what').fill('buckwheat éclairs');
  await expect.poll(() => toMake(page)).toBeGreaterThan(450);
  const one = await toMake(page);
  expect(one).toBeLessThan(900);
  await use(page, 'Pipe swirls').click();
  await field(page, 'Pipe swirls: worked at').fill('18');
  await expect.poll(() => toMake(page)).toBeGreaterThan(one);
  await expect(page.getByTestId('gate-cards')).toContainText('32 °C');
  await expect(page.getByTestId('gate-cards')).toContainText('would need 23');
  await expect(page.getByTestId('gate-cards')).toContainText('it stands from 200');
  await allTried(page);
  await expect(page.getByTestId('one-batch')).toContainText('One batch can do all of it');
  const first = page.locator('[data-start]').first();
  await expect(first).toContainText(/[✓≈] (lands|borderline), \d+/);
  const total = await toMake(page);
  await page.getByRole('button', { name: 'Open on the bench' }).click();
  await page.waitForURL(/balance$/);
  await expect(page.getByTestId('verdict')).toBeVisible();
  await expect(page.getByTestId('verdict')).not.toContainText('too');
  await expect(page.locator('[data-moment=pipe]')).toContainText('18');
  const id = page.url().split('/').at(-2) as string;
  const { file } = await kept(page, id);
  const grams = file.lines.reduce((sum, line) => sum + line.grams, 0);
  expect(Math.abs(grams / total - 1)).toBeLessThan(0.1);
  expect(file.name).toContain('48 buckwheat éclairs');
  await expect(page.getByTestId('brief-note')).toHaveCount(0);
  expect(silent).toEqual([]);
});

test('the use is drawn, and dragged thicker by finger or keys its gates move', async ({ page, silent }) => {
  await newBrief(page);
  const cards = page.getByTestId('gate-cards');
  const slider = page.getByRole('slider', { name: 'Coat pastry: thicker or thinner' });
  await expect(slider).toHaveAttribute('aria-valuetext', /^2\smm$/);
  const before = await cards.textContent();
  await slider.focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowUp');
  await expect(slider).toHaveAttribute('aria-valuetext', /^2\.5\smm$/);
  await expect(field(page, 'Coat pastry: thick')).toHaveValue('2.5');
  await expect.poll(() => cards.textContent()).not.toBe(before);
  const box = await slider.boundingBox();
  if (!box) throw new Error('it is there');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 60, { steps: 6 });
  await page.mouse.up();
  await expect.poll(async () => Number(await slider.getAttribute('aria-valuenow'))).toBeLessThan(2);
  await page.keyboard.press('Home');
  await expectAccessible(page);
  expect(silent).toEqual([]);
});

test('guests, pieces by name and the day it is wanted; what nobody asked for makes room', async ({ page, silent }) => {
  await newBrief(page);
  await use(page, 'Nap ice cream').click();
  await expect(field(page, 'Coat pastry: how many')).toHaveCount(0);
  await page.getByRole('group', { name: 'Nap ice cream: which' }).getByText('profiteroles').click();
  await field(page, 'Nap ice cream: guests').fill('8');
  await expect(field(page, 'Nap ice cream: how many')).toHaveValue('24');
  await field(page, 'Nap ice cream: profiteroles a guest').fill('4');
  await expect(field(page, 'Nap ice cream: how many')).toHaveValue('32');
  await field(page, 'Nap ice cream: how many').fill('30');
  await expect(field(page, 'Nap ice cream: guests')).toHaveValue('');
  await field(page, 'Nap ice cream: guests').fill('0');
  await expect(page.getByRole('alert').filter({ hasText: 'below 1' })).toBeVisible();
  await field(page, 'Nap ice cream: guests').fill('8');
  await field(page, 'Wanted on').fill('2027-03-06');
  await field(page, 'Wanted at').fill('19:30');
  await expect(page.getByTestId('wanted')).toContainText('onto the schedule');
  await allTried(page);
  const names = await page.locator('[data-start]').allTextContents();
  expect(names.filter((name) => /mirror/i.test(name) && name.includes('from the larder'))).toEqual([]);
  await expect(page.locator('[data-start]').first()).toContainText(/like [a-z ]+ at 40\s?°C/);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Open on the bench' }).click();
  await page.waitForURL(/balance$/);
  const id = page.url().split('/').at(-2) as string;
  expect((await kept(page, id)).file.brief?.jobs[0]).toMatchObject({ piece: 'profiterole', guests: 8, count: 24 });
  const { tasks } = (await (await page.request.get('/api/days/2027-03-06')).json()) as {
    tasks: { formulaId: string; readyMinutes: number }[];
  };
  expect(tasks).toMatchObject([{ formulaId: id, readyMinutes: 19 * 60 + 30 }]);
  await page.goto(`/formulas/${id}/method`);
  await expect(field(page, 'Ready at')).toHaveValue('19:30');
  expect(silent).toEqual([]);
});

test('a recipe of one’s own is pasted into a brief and judged beside the rest', async ({ page, silent }) => {
  await newBrief(page);
  await use(page, 'Fondue pot').click();
  await expect(page.getByText(/Serve a warm pot within/)).toBeVisible();
  await page.getByRole('button', { name: 'Paste a recipe of your own' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('textbox').first().fill('200 g dark chocolate 60 %\n200 g whipping cream 35 %');
  await sheet.getByLabel('Name', { exact: true }).fill('Towpath pot');
  await sheet.getByRole('button', { name: 'Make it a formula' }).click();
  await expect(sheet).toHaveCount(0);
  await allTried(page);
  await expect(page.locator('[data-start]').first()).toContainText('Towpath pot');
  await expect(page.locator('[data-start]').first().getByRole('radio')).toBeChecked();
  expect(silent).toEqual([]);
});

test('gates that exclude each other are told, with what would help, and nothing is lost', async ({ page, silent }) => {
  await newBrief(page);
  await field(page, 'Coat pastry: how many').fill('25');
  await use(page, 'Pool a plate').click();
  await field(page, 'Pool a plate: worked at').fill('20');
  await expect(page.getByTestId('excluded')).toContainText('nothing gets thinner on cooling');
  await expect(page.locator('[data-start]').first()).toContainText('✕ misses');
  await field(page, 'Pool a plate: worked at').fill('45');
  await expect(page.getByTestId('excluded')).toHaveCount(0);
  await expect(field(page, 'Coat pastry: how many')).toHaveValue('25');
  expect(silent).toEqual([]);
});

test('a new brief begins in this kitchen, and what was said is there after a reload', async ({ page, silent }) => {
  await page.goto('/formulas');
  await page.evaluate(() => localStorage.setItem('dark-pour:kitchen', '27'));
  await newBrief(page);
  await expect(field(page, 'Kitchen temperature')).toHaveValue('27');
  await expect(page.getByText('cocoa butter hardly sets')).toBeVisible();
  await field(page, 'Coat pastry: what').fill('lock-keeper’s éclairs');
  await page.reload();
  await expect(field(page, 'Coat pastry: what')).toHaveValue('lock-keeper’s éclairs');
  await page.getByRole('button', { name: 'Begin anew' }).click();
  await expect(field(page, 'Coat pastry: what')).toHaveValue('');
  await expect(field(page, 'Kitchen temperature')).toHaveValue('27');
  expect(silent).toEqual([]);
});

test('other pieces of the same use add up, and are taken out again', async ({ page, silent }) => {
  await newBrief(page);
  // What this kitchen has learnt is read a moment after the page: the amount follows it.
  await allTried(page);
  const one = await toMake(page);
  await page.getByRole('button', { name: 'Coat pastry: and other pieces' }).click();
  await page.getByLabel('Coat pastry 2: counted as').selectOption('dome');
  await field(page, 'Coat pastry 2: how many').fill('30');
  await field(page, 'Coat pastry 2: diameter').fill('6');
  await expect.poll(() => toMake(page)).toBeGreaterThan(1.5 * one);
  await expect(page.getByTestId('amount')).toContainText('30 ×');
  await expect(
    page
      .getByTestId('gate-cards')
      .getByRole('listitem')
      .filter({ has: page.getByText('flow', { exact: true }) }),
  ).toHaveCount(2);
  await page.getByRole('button', { name: 'Coat pastry 2: take it out' }).click();
  await expect.poll(() => toMake(page)).toBe(one);
  expect(silent).toEqual([]);
});

test('senseless numbers get a word beside the field and keep what was typed', async ({ page, silent }) => {
  await newBrief(page);
  // The amount is that of the start that is chosen, once there is one.
  await allTried(page);
  const before = await toMake(page);
  for (const [label, typed, word] of [
    ['Coat pastry: how many', '0', 'below 1'],
    ['Coat pastry: how many', '1e9', 'more than 10 000'],
    ['Coat pastry: thick', '40', 'more than 8 mm'],
    ['Kitchen temperature', '60', 'more than 45 °C'],
    ['Coat pastry: length', 'NaN', "isn't a number"],
    ['Pan width', '-5', 'below 8 cm'],
    ['Coat pastry: hours', '', 'Type a number'],
  ] as const) {
    await field(page, label).fill(typed);
    await expect(page.getByRole('alert').filter({ hasText: word })).toBeVisible();
    await expect(field(page, label)).toHaveValue(typed);
    expect(await toMake(page)).toBe(before);
    await field(page, label).press('Escape');
  }
  await field(page, 'Coat pastry: thick').fill('2,5');
  await expect.poll(() => toMake(page)).toBeGreaterThan(before);
  await field(page, 'Coat pastry: how many').fill('10 000');
  await expect(page.getByTestId('pans')).toContainText('Split it over');
  expect(silent).toEqual([]);
});

test('a bigger batch is split into two equal pans, and back', async ({ page, silent }) => {
  await newBrief(page);
  await field(page, 'Coat pastry: how many').fill('180');
  await expect(page.getByTestId('pans')).toContainText('over 2 pans of 20 cm');
  await field(page, 'Pan width').fill('28');
  await expect(page.getByTestId('pans')).toContainText('One pan of 28 cm');
  expect(silent).toEqual([]);
});

test('“make this for…” scales a formula for another occasion and leaves it as it is', async ({ page, silent }) => {
  const id = await openFormula(page, { yield: { targetGrams: 410, bowlLossGrams: 10, evaporationGrams: 20 } });
  await page.getByRole('button', { name: 'More of this formula' }).click();
  await page.getByRole('menuitem', { name: 'Make this for…' }).click();
  await page.waitForURL(/brief\?from=/);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await field(page, 'Coat pastry: how many').fill('100');
  await field(page, 'Coat pastry: what').fill('harbour feast éclairs');
  await allTried(page);
  const own = page.locator(`[data-start="${id}"]`);
  await expect(own).toContainText('Weir test ganache');
  await own.click();
  await expect(page.getByTestId('scaling')).toContainText('from 420 g');
  await expect(page.getByTestId('scaling')).toContainText('min in this pan');
  await page.keyboard.press('Control+Enter');
  await page.waitForURL((url) => url.pathname.endsWith('/balance') && !url.pathname.includes(id));
  const made = await kept(page, page.url().split('/').at(-2) as string);
  expect(made.file.name).toBe('Weir test ganache, for 100 harbour feast éclairs');
  expect(made.file.lines.reduce((sum, line) => sum + line.grams, 0)).toBeGreaterThan(900);
  expect((await kept(page, id)).file.lines.map(({ grams }) => grams)).toEqual([200, 200, 20]);
  expect(silent).toEqual([]);
});

test('a brief belongs to its formula: the gates follow, the grams do not, and the bench says what differs', async ({
  page,
  silent,
}) => {
  const id = await openFormula(page);
  await page.getByRole('link', { name: 'Brief' }).click();
  await page.waitForURL(/brief$/);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await expect(page.getByRole('radio', { name: /The pan as it is/ })).toBeChecked();
  await field(page, 'Coat pastry: how many').fill('200');
  await page.getByRole('button', { name: 'no dairy' }).click();
  await page.getByRole('button', { name: 'Open on the bench' }).click();
  await page.waitForURL(/balance$/);
  expect((await kept(page, id)).file.lines.map(({ grams }) => grams)).toEqual([200, 200, 20]);
  const versions = async () => (await (await page.request.get(`/api/formulas/${id}/versions`)).json()).versions;
  expect(await versions()).toMatchObject([{ name: 'Before the brief', file: { gates: STIFF_GANACHE.gates } }]);
  const note = page.getByTestId('brief-note');
  await expect(note).toContainText('Whipping cream 35 % goes against it');
  await note.getByRole('button', { name: 'Scale the pan' }).click();
  await expect(note).not.toContainText('The brief asks for');
  expect(Number(await gramsOf(page, 'Dark couverture').inputValue())).toBeGreaterThan(900);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(gramsOf(page, 'Dark couverture')).toHaveValue('200');
  await note.getByRole('link', { name: 'Look at the brief' }).click();
  await page.waitForURL(/brief$/);
  await expect(field(page, 'Coat pastry: how many')).toHaveValue('200');
  await page.getByRole('button', { name: 'Open on the bench' }).click();
  await page.waitForURL(/balance$/);
  expect(await versions(), 'gates of a brief follow it without a word').toHaveLength(1);
  await newBrief(page, `/formulas/${id}/brief`);
  await allTried(page);
  await page.locator(`[data-start="${id}"]`).click();
  await expect(page.getByText('What stands there now is kept as a version.')).toBeVisible();
  expect(silent).toEqual([]);
});

test('what is set by hand on the bench stays when the brief is opened again', async ({ page, silent }) => {
  const id = await openFormula(page);
  await newBrief(page, `/formulas/${id}/brief`);
  await page.getByRole('button', { name: 'Open on the bench' }).click();
  await page.waitForURL(/balance$/);
  await page.getByRole('button', { name: 'Change what it must do' }).click();
  await page
    .getByLabel(/^At most, Flow/)
    .first()
    .fill('4');
  await page.getByRole('button', { name: 'Add a moment' }).click();
  await page.getByLabel('Name of moment 4').fill('in the boat');
  await page.getByRole('button', { name: 'Use these' }).click();
  await saved(page);
  await newBrief(page, `/formulas/${id}/brief`);
  const cards = page.getByTestId('gate-cards');
  await expect(cards).toContainText('1.5–4.0');
  await expect(cards).toContainText('Set by you.');
  await field(page, 'Coat pastry: how many').fill('60');
  await page.getByRole('button', { name: 'Open on the bench' }).click();
  await page.waitForURL(/balance$/);
  await expect(page.locator('[data-moment="in the boat"]')).toBeVisible();
  const { file } = await kept(page, id);
  expect(file.gates.find(({ quantity }) => quantity === 'apparentViscosityPaS')).toMatchObject({ high: 4 });
  expect(file.moments.map(({ name }) => name)).toContain('in the boat');
  expect(file.brief?.jobs[0]?.count).toBe(60);
  expect(silent).toEqual([]);
});

test('another tablet’s save is told before a brief goes over it', async ({ page, silent }) => {
  const id = await openFormula(page);
  await newBrief(page, `/formulas/${id}/brief`);
  const { revision, file } = await kept(page, id);
  const theirs = await page.request.put(`/api/formulas/${id}`, {
    data: { revision, formula: { ...file, name: 'Renamed on the boat' } },
  });
  expect(theirs.ok()).toBe(true);
  await field(page, 'Coat pastry: how many').fill('31');
  await page.getByRole('button', { name: 'Open on the bench' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Another tablet saved' })).toBeVisible();
  expect((await kept(page, id)).file.name).toBe('Renamed on the boat');
  await page.reload();
  await expect(field(page, 'Coat pastry: how many')).toHaveValue('31');
  await expect(page.getByText('This is what you said last time')).toBeVisible();
  await page.getByRole('button', { name: 'Open on the bench' }).click();
  await page.waitForURL(/balance$/);
  expect((await kept(page, id)).file.name).toBe('Renamed on the boat');
  expect(silent).toEqual([]);
});

test('a gate is set otherwise and goes back to what physics gives', async ({ page, silent }) => {
  await newBrief(page);
  const cards = page.getByTestId('gate-cards');
  await expect(cards).toContainText('1.5–7.0');
  await cards.getByRole('button', { name: 'set it otherwise' }).first().click();
  await cards.getByLabel('To', { exact: true }).fill('4');
  await expect(cards).toContainText('1.5–4.0');
  await expect(cards).toContainText('Set by you.');
  await cards.getByRole('button', { name: 'Back to what physics gives' }).click();
  await expect(cards).toContainText('1.5–7.0');
  expect(silent).toEqual([]);
});

test('the slope of the side and the tip of the bag move the gates, and a start shows its puddle at each moment', async ({
  page,
  silent,
}) => {
  await newBrief(page);
  const cards = page.getByTestId('gate-cards');
  const grams = await toMake(page);
  await expect(cards).toContainText('hanging on an upright side for good would need 23');
  await field(page, 'Coat pastry: slope').selectOption('shallow');
  await expect(cards).toContainText('hanging on a slope of 30° for good would need 11');
  await expect(cards).toContainText('0.38–1.8');
  expect(await toMake(page), 'the same coat weighs the same').toBe(grams);
  await use(page, 'Pipe swirls').click();
  await expect(cards).toContainText('a hand tires at the bag with a tip of 10');
  await field(page, 'Pipe swirls: nozzle').fill('4');
  await expect(cards).toContainText('a hand tires at the bag with a tip of 4');
  await field(page, 'Pipe swirls: nozzle').fill('0');
  await expect(page.getByText("It can't be below 2 mm.")).toBeVisible();
  await expect(cards, 'what was last understood stays').toContainText('with a tip of 4');
  await field(page, 'Pipe swirls: nozzle').fill('12');
  await allTried(page);
  const puddles = page.locator('[data-start]').first().getByRole('img');
  await expect(puddles).toHaveCount(3);
  const spreads = await puddles.evaluateAll((all) =>
    all.map((each) => Number(/spreads to (\d+)/.exec(each.getAttribute('aria-label') ?? '')?.[1])),
  );
  expect(spreads[0], 'warm it spreads further than set').toBeGreaterThan(spreads[1] ?? 0);
  expect(silent).toEqual([]);
});

test('the whole brief by keyboard, and accessible in both themes and upright', async ({ page, silent }) => {
  await newBrief(page);
  await page.getByRole('button', { name: 'Nap ice cream' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('job-nap')).toBeVisible();
  await field(page, 'Nap ice cream: how many').focus();
  await page.keyboard.press('ArrowUp');
  await expect(field(page, 'Nap ice cream: how many')).toHaveValue('21');
  await page.keyboard.press('Tab');
  await page.keyboard.type('pear sorbet');
  await allTried(page);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Dark Pour: rooms and light' }).click();
  await page.getByRole('menuitem', { name: 'Night theme' }).click();
  await page.setViewportSize({ width: 768, height: 1024 });
  await expectAccessible(page);
  const wider = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(wider).toBeLessThanOrEqual(0);
  await page.locator('[data-start] input').first().focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('[data-start] input').nth(1)).toBeChecked();
  await page.keyboard.press('Control+Enter');
  await page.waitForURL(/balance$/);
  expect(silent).toEqual([]);
});

test('wishes nothing on the shelf can fulfil are told with what is missing', async ({ page, silent }) => {
  await newBrief(page);
  await page.getByRole('button', { name: 'no gelatin' }).click();
  await page.getByLabel('Thickened by').selectOption('gelatin');
  await allTried(page);
  await expect(page.getByTestId('starts')).toContainText('gelatin mirror glaze, dark (gelatin)');
  await page.getByRole('button', { name: 'Start with an empty pan' }).click();
  await page.waitForURL(/balance$/);
  await expect(page.getByText('The pan is empty.')).toBeVisible();
  expect(silent).toEqual([]);
});

test('the search can be stopped and goes on', async ({ page, silent }) => {
  await newBrief(page);
  // Wishes nothing fulfils keep it busy for a while.
  await page.getByLabel('Shine', { exact: true }).selectOption('high');
  await page.getByLabel('Cocoa at least', { exact: true }).fill('70');
  const starts = page.getByTestId('starts');
  await starts.getByRole('button', { name: 'Stop' }).click();
  await expect(starts.getByRole('status')).toContainText('stopped');
  await starts.getByRole('button', { name: 'Go on' }).click();
  await allTried(page);
  await expect(page.locator('[data-start]').first()).toContainText('✕ misses');
  expect(silent).toEqual([]);
});
