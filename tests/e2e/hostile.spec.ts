import { readdirSync, readFileSync } from 'node:fs';
import { Agent, request as ask } from 'node:http';
import path from 'node:path';
import fc from 'fast-check';
import { TOKEN_COOKIE } from '../../src/server/guard.mjs';
import { expect, openFormula, STIFF_GANACHE, test } from './kitchen';

/** The long run asks more, from a seed of its own. */
const REQUESTS = Number(process.env.HOSTILE_REQUESTS ?? 5_000);
const SEED = Number(process.env.HOSTILE_SEED ?? 20_261_126);
const AT_ONCE = 8;
const LONGEST_MS = 5_000;

interface Hostile {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: Buffer | undefined;
}

const STOVE = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 };

/** Something that happened to a batch, with an edge where a figure or a text should be. */
const happening = (edge: fc.Arbitrary<unknown>): fc.Arbitrary<unknown> =>
  fc
    .tuple(edge, edge)
    .chain(([a, b]) =>
      fc.constantFrom<unknown>(
        { kind: 'begin', step: a },
        { kind: 'done', step: 99 },
        { kind: 'weigh', step: 0, row: a, grams: b, by: 'hand' },
        { kind: 'replan', row: 99, grams: 1e5 },
        { kind: 'temperature', temperatureC: a, by: 'probe' },
        { kind: 'add', name: '\u0000', components: { water: a }, grams: 1 },
        { kind: 'note', text: '\u0000\u202e' },
        { kind: 'test', result: { test: 'ring', diameterMm: a, temperatureC: b, seconds: 30 } },
        { kind: 'test', result: { test: 'sets', hours: a, depthMm: b, fromC: a, aroundC: b } },
        { kind: 'doubt', test: '__proto__', isDoubted: true },
        { kind: 'lost', grams: a },
        { kind: 'used', what: '\u202e', grams: b },
        { kind: 'photo', photo: { hash: a, width: b, height: 1 }, shows: '\u202e' },
        { kind: 'photoOff', hash: '../token' },
        { kind: 'test', result: { test: 'grains', felt: 'sandy', temperatureC: a, hours: b } },
        { kind: 'finish' },
        { kind: 'timer', id: '__proto__', label: 'constructor', seconds: 5 },
      ),
    );

/** Every route of the app is under fire: one that is new is missed here until it is listed. */
test('the generator knows every route', () => {
  const found = readdirSync('src/app/api', { recursive: true, encoding: 'utf8' })
    .filter((each) => each.endsWith('route.ts') && !each.includes('[...nowhere]'))
    .map((each) => `/api/${path.dirname(each)}`.replace(/\[\w+\]/g, '*'))
    // Lines that never end, and lists that the pages ask for.
    .filter((each) => each !== '/api/changes');
  const asked = fc
    .sample(hostile('an-id', 'a-batch', {}), { numRuns: REQUESTS, seed: SEED })
    .map(({ path: each }) => each.split('?')[0] ?? '');
  const missed = found.filter((route) => {
    const form = new RegExp(`^${route.replaceAll('*', '[^/]+')}$`);
    return !asked.some((each) => form.test(each));
  });
  expect(missed).toEqual([]);
});

/** Requests over every route: paths, methods, headers and bodies that nobody sends by accident. */
function hostile(id: string, batch: string, own: Readonly<Record<string, string>>): fc.Arbitrary<Hostile> {
  const nasty = fc.constantFrom(
    ...[
      '__proto__',
      'constructor',
      '../../etc/passwd',
      '%00',
      '%',
      '%E0%A4%A',
      '..%2f',
      'a'.repeat(3000),
      "'; drop table formulas; --",
    ],
    ...['<script>alert(1)</script>', '\u202egnp', '%F0%9F%8D%AB', '-1', 'NaN', '1e999', ' ', ''],
    ...['%ED%A0%80', '2147483648', '9007199254740993', '8640000000000001', '-8640000000000000', '0000-01-01'],
    ...['9999-12-31', '%2500', '%0A', '%C0%AF', '1e-7', '٣', 'İ'],
  );
  const aDay = fc.oneof({ weight: 2, arbitrary: fc.constant('2031-05-06') }, nasty);
  const aBatch = fc.oneof({ weight: 2, arbitrary: fc.constant(batch) }, nasty);
  const anId = fc.oneof({ weight: 2, arbitrary: fc.constant(id) }, nasty);
  const route = fc.oneof(
    ...[
      '/api/formulas',
      '/api/library',
      '/api/larder',
      '/api/larder/import',
      '/api/larder/rows',
      '/api/library/names',
      '/api/library/looks?ids=an-id,__proto__',
      '/api/library/summaries',
      '/api/settings',
      '/api/backup',
      '/api/backups',
      '/api/access',
      '/api/access/passcode',
      '/api/access/sessions/abc',
      '/api/health',
      '/api/batches',
      '/api/timers',
      '/api/book',
      '/api/book/past',
      '/api/kitchen',
      '/api/shelf',
      '/api/photos',
      '/api/practice',
      '/batches',
      '/book',
      '/book/compare',
      '/shelf',
      '/practice',
      '/day',
      '/rescue',
      '/',
      '/formulas',
      '/brief',
      '/numbers',
      '/nowhere',
    ].map((each) => fc.constant(each)),
    ...[
      '',
      '/archive',
      '/card',
      '/draw-with',
      '/file',
      '/figures-seen',
      '/method/card',
      '/calendar',
      '/restore',
      '/variants',
      '/versions',
    ].map((each) => anId.map((one) => `/api/formulas/${one}${each}`)),
    fc.tuple(anId, nasty).map(([one, other]) => `/api/formulas/${one}/versions/${other}`),
    ...['', '/uses'].map((each) => anId.map((one) => `/api/larder/${one}${each}`)),
    ...['', '/events', '/devices', '/label'].map((each) => aBatch.map((one) => `/api/batches/${one}${each}`)),
    ...['', '/calendar'].map((each) => aDay.map((day) => `/api/days/${day}${each}`)),
    fc.tuple(aDay, nasty).map(([day, task]) => `/api/days/${day}/${task}`),
    ...['balance', 'method', 'cook', 'record', 'serve'].map((each) => anId.map((one) => `/formulas/${one}/${each}`)),
    aBatch.map((one) => `/batches/${one}`),
    aBatch.map((one) => `/batches/${one}/record`),
    aBatch.map((one) => `/batches/${one}/label`),
    nasty.map((one) => `/api/photos/${one}`),
    nasty.map((one) => `/api/shelf/${one}`),
  );
  const query = fc.oneof(
    { weight: 3, arbitrary: fc.constant('') },
    fc
      .tuple(
        fc.constantFrom(
          'as',
          'cups',
          'day',
          'from',
          'on',
          'start',
          'batch',
          'formula',
          'panCm',
          '__proto__',
          'search',
          'ids',
          'skip',
          'rows',
          'with',
          'at',
          'learner',
          'size',
          'count',
          'netG',
          'useBy',
          'to',
          'by',
          'landed',
          'use',
          'name',
        ),
        nasty,
      )
      .map(([name, value]) => `?${name}=${value}`),
  );
  const deep = Buffer.from(`${'['.repeat(20_000)}${']'.repeat(20_000)}`);
  const text = (value: unknown) => Buffer.from(JSON.stringify(value));
  const edge = fc.constantFrom<unknown>(
    ...[
      -1,
      0,
      1e308,
      -0,
      1e-320,
      2 ** 31,
      2 ** 32,
      2 ** 53,
      8.64e15,
      -8.64e15,
      1.5,
      '1e999',
      null,
      true,
      'NaN',
      {},
      [],
    ],
    ...['a lone \ud800 half', '\udc00', 'x'.repeat(5_000), '0000-01-01', '9999-12-31', '\u0000', 'İ'],
  );
  const odd = fc.constantFrom('plain', 'a lone \ud800 half', '\udfff\ud800', '\u0000', '\u202e', 'İ\u0307', '🍫', ' ');
  const formula = fc
    .tuple(
      fc.constantFrom(
        'name',
        'lines',
        'moments',
        'gates',
        'process',
        'brief',
        'method',
        'ingredients',
        'yield',
        'tags',
        'use',
      ),
      edge,
    )
    .map(([field, value]) => ({ ...STIFF_GANACHE, [field]: value }));
  const body = fc.oneof(
    fc.constant(undefined),
    fc.constant(deep),
    fc.constant(Buffer.from([0xff, 0xfe, 0x00, 0xc3, 0x28])),
    fc.constant(Buffer.from('{"__proto__":{"polluted":1},"constructor":{"prototype":{"polluted":1}}}')),
    fc.json().map((each) => Buffer.from(each)),
    fc.tuple(formula, edge).map(([each, revision]) => text({ formula: each, revision })),
    formula.map((each) => text({ formulas: [each, each] })),
    odd.map((name) => text({ formula: { ...STIFF_GANACHE, name, tags: [name], note: name }, revision: 1 })),
    edge.map((revision) => text({ formula: STIFF_GANACHE, revision })),
    edge.map((revision) =>
      text({ formulas: [STIFF_GANACHE], kept: [{ id: 'x', revision, baseId: null }], take: 'new' }),
    ),
    fc.tuple(odd, odd).map(([name, note]) => text({ name, note, formula: STIFF_GANACHE })),
    fc
      .tuple(odd, edge)
      .map(([name, count]) =>
        text({ name, container: 'jar', count, grams: 50, place: 'fridge', madeOn: '2026-11-20', useBy: count }),
      ),
    fc.tuple(odd, odd).map(([words, by]) =>
      text({
        ...{ formulaId: id, times: 1, stove: STOVE, kitchenC: 22, madeMs: 1, by },
        happened: [{ kind: 'note', text: words }],
      }),
    ),
    fc.tuple(odd, edge, edge).map(([words, key, tabletMs]) =>
      text({
        after: 0,
        sentMs: tabletMs,
        events: [{ key, tablet: words, by: words, tabletMs, what: { kind: 'finish' } }],
      }),
    ),
    fc
      .tuple(odd, edge)
      .map(([learner, panC]) =>
        text({ key: 'key of odd', learner, kind: 'why', formula: learner, isRight: true, called: null, miss: 0, panC }),
      ),
    fc.tuple(odd, edge).map(([passcode, from]) => text({ passcode, from: { kept: from }, preview: true })),
    formula.map((each) => text({ name: 'x', note: '\u202e\u0000', formula: each })),
    edge.map((value) => text({ ingredient: { id: value, name: value, components: { water: value } } })),
    edge.map((value) => text({ add: [value], change: value })),
    edge.map((value) => text({ formulaId: id, readyMinutes: value })),
    edge.map((value) => text({ tasks: [{ id: '\u0000', readyMinutes: value }] })),
    edge.map((value) => text({ formulaId: id, times: value, stove: STOVE, kitchenC: 22 })),
    fc
      .tuple(edge, happening(edge))
      .map(([value, what]) =>
        text({ after: 0, events: [{ key: `key ${value} \u0000`, tablet: '\u202e', tabletMs: value, what }] }),
      ),
    fc.tuple(edge, happening(edge)).map(([value, what]) =>
      text({
        after: value,
        events: [{ key: `key of ${JSON.stringify(what)}`.slice(0, 60), tablet: 'a', tabletMs: 1, what }],
      }),
    ),
    edge.map((value) => text({ order: 'pour', grams: value })),
    fc
      .tuple(edge, happening(edge))
      .map(([value, what]) =>
        text({ formulaId: id, times: 1, stove: STOVE, kitchenC: 22, madeMs: value, by: '\u202e', happened: [what] }),
      ),
    edge.map((value) =>
      text({
        name: 'x\u0000',
        container: 'jar',
        count: value,
        grams: value,
        place: 'fridge',
        madeOn: value,
        useBy: value,
      }),
    ),
    edge.map((value) => text({ fate: 'used', grams: value })),
    edge.map((value) =>
      text({
        key: 'key of a try',
        learner: '\u202e',
        kind: 'why',
        formula: '',
        isRight: true,
        called: null,
        miss: value,
      }),
    ),
    fc.constantFrom('', 'no', 'AAAA', 'a'.repeat(200_000)).map((each) => text({ from: { file: each }, preview: true })),
    fc
      .tuple(fc.constantFrom('temperature', 'currency', 'numbers', '__proto__'), edge)
      .map(([name, value]) => text({ [name]: value })),
  );
  const headers = fc.oneof(
    { weight: 20, arbitrary: fc.constant(own) },
    fc.constant({}),
    fc.constant({ ...own, origin: 'http://evil.example' }),
    fc.constant({ ...own, host: 'evil.example' }),
    fc.constant({ ...own, 'content-type': 'text/plain' }),
    fc.constant({ ...own, 'content-type': 'application/octet-stream' }),
    fc.constant({ ...own, cookie: `${TOKEN_COOKIE}=${'a'.repeat(64)}` }),
    fc.constant({ ...own, 'accept-language': 'x'.repeat(4000), 'x-forwarded-host': 'evil.example' }),
    fc.constant({ ...own, cookie: `${TOKEN_COOKIE}=${'a'.repeat(63)}\u00e9` }),
    fc.constant({ ...own, 'idempotency-key': 'one key for all' }),
    fc.constant({ ...own, 'idempotency-key': 'one-key-for-all' }),
    fc.constant({ ...own, connection: 'Upgrade', upgrade: 'websocket' }),
    fc.constant({ ...own, rsc: '1', 'next-router-state-tree': '%' }),
    fc.constant({ ...own, rsc: '1', 'next-router-state-tree': encodeURIComponent('["",{}]') }),
  );
  const method = fc.constantFrom('GET', 'GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'HEAD', 'OPTIONS', 'TRACE');
  return fc
    .record({ method, route, query, headers, body })
    .map(({ route: to, query: asked, ...rest }) => ({ ...rest, path: `${to}${asked}`.replace(/[^\x21-\x7e]/g, '+') }));
}

interface Answer {
  readonly status: number;
  readonly isJson: boolean;
  readonly text: string;
}

/** What a request is answered with; `late` after five seconds of silence, nothing where the guard closes the line. */
function send(to: { hostname: string; port: string; agent: Agent }, { body, headers: own, ...what }: Hostile) {
  const headers = body ? { ...own, 'content-length': String(body.length) } : own;
  return new Promise<Answer | 'late' | undefined>((resolve) => {
    const sent = ask({ ...to, ...what, headers, timeout: LONGEST_MS }, (answer) => {
      let text = '';
      answer.on('data', (part) => {
        text += part;
      });
      const isJson = /json/.test(answer.headers['content-type'] ?? '');
      answer.on('end', () => resolve({ status: answer.statusCode ?? 500, isJson, text }));
    });
    sent.on('timeout', () => {
      sent.destroy();
      resolve('late');
    });
    sent.on('error', () => resolve(undefined));
    sent.end(body);
  });
}

function faultOf({ status, isJson, text }: Answer): string | undefined {
  if (status >= 500) return String(status);
  if (isJson && /:(NaN|-?Infinity)\b/.test(text)) return 'NaN';
  return isJson && /\bat .*\.(js|ts|mjs):\d+/.test(text) ? 'stack' : undefined;
}

test('five thousand hostile requests: no answer of 500 and more, none that hangs, no NaN', async ({
  page,
  baseURL,
}) => {
  test.setTimeout(120 * REQUESTS);
  const id = await openFormula(page, { name: 'Under fire' });
  const begun = await page.request.post('/api/batches', { data: { formulaId: id, stove: STOVE, kitchenC: 22 } });
  const { id: batch } = (await begun.json()) as { id: string };
  const { hostname, port } = new URL(baseURL ?? '');
  const token = readFileSync(path.join(process.env.E2E_DATA ?? '', 'token'), 'utf8').trim();
  const own = { origin: baseURL ?? '', cookie: `${TOKEN_COOKIE}=${token}`, 'content-type': 'application/json' };
  const to = { hostname, port, agent: new Agent({ keepAlive: true, maxSockets: AT_ONCE }) };
  const faults: string[] = [];
  const late: Hostile[] = [];
  let served = 0;
  const judge = (asked: Hostile, answer: Answer) => {
    if (answer.status < 300) served += 1;
    const fault = faultOf(answer);
    if (fault) faults.push(`${fault} ${asked.method} ${asked.path.slice(0, 80)} ${String(asked.body).slice(0, 120)}`);
  };

  const requests = fc
    .sample(hostile(id, batch, own), { numRuns: REQUESTS, seed: SEED })
    .map((each) => (each.method === 'DELETE' && each.path.includes(id) ? { ...each, method: 'PATCH' } : each))
    // What a scale says never ends.
    .map((each) => (each.method === 'GET' && each.path.includes('/devices') ? { ...each, method: 'POST' } : each));
  await Promise.all(
    Array.from({ length: AT_ONCE }, async (_, lane) => {
      for (let i = lane; i < requests.length; i += AT_ONCE) {
        const asked = requests[i] as Hostile;
        const answer = await send(to, asked);
        if (answer === 'late') late.push(asked);
        else if (answer) judge(asked, answer);
      }
    }),
  );
  // What a loaded machine answers late is asked again, alone: only what is then not answered either hangs.
  for (const asked of late) {
    const answer = await send(to, asked);
    if (answer === 'late') faults.push(`hangs ${asked.method} ${asked.path.slice(0, 80)}`);
    else if (answer) judge(asked, answer);
  }
  process.stdout.write(`${requests.length} requests, ${served} served, ${late.length} late\n`);
  expect(faults.slice(0, 10)).toEqual([]);
  expect((await page.request.get('/api/health')).status()).toBe(200);
  await page.goto('/formulas');
  await expect(page.getByRole('heading', { name: 'Formulas' })).toBeVisible();
  expect(await page.evaluate(() => 'polluted' in Object.prototype)).toBe(false);
  const usual = { temperature: 'C', weight: 'g', length: 'cm', numbers: 'en-GB', currency: 'EUR' };
  expect((await page.request.patch('/api/settings', { data: usual })).ok()).toBe(true);
});
