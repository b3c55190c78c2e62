// @ts-check
import { networkInterfaces } from 'node:os';
import { isLoopback } from '../loopback.mjs';

/** IPv4 as it is written, where the system writes it as IPv6. @param {string} address */
const plain = (address) => address.replace(/^::ffff:/, '');

/** Whether a request comes from this machine itself, by whatever address. @param {import('node:http').IncomingMessage} request */
export function isFromHere(request) {
  const peer = plain(request.socket.remoteAddress ?? '');
  const own = Object.values(networkInterfaces()).flatMap((each) => (each ?? []).map(({ address }) => address));
  return isLoopback(peer) || own.includes(peer);
}

/**
 * Whether a request is made at the screen of this machine: it comes from here, asks for an address that only this machine has, and nobody passed it on.
 *
 * @param {import('node:http').IncomingMessage} request
 */
export function isAtThisMachine(request) {
  const { host = '', forwarded, 'x-forwarded-for': passedOn } = request.headers;
  const name = host.replace(/:\d+$/, '').replace(/^\[|\]$/g, '');
  return isFromHere(request) && isLoopback(name) && forwarded === undefined && passedOn === undefined;
}
