import { gunzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { bodyFor, isWhole, PageCache, shownOn, touchedBy } from '@/server/page-cache.mjs';

const LIST = ['all', 'formulas'];

/** A page that shows what is saved at the moment it is drawn, and takes until it is let go. */
function kitchen(status = 200) {
  const cache = new PageCache({ maxMs: 1_000 });
  let saved = 0;
  let drawings = 0;
  const open: (() => void)[] = [];
  const draw = () => {
    drawings += 1;
    const body = Buffer.from(`saved ${saved}`);
    return new Promise<{ status: number; headers: Record<string, string>; body: Buffer }>((resolve) =>
      open.push(() => resolve({ status, headers: {}, body })),
    );
  };
  return {
    save: (...what: string[]) => {
      saved += 1;
      cache.saved(what);
    },
    ask: async (shows: readonly string[] = LIST, nowMs = 0) =>
      (await cache.page(JSON.stringify(shows), shows, draw, nowMs)).body.toString(),
    /** Ends all drawings that have begun, and those that begin by it. */
    drawn: async () => {
      for (let i = 0; i < 3; i++) {
        for (const done of open.splice(0)) done();
        await new Promise((resolve) => setTimeout(resolve));
      }
    },
    drawings: () => drawings,
  };
}

describe('a page that is the same for all', () => {
  it('is drawn once, whoever asks while it is drawn and afterwards', async () => {
    const { ask, drawn, drawings } = kitchen();
    const many = Promise.all(Array.from({ length: 50 }, () => ask()));
    await drawn();
    expect(new Set(await many)).toEqual(new Set(['saved 0']));
    expect(await ask()).toBe('saved 0');
    expect(drawings()).toBe(1);
  });

  it('is never older than what was saved before it was asked for', async () => {
    const { ask, drawn, drawings, save } = kitchen();
    const before = ask();
    save('formulas');
    // The drawing under way began before the save: these wait for the next one, and share it.
    const after = [ask(), ask(), ask()];
    save('formulas');
    const last = ask();
    await drawn();
    expect(await before).toBe('saved 0');
    expect(await Promise.all([...after, last])).toEqual(Array(4).fill('saved 2'));
    expect(drawings()).toBe(2);
  });

  it('stays when something is saved that it does not show', async () => {
    const { ask, drawn, drawings, save } = kitchen();
    const [shelf, list] = [ask(['all']), ask(LIST)];
    await drawn();
    await Promise.all([shelf, list]);
    save('formulas', 'formula:a');
    const again = [ask(['all']), ask(LIST)];
    await drawn();
    expect(await Promise.all(again)).toEqual(['saved 0', 'saved 1']);
    expect(drawings()).toBe(3);
    save('all');
    const all = [ask(['all']), ask(LIST)];
    await drawn();
    expect(await Promise.all(all)).toEqual(['saved 2', 'saved 2']);
  });

  it('is drawn again after a while, and at once where it was not good', async () => {
    const good = kitchen();
    const first = good.ask(LIST, 0);
    await good.drawn();
    await first;
    const later = good.ask(LIST, 1_500);
    await good.drawn();
    await later;
    expect(good.drawings()).toBe(2);
    const gone = kitchen(404);
    for (let i = 0; i < 2; i++) {
      const asked = gone.ask();
      await gone.drawn();
      await asked;
    }
    expect(gone.drawings()).toBe(2);
  });

  it('of which a part went wrong is not kept', () => {
    const page = (body: string, status = 200) => ({ status, headers: {}, body: Buffer.from(body) });
    expect(
      isWhole(page('<main>Formulas<template data-dgst="BAILOUT_TO_CLIENT_SIDE_RENDERING"></template></main>')),
    ).toBe(true);
    expect(isWhole(page('<main>Formulas', 404))).toBe(false);
    for (const broken of [
      '<template data-dgst="123456"></template>',
      '7:E{"digest":"1"}',
      'push([1,"7:E{\\"digest\\":1',
    ]) {
      expect(isWhole(page(broken)), broken).toBe(false);
    }
  });

  it('is told by its address, and what a change touches by the change', () => {
    expect(shownOn('/formulas/abc/balance')).toEqual(['all', 'formula:abc']);
    for (const path of ['/batches/abc', '/rescue', '/settings', '/formulas/abc/balance/x', '/api/library']) {
      expect(shownOn(path), path).toBeUndefined();
    }
    for (const path of ['/', '/formulas', '/book', '/shelf', '/larder']) expect(shownOn(path)).toContain('all');
    expect(touchedBy({ what: 'formula', id: 'abc' })).toEqual(['formulas', 'formula:abc']);
    expect(touchedBy({ what: 'shelf', id: 'x' })).toEqual(['all']);
  });

  it('is packed once, for those that unpack it', () => {
    const page = { status: 200, headers: {}, body: Buffer.from('page '.repeat(100)) };
    const { body, isZipped } = bodyFor(page, 'gzip, deflate, br');
    expect(isZipped && gunzipSync(body).equals(page.body)).toBe(true);
    expect(bodyFor(page, 'gzip').body).toBe(body);
    expect(bodyFor(page, 'identity')).toEqual({ body: page.body, isZipped: false });
  });
});
