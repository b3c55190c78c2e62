import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { madePhoto } from '@/core/photo/made-photo';
import { photoScene, trueDiameterMm } from '@/core/photo/practice-camera';
import { expect, expectAccessible, openFormula, test } from './kitchen';

/** A photo of a drop that is easy to read, as a file; and how wide the drop is. */
async function photoOfADrop() {
  const scene = { ...photoScene(1), slantDeg: 20, rollDeg: 2, fills: 0.6, focalMm: 27, shadow: 0.2, noise: 1 };
  const { width, height, data } = madePhoto(scene);
  const raw = { raw: { width, height, channels: 4 as const } };
  return {
    mm: trueDiameterMm(scene),
    jpeg: await sharp(Buffer.from(data.buffer), raw).jpeg({ quality: 92 }).toBuffer(),
  };
}

/** Opens the reading of a ring by photo, in a rescue. */
async function openReading(page: Page, name: string) {
  const id = await openFormula(page, { name });
  await page.goto(`/rescue?formula=${id}&sign=bitThick`);
  await expect(page.locator('[data-ready=true]')).toBeVisible();
  await page.getByText('Measure it first, with a ring on a plate').click();
  await page.getByRole('button', { name: 'Read it from a photo' }).click();
  return page.getByRole('dialog', { name: 'Read the ring from a photo' });
}

const shown = (text: string | null) => Number(/([\d.]+)\smm/.exec(text ?? '')?.[1]);

test('a photo of the plate becomes a reading, which is corrected by hand where it is wrong', async ({
  page,
  silent,
}) => {
  const { mm, jpeg } = await photoOfADrop();
  const sheet = await openReading(page, 'Weir photo');
  await sheet
    .getByLabel('A photo from a file')
    .setInputFiles({ name: 'plate.jpg', mimeType: 'image/jpeg', buffer: jpeg });
  const reading = sheet.getByTestId('photo-reading');
  await expect(reading.getByRole('status')).toContainText('±', { timeout: 60_000 });
  const found = shown(await reading.getByRole('status').textContent());
  expect(Math.abs(found / mm - 1)).toBeLessThan(0.04);
  await expectAccessible(page);
  await reading.getByRole('button', { name: 'Correct it by hand' }).click();
  const end = reading.getByRole('button', { name: /^Sauce: length/ });
  await end.focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('Shift+ArrowRight');
  await expect(reading.getByRole('status')).toContainText('by hand');
  expect(shown(await reading.getByRole('status').textContent())).not.toBe(found);
  const box = await reading.getByRole('button', { name: /^Sauce: width/ }).boundingBox();
  if (!box) throw new Error('no handle');
  const before = await reading.getByRole('status').textContent();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 30, { steps: 4 });
  await page.mouse.up();
  await expect(reading.getByRole('status')).not.toHaveText(before ?? '');
  await expectAccessible(page);
  const used = shown(await reading.getByRole('button', { name: /^Use/ }).textContent());
  await reading.getByRole('button', { name: /^Use/ }).click();
  await expect(sheet).toHaveCount(0);
  expect(Math.round(Number(await page.getByLabel('Spread', { exact: true }).first().inputValue()))).toBe(used);
  expect(silent).toEqual([]);
});

test('what is no photo of a plate is refused with what to do, and the practice camera stands in', async ({
  page,
  silent,
}) => {
  const sheet = await openReading(page, 'Weir no photo');
  const choose = (name: string, mimeType: string, buffer: Buffer) =>
    sheet.getByLabel('A photo from a file').setInputFiles({ name, mimeType, buffer });
  await choose('notes.txt', 'text/plain', Buffer.from('no picture'));
  await expect(sheet.getByRole('alert')).toContainText('cannot be opened as a picture');
  await choose('plate.heic', 'image/heic', Buffer.from('no picture'));
  await expect(sheet.getByRole('alert')).toContainText('HEIC');
  await choose('plate.mp4', 'video/mp4', Buffer.from('no picture'));
  await expect(sheet.getByRole('alert')).toContainText('video');
  const flat = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: '#000' } })
      .png()
      .toBuffer();
  await choose('wide.png', 'image/png', await flat(2000, 400));
  await expect(sheet.getByRole('alert')).toContainText('panorama');
  await choose('black.png', 'image/png', await flat(640, 480));
  await expect(sheet.getByTestId('photo-reading').getByRole('status')).toContainText('too dark');
  await sheet.getByRole('button', { name: 'Practice camera' }).click();
  await expect(sheet.getByTestId('photo-reading')).toContainText(/The practice camera made it \d+\smm/, {
    timeout: 60_000,
  });
  // What was made for practice is no reading of a real pan.
  await expect(sheet.getByRole('button', { name: /^Use/ })).toHaveCount(0);
  await sheet.getByRole('button', { name: 'The ring is lifted' }).click();
  await expect(sheet.getByRole('timer')).toContainText(/\d+ s/);
  await expectAccessible(page);
  expect(silent).toEqual([]);
});
