import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { isLoopback } from '@/server/loopback.mjs';
import { hasPasscode, isPasscode, isSession, newSession, setPasscode, Tries } from '@/server/passcode.mjs';

const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-passcode-'));
afterAll(() => rmSync(folder, { recursive: true }));
const NOW = Date.UTC(2026, 10, 26);
const DAY_MS = 86_400_000;

describe('the passcode of a kitchen', () => {
  it('is refused when it is too short or too long, and is not written down', () => {
    expect(hasPasscode(folder)).toBe(false);
    expect(setPasscode(folder, 'short')).toContain('at least 6');
    expect(setPasscode(folder, 'x'.repeat(201))).toContain('at most 200');
    expect(hasPasscode(folder)).toBe(false);
    expect(setPasscode(folder, 'Köchin am Wehr')).toBeUndefined();
    const file = path.join(folder, 'passcode.json');
    expect(readFileSync(file, 'utf8')).not.toContain('Wehr');
    expect(statSync(file).mode & 0o077).toBe(0);
  });

  it('is known again however its letters are composed, and nothing else is', () => {
    expect(isPasscode(folder, 'Köchin am Wehr'.normalize('NFD'))).toBe(true);
    for (const wrong of ['', 'köchin am wehr', 'Köchin am Wehr ', 'x'.repeat(10_000)]) {
      expect(isPasscode(folder, wrong), wrong.slice(0, 20)).toBe(false);
    }
  });

  it('lets in for thirty days; a session that was changed, ended or made up is none', () => {
    const session = newSession(folder, NOW);
    expect(isSession(folder, session, NOW + 29 * DAY_MS)).toBe(true);
    expect(isSession(folder, session, NOW + 31 * DAY_MS)).toBe(false);
    const [until = '', sum = ''] = session.split('.');
    for (const wrong of [
      undefined,
      '',
      '.',
      until,
      `${Number(until) + 1}.${sum}`,
      `${until}.${'0'.repeat(64)}`,
      `9e9.${sum}`,
    ]) {
      expect(isSession(folder, wrong, NOW), String(wrong)).toBe(false);
    }
    setPasscode(folder, 'another one');
    expect(isSession(folder, session, NOW), 'a new passcode ends the sessions of the old one').toBe(false);
  });

  it('makes an address wait after five wrong tries, and only that one', () => {
    const tries = new Tries();
    for (let i = 0; i < 5; i++) {
      expect(tries.waitMs('10.0.0.7', NOW)).toBe(0);
      tries.wasWrong('10.0.0.7', NOW);
    }
    expect(tries.waitMs('10.0.0.7', NOW)).toBe(30_000);
    expect(tries.waitMs('10.0.0.8', NOW)).toBe(0);
    expect(tries.waitMs('10.0.0.7', NOW + 30_000)).toBe(0);
    tries.wasWrong('10.0.0.7', NOW + 30_000);
    expect(tries.waitMs('10.0.0.7', NOW + 30_001)).toBeGreaterThan(29_000);
    tries.wasRight('10.0.0.7');
    expect(tries.waitMs('10.0.0.7', NOW + 30_002)).toBe(0);
  });

  it('is asked for on every address but those of this machine alone', () => {
    for (const host of ['127.0.0.1', '127.8.8.8', 'localhost', '::1']) expect(isLoopback(host), host).toBe(true);
    for (const host of ['0.0.0.0', '::', '192.168.1.4', 'kitchen.local', ''])
      expect(isLoopback(host), host).toBe(false);
  });
});
