import type { Page } from '@playwright/test';
import { expect, expectAccessible, openFormula, test } from './kitchen';

const ready = (page: Page) => expect(page.locator('[data-ready=true]')).toBeVisible();
const KINDS = ['tomorrow', 'mend', 'when', 'which', 'why', 'spoon'] as const;

/** Opens practice under a name, with one kind of exercise. */
async function practise(page: Page, learner: string, kind: (typeof KINDS)[number]) {
  await page.goto('/practice');
  await ready(page);
  const name = page.getByRole('combobox', { name: 'Who practises' });
  await name.fill(learner);
  await name.press('Enter');
  await expect(page.getByRole('link', { name: 'All of it as a table' })).toBeVisible();
  await page.getByLabel('Exercise').selectOption(kind);
}

const triesOf = async (page: Page, learner: string) => {
  const answer = await page.request.get(`/api/practice?learner=${encodeURIComponent(learner)}`);
  return ((await answer.json()) as { tries: { kind: string; isRight: boolean }[] }).tries;
};

test('one of each exercise, said, judged and kept; what is seen stands in words', async ({ page, silent }) => {
  await practise(page, 'Weir learner', 'tomorrow');
  const seen = page.getByRole('list', { name: 'What is seen' });
  // How warm it is has to be asked for.
  await expect(page.locator('main')).not.toContainText('It is at');
  await page.getByRole('button', { name: 'Take its temperature' }).click();
  await expect(seen).toContainText(/It is at \d+.°C/);
  await page.getByRole('button', { name: '20 ml on a plate' }).click();
  await expect(seen).toContainText(/20 ml spread to \d+/);
  await page.getByRole('button', { name: 'Draw the spoon through' }).click();
  await page.getByRole('button', { name: 'Tilt it' }).click();
  await page.getByRole('button', { name: 'Lift the spoon' }).click();
  await page.getByRole('button', { name: 'Taste it' }).click();
  await expect(seen).toContainText('It tastes');
  await expectAccessible(page);
  await page.getByRole('radio').nth(1).check();
  await page.getByRole('button', { name: 'That is my call' }).click();
  const after = page.getByRole('region', { name: 'Afterwards' });
  await expect(after).toContainText(/Right\.|Not this time\./);
  await expect(after).toContainText('What told it');
  await expect(after.getByRole('img', { name: /curve of this pan/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Next pan' }).click();
  await expect(page.getByRole('button', { name: 'That is my call' })).toBeVisible();

  await page.getByLabel('Exercise').selectOption('mend');
  await page.getByLabel('Grams to put in').fill('-4');
  await expect(page.getByRole('alert').filter({ hasText: 'below' })).toBeVisible();
  await page.getByLabel('Grams to put in').fill('60');
  await page.getByRole('button', { name: 'Put it in' }).click();
  await expect(after).toContainText('on the plate');

  await page.getByLabel('Exercise').selectOption('when');
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'A little cooler' }).click();
  await page.getByRole('button', { name: 'Let it cool' }).click();
  await page.getByRole('button', { name: 'Pour now' }).click();
  await expect(after).toContainText('You poured at');

  await page.getByLabel('Exercise').selectOption('which');
  await page.getByRole('radio', { name: 'Pan B' }).check();
  await page.getByRole('button', { name: 'That is my call' }).click();
  await expect(after).toContainText('had a third more');

  await page.getByLabel('Exercise').selectOption('why');
  await page.getByLabel('it boiled too long').check();
  await page.getByRole('button', { name: 'That is my call' }).click();
  await expect(after).toContainText('The truth');

  await page.getByLabel('Exercise').selectOption('spoon');
  await page.getByRole('radio').first().check();
  await page.getByRole('button', { name: 'That is my call' }).click();
  await expect(after).toContainText('of what was meant');
  await expect.poll(async () => (await triesOf(page, 'Weir learner')).map(({ kind }) => kind)).toEqual([...KINDS]);
  await expect(page.getByTestId(/^eye-co/)).toContainText('too few');
  expect((await page.request.get('/api/practice?learner=Weir%20learner&as=csv')).headers()['content-type']).toContain(
    'csv',
  );

  // Nothing of it came into the book, and all of it can go.
  await page.getByRole('button', { name: 'Delete it…' }).click();
  await page.getByRole('button', { name: /^Delete all of/ }).click();
  await expect.poll(async () => (await triesOf(page, 'Weir learner')).length).toBe(0);
  await page.setViewportSize({ width: 768, height: 1024 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
  expect(silent).toEqual([]);
});

test.describe('by touch alone', () => {
  test.use({ hasTouch: true, viewport: { width: 768, height: 1024 } });

  test('a pan is looked at and called', async ({ page, silent }) => {
    await page.goto('/practice');
    await ready(page);
    await page.getByLabel('Exercise').selectOption('which');
    for (const press of ['Lift the spoon', 'Tilt it', '20 ml on a plate'])
      await page.getByRole('button', { name: press }).tap();
    await expect(page.getByRole('list', { name: 'What is seen' })).toContainText('B: ');
    await page.getByText('Pan A', { exact: true }).last().tap();
    await page.getByRole('button', { name: 'That is my call' }).tap();
    await expect(page.getByRole('region', { name: 'Afterwards' })).toContainText('had a third more');
    await page.getByRole('button', { name: 'Next pan' }).tap();
    await expect(page.getByRole('region', { name: 'Your eye so far' })).toContainText('of 1');
    expect(silent).toEqual([]);
  });
});

test('by keys alone, without motion, and of one formula', async ({ page, silent }) => {
  const id = await openFormula(page, { name: 'Weir practised' });
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto(`/formulas/${id}/serve`);
  await page.getByRole('link', { name: 'Practise this one' }).click();
  await expect(page).toHaveURL(/practice\?formula=/);
  await ready(page);
  await expect(page.getByText('Weir practised, as somebody made it')).toBeVisible();
  await page.getByLabel('Exercise').selectOption('why');
  await page.getByRole('button', { name: '20 ml on a plate' }).focus();
  await page.keyboard.press('Enter');
  // Without motion the end is there at once.
  await expect(page.getByRole('img', { name: /^The pan/ })).toContainText('mm');
  await page.getByRole('radio').first().focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Afterwards' })).toContainText('The truth');
  // The next pan is one key away.
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'That is my call' })).toBeVisible();
  await expectAccessible(page);
  expect(silent).toEqual([]);
});
