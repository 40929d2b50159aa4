import { createHmac, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { z } from 'zod';
import { Refusal } from '../failure.js';

/** How a passphrase is kept: scrypt (RFC 7914) with 2^15 rounds, so that trying takes a guesser long. */
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 } as const;
const LENGTH = 32;

const hex = z.string().regex(/^[0-9a-f]+$/);
export const passphraseSchema = z.strictObject({ salt: hex, hash: hex, secret: hex });
/** A kept passphrase: salt and hash, and the secret that its sessions are signed with. Hexadecimal. */
export type Passphrase = z.infer<typeof passphraseSchema>;

const LEAST = 10;

const hashed = (words: string, salt: Buffer): Promise<Buffer> =>
  new Promise((done, failed) =>
    scrypt(words.normalize('NFKC'), salt, LENGTH, COST, (error, key) => (error ? failed(error) : done(key))),
  );

/** Makes what is kept of a passphrase; sessions of the old one end. Throws a `Refusal` when it is too short. */
export async function keepPassphrase(words: string): Promise<Passphrase> {
  if ([...words.trim()].length < LEAST)
    throw new Refusal(
      `The passphrase is too short; it needs at least ${LEAST} letters. Three or four words are good.`,
    );
  if (words.length > 500) throw new Refusal('The passphrase is longer than 500 letters.');
  const salt = randomBytes(16);
  const hash = await hashed(words.trim(), salt);
  return { salt: salt.toString('hex'), hash: hash.toString('hex'), secret: randomBytes(32).toString('hex') };
}

/** Whether these are the words; takes the same time whatever is given. */
export async function isPassphrase({ salt, hash }: Passphrase, words: string): Promise<boolean> {
  const given = await hashed(words.slice(0, 500).trim(), Buffer.from(salt, 'hex'));
  return timingSafeEqual(given, Buffer.from(hash, 'hex'));
}

const sealOf = ({ secret }: Passphrase, until: number): Buffer =>
  createHmac('sha256', Buffer.from(secret, 'hex')).update(String(until)).digest();

/** A session's token: when it ends (ms since 1970) and a seal on that. It survives a restart, and ends with its passphrase. */
export const sessionToken = (kept: Passphrase, until: number): string =>
  `${until}.${sealOf(kept, until).toString('hex')}`;

export function isSession(kept: Passphrase, token: string, now: number): boolean {
  const [, until, seal] = /^(\d{1,15})\.([0-9a-f]{64})$/.exec(token) ?? [];
  if (!until || !seal) return false;
  const right = timingSafeEqual(Buffer.from(seal, 'hex'), sealOf(kept, Number(until)));
  return right && Number(until) > now;
}
