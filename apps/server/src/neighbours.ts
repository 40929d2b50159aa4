import type { NextFunction, Request, Response } from 'express';

const LOOPBACK = /^(localhost|127\.0\.0\.1|\[::1\])$/;

const hostnameOf = (host: string): string => host.replace(/:\d+$/, '');

/**
 * Keeps other web pages in the same browser off the API: a request that a page of another origin sent is refused, and
 * while only this machine is listened to, so is one for another name (a name that somebody made point here).
 */
export const ownPagesOnly =
  (listensOn: string) => (request: Request, response: Response, next: NextFunction) => {
    const host = request.headers.host ?? '';
    const { origin } = request.headers;
    const foreignPage = origin !== undefined && origin.replace(/^https?:\/\//, '') !== host;
    const foreignName = LOOPBACK.test(listensOn) && !LOOPBACK.test(hostnameOf(host));
    if (!foreignPage && !foreignName) return next();
    response.status(403).json({ statusCode: 403, message: 'Fellside answers only its own pages.' });
  };
