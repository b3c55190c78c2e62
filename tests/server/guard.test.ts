import { hostname } from 'node:os';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ownNames, refusalOf, TOKEN_COOKIE } from '@/server/guard.mjs';

const token = 'a'.repeat(64);
const ours = { names: ownNames(['kitchen.example']), token };
const write = {
  method: 'PUT',
  url: '/api/formulas/1',
  headers: {
    host: 'localhost:4280',
    origin: 'http://localhost:4280',
    'content-type': 'application/json; charset=utf-8',
    'content-length': '20',
    cookie: `other=1; ${TOKEN_COOKIE}=${token}`,
  },
};
const status = (change: object, headers: object = {}) =>
  refusalOf({ ...write, ...change, headers: { ...write.headers, ...headers } }, ours)?.status;

describe('who may speak to the server', () => {
  it('its own pages may read and write, under each of its names', () => {
    for (const name of ['localhost', '127.0.0.1', '[::1]', hostname(), 'kitchen.example', 'KITCHEN.example']) {
      expect(status({}, { host: `${name}:4280`, origin: `http://${name}:4280` }), name).toBeUndefined();
      expect(status({ method: 'GET' }, { host: name, origin: undefined }), name).toBeUndefined();
    }
  });

  it('nobody reads or writes under a name that is not its own', () => {
    for (const host of ['evil.example', 'localhost.evil.example', '', 'a b', '127.0.0.1.evil.example:4280']) {
      for (const method of ['GET', 'PUT']) expect(status({ method }, { host, origin: `http://${host}` })).toBe(421);
    }
  });

  it('a write needs the origin it goes to, port and all, and the token', () => {
    for (const origin of [
      undefined,
      '',
      'null',
      'http://evil.example',
      'http://localhost:4281',
      'file://localhost:4280',
    ]) {
      expect(status({}, { origin }), String(origin)).toBe(403);
    }
    for (const cookie of [
      undefined,
      '',
      `${TOKEN_COOKIE}=`,
      `${TOKEN_COOKIE}=${'b'.repeat(64)}`,
      `x${TOKEN_COOKIE}=${token}`,
    ]) {
      expect(status({}, { cookie }), String(cookie)).toBe(403);
    }
  });

  it('a body is JSON and no longer than any it may be', () => {
    for (const type of ['text/plain', 'multipart/form-data', undefined, 'application/jsonp']) {
      expect(status({}, { 'content-type': type }), String(type)).toBe(415);
    }
    const photo = { url: '/api/photos' };
    expect(status(photo, { 'content-type': 'application/octet-stream' })).toBeUndefined();
    for (const type of ['application/json', 'image/svg+xml', 'multipart/form-data']) {
      expect(status(photo, { 'content-type': type }), type).toBe(415);
    }
    expect(status({ url: '/api/formulas' }, { 'content-type': 'application/octet-stream' })).toBe(415);
    expect(status({ method: 'DELETE' }, { 'content-type': undefined, 'content-length': undefined })).toBeUndefined();
    expect(status({}, { 'content-length': '40000001' })).toBe(413);
  });

  it('pages are looked at and nothing else', () => {
    for (const method of ['PUT', 'POST', 'OPTIONS', 'DELETE']) expect(status({ method, url: '/larder' })).toBe(405);
    expect(status({ method: 'HEAD', url: '/larder' })).toBeUndefined();
  });

  it('other methods and addresses that cannot be read are refused before anything looks at them', () => {
    for (const method of ['TRACE', 'CONNECT', 'PROPFIND', 'get', '']) expect(status({ method })).toBe(405);
    for (const url of ['/%', '/api/%E0%A4%A', '/a%00b', '/a%0d%0aset-cookie:x', 'http://elsewhere/']) {
      expect(status({ url }), url).toBe(400);
    }
    expect(status({ url: '/api/formulas/k%C3%BCche?as=100%' })).toBeUndefined();
  });

  it('a page that cannot say where it stands is refused before the renderer breaks down over it', () => {
    const get = (state: string | string[]) => status({ method: 'GET', url: '/' }, { 'next-router-state-tree': state });
    for (const state of ['%', '[]', '{}', '1', ['["",{}]', '["",{}]'], encodeURIComponent('["",{"x":1}]')]) {
      expect(get(state), String(state)).toBe(400);
    }
    expect(get(encodeURIComponent('["",{"children":["larder",{"children":["__PAGE__",{}]}]},null,"refetch"]'))).toBe(
      undefined,
    );
  });

  it('no request whatever is an error of its own', () => {
    const header = fc.option(fc.string({ unit: 'binary', maxLength: 40 }), { nil: undefined });
    fc.assert(
      fc.property(
        fc.string(),
        fc.string({ unit: 'binary' }),
        header,
        header,
        header,
        (method, url, host, origin, cookie) => {
          const refused = refusalOf({ method, url, headers: { host, origin, cookie } }, ours);
          expect([undefined, 400, 403, 405, 413, 415, 421]).toContain(refused?.status);
        },
      ),
    );
  });
});
