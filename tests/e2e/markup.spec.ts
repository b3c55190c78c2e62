import { expect, openFormula, STIFF_GANACHE, test } from './kitchen';

/** Markup in every way it could come alive: as an element, out of an attribute, out of a script, as an address, as a picture. */
const markup = (place: string) =>
  `<img src=x onerror="window.ran='${place}'">"'><script>window.ran='${place}'</script>{{7*7}}`;

const short = (place: string) => `"><b onclick=x id=hit>${place}</b>`;

test('texts that carry markup are shown as they are on every screen; nothing runs', async ({ page, silent }) => {
  await page.addInitScript(() => {
    // What would run, were it let, shows here as well.
    window.addEventListener('securitypolicyviolation', (event) => {
      // Zod tries whether it may compile its readers, and does without.
      if (event.blockedURI === 'eval') return;
      (window as unknown as { violated: string }).violated = `${event.violatedDirective} ${event.blockedURI}`;
    });
  });
  const model = (
    (await (await page.request.get('/api/larder/rows')).json()) as { ingredients: Record<string, unknown>[] }
  ).ingredients[0];
  const added = await page.request.post('/api/larder', {
    data: {
      ingredient: {
        ...model,
        id: 'marked',
        origin: 'own',
        name: short('ingredient'),
        keeps: markup('keeps'),
        caution: markup('caution'),
        note: markup('note'),
        source: markup('source'),
        allergens: [`other: ${short('a')}`],
        measures: { '<b>ml</b>': 0.9 },
        pieces: { '"><b>piece': 12 },
      },
    },
  });
  expect(added.status(), await added.text()).toBe(201);
  const own = ((await added.json()) as { ingredient: { id: string } }).ingredient.id;
  const id = await openFormula(page, {
    name: `${short('formula')} ${markup('name').slice(0, 60)}`,
    note: markup('note of it'),
    tags: [short('tag').slice(0, 30)],
    use: 'coat_eclair',
    lines: [...(STIFF_GANACHE.lines ?? []), { ingredient: own, grams: 20 }, { ingredient: 'only-here', grams: 10 }],
    ingredients: {
      'only-here': { name: short('own'), components: { water: 50, sucrose: 50 }, allergens: [`other: ${short('b')}`] },
    },
    moments: [
      ...(STIFF_GANACHE.moments ?? []),
      { name: short('moment').slice(0, 40), temperatureC: 30, history: [[0.3, 30]] },
    ],
  });
  const answer = await page.request.post(`/api/formulas/${id}/versions`, {
    data: { name: short('version'), note: markup('version'), formula: STIFF_GANACHE },
  });
  expect(answer.ok(), await answer.text()).toBe(true);

  const isQuiet = async (where: string) => {
    const found = await page.evaluate(() => ({
      ran: (window as unknown as { ran?: string }).ran,
      violated: (window as unknown as { violated?: string }).violated,
      elements: document.querySelectorAll('#hit, img[src="x"], [onclick], [onerror]').length,
    }));
    expect(found, where).toEqual({ ran: undefined, violated: undefined, elements: 0 });
  };
  const sheetOf = async (open: () => Promise<void>, where: string) => {
    await open();
    await expect(page.getByRole('dialog').getByRole('heading').first()).toBeVisible();
    await page.waitForTimeout(300);
    await isQuiet(where);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  };

  await expect(page.getByText('own</b>').first()).toBeVisible();
  await isQuiet('bench');
  const menu = async (item: RegExp) => {
    await page.getByRole('button', { name: 'More of this formula' }).click();
    await page.getByRole('menuitem', { name: item }).click();
  };
  const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 };
  const begun = await page.request.post('/api/batches', { data: { formulaId: id, stove, kitchenC: 22 } });
  expect(begun.status(), await begun.text()).toBe(201);
  const { id: batch } = (await begun.json()) as { id: string };
  const told = [
    { kind: 'note', text: markup('batch note') },
    { kind: 'used', what: short('used').slice(0, 120), grams: 5 },
    { kind: 'photo', photo: { hash: 'a'.repeat(64), width: 8, height: 8 }, shows: short('photo').slice(0, 120) },
    { kind: 'timer', id: short('t').slice(0, 60), label: short('timer').slice(0, 60), seconds: 5 },
    { kind: 'add', name: short('more'), components: { water: 100 }, grams: 5 },
  ].map((what, i) => ({
    by: short('by').slice(0, 60),
    key: `markup-event-${i}`,
    tablet: short('tab').slice(0, 60),
    tabletMs: 1,
    what,
  }));
  const kept = await page.request.post(`/api/batches/${batch}/events`, { data: { after: 0, events: told } });
  expect(kept.ok(), await kept.text()).toBe(true);
  const shelved = { name: short('shelf').slice(0, 120), batchId: batch, container: 'jar', count: 1, grams: 50 };
  const put = await page.request.post('/api/shelf', { data: { ...shelved, place: 'fridge', madeOn: '2026-01-02' } });
  expect(put.status(), await put.text()).toBe(201);
  await page.request.post('/api/days/2031-07-08', { data: { formulaId: id, readyMinutes: 600 } });
  for (const item of [/^Versions/, /^Variants/, /^Tags/]) await sheetOf(() => menu(item), `sheet ${item}`);
  for (const name of [/^Nutrition/, /^Compare/, /^Add/]) {
    await sheetOf(() => page.getByRole('button', { name }).first().click(), `sheet ${name}`);
  }
  for (const path of [
    '/',
    '/formulas',
    `/formulas/${id}/card`,
    `/formulas/${id}/brief`,
    `/formulas/${id}/method`,
    `/formulas/${id}/method/card`,
    `/brief?from=${id}`,
    '/larder',
    '/numbers',
    `/batches/${batch}`,
    `/rescue?batch=${batch}`,
    `/batches/${batch}/record`,
    `/batches/${batch}/label`,
    `/formulas/${id}/serve`,
    `/practice?formula=${id}`,
    `/formulas/${id}/record`,
    `/book/compare?ids=${batch}`,
    '/book',
    '/shelf',
    '/batches',
    '/day?on=2031-07-08',
    '/settings',
  ]) {
    await page.goto(path);
    await page.waitForTimeout(500);
    await isQuiet(path);
  }
  await page.goto('/larder');
  await page.getByRole('searchbox').fill('ingredient</b>');
  await sheetOf(() => page.locator('tr[data-ingredient]').first().click(), 'ingredient');
  for (const as of ['formula', 'recipe', 'csv']) {
    const file = await page.request.get(`/api/formulas/${id}/file?as=${as}`);
    expect(file.headers()['content-disposition']).toContain('attachment');
    expect(file.headers()['x-content-type-options']).toBe('nosniff');
  }
  expect((await page.request.get(`/api/formulas/${id}/card`)).headers()['content-type']).toBe('application/pdf');
  expect(silent).toEqual([]);
});
