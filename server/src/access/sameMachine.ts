import type { NextFunction, Request, Response } from 'express';
import { TLSSocket } from 'node:tls';

/**
 * A page that is gone to, as from the garden that one looks round in: it shows itself and tells the other page
 * nothing.
 */
const isPage = ({ method, path, headers }: Request): boolean =>
  method === 'GET' &&
  !path.startsWith('/api/') &&
  headers['sec-fetch-mode'] === 'navigate' &&
  headers['sec-fetch-dest'] === 'document';

/**
 * Lets in only what this machine's own browser asks of Sledge's own pages:
 * a foreign Host (DNS rebinding) or a foreign Origin (another page) is refused.
 */
export function sameMachine(port: () => number) {
  return (request: Request, response: Response, next: NextFunction): void => {
    // what comes over the network has a door of its own
    if (request.socket instanceof TLSSocket) {
      next();
      return;
    }
    const own = ['127.0.0.1', 'localhost', '[::1]'].map((name) => `${name}:${port()}`);
    const { host, origin } = request.headers;
    const hostGood = host !== undefined && own.includes(host.toLowerCase());
    const originGood = origin === undefined || own.some((name) => origin.toLowerCase() === `http://${name}`);
    const site = request.headers['sec-fetch-site'];
    const siteGood =
      site === undefined || site === 'same-origin' || site === 'none' || (site === 'same-site' && isPage(request));
    if (hostGood && originGood && siteGood) {
      next();
      return;
    }
    sendRefusal(
      response,
      403,
      'Refused',
      `Sledge answers only at http://127.0.0.1:${port()}, and only to its own pages.`,
    );
  };
}

/** A refusal before anything was looked at, as problem+json. */
export function sendRefusal(response: Response, status: number, title: string, detail: string): void {
  response
    .status(status)
    .set('X-Content-Type-Options', 'nosniff')
    .type('application/problem+json')
    .send(JSON.stringify({ type: 'about:blank', title, status, detail }));
}
