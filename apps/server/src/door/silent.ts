import type { IncomingMessage, ServerResponse } from 'node:http';

/** Closes the connection of a client that stops in the middle of its request for so long, ms; answers may take longer. */
export const closingTheSilent =
  (ms: number) =>
  (request: IncomingMessage, _: ServerResponse, next: () => void): void => {
    request.setTimeout(ms, () => request.destroy());
    request.once('end', () => request.setTimeout(0));
    next();
  };
