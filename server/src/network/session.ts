import type { Request, Response } from 'express';

/** Name of the cookie: browsers keep one of such a name only if it is secure and of this address alone. */
export const SESSION = '__Host-sledge';
const DAYS = 400;
const DAY = 86_400_000;

/** The session that came with a request. */
export function sessionOf({ headers }: Pick<Request, 'headers'>): string | null {
  const pairs = (headers.cookie ?? '').split(';').map((pair) => pair.trim().split('='));
  const own = pairs.find(([name]) => name === SESSION)?.[1];
  return own === undefined || own === '' ? null : own;
}

/** Gives a device its session to keep: no script reads it, and no other page sends it. */
export function keepSession(response: Response, session: string): void {
  response.cookie(SESSION, session, {
    httpOnly: true,
    sameSite: 'strict',
    secure: true,
    path: '/',
    maxAge: DAYS * DAY,
  });
}
