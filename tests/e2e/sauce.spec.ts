import type { Page } from '@playwright/test';
import { expect, expectAccessible, gramsOf, openFormula, test } from './kitchen';

/** Graphics worked out by the processor: slow, and the same everywhere. */
const GRAPHICS = ['--use-angle=swiftshader', '--enable-unsafe-swiftshader', '--ignore-gpu-blocklist'];

test.use({
  launchOptions: async ({ launchOptions }, use) =>
    use({
      ...launchOptions,
      args: [...(launchOptions.args ?? []).filter((each) => each !== '--disable-gpu'), ...GRAPHICS],
    }),
});

/** Opens the pour of a moment and waits until its 30 s are over. */
async function pourOut(page: Page, moment: RegExp) {
  await page.getByRole('button', { name: moment }).click();
  const picture = page.getByTestId('pour-picture');
  await expect(picture).not.toHaveAttribute('data-picture', 'coming');
  await page.getByRole('button', { name: 'Show 30 s at once' }).click();
  await expect(page.getByTestId('pour-says')).toContainText(/^30 s after the ring is lifted: \d+\smm across/);
  return picture;
}

test.beforeEach(({ page }) => page.addInitScript(() => localStorage.setItem('dark-pour:slow-pictures', 'on')));

test.describe('without graphics', () => {
  test('the pour is drawn flat, with the figure of the strip, and told', async ({ page, silent }) => {
    await page.addInitScript(() => {
      const context = HTMLCanvasElement.prototype.getContext;
      HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, kind: string, ...rest: unknown[]) {
        return kind.startsWith('webgl') ? null : (context as (...all: unknown[]) => unknown).call(this, kind, ...rest);
      } as typeof context;
    });
    await openFormula(page);
    const strip = page.locator('[data-moment=pour]');
    const figure = /(\d+)\smm/.exec((await strip.textContent()) ?? '')?.[1];
    const picture = await pourOut(page, /^At the pour: spreads to .* Pour it$/);
    await expect(picture).toHaveAttribute('data-picture', 'none');
    await expect(page.getByTestId('pour-says')).toContainText(`${figure}`);
    await expect(page.getByRole('region', { name: 'It could be this, or this' }).getByRole('img')).toHaveCount(3);
    await expectAccessible(page);
    expect(silent).toEqual([]);
  });
});

test.describe('with graphics', () => {
  /** Pixels across the widest row of what is dark, and of the plate, on the canvas as it stands. */
  const widths = (page: Page) =>
    page
      .getByTestId('pour-picture')
      .locator('canvas')
      .evaluate((canvas) => {
        const { width, height } = canvas as HTMLCanvasElement;
        const flat = document.createElement('canvas');
        flat.width = width;
        flat.height = height;
        const context = flat.getContext('2d');
        context?.drawImage(canvas as HTMLCanvasElement, 0, 0);
        const { data } = context?.getImageData(0, 0, width, height) ?? { data: new Uint8ClampedArray() };
        const widest = (is: (r: number, g: number, b: number, a: number) => boolean) => {
          let most = 0;
          for (let y = 0; y < height; y++) {
            let [first, last] = [-1, -1];
            for (let x = 0; x < width; x++) {
              const [r = 0, g = 0, b = 0, a = 0] = data.subarray(4 * (y * width + x), 4 * (y * width + x) + 4);
              if (!is(r, g, b, a)) continue;
              if (first < 0) first = x;
              last = x;
            }
            most = Math.max(most, last - first + 1);
          }
          return most;
        };
        return {
          sauce: widest((r, g, b, a) => a > 250 && r + g + b < 380 && r > 1.15 * b),
          plate: widest((_r, _g, _b, a) => a > 250),
        };
      });

  test('a drop measures in its pixels what was calculated, runs when it is tilted, and takes a spoon', async ({
    page,
    silent,
  }) => {
    await openFormula(page);
    const picture = await pourOut(page, /^At the pour: spreads to .* Pour it$/);
    await expect(picture).toHaveAttribute('data-picture', 'there');
    const spread = Number(await picture.getAttribute('data-spread-mm'));
    const { sauce, plate } = await widths(page);
    expect(Math.abs((270 * sauce) / plate / spread - 1)).toBeLessThan(0.04);
    await page.getByLabel('Tilt of the plate').fill('20');
    await expect.poll(async () => Number(await picture.getAttribute('data-spread-mm'))).not.toBe(spread);
    await page.getByLabel('Tilt of the plate').fill('0');
    await page.getByRole('button', { name: 'Draw a spoon through' }).click();
    await page.getByLabel('Tilt of the plate').focus();
    await page.keyboard.press('ArrowRight');
    await expect(page.getByLabel('Tilt of the plate')).toHaveValue('1');
    const box = await picture.locator('canvas').boundingBox();
    if (!box) throw new Error('no picture');
    await page.mouse.move(box.x + 200, box.y + 100);
    await page.mouse.down();
    await page.mouse.move(box.x + 320, box.y + 100);
    await page.mouse.up();
    await picture.locator('canvas').dblclick();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Close' }).click();
    await expect(picture).toHaveCount(0);
    expect(silent).toEqual([]);
  });

  test('another formula is poured beside this one, and this one as it was before its edits', async ({
    page,
    silent,
  }) => {
    await openFormula(page, { name: 'Weir beside' });
    await page.getByRole('button', { name: /^At the pour: spreads to .* Pour it$/ }).click();
    const sheet = page.getByRole('dialog');
    await sheet.getByRole('button', { name: 'Another formula' }).click();
    await sheet.getByRole('combobox', { name: 'Another formula' }).selectOption({ index: 1 });
    const pictures = sheet.getByTestId('pour-picture');
    await expect(pictures).toHaveCount(2);
    await expect(pictures.nth(1)).not.toHaveAttribute('data-picture', 'coming');
    await expect(pictures.nth(1)).toHaveAttribute('data-spread-mm', /^\d+\.\d$/);
    await expectAccessible(page);
    await sheet.getByRole('button', { name: 'Nothing', exact: true }).click();
    await expect(pictures).toHaveCount(1);
    expect(silent).toEqual([]);
  });

  test('the drops under the curve follow a row that is changed', async ({ page, silent }) => {
    await openFormula(page, { name: 'Weir follows' });
    const strip = page.locator('[data-moment=pour]');
    await expect(strip.locator('[data-still=drawn]')).toBeVisible({ timeout: 60_000 });
    /** Dark pixels of the drop as it stands. */
    const dark = () =>
      strip.locator('canvas').evaluate((element) => {
        const { width, height } = element as HTMLCanvasElement;
        const data = (element as HTMLCanvasElement).getContext('2d')?.getImageData(0, 0, width, height).data ?? [];
        let count = 0;
        for (let i = 0; i < data.length; i += 4) {
          if (Number(data[i]) + Number(data[i + 1]) + Number(data[i + 2]) < 380 && Number(data[i + 3]) > 250) count++;
        }
        return count;
      });
    const before = await dark();
    expect(before).toBeGreaterThan(500);
    await gramsOf(page, 'Whipping cream').fill('900');
    await page.keyboard.press('Tab');
    await expect.poll(dark, { timeout: 60_000 }).toBeGreaterThan(1.15 * before);
    expect(silent).toEqual([]);
  });

  test('a use is drawn in three dimensions, and its limits follow the hand', async ({ page, silent }) => {
    await page.goto('/brief');
    const picture = page.getByTestId('use-picture').first();
    await expect(picture.locator('[data-picture]')).toHaveAttribute('data-picture', 'there');
    const pixels = () =>
      picture.locator('canvas').evaluate((element) => (element as HTMLCanvasElement).toDataURL().length);
    const before = await pixels();
    const slider = picture.getByRole('slider');
    await slider.focus();
    for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowUp');
    await expect(slider).toHaveAttribute('aria-valuenow', '3');
    await expect.poll(pixels).not.toBe(before);
    await expectAccessible(page);
    expect(silent).toEqual([]);
  });

  test('pictures of a pan are drawn once and kept', async ({ page, silent }) => {
    const id = await openFormula(page, { name: 'Weir pictures' });
    await page.goto(`/rescue?formula=${id}&sign=bitThick`);
    await page.getByRole('button', { name: 'It is in' }).first().click();
    const drawn = page.locator('[data-still=drawn]');
    await expect(drawn).toHaveCount(5, { timeout: 60_000 });
    const first = await drawn.first().locator('img').getAttribute('src');
    expect(first).toMatch(/^data:image\/webp/);
    await page.reload();
    await page.getByRole('button', { name: 'It is in' }).first().click();
    await expect(drawn).toHaveCount(5, { timeout: 60_000 });
    expect(await drawn.first().locator('img').getAttribute('src')).toBe(first);
    await expectAccessible(page);
    expect(silent).toEqual([]);
  });
});

test('a practice pan is drawn through with a finger where one likes, tilted, and dropped from', async ({
  page,
  silent,
}) => {
  await page.goto('/practice');
  const picture = page.getByTestId('pan-picture').first();
  await expect(picture).toHaveAttribute('data-picture', 'there');
  const canvas = picture.locator('canvas').first();
  const pixels = () => canvas.evaluate((element) => (element as HTMLCanvasElement).toDataURL().length);
  const box = await canvas.boundingBox();
  if (!box) throw new Error('it is there');
  const at = (x: number, y: number) => [box.x + x * box.width, box.y + y * box.height] as const;
  const level = await pixels();
  await page.mouse.move(...at(0.4, 0.45));
  await page.mouse.down();
  await page.mouse.move(...at(0.6, 0.55), { steps: 5 });
  await page.mouse.up();
  await expect.poll(pixels).not.toBe(level);
  await expect(page.getByRole('list', { name: 'What is seen' })).toContainText(/The spoon’s line/);
  await picture.getByRole('slider').fill('12');
  await expect(picture).toContainText('12°');
  await page.getByRole('button', { name: '20 ml on a plate' }).click();
  await expect(picture).toContainText(/20 ml on a plate after \d+ s: \d+\smm across/);
  await expectAccessible(page);
  expect(silent).toEqual([]);
});
