import type { Page } from '@playwright/test';
import type { BatchAnswer } from '@/formats/batch';
import type { FormulaFileInput } from '@/formats/formula-file';
import { expect, expectAccessible, openFormula, test } from './kitchen';

const SAUCE = [
  { ingredient: 'cream-35', grams: 240, form: 'boil, then pour' },
  { ingredient: 'dark-couverture-60', grams: 200, form: 'chopped' },
  { ingredient: 'butter-unsalted-82', grams: 40, form: 'cold, at the end' },
];

/** A batch as the server keeps it. */
const batchOf = async (page: Page, id: string): Promise<BatchAnswer> =>
  (await page.request.get(`/api/batches/${id}`)).json();
const kinds = async (page: Page, id: string) => (await batchOf(page, id)).events.map(({ what: { kind } }) => kind);

/** Begins a batch from the method and waits until it listens; weighed as it goes unless a test weighs first. */
async function cook(
  page: Page,
  name: string,
  lines: FormulaFileInput['lines'] = SAUCE,
  weighsFirst = false,
): Promise<{ formula: string; batch: string }> {
  const formula = await openFormula(page, { name, lines });
  await page.goto(`/formulas/${formula}/method`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await page.getByRole('button', { name: 'Cook this now' }).click();
  await expect(page.getByRole('heading', { name: 'Weigh first' })).toBeVisible();
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  const batch = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  if (!weighsFirst) {
    await page.getByRole('button', { name: 'Weigh the rest as I go' }).click();
    await expect(now(page)).not.toHaveText('Weigh first');
  }
  return { formula, batch };
}
/** The step that is worked on. */
const now = (page: Page) => page.locator('h1');
const isIn = (page: Page) => page.getByRole('button', { name: /^It is in:/ });

/** Says of everything that goes in with this step that it is in, and goes on. */
async function goOn(page: Page) {
  const name = (await now(page).textContent()) ?? '';
  while ((await isIn(page).count()) > 0) {
    const left = await isIn(page).count();
    await isIn(page).first().click();
    await expect(isIn(page)).toHaveCount(left - 1);
  }
  await page.getByRole('button', { name: /^Done, go on/ }).click();
  await expect(now(page)).not.toHaveText(name);
}

test('a row that goes in at two times is judged by the part that goes in now', async ({ page }) => {
  const lines = [
    { ingredient: 'water', grams: 420 },
    { ingredient: 'sugar-granulated', grams: 170 },
    { ingredient: 'dark-couverture-70', grams: 60 },
    { ingredient: 'starch-corn', grams: 9, form: 'slaked' },
  ];
  await cook(page, 'Weir slurry', lines);
  await page.getByRole('button', { name: 'No, only show them' }).click();
  const water = page.getByRole('list', { name: 'Weigh in' }).getByRole('listitem').filter({ hasText: 'Water' });
  await expect(water).toContainText(/is as good/);
  const most = /([\d.]+)\s*g is as good/.exec((await water.textContent()) ?? '')?.[1];
  expect(Number(most)).toBeLessThan(300);
  await page.getByLabel('Weighed: Water').fill('900');
  await page.keyboard.press('Enter');
  await expect(water.getByRole('alert')).toContainText(/g too much Water/);
});

test('a batch by keys alone: weighed, read, checked, reloaded in the middle, finished', async ({ page, silent }) => {
  const { formula, batch } = await cook(page, 'Weir batch');
  await page.getByRole('button', { name: 'No, only show them' }).click();
  await expect(now(page)).toContainText('To a rolling boil');
  await page.getByLabel('Weighed: Whipping cream 35 %').fill('241');
  await page.keyboard.press('Enter');
  await expect.poll(() => kinds(page, batch)).toEqual(['weighedOut', 'weigh']);
  await page.getByLabel('Temperature now').fill('400');
  await expect(page.getByRole('alert').filter({ hasText: '250' })).toBeVisible();
  await page.getByLabel('Temperature now').fill('98');
  await page.keyboard.press('Enter');
  await expect(page.getByText('last 98')).toBeVisible();
  await page.getByTestId('ring-says').waitFor({ state: 'detached' });
  // A slip is asked about before it counts.
  await page.getByLabel('Spread', { exact: true }).fill('390');
  await page.getByLabel('Temperature of the spread').fill('60');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'far off' })).toBeVisible();
  await page.getByRole('button', { name: 'Type it again' }).click();
  await expect(page.getByTestId('ring-says')).toHaveCount(0);
  await page.getByLabel('Spread', { exact: true }).fill('92');
  await page.getByLabel('Temperature of the spread').fill('38');
  await page.keyboard.press('Enter');
  // Only the cream is in: that it spreads so little is surprising, and so.
  await page.getByRole('button', { name: 'It is so' }).click();
  await expect(page.getByTestId('ring-says')).toContainText(/(thicker|thinner|as reckoned)/);
  await page.getByLabel('What the timer is for').fill('case');
  await page.getByLabel('Timer runs for').fill('10 min');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Stop the timer case' })).toBeVisible();
  await expectAccessible(page);

  // Space goes on, the left arrow back.
  await page.locator('h1').click();
  await page.keyboard.press('Space');
  await expect(now(page)).toContainText('Pour over');
  await page.keyboard.press('ArrowLeft');
  await expect(now(page)).toContainText('To a rolling boil');
  await page.keyboard.press('Space');
  await expect(now(page)).toContainText('Pour over');

  // The tablet is dead; another page goes on where it stood, its clock right.
  await page.reload();
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await expect(now(page)).toContainText('Pour over');
  // Nobody said that the chocolate is in: the clock of this step stands.
  const clock = page.getByRole('timer').first();
  await expect(clock).toHaveText('2:00');
  await expect(page.getByRole('button', { name: 'Stop the timer case' })).toBeVisible();

  // The formula goes while its batch runs: the batch stays.
  await page.request.delete(`/api/formulas/${formula}`);
  for (let step = 0; step < 6; step++) {
    if (await page.getByRole('button', { name: 'Finish the batch' }).isVisible()) break;
    const before = (await kinds(page, batch)).length;
    const heading = (await now(page).textContent()) ?? '';
    await page.locator('h1').click();
    await page.keyboard.press('Space');
    // What is open is asked about; once all is answered it goes on by itself.
    const asked = page.getByRole('dialog').getByRole('button', { name: /^It is in after all/ });
    while ((await now(page).textContent()) === heading && (await asked.count()) > 0) {
      const left = await asked.count();
      await asked.first().press('Enter');
      await expect(asked).toHaveCount(left - 1);
    }
    await expect.poll(async () => (await kinds(page, batch)).length).toBeGreaterThan(before);
  }
  await page.getByLabel('In the bowl').fill('462');
  await page.getByRole('button', { name: 'Finish the batch' }).click();
  await expect(page.getByRole('heading', { name: 'Done, and written down' })).toBeVisible();
  await expect.poll(async () => (await batchOf(page, batch)).head.state).toBe('finished');
  const kept = await batchOf(page, batch);
  expect([kept.head.state, kept.events.at(-1)?.what.kind]).toEqual(['finished', 'finish']);
  expect(kept.frozen.file.name).toBe('Weir batch');
  await expectAccessible(page);
  expect(silent).toEqual([]);
});

test('what is typed is what went in, however it is sent; a batch is begun with the grams of its formula', async ({
  page,
  silent,
}) => {
  const lines = [...SAUCE, { ingredient: 'lecithin-soy', grams: 0.4 }];
  const { batch } = await cook(page, 'Weir by hand', lines);
  const planned = (await batchOf(page, batch)).frozen.file.lines.map(({ grams }) => grams);
  expect(planned).toEqual([240, 200, 40, 0.4]);
  await page.getByLabel('Weighed: Whipping cream 35 %').fill('231.5');
  await page.getByRole('button', { name: 'It is in: Whipping cream 35 %' }).click();
  await expect(page.getByRole('button', { name: 'As written: Whipping cream 35 %' })).toBeVisible();
  await page.locator('h1').click();
  const weighed = async () =>
    (await batchOf(page, batch)).events.flatMap(({ what }) => (what.kind === 'weigh' ? [what.grams] : []));
  await expect.poll(weighed).toEqual([231.5]);
  await page.reload();
  await expect(page.getByLabel('Weighed: Whipping cream 35 %')).toHaveValue('231.5');
  expect(silent).toEqual([]);
});

test('too much cream: what it does is said, and the rest makes up for it', async ({ page, silent }) => {
  const { batch } = await cook(page, 'Weir over');
  await page.setViewportSize({ width: 768, height: 1024 });
  await expect(page.getByText(/is as good$/).first()).toBeVisible();
  await page.getByLabel('Weighed: Whipping cream 35 %').fill('420');
  await page.keyboard.press('Enter');
  const told = page.getByRole('alert').filter({ hasText: 'too much Whipping cream' });
  // Three choices, each with what it comes to; poured in, it cannot be spooned out.
  await expect(told).toContainText(/Leave it:.*thinner.*would work/);
  await expect(told.getByRole('button', { name: /^Spoon out/ })).toHaveCount(0);
  const made = told.getByRole('listitem').filter({ hasText: 'Make up for it' });
  const wanted = Number(/Dark couverture 60 % ([\d.]+)/.exec((await made.textContent()) ?? '')?.[1]);
  expect(wanted).toBeGreaterThan(250);
  await made.getByRole('button').click();
  await expect.poll(() => kinds(page, batch)).toContain('replan');
  await page.locator('h1').click();
  await page.keyboard.press('Space');
  await expect(now(page)).toContainText('Pour over');
  await expect(page.getByRole('list', { name: 'Weigh in' })).toContainText(`${wanted} g`);
  await expectAccessible(page);
  expect(silent).toEqual([]);
});

test('two tablets on one batch follow each other; both may finish the same step; one is offline for a while', async ({
  page,
  context,
  silent,
}) => {
  const { batch } = await cook(page, 'Weir two tablets');
  const other = await context.newPage();
  await other.goto(`/batches/${batch}`);
  await expect(other.locator('[data-ready=true]')).toBeVisible();
  await page.bringToFront();
  await goOn(page);
  await other.bringToFront();
  await expect(now(other)).toContainText('Pour over');
  // The same step from both, one of them from a stale page.
  await page.request.post(`/api/batches/${batch}/events`, {
    data: {
      after: 0,
      events: [{ key: 'stale-page-done', tablet: 'c', tabletMs: 1, what: { kind: 'done', step: 0 } }],
    },
  });
  await expect(now(other)).toContainText('Pour over');

  // Without the server everything goes on, is kept here, and is told when it is back.
  await other.route('**/api/batches/**', (route) => route.abort());
  await goOn(other);
  await expect(now(other)).toContainText('Stir from the middle');
  await expect(other.getByRole('alert').filter({ hasText: 'Not told yet' })).toContainText('kept on this tablet');
  await other.reload();
  await expect(other.locator('[data-ready=true]')).toBeVisible();
  await expect(now(other)).toContainText('Stir from the middle');
  await other.unroute('**/api/batches/**');
  await other.getByRole('button', { name: 'Try now' }).click();
  await expect(other.getByRole('status').filter({ hasText: 'Kept as you go' })).toBeVisible();
  await page.bringToFront();
  await expect(now(page)).toContainText('Stir from the middle');
  const steps = (await batchOf(page, batch)).events.flatMap(({ what }) => (what.kind === 'done' ? [what.step] : []));
  expect(steps).toEqual([0, 0, 1]);
  expect(silent).toEqual([]);
});

test('a pan that looks wrong is rescued in two portions, which stand in its log and go into the formula', async ({
  page,
  silent,
}) => {
  const { formula, batch } = await cook(page, 'Weir rescue');
  for (const name of ['To a rolling boil', 'Pour over']) {
    await expect(now(page)).toContainText(name);
    await goOn(page);
  }
  await expect(now(page)).toContainText('Stir from the middle');
  await expect(page.getByTestId('pan-stills')).toContainText(/Lift the spoonIt (falls|runs|drops).*Once cold it/);
  await page.getByRole('region', { name: 'Looks' }).getByRole('button', { name: 'Oily or torn' }).click();
  const wrong = page.getByRole('alert').filter({ hasText: 'Oily at the rim' });
  // A bad answer leads to its rescue, which knows what was seen.
  await wrong.getByRole('link', { name: 'Fix it' }).click();
  await expect(page).toHaveURL(/rescue/);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  const fix = page.getByRole('region', { name: 'What to do' });
  await expect(fix).toContainText('Whipping cream 35 % at 5 °C from the middle');
  // A fault is fixed in the same form as the flow: what went in and whether it worked stand in the batch.
  await fix.getByRole('button', { name: 'It is in' }).first().click();
  await fix.getByRole('button', { name: 'It worked' }).click();
  await expect(fix).toContainText('It is noted in the batch');
  await expect.poll(async () => (await kinds(page, batch)).slice(-2)).toEqual(['add', 'fix']);
  await page.getByRole('button', { name: 'Something else', exact: true }).click();
  await expect(page.getByRole('region', { name: 'In the pan' })).toContainText(/4[34]\d\sg/);
  await page.getByRole('button', { name: 'Far too thick' }).click();
  const portion = page.getByRole('region', { name: 'The next portion' });
  // As planned, now, and after the portion: each thinner line closes further.
  await expect(portion.getByTestId('portion-pictures').getByRole('listitem')).toHaveText([
    /^As planned/,
    /^Now/,
    /^After this portion/,
  ]);
  await expect(page.getByRole('region', { name: 'What happened' })).toContainText('%');
  await portion.getByRole('button', { name: 'Something else instead' }).click();
  await expect(portion.getByRole('row')).not.toHaveCount(0);
  await expectAccessible(page);
  await portion.getByRole('button', { name: 'It is in' }).click();
  await portion.getByRole('button', { name: 'Far too thick' }).click();
  await portion.getByRole('button', { name: 'It is in' }).click();
  await portion.getByRole('button', { name: 'Right', exact: true }).click();
  // "Right" may be asked once more; the cook may end it.
  const stop = portion.getByRole('button', { name: 'It is right: stop here' });
  await expect(portion.getByText('It is right.').or(stop)).toBeVisible();
  if (await stop.isVisible()) await stop.click();
  await expect(portion).toContainText('It is right.');
  await expect.poll(async () => (await kinds(page, batch)).filter((kind) => kind === 'add').length).toBe(3);
  await page.getByRole('button', { name: /write it into the formula/ }).click();
  await expect(page.getByText('Written into the formula')).toBeVisible();
  const kept = (await (await page.request.get(`/api/formulas/${formula}`)).json()) as {
    file: { lines: { ingredient: string; grams: number }[] };
  };
  const whole = kept.file.lines.reduce((sum, { grams }) => sum + grams, 0);
  expect(whole).toBeGreaterThan(481);
  expect(silent).toEqual([]);
});

test('too thin is saved with chocolate; without a batch, by its formula; a broken one is told what to do', async ({
  page,
  silent,
}) => {
  const id = await openFormula(page, { name: 'Weir thin', lines: SAUCE });
  await page.goto('/rescue');
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  // What is seen comes first, at once; then which pan.
  await page.getByRole('button', { name: 'Far too thin' }).click();
  await page.getByLabel('Formula of the pan').selectOption({ label: 'Weir thin' });
  await expect(page).toHaveURL(new RegExp(id));
  await page.getByRole('button', { name: 'Correct it' }).click();
  await page.getByLabel('In the pan: Whipping cream 35 %').fill('300');
  await page.getByRole('button', { name: 'That is right' }).click();
  const portion = page.getByRole('region', { name: 'The next portion' });
  await expect(portion).toContainText(/Chop \d+\sg of Dark couverture/);
  await page.getByRole('button', { name: 'Something else', exact: true }).click();
  await page.getByRole('button', { name: 'Oily or curdled' }).click();
  await expect(page.getByRole('region', { name: 'What to do' })).toContainText('from the middle');
  await page.getByRole('button', { name: 'Something else', exact: true }).click();
  // Grainy and stiff is asked about before anything is told.
  await page.getByRole('button', { name: 'Grainy and stiff' }).click();
  const asked = page.getByRole('region', { name: 'A question first' });
  for (let i = 0; i < 2 && (await asked.isVisible()); i++) {
    await asked
      .getByRole('button', { name: /^(Crunchy|No$)/ })
      .first()
      .click();
  }
  await expect(page.getByRole('region', { name: 'What happened' })).toContainText('sugar');
  await page.getByRole('button', { name: 'Something else', exact: true }).click();
  await page.getByRole('button', { name: 'Too sweet' }).click();
  await expect(page.getByRole('region', { name: 'What to do' })).toContainText(/chocolate|couverture/i);
  await page.setViewportSize({ width: 768, height: 1024 });
  await expectAccessible(page);
  expect(silent).toEqual([]);
});

test('bad requests are answered with a word', async ({ page, silent }) => {
  const { batch } = await cook(page, 'Weir bad');
  const tell = async (what: unknown) => {
    const data = { after: 0, events: [{ key: `key-${Math.random()}`, tablet: 'a', tabletMs: 1, what }] };
    const answer = await page.request.post(`/api/batches/${batch}/events`, { data });
    expect(answer.status()).toBe(200);
    const { refused, events } = (await answer.json()) as { refused: { message: string }[]; events: unknown[] };
    return refused[0]?.message ?? `kept ${events.length}`;
  };
  expect(await tell({ kind: 'temperature', temperatureC: 400, by: 'probe' })).toContain('must be at most 250 °C');
  expect(await tell({ kind: 'temperature', temperatureC: -40, by: 'probe' })).toContain('must be at least -30 °C');
  expect(await tell({ kind: 'weigh', step: 0, row: 0, grams: -5, by: 'hand' })).toContain('must be at least 0 g');
  expect(await tell({ kind: 'timer', id: 'a', label: 'b', seconds: -3 })).toContain('must be at least 1 s');
  expect(await tell({ kind: 'poured', grams: 90_000 })).toMatch(/^kept/);
  const keyless = { after: 0, events: [{ what: { kind: 'finish' } }] };
  expect((await page.request.post(`/api/batches/${batch}/events`, { data: keyless })).status()).toBe(422);
  expect((await page.request.get('/api/batches/constructor')).status()).toBe(404);
  expect((await page.request.post('/api/batches', { data: { formulaId: 'nobody' } })).status()).toBe(422);
  await page.goto('/batches');
  await expect(page.getByRole('list', { name: 'Batches' })).toContainText('Weir bad');
  expect(silent).toEqual([]);
});

test('scale and probe for practice: weighed by the scale, read by the probe, sped up, lost', async ({
  page,
  silent,
}) => {
  const { batch } = await cook(page, 'Weir devices');
  await page.getByRole('button', { name: 'Practise with scale and probe' }).click();
  const scale = page.getByTestId('scale');
  await expect(scale).toContainText(/^-?[01]\s?g$/);
  await page.getByLabel('Pour onto the scale').fill('241');
  await page.keyboard.press('Enter');
  await expect(scale).toContainText(/24[012]\s?g/);
  await page.getByRole('button', { name: 'Take what the scale shows: Whipping cream 35 %' }).click();
  const weighed = async () =>
    (await batchOf(page, batch)).events.flatMap(({ what }) => (what.kind === 'weigh' ? [[what.by, what.grams]] : []));
  await expect.poll(weighed).toEqual([['scale', expect.closeTo(241, -1)]]);

  // The probe follows the pan as it is reckoned, its time sixty times as fast, and is written down by itself.
  await page.getByLabel('Speed of practice time').selectOption('60');
  // Nothing warms before the heat is on.
  await expect(page.getByTestId('probe')).not.toContainText(/\d\d\d|9\d/);
  await page.getByRole('button', { name: 'Heat is on' }).click();
  await expect(page.getByTestId('probe')).toContainText(/(9\d|10\d)/);
  await expect.poll(() => kinds(page, batch)).toContain('temperature');
  await expect(page.getByTestId('warmth-chart')).toBeVisible();
  await page.getByRole('button', { name: /^Done, go on/ }).click();
  await expect(now(page)).toContainText('Pour over');

  // Lost, it is by hand again.
  await page.getByLabel('scale lost').click();
  await expect(page.getByText('The scale says nothing')).toBeVisible();
  await page
    .getByRole('button', { name: /^It is in/ })
    .first()
    .click();
  await page.getByLabel('probe lost').click();
  await expect(page.getByTestId('probe')).toContainText('says nothing');
  await expectAccessible(page);
  const refused = await page.request.post(`/api/batches/${batch}/devices`, { data: { order: 'pour', grams: -5 } });
  expect(refused.status()).toBe(422);
  await page.getByRole('button', { name: 'Put scale and probe away' }).click();
  await expect(page.getByTestId('probe')).toBeHidden();
  expect(silent).toEqual([]);
});

test('the scale says what boiled off and what was poured off; a rescue takes rings and typed things into account', async ({
  page,
  silent,
}) => {
  const { batch } = await cook(page, 'Weir scale');
  await goOn(page);
  const beside = page.getByRole('region', { name: 'Beside the step' });
  await page.getByLabel('The pan holds now').fill('900');
  await page.keyboard.press('Enter');
  await expect(beside.getByRole('alert')).toContainText('more than went in');
  await page.getByLabel('The pan holds now').fill('225');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('lost-says')).toContainText('15 g');
  await page.getByLabel('Poured off').fill('25');
  await page.keyboard.press('Enter');
  await expect(beside).toContainText(/25\sg poured off so far/);
  await page.getByLabel('Spread', { exact: true }).fill('60');
  await page.getByLabel('Temperature of the spread').fill('40');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'It is so' }).click();
  await expect(page.getByTestId('ring-says')).toContainText('thicker than calculated');
  await expect.poll(() => kinds(page, batch)).toEqual(expect.arrayContaining(['lost', 'poured', 'ring']));

  await page.getByRole('link', { name: 'Fix a problem' }).click();
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await expect(page.getByRole('region', { name: 'In the pan' })).toContainText(/20\d\sg/);
  await page.getByRole('button', { name: 'Correct it' }).click();
  await page.getByRole('combobox', { name: 'Something else is in it' }).fill('Golden');
  await page.getByRole('option', { name: 'Golden syrup' }).click();
  await page.getByLabel('Something else is in it: grams').fill('30');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'In the pan' })).toContainText('Golden syrup, put in later');
  await page.getByRole('button', { name: 'A bit thick' }).click();
  const portion = page.getByRole('region', { name: 'The next portion' });
  await portion.getByText('Measure it first').click();
  await portion.getByLabel('Spread', { exact: true }).fill('62');
  await portion.getByLabel('Temperature of the spread').fill('38');
  await page.keyboard.press('Enter');
  await expect(portion).toContainText('The ring is counted in.');
  await expect.poll(async () => (await kinds(page, batch)).filter((kind) => kind === 'ring').length).toBe(2);
  await expectAccessible(page);
  expect(silent).toEqual([]);
});

test('a pan without batch and formula is typed, and rescued for what it was to do', async ({ page, silent }) => {
  await page.goto('/rescue');
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await page.getByRole('button', { name: 'Far too thick' }).click();
  const typed = page.getByRole('region', { name: 'Typed by hand' });
  for (const [name, grams] of [
    ['Whipping cream 35 %', '150'],
    ['Dark couverture 60 %', '300'],
  ] as const) {
    await typed.getByRole('combobox', { name: 'What went in' }).fill(name);
    await page.getByRole('option', { name }).first().click();
    await typed.getByLabel('What went in: grams').fill(grams);
    await page.keyboard.press('Enter');
    await expect(typed.getByRole('listitem').filter({ hasText: name })).toBeVisible();
    // By keys alone the next one is one Tab away.
    await page.keyboard.press('Tab');
    await expect(typed.getByRole('combobox', { name: 'What went in' })).toBeFocused();
    await page.keyboard.press('Escape');
  }
  await typed.getByLabel('What it was to do').selectOption({ label: 'Coat éclairs' });
  await expectAccessible(page);
  await typed.getByRole('button', { name: 'That is in the pan' }).click();
  await expect(page.getByRole('region', { name: 'In the pan' })).toContainText(/44\d\sg/);
  await expect(page.getByRole('region', { name: 'The next portion' })).toContainText(/Stir in .* of /);
  await page.goto('/rescue?rows=constructor:5,nobody:-3');
  await expect(page.getByRole('heading', { name: 'Fix a problem' })).toBeVisible();
  expect(silent).toEqual([]);
});

test.describe('without a keyboard', () => {
  test.use({ hasTouch: true, viewport: { width: 768, height: 1024 } });
  test('a whole batch by touch alone; a browser that refuses sound shows its timers', async ({ page, silent }) => {
    await page.addInitScript(() => {
      Object.defineProperty(window, 'AudioContext', {
        value: class {
          constructor() {
            throw new Error('sound is refused');
          }
        },
      });
    });
    const { batch } = await cook(page, 'Weir touch');
    await page.getByRole('button', { name: 'Yes, test it' }).tap();
    await expect(page.getByRole('alert').filter({ hasText: 'timers are shown, not heard' })).toBeVisible();
    for (let step = 0; step < 8; step++) {
      if (await page.getByRole('button', { name: 'Finish the batch' }).isVisible()) break;
      const before = (await kinds(page, batch)).length;
      for (let open = await isIn(page).count(); open > 0; open--) {
        await isIn(page).first().tap();
        await expect(isIn(page)).toHaveCount(open - 1);
      }
      const good = page.getByRole('region', { name: 'Looks' }).getByRole('button').first();
      if (await good.isVisible()) await good.tap();
      await page.getByRole('button', { name: /^Done, go on/ }).tap();
      await expect.poll(async () => (await kinds(page, batch)).length).toBeGreaterThan(before);
    }
    await page.getByRole('button', { name: 'Finish the batch' }).tap();
    await expect(page.getByRole('heading', { name: 'Done, and written down' })).toBeVisible();
    await expect.poll(async () => (await batchOf(page, batch)).head.state).toBe('finished');
    // The refusal of sound is told on the page, and is no fault of it.
    expect(silent).toEqual([]);
  });
});

test('a tablet without room says so, and what it tells is kept all the same once the server hears it', async ({
  page,
  context,
  silent,
}) => {
  const { batch } = await cook(page, 'Weir full');
  await page.evaluate(() => {
    const set = Storage.prototype.setItem;
    Storage.prototype.setItem = function (this: Storage, key: string, value: string) {
      if (key.includes('untold')) throw new DOMException('full', 'QuotaExceededError');
      set.call(this, key, value);
    };
  });
  await context.setOffline(true);
  await page.getByLabel('Temperature now').fill('61');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: /not even|no room/i })).toBeVisible();
  await expect(page.getByText('last 61')).toBeVisible();
  await context.setOffline(false);
  await expect.poll(() => kinds(page, batch)).toContain('temperature');
  expect(silent.filter((line) => !/ERR_INTERNET|Failed to (load|fetch)/.test(line))).toEqual([]);
  silent.length = 0;
});

test('weighed first and ticked once, then in by one press; the clock starts with the heat, never by opening the page', async ({
  page,
  silent,
}) => {
  const { batch } = await cook(page, 'Weir weighed', SAUCE, true);
  await page.getByRole('textbox', { name: 'Weighed: Whipping cream 35 %' }).fill('243');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'It is weighed: Dark couverture 60 %' }).click();
  await page.getByRole('button', { name: 'It is weighed: Butter, unsalted 82 %' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'To the stove' }).click();
  await expect(now(page)).toContainText('To a rolling boil');
  const row = page.getByRole('list', { name: 'Weigh in' }).getByRole('listitem').first();
  await expect(row).toContainText('weighed, beside the stove');
  await expect(row).toContainText('243 g');
  const clock = page.getByRole('timer').first();
  const stands = await clock.textContent();
  await page.reload();
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await page.waitForTimeout(2_500);
  await expect(clock).toHaveText(stands ?? '');
  await isIn(page).click();
  await expect(clock).toHaveText(stands ?? '');
  await page.getByRole('button', { name: 'Heat is on' }).click();
  await expect(clock).not.toHaveText(stands ?? '');
  const weighed = (await batchOf(page, batch)).events.flatMap(({ what }) =>
    what.kind === 'weigh' ? [[what.row, what.grams]] : [],
  );
  expect(weighed).toEqual([[0, 243]]);
  expect(silent).toEqual([]);
});

test('what is open is asked about: left out, later, in; the book tells each row against its plan', async ({
  page,
  silent,
}) => {
  const { batch } = await cook(page, 'Weir open');
  await page.getByLabel('Weighed: Whipping cream 35 %').fill('265');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Done, go on/ }).click();
  await page.getByRole('button', { name: /^Done, go on/ }).click();
  const asked = page.getByRole('dialog');
  await expect(asked).toContainText('Dark couverture 60 %, 200 g, is not in yet?');
  await expectAccessible(page);
  await asked.getByRole('button', { name: 'Later: Dark couverture 60 %' }).click();
  await expect(now(page)).toContainText('Stir from the middle');
  const put = page.getByRole('list', { name: 'Weigh in' }).getByRole('listitem').filter({ hasText: 'Dark couverture' });
  await expect(put).toContainText('put off from');
  await put.getByRole('button', { name: /^It is in/ }).click();
  for (let step = 0; step < 6; step++) {
    if (await page.getByRole('button', { name: 'Finish the batch' }).isVisible()) break;
    const name = (await now(page).textContent()) ?? '';
    const open = await isIn(page).count();
    await page.getByRole('button', { name: /^Done, go on/ }).click();
    const leaves = page.getByRole('dialog').getByRole('button', { name: /^Left out/ });
    if (open > 0) await leaves.first().click();
    await expect(now(page)).not.toHaveText(name);
  }
  await page.getByRole('button', { name: 'Finish the batch' }).click();
  await expect.poll(async () => (await batchOf(page, batch)).head.state).toBe('finished');
  // A batch that is over opens as its story.
  await page.goto(`/batches/${batch}`);
  await expect(page).toHaveURL(/record/);
  const told = page
    .getByRole('list', { name: 'What happened' })
    .getByRole('listitem')
    .filter({ hasText: 'Weighed in' });
  await expect(told).toContainText('Whipping cream 35 % 265 g, planned 240 g');
  await expect(told).toContainText('Butter, unsalted 82 % left out');
  expect(silent).toEqual([]);
});

test('bursts are cooked one by one, with watts, seconds and the hottest place', async ({ page, silent }) => {
  const formula = await openFormula(page, { name: 'Weir bursts', lines: SAUCE, method: { way: 'microwave' } });
  await page.goto(`/formulas/${formula}/method`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await page.getByRole('button', { name: 'Cook this now' }).click();
  await page.getByRole('button', { name: 'Weigh the rest as I go' }).click();
  await expect(now(page)).toContainText('Bursts in the microwave');
  const bursts = page.getByRole('region', { name: 'Bursts' });
  await expect(bursts).toContainText(/800 W for \d+ s/);
  await expect(bursts).toContainText(/hottest place gets \d+\s°C/);
  // No one countdown stands for all of them.
  await expect(page.getByRole('timer')).toHaveCount(0);
  await bursts.getByRole('button', { name: 'Start burst 1' }).click();
  await expect(bursts).toContainText('Burst 1 of');
  await expect(bursts.getByRole('timer')).toHaveText(/^0:[0-5]\d$/);
  await expect(bursts).toContainText('Then stir 15 s');
  await expect(bursts.getByRole('button', { name: 'Start burst 2' })).toBeVisible();
  await expectAccessible(page);
  expect(silent).toEqual([]);
});

test('a timer that is due fills the screen on every page, on every tablet, until it is answered; an outage does not move it', async ({
  page,
  context,
  silent,
}) => {
  const { batch } = await cook(page, 'Weir timer');
  const other = await context.newPage();
  for (const each of [page, other]) {
    await each.addInitScript(() => localStorage.setItem('dark-pour:shows-timers', 'on'));
  }
  await page.getByLabel('What the timer is for').fill('tray');
  await page.getByLabel('Timer runs for').fill('12 s');
  await page.keyboard.press('Enter');
  await expect.poll(() => kinds(page, batch)).toContain('timer');
  await other.goto('/larder');
  const due = other.getByRole('dialog').filter({ hasText: 'tray' });
  // Batches of other tests may have something due at the same time: one after the other is answered.
  const answerOthers = async () => {
    const others = other.getByRole('dialog').filter({ hasNotText: 'tray' });
    if ((await others.count()) > 0) await others.getByRole('button', { name: 'Seen, stop it' }).click();
  };
  await expect(async () => {
    await answerOthers();
    await expect(due.getByRole('heading', { name: 'tray' })).toBeVisible({ timeout: 1_000 });
  }).toPass({ timeout: 40_000 });
  await expect(due).toContainText('Weir timer');
  const box = await other.locator('[role=dialog] .bg-enamel').boundingBox();
  expect(box).toMatchObject({ x: 0, y: 0, ...other.viewportSize() });
  await due.getByRole('button', { name: 'Seen, stop it' }).click();
  await expect(due).toHaveCount(0);
  await expect.poll(() => kinds(page, batch)).toContain('timerOff');

  // A line that hangs for a while does not move the clock: it shows the same as a page that was never cut off.
  await page.bringToFront();
  await page.getByLabel('What the timer is for').fill('case');
  await page.getByLabel('Timer runs for').fill('10 min');
  await page.route('**/api/batches/**', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 6_000));
    await route.continue();
  });
  await page.keyboard.press('Enter');
  const clockOf = async (of: Page) => {
    const text = await of.getByRole('listitem').filter({ hasText: 'case' }).getByRole('timer').textContent();
    const [minutes = 0, seconds = 0] = (text ?? '').split(':').map(Number);
    return 60 * minutes + seconds;
  };
  await expect.poll(() => kinds(page, batch)).toContain('timer');
  await page.waitForTimeout(7_000);
  await page.unroute('**/api/batches/**');
  await other.goto(`/batches/${batch}`);
  await expect(other.locator('[data-ready=true]')).toBeVisible();
  await answerOthers();
  const [here, there] = [await clockOf(page), await clockOf(other)];
  expect(Math.abs(here - there)).toBeLessThanOrEqual(3);
  expect(silent).toEqual([]);
});
