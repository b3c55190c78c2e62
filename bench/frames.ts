import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { ensureChromium } from '../scripts/run/ensure-chromium.mjs';
import { report } from './report';
import { serve } from './served';

/** How smoothly a practice pan moves in a browser: frames a second, and what one costs the page's script. */
const WATCHED_MS = 4_000;
const AIM_FRAMES = 60;
const AIM_SCRIPT_MS = 4;

interface Moved {
  readonly frames: number;
  readonly scriptMs: number;
}

/** Watches what moves for a while. */
async function watch(page: Page): Promise<Moved> {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const script = async () =>
    (await session.send('Performance.getMetrics')).metrics.find(({ name }) => name === 'ScriptDuration')?.value ?? 0;
  const before = await script();
  const frames = await page.evaluate(
    (ms) =>
      new Promise<number>((done) => {
        let count = 0;
        const until = performance.now() + ms;
        const step = (now: number) => {
          count += 1;
          if (now < until) requestAnimationFrame(step);
          else done(count);
        };
        requestAnimationFrame(step);
      }),
    WATCHED_MS,
  );
  return { frames: (1000 * frames) / WATCHED_MS, scriptMs: (1000 * ((await script()) - before)) / frames };
}

const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-bench-'));
const served = await serve(folder);
const executablePath = ensureChromium();
if (!executablePath) throw new Error('the frames are counted in Chromium, and it is not here');
const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu', '--disable-quic'] });
try {
  const page = await browser.newPage({ baseURL: served.address, viewport: { width: 1280, height: 800 } });
  await page.goto('/practice');
  await page.locator('[data-ready=true]').waitFor();
  const rows = [];
  for (const [kind, name, presses] of [
    ['which', 'two pans tilted', ['Tilt it']],
    ['which', 'two drops spread', ['20 ml on a plate']],
    ['when', 'a pan that cools, tilted', ['Let it cool', 'Tilt it']],
  ] as const) {
    await page.getByLabel('Exercise').selectOption(kind);
    for (const press of presses) await page.getByRole('button', { name: press }).click();
    const { frames, scriptMs } = await watch(page);
    rows.push(
      {
        name: `${name}: ${frames.toFixed(0)} frames a second, between two`,
        ms: 1000 / frames,
        aimMs: 1050 / AIM_FRAMES,
      },
      { name: `${name}: script a frame`, ms: scriptMs, aimMs: AIM_SCRIPT_MS },
    );
  }
  report('Practice pans in Chromium', rows);
} finally {
  await browser.close();
  await served.stop();
  rmSync(folder, { recursive: true, force: true });
}
