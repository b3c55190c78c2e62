import { mkdirSync, mkdtempSync, rmSync, statSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { Attempts } from '@/server/auth/attempts.mjs';
import { hasPasscode, isPasscode, setPasscode } from '@/server/auth/passcode.mjs';
import { makePrivate } from '@/server/auth/private-files.mjs';
import { beginSession, endSession, listSessions, sessionOf } from '@/server/auth/sessions.mjs';
import { commandToken, isSameText, pageToken } from '@/server/auth/tokens.mjs';
import { isLoopback } from '@/server/loopback.mjs';

const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-passcode-'));
afterAll(() => rmSync(folder, { recursive: true }));
const NOW = Date.UTC(2026, 10, 26);
const DAY_MS = 86_400_000;

describe('the passcode of a kitchen', () => {
  it('is refused when it is too short or too long, and is not written down', async () => {
    expect(hasPasscode(folder)).toBe(false);
    expect(await setPasscode(folder, 'short')).toContain('at least 6');
    expect(await setPasscode(folder, 'x'.repeat(201))).toContain('at most 200');
    expect(hasPasscode(folder)).toBe(false);
    expect(await setPasscode(folder, 'Köchin am Wehr')).toBeUndefined();
    expect(hasPasscode(folder)).toBe(true);
  });

  it('is known again however its letters are composed, and nothing else is', async () => {
    expect(await isPasscode(folder, 'Köchin am Wehr'.normalize('NFD'))).toBe(true);
    for (const wrong of ['', 'köchin am wehr', 'Köchin am Wehr ', 'x'.repeat(10_000)]) {
      expect(await isPasscode(folder, wrong), wrong.slice(0, 20)).toBe(false);
    }
  });

  it('lets in for thirty days; a session that was changed, ended or made up is none', async () => {
    const tablet = { device: 'Tablet', address: '10.0.0.7', nowMs: NOW };
    const session = beginSession(folder, tablet);
    expect(sessionOf(folder, session, NOW + 29 * DAY_MS)?.lastMs).toBe(NOW + 29 * DAY_MS);
    expect(sessionOf(folder, session, NOW + 31 * DAY_MS)).toBeUndefined();
    const [listed] = listSessions(folder, NOW);
    for (const wrong of [undefined, '', `${session}x`, listed?.id, listed?.hash, 'é'.repeat(43)]) {
      expect(sessionOf(folder, wrong, NOW), String(wrong)).toBeUndefined();
    }
    const other = beginSession(folder, tablet);
    expect(endSession(folder, listed?.id ?? '', NOW)).toBe(true);
    expect([sessionOf(folder, session, NOW), sessionOf(folder, other, NOW)?.device]).toEqual([undefined, 'Tablet']);
    await setPasscode(folder, 'another one');
    expect(sessionOf(folder, other, NOW), 'a new passcode ends the sessions of the old one').toBeUndefined();
  });

  it('makes an address wait after five tries, and only that one, until many come from everywhere', () => {
    const attempts = new Attempts();
    for (let i = 0; i < 5; i++) expect(attempts.begin('10.0.0.7', NOW)).toBe(0);
    expect(attempts.begin('10.0.0.7', NOW)).toBe(30_000);
    expect(attempts.begin('10.0.0.8', NOW)).toBe(0);
    expect(attempts.begin('10.0.0.7', NOW + 30_000)).toBe(0);
    expect(attempts.begin('10.0.0.7', NOW + 30_001)).toBeGreaterThan(29_000);
    attempts.succeeded('10.0.0.7');
    expect(attempts.begin('10.0.0.7', NOW + 30_002)).toBe(0);
    const later = NOW + DAY_MS;
    const waits = Array.from({ length: 40 }, (_, i) => attempts.begin(`10.0.1.${i}`, later));
    expect(waits.filter((wait) => wait === 0)).toHaveLength(30);
    expect(attempts.begin('10.0.2.1', later + 30_000)).toBe(0);
  });

  it('is judged two at a time', async () => {
    const attempts = new Attempts();
    let [running, most] = [0, 0];
    const work = async () => {
      most = Math.max(most, ++running);
      await new Promise((resolve) => setTimeout(resolve, 5));
      running -= 1;
    };
    await Promise.all(Array.from({ length: 8 }, () => attempts.judge(work)));
    expect([most, running]).toEqual([2, 0]);
  });

  it('is asked for on every address but those of this machine alone', () => {
    for (const host of ['127.0.0.1', '127.8.8.8', 'localhost', '::1']) expect(isLoopback(host), host).toBe(true);
    for (const host of ['0.0.0.0', '::', '192.168.1.4', 'kitchen.local', ''])
      expect(isLoopback(host), host).toBe(false);
  });
});

describe('tokens', () => {
  it('of pages stay; those of commands are made anew at each start and are not the same', () => {
    const [page, command] = [pageToken(folder), commandToken(folder)];
    expect(pageToken(folder)).toBe(page);
    expect(commandToken(folder)).not.toBe(command);
    expect(command).not.toBe(page);
    for (const name of ['token', 'command-token']) expect(statSync(path.join(folder, name)).mode & 0o077).toBe(0);
  });

  it('are compared whatever letters are sent', () => {
    const token = 'a'.repeat(64);
    expect(isSameText(token, token)).toBe(true);
    for (const other of [`${'a'.repeat(63)}é`, '', `${token}a`, '\u{1F36B}'.repeat(32)])
      expect(isSameText(other, token)).toBe(false);
  });
});

it('what earlier versions left open to others is closed; what points elsewhere is left alone', () => {
  const home = path.join(folder, 'home');
  mkdirSync(path.join(home, 'db'), { recursive: true, mode: 0o755 });
  writeFileSync(path.join(home, 'db', '1'), '', { mode: 0o644 });
  writeFileSync(path.join(folder, 'of others'), '', { mode: 0o644 });
  symlinkSync(path.join(folder, 'of others'), path.join(home, 'link'));
  makePrivate(home);
  const mode = (...parts: string[]) => (statSync(path.join(folder, ...parts)).mode & 0o777).toString(8);
  expect([mode('home'), mode('home', 'db'), mode('home', 'db', '1'), mode('of others')]).toEqual([
    '700',
    '700',
    '600',
    '644',
  ]);
  makePrivate(path.join(folder, 'nowhere'));
});
