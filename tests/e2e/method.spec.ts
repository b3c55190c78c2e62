import { briefOf, jobOf } from '../support/brief';
import { expect, expectAccessible, hearNothing, kept, openFormula, test } from './kitchen';

const SAUCE = [
  { ingredient: 'cream-35', grams: 240, form: 'boil, then pour' },
  { ingredient: 'dark-couverture-60', grams: 200, form: 'chopped' },
  { ingredient: 'butter-unsalted-82', grams: 40, form: 'cold, at the end' },
];

test('a method is worked out, step by step, and another way is chosen and kept', async ({ page, silent }) => {
  const id = await openFormula(page, { name: 'Weir method', lines: SAUCE });
  await page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name: 'Method' }).click();
  const way = page.getByRole('combobox', { name: 'Way of working' });
  await expect(way).toHaveValue('pouredOver');
  const steps = page.getByRole('region', { name: 'Steps' }).getByRole('listitem');
  await expect(steps.first()).toContainText('To a rolling boil');
  await expect(steps.first()).toContainText('Whipping cream 35 %');
  await expect(page.getByTestId('temperature-chart')).toBeVisible();

  // Another hob, another time to the boil.
  const boils = (await steps.first().textContent()) ?? '';
  await page.getByLabel('Hob power').fill('900');
  await expect(steps.first()).not.toHaveText(boils);
  await page.getByLabel('Pan width').fill('-3');
  await expect(page.getByRole('alert').filter({ hasText: 'cm' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByLabel('Hob power').fill('2000');

  // What a step does stands beside it: the heat of all parts, why, a caution.
  await steps.getByRole('button', { name: /^Pour over, leave it/ }).click();
  const detail = page.getByRole('region', { name: 'This step' });
  await expect(detail).toContainText('Together they stand at');
  await expect(detail).toContainText('melts all of it');
  await expect(detail).toContainText('scald');

  await page.getByRole('button', { name: 'Set a time' }).click();
  const start = page.getByLabel('Start at');
  await start.fill('14:08');
  const ready = page.getByLabel('Ready at');
  await expect(ready).toHaveValue(/14:\d\d/);
  // Backwards: it is to pour at half past five.
  await ready.fill('17:30');
  await expect(ready).toHaveValue('17:30');
  await expect(start).toHaveValue(/17:[0-2]\d/);
  await page.getByLabel('Day of the work').fill('2026-11-28');
  const [calendar] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Calendar file' }).click(),
  ]);
  expect(calendar.suggestedFilename()).toBe('method.ics');
  const refused = await page.request.get(`/api/formulas/${id}/calendar?start=soon`);
  expect([refused.status(), (await refused.json()).message]).toEqual([
    400,
    expect.stringContaining('A start is a day'),
  ]);

  await page.getByRole('button', { name: /^How long until it sets/ }).click();
  await expect(page.getByRole('region', { name: 'Setting' }).getByRole('row')).toHaveCount(5);

  await way.selectOption('microwave');
  await expect(steps.first()).toContainText('Bursts in the microwave');
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  await expect.poll(async () => (await kept(page, id)).file.method).toEqual({ way: 'microwave' });
  await page.reload();
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await expect(way).toHaveValue('microwave');
  // What the way does to the batch is what the bench reckons with.
  await way.selectOption('stickBlender');
  await expect.poll(async () => (await kept(page, id)).file.method).toEqual({ way: 'stickBlender' });
  const { file } = await kept(page, id);
  expect(file.process.mix).toBeGreaterThan(0.8);
  expect(file.yield?.evaporationGrams).toBeGreaterThan(1);
  expect(file.yield?.targetGrams).toBe(410);
  await page.getByRole('link', { name: 'Print' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Weir method' })).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Stick blender, no air' })).toBeVisible();
  await expect(page.getByText('Your local food code')).toBeVisible();
  await expectAccessible(page);
  const pdf = await page.request.get((await page.getByRole('link', { name: 'PDF' }).getAttribute('href')) ?? '');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await page.getByRole('link', { name: 'Back to the method' }).click();
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  const recipe = await (await page.request.get(`/api/formulas/${id}/file?as=recipe`)).json();
  expect(recipe.recipeInstructions[0]).toMatchObject({ '@type': 'HowToStep', name: 'To a rolling boil' });
  expect(recipe.tool).toContain('Stick blender');
  await expectAccessible(page);
  expect(silent).toEqual([]);
});

test('keys alone go through the steps; night and an upright tablet are no trouble', async ({ page, silent }) => {
  const id = await openFormula(page, { name: 'Weir keys', lines: SAUCE });
  await page.setViewportSize({ width: 768, height: 1024 });
  await page.goto(`/formulas/${id}/method`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  const steps = page.getByRole('region', { name: 'Steps' }).getByRole('listitem');
  await steps.first().getByRole('button').last().focus();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'This step' })).toContainText('2 · Pour over');
  await page.getByRole('button', { name: 'Dark Pour: rooms and light' }).click();
  await page.getByRole('menuitem', { name: 'Night theme' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
  await expectAccessible(page);
  expect(silent).toEqual([]);
});

test('says what is wrong: too little cream for the chocolate, nothing to make a method of, a row nobody knows', async ({
  page,
  silent,
}) => {
  const stiff = await openFormula(page, {
    name: 'Weir cold',
    lines: [
      { ingredient: 'cream-35', grams: 40 },
      { ingredient: 'dark-couverture-66', grams: 330 },
    ],
  });
  await page.goto(`/formulas/${stiff}/method`);
  await expect(page.getByText('▲ look').first()).toBeVisible();
  await page.getByText('▲ look').first().click();
  await expect(page.getByRole('region', { name: 'This step' }).getByRole('alert').first()).toContainText(
    /unmelted|seizes/,
  );

  const water = await openFormula(page, {
    name: 'Weir water',
    lines: [{ ingredient: 'water', grams: 100 }],
    gates: [],
  });
  await page.goto(`/formulas/${water}/method`);
  await expect(page.getByText('No way of working suits')).toBeVisible();
  await expectAccessible(page);
  expect(silent).toEqual([]);
});

test('another tablet that saved meanwhile is not overwritten', async ({ page, silent }) => {
  const id = await openFormula(page, { name: 'Weir two', lines: SAUCE });
  await hearNothing(page, id);
  await page.goto(`/formulas/${id}/method`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  const { revision, file } = await kept(page, id);
  await page.request.put(`/api/formulas/${id}`, { data: { revision, formula: { ...file, note: 'typed there' } } });
  await page.getByRole('combobox', { name: 'Way of working' }).selectOption('stickBlender');
  const told = page.getByRole('alert').filter({ hasText: 'Another tablet saved' });
  await expect(told).toBeVisible();
  const after = await kept(page, id);
  expect([after.file.note, after.file.method]).toEqual(['typed there', undefined]);
  // What was chosen here is not lost either: it stays as a version where theirs goes on.
  await told.getByRole('button', { name: 'Take theirs' }).click();
  await expect(told).toBeHidden();
  const { versions } = await (await page.request.get(`/api/formulas/${id}/versions`)).json();
  expect(versions).toHaveLength(1);
  expect(silent).toEqual([]);
});

test('steps are a cook\u2019s own: moved by keys and by a finger, split, changed, taken back, kept', async ({
  page,
  silent,
}) => {
  const id = await openFormula(page, { name: 'Weir own', lines: SAUCE });
  await page.goto(`/formulas/${id}/method`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  const steps = page.getByRole('region', { name: 'Steps' }).getByRole('listitem');
  const detail = page.getByRole('region', { name: 'This step' });
  const stepsKept = async () => (await kept(page, id)).file.method?.steps?.map(({ kind }) => kind);
  await expect(steps).toHaveCount(6);

  // Changed: longer, and the butter in two parts.
  await steps.getByRole('button', { name: /^Pour over/ }).click();
  await detail.getByRole('button', { name: 'Change' }).click();
  await detail.getByLabel('How much').fill('3 min');
  await expect(steps.filter({ hasText: 'Pour over' })).toContainText('3 min');
  await steps.getByRole('button', { name: /^Cold butter/ }).click();
  await detail.getByRole('button', { name: 'Split' }).click();
  await expect(steps.filter({ hasText: 'Cold butter' })).toHaveCount(2);
  await expect(steps.filter({ hasText: 'Cold butter' }).first()).toContainText('20 g');
  await expect.poll(stepsKept).toEqual(['boil', 'pourOver', 'stir', 'cool', 'butter', 'butter', 'cool']);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(stepsKept).toEqual(['boil', 'pourOver', 'stir', 'cool', 'butter', 'cool']);

  // Bad figures are told beside the field and change nothing.
  await steps.getByRole('button', { name: /^Pour over/ }).click();
  await detail.getByLabel('How much').fill('-4');
  await expect(detail.getByRole('alert').filter({ hasText: 's' }).first()).toBeVisible();
  await page.keyboard.press('Escape');

  // By keys: the butter before the cooling is too warm, and one press puts it right.
  const handle = page.getByRole('button', { name: 'Move step 5, Cold butter, whisked in' });
  await handle.focus();
  await page.keyboard.press('Space');
  await expect(handle).toHaveAttribute('aria-pressed', 'true');
  // A key pressed before the places are measured does nothing: a cook presses again, and so does this.
  await expect(async () => {
    await page.keyboard.press('ArrowUp');
    await expect(page.getByText('Step 5 goes to place 4.')).toBeAttached({ timeout: 1500 });
  }).toPass();
  await page.keyboard.press('Space');
  await expect.poll(stepsKept).toEqual(['boil', 'pourOver', 'stir', 'butter', 'cool', 'cool']);

  // By finger: the boil to the end.
  const from = await steps.first().boundingBox();
  const to = await steps.nth(2).boundingBox();
  if (!from || !to) throw new Error('nothing to drag');
  const down = to.y + to.height / 2 - from.y - from.height / 2;
  await page.mouse.move(from.x + 20, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x + 20, from.y + 40, { steps: 4 });
  await page.mouse.move(from.x + 20, from.y + 10 + down, { steps: 8 });
  await page.mouse.up();
  await expect.poll(stepsKept).toEqual(['pourOver', 'stir', 'boil', 'butter', 'cool', 'cool']);
  await expect(page.getByText('▲ look').first()).toBeVisible();
  await page.reload();
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await expect(steps.first()).toContainText('Pour over');
  await page.getByRole('button', { name: 'Back to the way’s own steps' }).click();
  await expect.poll(async () => (await kept(page, id)).file.method).toEqual({ way: 'pouredOver' });
  await expect(page.getByText('▲ look')).toHaveCount(0);
  await expectAccessible(page);
  expect(silent).toEqual([]);
});

test('what is wrong is mended by one press', async ({ page, silent }) => {
  const id = await openFormula(page, {
    name: 'Weir mend',
    lines: SAUCE,
    method: {
      way: 'simmered',
      steps: [
        {
          kind: 'warm',
          where: 'pan',
          adds: [{ ingredient: 'cream-35' }],
          heat: 'medium',
          stir: 0.5,
          end: { kind: 'temperature', temperatureC: 50 },
        },
        {
          kind: 'pourOver',
          where: 'bowl',
          adds: [{ ingredient: 'dark-couverture-60' }],
          end: { kind: 'seconds', seconds: 120 },
        },
        { kind: 'stir', where: 'bowl', stir: 0.5, tool: 'whisk', end: { kind: 'melted' } },
      ],
    },
  });
  await page.goto(`/formulas/${id}/method`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  const detail = page.getByRole('region', { name: 'This step' });
  const nowhere = detail.getByRole('alert').filter({ hasText: 'go in nowhere' });
  await expect(nowhere).toContainText('40 g of Butter');
  await detail.getByRole('button', { name: 'Put it where it belongs' }).click();
  await expect(nowhere).toBeHidden();
  await page
    .getByRole('region', { name: 'Steps' })
    .getByRole('button', { name: /▲ look/ })
    .first()
    .click();
  await detail.getByRole('button', { name: 'Bring it to the boil first' }).click();
  await expect(page.getByText('▲ look')).toHaveCount(0);
  await expect.poll(async () => (await kept(page, id)).file.method?.steps?.[0]?.end).toEqual({ kind: 'boil' });
  expect(silent).toEqual([]);
});

test('a wider pan for the brief is followed by what boils off in it', async ({ page, silent }) => {
  const brief = briefOf([jobOf('coat')], { making: { panCm: 8, heat: 'simmer', minutes: 6 } });
  const id = await openFormula(page, {
    name: 'Weir narrow',
    lines: SAUCE.map((line) => ({ ...line, grams: 5 * line.grams })),
    brief,
    method: { way: 'simmered' },
  });
  await page.goto(`/formulas/${id}/method`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await page
    .getByRole('region', { name: 'Steps' })
    .getByRole('button', { name: /▲ look/ })
    .first()
    .click();
  const lossBefore = (await kept(page, id)).file.yield?.evaporationGrams ?? 0;
  await page.getByRole('button', { name: /^Take a pan .* wide$/ }).click();
  await expect.poll(async () => (await kept(page, id)).file.brief?.making.panCm).toBeGreaterThan(8);
  const { file } = await kept(page, id);
  expect(file.yield?.evaporationGrams).toBeGreaterThan(lossBefore);
  expect(file.process.mix).toBeGreaterThan(0);
  expect(silent).toEqual([]);
});
