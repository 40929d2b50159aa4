import 'reflect-metadata';
import type { Server } from 'node:http';
import { MOST_BYTES, MOST_FILE_BYTES } from '@fellside/core';
import { Database, openDatabase, Refusal, readMachine } from '@fellside/database';
import { HttpAdapterHost, NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import compression from 'compression';
import helmet from 'helmet';
import { AppModule } from './app.module.js';
import { standingAt } from './door/door.js';
import { isLoopback } from './door/hosts.js';
import { closingTheSilent } from './door/silent.js';
import { MOST_PICTURE } from './pictures/pictures.service.js';
import { BodyFilter } from './reasons/bodyFilter.js';
import type { Settings } from './settings.js';
import { shopIn } from './shop/shop.controller.js';
import { fillShelf } from './show/show.js';

/** A request carries a document and its history, or a project file with its picture. */
const MOST_BODY = Math.max(3 * MOST_BYTES, MOST_FILE_BYTES + 1024 * 1024);

/** How long a client may take over its headers, be silent in the middle of a request, and take over all of it (ms). */
const HEADERS_TIMEOUT = 15_000;
const SILENCE = 30_000;
const REQUEST_TIMEOUT = 10 * 60_000;

/**
 * Builds the server without listening; it logs nothing until it does, so that what stops it is said once. Throws a
 * `Refusal` when the data folder is in use or cannot be trusted, or when others could come in without a passphrase.
 */
export async function createServer(settings: Settings): Promise<NestExpressApplication> {
  const { dataFolder, host, hosts } = settings;
  const passphrase = () => readMachine(dataFolder).passphrase;
  if (!isLoopback(host) && !passphrase())
    throw new Refusal(
      `FELLSIDE_HOST is ${host}: other machines can reach that, and no passphrase is set. Set one with npx fellside passphrase, then start again.`,
    );
  const open = await openDatabase(dataFolder, {
    asItIs: settings.asItIs,
    ...(settings.demo && { fill: fillShelf }),
  });
  try {
    const app = await NestFactory.create<NestExpressApplication>(AppModule.with(settings, open), {
      logger: false,
      abortOnError: false,
      forceCloseConnections: true,
      bodyParser: false,
    });
    app.use(
      helmet({
        contentSecurityPolicy: {
          directives: { 'script-src': ["'self'", "'wasm-unsafe-eval'"], 'upgrade-insecure-requests': null },
        },
        strictTransportSecurity: false,
      }),
    );
    app.use(closingTheSilent(SILENCE));
    app.use(standingAt({ hosts, passphrase }));
    app.use(compression());
    app.useBodyParser('json', { limit: MOST_BODY });
    app.useBodyParser('text', { limit: MOST_BODY });
    app.useBodyParser('raw', { type: ['image/png', 'image/jpeg'], limit: MOST_PICTURE });
    app.useGlobalFilters(new BodyFilter(app.get(HttpAdapterHost).httpAdapter, unitsOf(app.get(Database))));
    const http = app.getHttpServer() as Server;
    http.headersTimeout = HEADERS_TIMEOUT;
    http.requestTimeout = REQUEST_TIMEOUT;
    return app;
  } catch (error) {
    await open.close();
    throw error;
  }
}

/** The units that the house's sentences are in. */
const unitsOf = (database: Database) => () => database.read(async (manager) => (await shopIn(manager)).units);
