import { isIP } from 'node:net';
import { networkInterfaces } from 'node:os';

const bare = (name: string): string => name.replace(/^\[(.*)\]$/, '$1').toLowerCase();

/** Whether a name or address is this machine's own and no other's: localhost, 127.0.0.0/8, ::1, also as IPv6 writes them. */
export function isLoopback(name: string): boolean {
  const plain = bare(name).replace(/\.$/, '');
  const four = plain.replace(/^::ffff:/, '');
  return (
    plain === 'localhost' ||
    plain.endsWith('.localhost') ||
    plain === '::1' ||
    plain === '0:0:0:0:0:0:0:1' ||
    (isIP(four) === 4 && four.startsWith('127.'))
  );
}

/** The name in a Host header, without its port; null where it is none. */
export function hostNamed(header: string | undefined): string | null {
  const [, name] = /^(\[[0-9a-fA-F:.]+\]|[A-Za-z0-9._-]+)(?::\d{1,5})?$/.exec(header ?? '') ?? [];
  return name === undefined ? null : bare(name);
}

/** Whether a host is one of those that were listed. */
export const isListed = (name: string, hosts: readonly string[]): boolean =>
  hosts.some((listed) => bare(listed) === bare(name));

/** Addresses of this machine in its networks, as they stand in a browser. */
export const ownAddresses = (): string[] =>
  Object.values(networkInterfaces()).flatMap((all = []) =>
    all
      .filter(({ internal }) => !internal)
      .map(({ address, family }) => (family === 'IPv6' ? `[${address}]` : address)),
  );
