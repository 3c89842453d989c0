// Devices of the attack: the computer itself, and tablets that are let in over the network.
import { request } from 'node:https';
import { CHANGE, ask } from './sledge.mjs';

/** Where tablets are answered: another address of this machine. */
export const NETWORK = { SLEDGE_LAN: '1', SLEDGE_LAN_HOST: '127.0.0.2', SLEDGE_LAN_PORT: '0' };

/** One request over the network; a connection that breaks gives status 0. */
function askThere(address, cookie, method, path, body, change) {
  const { hostname, port } = new URL(address);
  const headers = {
    host: `${hostname}:${port}`,
    'content-type': 'application/json',
    [CHANGE]: change,
    ...(cookie ? { cookie } : {}),
  };
  // a connection of its own each time, since those of a device that is shut out are cut; and nobody vouches for the
  // certificate that Sledge makes for itself
  const options = { hostname, port, method, path, headers, rejectUnauthorized: false, servername: '', agent: false };
  return new Promise((resolve) => {
    const sent = request(options, (response) => {
      let text = '';
      response.on('data', (chunk) => {
        text += chunk.toString();
      });
      response.on('end', () => {
        const json = /json/.test(response.headers['content-type'] ?? '');
        resolve({
          status: response.statusCode,
          body: json ? JSON.parse(text) : text,
          cookies: response.headers['set-cookie'] ?? [],
        });
      });
    });
    sent.on('error', () => {
      resolve({ status: 0, body: null, cookies: [] });
    });
    sent.end(body === undefined ? undefined : JSON.stringify(body));
  });
}

/** The network of a Sledge: where it is, codes, and devices. */
export async function networkOf(url) {
  const told = async () => (await ask(url, 'GET', '/api/network')).body;
  const address = (await told()).addresses[0];
  return {
    /** Types six words that may be wrong. @returns the status */
    async guess(words) {
      const body = { words: words.join(' '), name: 'Guesser' };
      return (await askThere(address, null, 'POST', '/api/network/in', body, crypto.randomUUID())).status;
    },
    /** Lets a device in. @returns how it asks, and its name; null where it was not let in */
    async letIn(name) {
      const { body } = await ask(url, 'POST', '/api/network/code', { rights: 'all' });
      const dto = { words: body.code.words.join(' '), name };
      const { status, cookies } = await askThere(address, null, 'POST', '/api/network/in', dto, crypto.randomUUID());
      if (status !== 204) return null;
      const cookie = cookies[0].split(';')[0];
      return {
        name,
        ask: (method, path, own, change = crypto.randomUUID()) => askThere(address, cookie, method, path, own, change),
      };
    },
    async shutOut(name) {
      const device = (await told()).devices.find((d) => d.name === name);
      await ask(url, 'DELETE', `/api/network/devices/${device.id}`);
    },
  };
}
