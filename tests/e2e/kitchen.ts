import { AxeBuilder } from '@axe-core/playwright';
import { type BrowserContext, test as base, expect, type Page } from '@playwright/test';
import type { FormulaFile, FormulaFileInput } from '../../src/formats/formula-file';

/** A tablet as the tests want it, unless one asks otherwise: figures of the book, and no due timer of another test lying over the page. */
export async function prepareTablet(context: BrowserContext): Promise<void> {
  await context.addInitScript(() => {
    try {
      localStorage.setItem('dark-pour:pours', localStorage.getItem('dark-pour:pours') ?? 'book');
      localStorage.setItem('dark-pour:shows-timers', localStorage.getItem('dark-pour:shows-timers') ?? 'off');
    } catch {
      // Storage barred: the page has none to read either.
    }
  });
}

/** A page whose console must stay clean: errors, warnings and refused content fail the test. */
export const test = base.extend<{ page: Page; silent: string[] }>({
  context: async ({ context }, use) => {
    await prepareTablet(context);
    await use(context);
  },
  page: async ({ page }, use) => {
    // With the first answer comes the token that writes are asked for.
    await page.request.get('/api/health');
    await use(page);
  },
  silent: async ({ page }, use) => {
    const heard: string[] = [];
    page.on('console', (message) => {
      if (message.type() === 'error' && !/Failed to load resource/.test(message.text())) heard.push(message.text());
    });
    page.on('pageerror', (error) => heard.push(error.message));
    await use(heard);
    expect(heard, 'the console stays clean').toEqual([]);
  },
});

/** A ganache of two rows and two gates that is too stiff from the fridge. */
export const STIFF_GANACHE: FormulaFileInput = {
  format: 'dark-pour/formula',
  version: 1,
  name: 'Weir test ganache',
  use: 'coat_eclair',
  lines: [
    { ingredient: 'dark-couverture-60', grams: 200, form: 'chopped' },
    { ingredient: 'cream-35', grams: 200, form: 'boil, then pour' },
    { ingredient: 'glucose-syrup-de42', grams: 20 },
  ],
  moments: [
    { name: 'pan', temperatureC: 60, history: [[0.3, 60]] },
    { name: 'pour', temperatureC: 36, history: [[0.3, 36]] },
    { name: 'bench', temperatureC: 20, history: [[24, 20]] },
    { name: 'fridge', temperatureC: 4, history: [[12, 4]] },
  ],
  gates: [
    { moment: 'pour', quantity: 'apparentViscosityPaS', low: 0.5, high: 4 },
    { moment: 'fridge', quantity: 'yieldStressPa', low: 300, high: 3000 },
  ],
  yield: { targetGrams: 410, bowlLossGrams: 10 },
};

/** Keeps a formula of its own for a test and opens it on the Balance screen. */
export async function openFormula(page: Page, change: Partial<FormulaFileInput> = {}): Promise<string> {
  const answer = await page.request.post('/api/formulas', { data: { formula: { ...STIFF_GANACHE, ...change } } });
  expect(answer.status()).toBe(201);
  const { id } = (await answer.json()) as { id: string };
  await page.goto(`/formulas/${id}/balance`);
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
  return id;
}

/** The formula as the server keeps it. */
export async function kept(page: Page, id: string) {
  return (await (await page.request.get(`/api/formulas/${id}`)).json()) as {
    revision: number;
    file: FormulaFile;
  };
}

export const gramsOf = (page: Page, ingredient: string | RegExp) =>
  page.getByLabel(new RegExp(`^Grams of ${typeof ingredient === 'string' ? ingredient : ingredient.source}`)).first();

/** Waits until a change is kept. Two frames after it the screen knows that there is one; how soon it is saved then does not matter. */
export async function saved(page: Page) {
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
  await expect(page.getByTestId('save-state')).toHaveText('Saved');
}

/** This tablet does not hear of a save before it types: one on which nothing was typed would follow it. */
export const hearNothing = (page: Page, id: string) =>
  page.route(`**/api/formulas/${id}`, (route) =>
    route.request().method() === 'GET' ? route.abort() : route.continue(),
  );

/** No serious or critical finding on the page as it stands. */
export async function expectAccessible(page: Page) {
  // Colours on their way from one to another are nobody's to read: looked at once they have arrived.
  await page.evaluate(async () => {
    const ending = document
      .getAnimations()
      .filter((each) => each.playState === 'running' && each.effect?.getComputedTiming().endTime !== Infinity);
    await Promise.all(ending.map(({ finished }) => finished.catch(() => undefined)));
  });
  const { violations } = await new AxeBuilder({ page }).analyze();
  const grave = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(grave.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`)).toEqual([]);
}

export { expect };
