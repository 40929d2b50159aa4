import type { AddressInfo } from 'node:net';
import { connect } from 'node:net';
import { describe, expect, test } from 'vitest';
import { cup, ownHouse, RING } from '../testing/house.js';

const { http, app } = ownHouse();

describe('what would bring it down', () => {
  const post = (document: unknown) => http().post('/api/projects').send({ document });
  const ringOf = (making: object) => ({
    ...cup(),
    rings: [{ id: 'a', heightMm: 10, making, turn: 0, woods: ['a'] }],
  });
  test.each([
    [
      '300 million segments',
      ringOf({
        way: 'segmented',
        count: 3e8,
        between: { put: 'spacers', spacers: { at: 'every', thicknessMm: 1 } },
      }),
      /Segment count is 300000000/,
    ],
    [
      'spacers that go evenly into them',
      ringOf({
        way: 'segmented',
        count: 3e8,
        between: { put: 'spacers', spacers: { at: 'even', number: 7, thicknessMm: 1 } },
      }),
      /Segment count/,
    ],
    ['a hundred million blocks', ringOf({ way: 'segmented', count: 1e8 }), /Segment count|rings.0.making/],
  ])('a piece with %s is refused at once', async (_, document, sentence) => {
    const { body } = await post(document).expect(422);
    expect(body.reasons.map(({ message }: { message: string }) => message).join(' ')).toMatch(sentence);
  });

  test.each([
    ['flat', { way: 'segmented', count: 3e8 }],
    [
      'spaced',
      { way: 'segmented', count: 3e8, between: { put: 'spacers', spacers: { at: 'every', thicknessMm: 1 } } },
    ],
  ])('the same at the stash, %s', async (_, of) => {
    await http()
      .post('/api/stash')
      .send({ ...RING, of })
      .expect(422);
  });

  test('deep nesting is told in a sentence, everywhere', async () => {
    const deep = `${'['.repeat(5000)}${']'.repeat(5000)}`;
    for (const path of ['/api/projects', '/api/stash', '/api/patterns', '/api/woods']) {
      const { body } = await http()
        .post(path)
        .set('content-type', 'application/json')
        .send(`{"document":${deep}}`)
        .expect(422);
      expect(body.reasons[0].message).toMatch(/nested more than 40 deep/);
    }
  });

  test('150,000 wrong woods are told in a few sentences', async () => {
    const rings = Array.from({ length: 75 }, (_, i) => ({
      ...cup().rings[1]!,
      id: `r${i}`,
      woods: Array.from({ length: 2000 }, (_, k) => `no-${k}`),
    }));
    const { body } = await post({ ...cup(), rings }).expect(422);
    expect(body.reasons.length).toBeLessThan(70);
    expect(body.reasons.at(-1).message).toMatch(/^And \d+ more things are wrong/);
  });

  test('a client that is silent is closed, and one that asks nonsense gets an answer', async () => {
    await app().listen(0, '127.0.0.1');
    const { port } = app().getHttpServer().address() as AddressInfo;
    expect(app().getHttpServer().headersTimeout).toBeLessThanOrEqual(15_000);
    const answer = await new Promise<string>((done) => {
      const socket = connect(port, '127.0.0.1', () => socket.write('NONSENSE\r\n\r\n'));
      let said = '';
      socket.on('data', (part) => {
        said += part;
      });
      socket.on('close', () => done(said));
    });
    expect(answer).toMatch(/400 Bad Request/);
  });
});
