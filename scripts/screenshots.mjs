/** `npm run screenshots`: makes the pictures in docs/screenshots from the demo data, on a demo of its own. */
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { ensureBuilt } from './run/ensure-built.mjs';
import { ensureChromium } from './run/ensure-chromium.mjs';
import { ensureInstalled } from './run/ensure-installed.mjs';
import { freePort } from './run/port.mjs';
import { inProject, stop } from './run/project.mjs';

const DESK = { width: 1280, height: 800 };

/** Opens the Balance screen of a demo formula. */
const open = (name) => async (page) => {
  await page.goto('/formulas');
  await page.getByRole('link', { name }).first().click();
  await page.waitForURL(/balance$/);
  await page.locator('.apexcharts-series path').first().waitFor();
};

/** The pictures: file name, size of the window, and how to get there. */
const PICTURES = [
  { file: 'today', size: DESK, go: (page) => page.goto('/') },
  { file: 'formulas', size: DESK, go: (page) => page.goto('/formulas') },
  {
    file: 'brief',
    size: DESK,
    go: async (page) => {
      await open('Feast day gloss')(page);
      await page.getByRole('link', { name: 'Brief', exact: true }).click();
      await page.getByTestId('starts').getByText('all tried').waitFor();
    },
  },
  { file: 'settings', size: DESK, go: (page) => page.goto('/settings') },
  { file: 'balance', size: DESK, go: open('Millrace éclair gloss') },
  {
    file: 'method',
    size: DESK,
    go: async (page) => {
      await open('Millrace éclair gloss')(page);
      await page.getByRole('link', { name: 'Method', exact: true }).click();
      await page
        .getByRole('button', { name: /Pour over, leave it/ })
        .first()
        .click();
      await page.getByTestId('temperature-chart').locator('.apexcharts-series path').first().waitFor();
    },
  },
  {
    file: 'saturday',
    size: DESK,
    go: async (page) => {
      await page.goto('/day');
      await page.getByRole('list', { name: 'Work of the day' }).waitFor();
    },
  },
  {
    file: 'cook',
    size: DESK,
    go: async (page) => {
      await open('Millrace éclair gloss')(page);
      await page.getByRole('link', { name: 'Method', exact: true }).click();
      await page.getByRole('button', { name: 'Cook this now' }).click();
      await page.getByRole('button', { name: 'Weigh the rest as I go' }).click();
      await page.getByRole('textbox', { name: 'Weighed: Whipping cream' }).fill('290');
      await page.keyboard.press('Enter');
      await page.getByRole('button', { name: /Make up for it/ }).waitFor();
    },
  },
  {
    file: 'rescue',
    size: DESK,
    go: async (page) => {
      await page.goto('/rescue');
      await page.getByRole('button', { name: 'A bit thick' }).click();
      await page.getByLabel('Formula of the pan').selectOption({ label: 'Millrace éclair gloss' });
      await page.getByRole('button', { name: 'It is in' }).first().click();
      await page.locator('[data-still=drawn]').nth(4).waitFor({ timeout: 60_000 });
    },
  },
  { file: 'book', size: DESK, go: (page) => page.goto('/book') },
  {
    file: 'record',
    size: DESK,
    go: async (page) => {
      await page.goto('/book');
      await page
        .getByRole('link', { name: /gloss|rosette/ })
        .first()
        .click();
      await page.getByRole('region', { name: 'What it teaches' }).waitFor();
    },
  },
  { file: 'shelf', size: DESK, go: (page) => page.goto('/shelf') },
  {
    file: 'serve',
    size: DESK,
    go: async (page) => {
      await open('Sluice water sauce')(page);
      await page.getByRole('link', { name: 'Serve', exact: true }).click();
      await page.getByLabel('What is drawn').selectOption('star');
      await page.getByLabel('Lines and dots').fill('4');
      await page.getByLabel('A second sauce to draw with').selectOption({ label: 'Heron feather, whipped' });
      await page.getByTestId('second-sauce').waitFor();
    },
  },
  {
    file: 'label',
    size: DESK,
    go: async (page) => {
      await page.goto('/book');
      await page
        .getByRole('link', { name: /gloss|rosette/ })
        .first()
        .click();
      await page.getByRole('link', { name: 'Labels' }).click();
      await page.getByLabel('Size').selectOption('tub');
      await page.waitForURL(/size=tub/);
      await page.getByRole('img', { name: 'Label 1 of 1' }).waitFor();
    },
  },
  {
    file: 'practice',
    size: DESK,
    go: async (page) => {
      await page.goto('/practice');
      await page.getByLabel('Exercise').selectOption('tomorrow');
      for (const press of ['Lift the spoon', 'Draw the spoon through', '20 ml on a plate']) {
        await page.getByRole('button', { name: press }).click();
      }
      await page.waitForTimeout(6000);
    },
  },
  {
    file: 'pour',
    size: DESK,
    go: async (page) => {
      await open('Millrace éclair gloss')(page);
      await page
        .getByRole('button', { name: /Pour it$/ })
        .nth(1)
        .click();
      await page.locator('[data-picture=there]').waitFor();
      await page.getByRole('button', { name: 'Show 30 s at once' }).click();
      await page.getByText('30 s after the ring').waitFor();
    },
  },
  {
    file: 'bench-card',
    size: { width: 900, height: 1040 },
    go: async (page) => {
      await open('Millrace éclair gloss')(page);
      await page.goto(page.url().replace(/balance$/, 'card'));
      await page.getByRole('heading', { level: 1 }).waitFor();
    },
  },
  { file: 'larder', size: DESK, go: (page) => page.goto('/larder') },
  { file: 'numbers', size: DESK, go: (page) => page.goto('/numbers') },
];

ensureInstalled();
await ensureBuilt();
const executablePath = ensureChromium() ?? stop('The pictures need Chromium.');
const { chromium } = await import('@playwright/test');

const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-pictures-'));
const port = await freePort();
const baseURL = `http://127.0.0.1:${port}`;
const server = spawn(process.execPath, [inProject('scripts', 'demo.mjs'), '--port', String(port)], {
  env: { ...process.env, DARK_POUR_DEMO_DATA: folder },
  stdio: ['ignore', 'ignore', 'inherit'],
});
const ended = new Promise((resolve) => server.once('exit', resolve));
for (;;) {
  if (
    await fetch(`${baseURL}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    )
  )
    break;
  if (server.exitCode !== null) stop('The demo did not start.');
  await new Promise((resolve) => setTimeout(resolve, 100));
}
const browser = await chromium.launch({
  executablePath,
  args: [
    '--no-sandbox',
    '--disable-quic',
    '--use-angle=swiftshader',
    '--enable-unsafe-swiftshader',
    '--ignore-gpu-blocklist',
  ],
});
try {
  mkdirSync(inProject('docs', 'screenshots'), { recursive: true });
  const wanted = process.argv.slice(2);
  for (const { file, size, go } of PICTURES) {
    if (wanted.length > 0 && !wanted.includes(file)) continue;
    const context = await browser.newContext({ baseURL, viewport: size, reducedMotion: 'reduce' });
    // The pictures of a sauce are drawn here by the processor.
    await context.addInitScript(() => localStorage.setItem('dark-pour:slow-pictures', 'on'));
    const page = await context.newPage();
    await go(page);
    // Stills are drawn one after the other, a second or two each.
    await page.waitForFunction(() => !document.querySelector('[data-still=flat]'), undefined, { timeout: 180_000 });
    // The full drawing of the doubt takes its time.
    await page.waitForTimeout(1500);
    await page.screenshot({ path: inProject('docs', 'screenshots', `${file}.png`) });
    await context.close();
  }
} finally {
  await browser.close();
  server.kill('SIGTERM');
  await ended;
  rmSync(folder, { recursive: true });
}
