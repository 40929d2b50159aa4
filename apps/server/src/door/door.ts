import { isSession, type Passphrase } from '@fellside/database';
import type { NextFunction, Request, Response } from 'express';
import { hostNamed, isListed, isLoopback } from './hosts.js';

export const COOKIE = 'fellside_session';

/** Who may come in: the names the server answers to, and the passphrase asked for beyond this machine. */
export interface Door {
  readonly hosts: readonly string[];
  /** Asked anew at every request: it may be changed while the server runs. */
  passphrase(): Passphrase | null;
}

/** The session token of a request's cookie. */
const tokenOf = ({ headers }: Pick<Request, 'headers'>): string =>
  new RegExp(`(?:^|;\\s*)${COOKIE}=([^;]*)`).exec(headers.cookie ?? '')?.[1] ?? '';

/** A request of this machine itself: from its loopback, under a loopback name, and handed on by nobody. */
export const isOwn = (request: Request): boolean =>
  isLoopback(request.socket.remoteAddress ?? '') &&
  isLoopback(hostNamed(request.headers.host) ?? '') &&
  request.headers['x-forwarded-for'] === undefined &&
  request.headers.forwarded === undefined;

/** Whether somebody from another machine has given the passphrase. */
export const isKnown = (request: Request, door: Door): boolean => {
  const kept = door.passphrase();
  return kept !== null && isSession(kept, tokenOf(request), Date.now());
};

/** A request that a page of another origin sent, as the browser says. */
function isForeignPage({ headers, path }: Request): boolean {
  const { origin, host } = headers;
  if (origin !== undefined && origin.replace(/^https?:\/\//, '').toLowerCase() !== host?.toLowerCase())
    return true;
  const site = headers['sec-fetch-site'];
  const foreign = site === 'cross-site' || site === 'same-site';
  // A link from elsewhere may open the interface, as a page of its own; it may not read from the API.
  return foreign && (path.startsWith('/api/') || headers['sec-fetch-mode'] !== 'navigate');
}

/** What may be asked without the passphrase: the interface itself, and the door. */
const isOpen = (path: string): boolean => !path.startsWith('/api/') || path.startsWith('/api/door');

const refuse = (response: Response, statusCode: number, code: string, message: string): void => {
  response.status(statusCode).json({ statusCode, code, message });
};

/**
 * Stands before everything: answers only to its own names, keeps other web pages in the same browser off the API, and asks
 * whoever comes from another machine for the passphrase.
 */
export const standingAt = (door: Door) => (request: Request, response: Response, next: NextFunction) => {
  const name = hostNamed(request.headers.host);
  const known = name !== null && (isLoopback(name) || isListed(name, door.hosts));
  if (!known || isForeignPage(request))
    return refuse(
      response,
      403,
      'not-ours',
      'Fellside answers only its own pages, under the names it was given.',
    );
  if (isOwn(request) || isOpen(request.path) || isKnown(request, door)) return next();
  refuse(response, 401, 'passphrase', 'Give the passphrase of this Fellside first.');
};
