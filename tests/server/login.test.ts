import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { request as ask, createServer, type Server } from 'node:http';
import { type AddressInfo, connect } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { answerAccess } from '@/server/auth/access-route.mjs';
import { logIn } from '@/server/auth/login.mjs';
import { hasPasscode, setPasscode } from '@/server/auth/passcode.mjs';

const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-login-'));
const kitchen = { folder, isSecure: false };
let server: Server;
let port = 0;
let address = '';

beforeAll(async () => {
  server = createServer(async (request, response) => {
    if (await logIn(request, response, kitchen)) return;
    if (!(await answerAccess(request, response, kitchen))) response.end('inside');
  });
  await new Promise<void>((resolve) => server.listen(0, '0.0.0.0', resolve));
  port = (server.address() as AddressInfo).port;
  address = `http://127.0.0.1:${port}`;
});
beforeEach(async () => void (await setPasscode(folder, 'lantern mill')));
afterAll(() => {
  server.close();
  rmSync(folder, { recursive: true });
});

/** Tries are counted by address: each test comes from one of its own. */
const enter = (passcode: string, from = '127.0.0.1') =>
  new Promise<{ status: number; text: string; retryAfter: number; cookie: string }>((resolve, reject) => {
    const body = new URLSearchParams({ passcode }).toString();
    const headers = { 'content-type': 'application/x-www-form-urlencoded', 'content-length': body.length };
    const sent = ask(
      { host: '127.0.0.1', port, localAddress: from, path: '/enter', method: 'POST', headers },
      (answer) => {
        let text = '';
        answer.on('data', (part) => {
          text += part;
        });
        answer.on('end', () =>
          resolve({
            status: answer.statusCode ?? 0,
            text,
            retryAfter: Number(answer.headers['retry-after']),
            cookie: answer.headers['set-cookie']?.[0] ?? '',
          }),
        );
      },
    );
    sent.on('error', reject);
    sent.end(body);
  });

describe('logging in to a kitchen', () => {
  it('is asked of a page, and told in words to a bench', async () => {
    const page = await fetch(`${address}/larder`);
    expect(page.status).toBe(401);
    expect(await page.text()).toContain('Passcode of the kitchen');
    const asked = await fetch(`${address}/api/formulas`);
    expect([asked.status, (await asked.json()).message]).toEqual([401, expect.stringContaining('not logged in')]);
  });

  it('lets in who knows the passcode, keeps them in, lets them out, and lists and ends them', async () => {
    const { status, cookie: set } = await enter('lantern mill', '127.0.0.2');
    expect(status).toBe(303);
    expect(set).toMatch(/HttpOnly; SameSite=Strict/);
    const cookie = set.split(';')[0] ?? '';
    const inside = async (own: string) =>
      (await fetch(`${address}/larder`, { headers: { cookie: own } })).status === 200;
    expect(await inside(cookie)).toBe(true);
    for (const wrong of [`${cookie}x`, cookie.slice(0, -1), `${cookie.slice(0, -1)}\u00e9`])
      expect(await inside(wrong)).toBe(false);
    const other = (await enter('lantern mill', '127.0.0.2')).cookie.split(';')[0] ?? '';
    const access = await (await fetch(`${address}/api/access`, { headers: { cookie } })).json();
    expect(access).toMatchObject({ hasPasscode: true, isThisMachine: true });
    expect(access.sessions.map(({ isOwn }: { isOwn: boolean }) => isOwn).sort()).toEqual([false, true]);
    expect(JSON.stringify(access)).not.toContain(cookie.split('=')[1]);
    const ended = access.sessions.find(({ isOwn }: { isOwn: boolean }) => !isOwn);
    await fetch(`${address}/api/access/sessions/${ended.id}`, { method: 'DELETE', headers: { cookie } });
    expect([await inside(other), await inside(cookie)]).toEqual([false, true]);
    const left = await fetch(`${address}/leave`, { headers: { cookie }, redirect: 'manual' });
    expect(left.headers.get('set-cookie')).toContain('Max-Age=0');
    expect(await inside(cookie), 'its cookie is worth nothing afterwards').toBe(false);
  });

  it('ends for every tablet with a new passcode, which only the machine itself sets, by a page of its own', async () => {
    const cookie = (await enter('lantern mill', '127.0.0.3')).cookie.split(';')[0] ?? '';
    const put = (headers: Record<string, string>) =>
      fetch(`${address}/api/access/passcode`, {
        method: 'PUT',
        headers: { cookie, ...headers },
        body: JSON.stringify({ passcode: 'another one' }),
      });
    expect((await put({ 'x-forwarded-for': '10.0.0.8' })).status).toBe(403);
    const set = (origin: string) =>
      fetch(`${address}/passcode`, {
        method: 'POST',
        headers: { origin },
        body: new URLSearchParams({ passcode: 'by a stranger' }),
        redirect: 'manual',
      });
    for (const origin of ['http://evil.example', 'null']) expect((await set(origin)).status, origin).toBe(403);
    expect((await put({})).status).toBe(200);
    expect((await fetch(`${address}/larder`, { headers: { cookie } })).status).toBe(401);
    expect((await enter('lantern mill', '127.0.0.3')).status).toBe(403);
    expect((await enter('another one', '127.0.0.3')).status).toBe(303);
    expect((await set(address)).status).toBe(303);
    expect((await enter('by a stranger', '127.0.0.3')).status).toBe(303);
  });

  it('refuses a form that is long or does not end, and makes who keeps trying wait', async () => {
    expect((await enter('x'.repeat(5_000), '127.0.0.4')).status).toBe(413);
    for (let i = 0; i < 5; i++) expect((await enter('<script>alert(1)</script>', '127.0.0.4')).status).toBe(403);
    const slowed = await enter('lantern mill', '127.0.0.4');
    expect([slowed.status, slowed.retryAfter > 20]).toEqual([429, true]);
    expect(slowed.text).not.toContain('alert(1)');
  });

  it('judges few of many guesses that are sent at once, and the kitchen goes on meanwhile', async () => {
    // Forms are opened, and ended together: the wait is asked for when they have come.
    const sockets = await Promise.all(
      Array.from({ length: 40 }, async (_, i) => {
        const socket = connect({ port, host: '127.0.0.1', localAddress: '127.0.0.5' });
        await new Promise((resolve) => socket.once('connect', resolve));
        const body = `passcode=guess-${i}`;
        socket.write(`POST /enter HTTP/1.1\r\nhost: x\r\ncontent-length: ${body.length}\r\n\r\n`);
        return { socket, body };
      }),
    );
    await new Promise((resolve) => setTimeout(resolve, 100));
    const answers = sockets.map(
      ({ socket }) =>
        new Promise<string>((resolve) => socket.once('data', (text) => resolve(String(text).slice(9, 12)))),
    );
    for (const { socket, body } of sockets) socket.write(body);
    const began = performance.now();
    expect((await fetch(`${address}/larder`)).status).toBe(401);
    expect(performance.now() - began).toBeLessThan(1_000);
    const statuses = await Promise.all(answers);
    expect(statuses.filter((status) => status === '403').length).toBeLessThanOrEqual(5);
    expect(statuses.filter((status) => status === '429').length).toBeGreaterThanOrEqual(35);
    for (const { socket } of sockets) socket.destroy();
  });

  it('is refused with a word where the file of the passcode is empty, and nothing hangs', async () => {
    writeFileSync(path.join(folder, 'passcode.json'), '');
    expect(hasPasscode(folder)).toBe(false);
    const refused = await enter('lantern mill', '127.0.0.6');
    expect([refused.status, refused.text]).toEqual([503, expect.stringContaining('Set a new one')]);
    expect((await fetch(`${address}/larder`)).status).toBe(401);
  });

  it('keeps nothing that opens a kitchen, and all of it for its owner alone', async () => {
    const cookie = (await enter('lantern mill', '127.0.0.7')).cookie.split(';')[0]?.split('=')[1] ?? '';
    for (const name of ['passcode.json', 'sessions.json']) {
      const file = path.join(folder, name);
      expect(statSync(file).mode & 0o077, name).toBe(0);
      expect(readFileSync(file, 'utf8')).not.toMatch(new RegExp(`lantern|${cookie}`));
    }
  });
});
