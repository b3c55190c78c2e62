import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { atTheDoor } from '@/server/door.mjs';
import { setPasscode } from '@/server/passcode.mjs';

const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-door-'));
let server: Server;
let address = '';

beforeAll(async () => {
  setPasscode(folder, 'lantern mill');
  server = createServer(async (request, response) => {
    if (!(await atTheDoor(request, response, { folder, isSecure: false }))) response.end('inside');
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => {
  server.close();
  rmSync(folder, { recursive: true });
});

const enter = (passcode: string) =>
  fetch(`${address}/enter`, { method: 'POST', body: new URLSearchParams({ passcode }), redirect: 'manual' });

describe('the door of a kitchen', () => {
  it('shows a page that asks, and answers requests of a bench in words', async () => {
    const page = await fetch(`${address}/larder`);
    expect(page.status).toBe(401);
    expect(await page.text()).toContain('Passcode of the kitchen');
    const asked = await fetch(`${address}/api/formulas`);
    expect([asked.status, (await asked.json()).message]).toEqual([401, expect.stringContaining('not let in any more')]);
  });

  it('lets in who knows the passcode, keeps them in, and lets them out', async () => {
    const answer = await enter('lantern mill');
    expect([answer.status, answer.headers.get('location')]).toEqual([303, '/']);
    const set = answer.headers.get('set-cookie') ?? '';
    expect(set).toMatch(/HttpOnly; SameSite=Strict/);
    const cookie = set.split(';')[0] ?? '';
    expect(await (await fetch(`${address}/larder`, { headers: { cookie } })).text()).toBe('inside');
    const left = await fetch(`${address}/leave`, { headers: { cookie }, redirect: 'manual' });
    expect(left.headers.get('set-cookie')).toContain('Max-Age=0');
    expect((await fetch(`${address}/larder`, { headers: { cookie: `${cookie}x` } })).status).toBe(401);
  });

  it('refuses a wrong passcode and a form without end, and slows down who keeps trying', async () => {
    expect((await enter('x'.repeat(1_000_000))).status).toBe(403);
    for (let i = 0; i < 4; i++) expect((await enter('<script>alert(1)</script>')).status).toBe(403);
    const slowed = await enter('lantern mill');
    expect(slowed.status).toBe(429);
    expect(Number(slowed.headers.get('retry-after'))).toBeGreaterThan(20);
    expect(await slowed.text()).not.toContain('alert(1)');
  });
});
