import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { request as ask } from 'node:http';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { freePort } from '../../scripts/run/port.mjs';
import { setPasscode } from '../../src/server/auth/passcode.mjs';
import { TOKEN_COOKIE } from '../../src/server/guard.mjs';
import { expect, expectAccessible, test } from './kitchen';

/** A kitchen that is open to its network, with a passcode. */
let server: ChildProcess;
let port = 0;
const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-open-'));
const at = (to: string) => `http://127.0.0.1:${port}${to}`;
const tokenOf = (name: string) => readFileSync(path.join(folder, name), 'utf8').trim();

test.beforeAll(async () => {
  test.setTimeout(180_000);
  await setPasscode(folder, 'lantern mill');
  port = await freePort();
  server = spawn(process.execPath, ['scripts/start.mjs', '--host', '0.0.0.0', '--port', String(port)], {
    env: { ...process.env, DARK_POUR_DATA: folder },
    stdio: 'ignore',
  });
  await expect
    .poll(
      () =>
        fetch(at('/')).then(
          ({ status }) => status,
          () => 0,
        ),
      { timeout: 150_000 },
    )
    .toBe(401);
});
test.afterAll(async () => {
  const ended = new Promise((resolve) => server.once('exit', resolve));
  server.kill('SIGTERM');
  await ended;
  rmSync(folder, { recursive: true, force: true });
});

/** The first line of what a raw connection is answered, and whether it is closed soon. */
const raw = (text: string | Buffer) =>
  new Promise<string>((resolve) => {
    const socket = connect(port, '127.0.0.1');
    let heard = '';
    socket.setTimeout(10_000, () => {
      resolve(`open: ${heard.split('\r\n')[0]}`);
      socket.destroy();
    });
    socket.on('data', (part) => {
      heard += part;
    });
    socket.on('close', () => resolve(heard.split('\r\n')[0] ?? ''));
    socket.on('error', () => undefined);
    socket.write(text);
  });

test('a tablet logs in, is listed, and is logged out by a new passcode', async ({ browser }) => {
  const context = await browser.newContext({ extraHTTPHeaders: {} });
  const page = await context.newPage();
  await page.goto(at('/'));
  await page.getByLabel('Passcode of the kitchen').fill('wrong passcode');
  await page.getByRole('button', { name: 'Log in' }).click();
  await expect(page.getByRole('alert')).toHaveText('That is not the passcode.');
  await expectAccessible(page);
  await page.getByLabel('Passcode of the kitchen').fill('lantern mill');
  await page.getByRole('button', { name: 'Log in' }).click();
  await expect(page.getByRole('heading', { name: 'Today', exact: true })).toBeVisible();
  await page.goto(at('/settings'));
  const tablets = page.getByRole('list', { name: 'Tablets that are logged in' });
  await expect(tablets.getByRole('listitem')).toHaveCount(1);
  await expect(tablets).toContainText('(this one)');
  await expectAccessible(page);

  // What an old tablet still has opens nothing: neither its cookies nor the token of its pages.
  const cookies = await context.cookies();
  const cookie = cookies.map(({ name, value }) => `${name}=${value}`).join('; ');
  expect((await fetch(at('/api/formulas'), { headers: { cookie } })).status).toBe(200);
  await page.getByLabel('New passcode').fill('the next one');
  await page.getByRole('button', { name: 'Set it' }).click();
  await expect(page.getByText('The passcode is set.')).toBeVisible();
  const token = tokenOf('token');
  for (const headers of [{ cookie }, { cookie, authorization: `Bearer ${token}` }] as Record<string, string>[]) {
    for (const to of ['/api/formulas', '/api/backup', '/larder']) {
      expect((await fetch(at(to), { headers })).status, to).toBe(401);
    }
    const write = {
      method: 'PATCH',
      body: '{}',
      headers: { ...headers, origin: at(''), 'content-type': 'application/json' },
    };
    expect((await fetch(at('/api/settings'), write)).status).toBe(401);
  }
  // The machine's own commands have a token of their own, readable by their user alone.
  const command = tokenOf('command-token');
  expect(command).not.toBe(token);
  expect(statSync(path.join(folder, 'command-token')).mode & 0o077).toBe(0);
  expect((await fetch(at('/api/health'), { headers: { authorization: `Bearer ${command}` } })).status).toBe(200);
  await page.goto(at('/larder'));
  await expect(page.getByLabel('Passcode of the kitchen')).toBeVisible();
  await context.close();
});

test('what speaks another protocol, or sends what no tablet sends, is refused with a word, in time', async () => {
  const host = `host: 127.0.0.1:${port}`;
  const upgrade = ['GET / HTTP/1.1', host, 'connection: Upgrade', 'upgrade: websocket', '', ''].join('\r\n');
  const many = await Promise.all(Array.from({ length: 50 }, () => raw(upgrade)));
  expect(new Set(many)).toEqual(new Set(['HTTP/1.1 400 Bad Request']));
  const odd = Buffer.concat([
    Buffer.from(
      `PUT /api/settings HTTP/1.1\r\n${host}\r\norigin: ${at('')}\r\ncookie: ${TOKEN_COOKIE}=${'a'.repeat(63)}`,
    ),
    Buffer.from([0xe9]),
    Buffer.from('\r\nconnection: close\r\ncontent-length: 0\r\n\r\n'),
  ]);
  expect(await raw(odd)).toMatch(/^HTTP\/1\.1 40[13]/);
  // A head that never ends.
  expect(await raw('GET / HTTP/1.1\r\nhost:')).not.toContain('200');
});

test('a body that says nothing of its length is refused where it is too long, not when all of it has come', async ({
  page,
  baseURL,
}) => {
  await page.goto('/');
  const { port: demo } = new URL(baseURL ?? '');
  const cookie = (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ');
  const headers = { origin: baseURL ?? '', cookie, 'content-type': 'application/json', 'transfer-encoding': 'chunked' };
  let sent = 0;
  const status = await new Promise<number>((resolve) => {
    const going = ask({ host: '127.0.0.1', port: demo, path: '/api/shelf', method: 'POST', headers }, (answer) => {
      resolve(answer.statusCode ?? 0);
      going.destroy();
    });
    going.on('error', () => resolve(0));
    const part = Buffer.alloc(1_000_000, 'x');
    const more = () => {
      if (going.destroyed || sent > 600) return;
      sent += 1;
      going.write(part, () => setImmediate(more));
    };
    more();
  });
  expect(status).toBe(413);
  expect(sent).toBeLessThan(300);
});
