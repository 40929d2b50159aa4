import { changeMachine, isPassphrase, keepPassphrase, readMachine, sessionToken } from '@fellside/database';
import {
  Body,
  Controller,
  ForbiddenException,
  Get,
  HttpCode,
  HttpException,
  Inject,
  Post,
  Put,
  Req,
  Res,
} from '@nestjs/common';
import type { Request, Response } from 'express';
import { toString as drawn } from 'qrcode';
import { z } from 'zod';
import { parsed } from '../reasons/answer.js';
import { SETTINGS, type Settings } from '../settings.js';
import { Attempts } from './attempts.js';
import { COOKIE, isKnown, isOwn } from './door.js';
import { isLoopback, ownAddresses } from './hosts.js';

/** A session lasts so long, ms. */
const SESSION = 30 * 24 * 3_600_000;

const words = z
  .string({ error: 'The passphrase has to be a text.' })
  .max(500, { error: 'The passphrase is longer than 500 letters.' });
const wordsBody = z.strictObject({ passphrase: words });

/** The door: who is in, the passphrase, and where this Fellside can be reached. */
@Controller('api/door')
export class DoorController {
  private readonly attempts = new Attempts();

  constructor(@Inject(SETTINGS) private readonly settings: Settings) {}

  @Get()
  state(@Req() request: Request) {
    const own = isOwn(request);
    return { own, open: own || isKnown(request, this.door) };
  }

  @Post()
  @HttpCode(204)
  async enter(@Body() body: unknown, @Res({ passthrough: true }) response: Response): Promise<void> {
    const { passphrase } = parsed(wordsBody, body);
    const wait = this.attempts.wait(Date.now());
    const kept = this.door.passphrase();
    if (wait > 0 || !kept) {
      const message = kept
        ? `Too many wrong passphrases; try again in ${Math.ceil(wait / 1000)} s.`
        : 'No passphrase is set on this Fellside.';
      throw new HttpException({ statusCode: 429, code: 'too-many', message }, 429);
    }
    // Counted before it is judged: guesses sent side by side count like guesses one after another.
    this.attempts.failed(Date.now());
    if (!(await isPassphrase(kept, passphrase)))
      throw new HttpException(
        { statusCode: 401, code: 'passphrase', message: 'That is not the passphrase.' },
        401,
      );
    this.attempts.passed();
    const until = Date.now() + SESSION;
    response.cookie(COOKIE, sessionToken(kept, until), {
      httpOnly: true,
      sameSite: 'strict',
      maxAge: SESSION,
      path: '/',
    });
  }

  @Post('leave')
  @HttpCode(204)
  leave(@Res({ passthrough: true }) response: Response): void {
    response.clearCookie(COOKIE, { httpOnly: true, sameSite: 'strict', path: '/' });
  }

  /** Sets the passphrase; on the machine itself only. */
  @Put('passphrase')
  @HttpCode(204)
  async set(@Req() request: Request, @Body() body: unknown): Promise<void> {
    if (!isOwn(request))
      throw new ForbiddenException({
        statusCode: 403,
        message: 'The passphrase is set on the machine that Fellside runs on.',
      });
    const { passphrase } = parsed(wordsBody, body);
    changeMachine(this.settings.dataFolder, { passphrase: await keepPassphrase(passphrase) });
  }

  /** Where it can be reached from other machines, each address as text and as a QR code; none while it listens here only. */
  @Get('reach')
  async reach(@Req() request: Request) {
    if (!isOwn(request) && !isKnown(request, this.door))
      throw new HttpException(
        { statusCode: 401, code: 'passphrase', message: 'Give the passphrase first.' },
        401,
      );
    const { host, hosts } = this.settings;
    const local = isLoopback(host);
    const port = request.socket.localPort;
    const urls = local
      ? []
      : hosts.filter((name) => !isLoopback(name)).map((name) => `http://${name}:${port}/`);
    return {
      listening: local ? 'here' : 'beyond',
      passphrase: this.door.passphrase() !== null,
      addresses: await Promise.all(
        urls.map(async (url) => ({ url, qr: await drawn(url, { type: 'svg', margin: 2 }) })),
      ),
      own: ownAddresses(),
    };
  }

  private get door() {
    const { hosts, dataFolder } = this.settings;
    return { hosts, passphrase: () => readMachine(dataFolder).passphrase };
  }
}
