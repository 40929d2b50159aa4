import { once } from 'node:events';
import { createServer } from 'node:http';
import { type AddressInfo, connect } from 'node:net';
import { expect, test } from 'vitest';
import { closingTheSilent } from './silent.js';

test('a client that stops in the middle of its body is closed; one whose answer takes long is not', async () => {
  const server = createServer((request, response) =>
    closingTheSilent(100)(request, response, () => {
      request.resume().once('end', () => setTimeout(() => response.end('done'), 400));
    }),
  ).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  const said = async (body: string) => {
    const socket = connect(port, '127.0.0.1', () =>
      socket.write(
        `POST / HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\nContent-Length: 10\r\n\r\n${body}`,
      ),
    );
    let heard = '';
    socket.on('data', (part) => {
      heard += part;
    });
    socket.on('error', () => undefined);
    await once(socket, 'close');
    return heard;
  };
  expect(await said('half')).toBe('');
  expect(await said('whole body')).toMatch(/^HTTP\/1\.1 200[\s\S]*done$/);
  server.close();
});
