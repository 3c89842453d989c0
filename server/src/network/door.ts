import type { NextFunction, Request, Response } from 'express';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { TLSSocket } from 'node:tls';
import { CHANGE_HEADER } from '#contract';
import { sendRefusal } from '../access/sameMachine.js';
import { projectRoot } from '../db/root.js';
import { SESSION, sessionOf } from './session.js';
import { isStep, mayAsk } from './rights.js';
import type { KeptDevice } from './deviceBook.js';
import type { NetworkService } from './network.service.js';

const LET_IN = '/api/network/in';
const DOOR = join(projectRoot(), 'dist', 'web', 'door.html');
/** Files that the door needs; nothing else is shown before one is let in. */
const OF_THE_DOOR = /^\/door\/[\w.-]+\.js$|^\/mark\.svg$/;

/** A request that came over the network, and not from this computer's own browser. */
export const isFromNetwork = (request: Request): boolean => request.socket instanceof TLSSocket;

/** The device that asks, where one was let in. */
const devices = new WeakMap<Request, KeptDevice>();
export const deviceOf = (request: Request): KeptDevice | null => devices.get(request) ?? null;

/** Only its own addresses, and only its own pages. */
function isOwn({ headers }: Request, network: NetworkService): boolean {
  const { host = '', origin } = headers;
  const site = headers['sec-fetch-site'];
  const hostGood = network.isOwnHost(host);
  const originGood = origin === undefined || origin.toLowerCase() === `https://${host.toLowerCase()}`;
  return (
    hostGood && originGood && (site === undefined || site === 'same-origin' || site === 'none' || site === 'same-site')
  );
}

/** Somebody who was not let in: the door, and nothing about whose it is. */
function atTheDoor(request: Request, response: Response, next: NextFunction): void {
  const { method, path } = request;
  if ((method === 'POST' && path === LET_IN) || (method === 'GET' && OF_THE_DOOR.test(path))) {
    next();
    return;
  }
  if (method === 'GET' && !path.startsWith('/api/') && existsSync(DOOR)) {
    response.set('Cache-Control', 'no-store').sendFile(DOOR);
    return;
  }
  // a cookie of one that was shut out is taken away
  if (sessionOf(request) !== null) response.clearCookie(SESSION, { path: '/', secure: true, sameSite: 'strict' });
  sendRefusal(response, 401, 'Not let in', 'This device is not let in.');
}

function mayTakeBack(device: KeptDevice, request: Request, network: NetworkService): boolean {
  if (device.rights === 'all' || !isStep(request.path)) return true;
  return network.isOwnChange(device.id, (request.body as { expects?: unknown } | undefined)?.expects);
}

/** Before anything else of a request from the network: who asks, and whether they may. */
export function door(network: () => NetworkService) {
  return (request: Request, response: Response, next: NextFunction): void => {
    if (!isFromNetwork(request)) {
      next();
      return;
    }
    if (!isOwn(request, network())) {
      sendRefusal(response, 403, 'Refused', 'Sledge answers only at its own address, and only to its own pages.');
      return;
    }
    const session = sessionOf(request);
    const device = session === null ? undefined : network().device(session, request.socket);
    if (!device) {
      atTheDoor(request, response, next);
      return;
    }
    if (!mayAsk(device.rights, request.method, request.path)) {
      sendRefusal(response, 403, 'Not here', notHere(device));
      return;
    }
    devices.set(request, device);
    const change = request.headers[CHANGE_HEADER];
    if (typeof change === 'string') network().noteChange(device.id, change);
    next();
  };
}

const notHere = ({ rights }: KeptDevice): string =>
  rights === 'all'
    ? 'This is done at the computer that Sledge runs on.'
    : 'This device was let in for the bench and the diary. The rest is done at the computer.';

/** After the body was read: a device of the bench takes back only its own. */
export function ownSteps(network: () => NetworkService) {
  return (request: Request, response: Response, next: NextFunction): void => {
    const device = deviceOf(request);
    if (!device || mayTakeBack(device, request, network())) {
      next();
      return;
    }
    sendRefusal(response, 403, 'Not here', 'This was done elsewhere. Take it back at the computer.');
  };
}
