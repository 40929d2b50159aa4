import { join } from 'node:path';
import { changeMachine, keepPassphrase } from '@fellside/database';
import request from 'supertest';
import { describe, expect, test } from 'vitest';
import { createServer } from '../server.js';
import { settingsFrom } from '../settings.js';
import { ownHouse } from '../testing/house.js';
import { Attempts } from './attempts.js';
import { hostNamed, isLoopback } from './hosts.js';

const { folder, usual, http } = ownHouse();

describe('the door', () => {
  test.each([
    ['localhost', true],
    ['127.0.0.1', true],
    ['127.0.0.2', true],
    ['::1', true],
    ['[::1]', true],
    ['::ffff:127.0.0.1', true],
    ['192.168.1.20', false],
    ['127.0.0.1.example.org', false],
    ['localhost.example.org', false],
    ['0.0.0.0', false],
    ['10.127.0.1', false],
  ])('%s is this machine only: %s', (name, own) => expect(isLoopback(name)).toBe(own));

  test('a Host header is read with and without its port, and refused where it is none', () => {
    expect(hostNamed('[::1]:4680')).toBe('::1');
    expect(hostNamed('Workshop.local:4680')).toBe('workshop.local');
    for (const wrong of [undefined, '', 'a b', 'user@host', 'x/y', 'evil.org:80:90'])
      expect(hostNamed(wrong)).toBeNull();
  });

  test.each([
    [{ host: 'elsewhere.example' }],
    [{ origin: 'http://elsewhere.example' }],
    [{ 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'no-cors' }],
    [{ 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' }],
    [{ 'sec-fetch-site': 'same-site', 'sec-fetch-mode': 'cors' }],
  ])('reads and writes with %j are refused', async (headers) => {
    await http().get('/api/projects').set(headers).expect(403);
    await http().put('/api/shop').set(headers).send({}).expect(403);
  });

  test('beyond this machine it does not start without names and a passphrase, and says how', async () => {
    expect(() => settingsFrom({ FELLSIDE_HOST: '0.0.0.0' })).toThrow(/FELLSIDE_HOSTS/);
    expect(() => settingsFrom({ FELLSIDE_HOST: '0.0.0.0', FELLSIDE_HOSTS: 'http://x' })).toThrow(
      /FELLSIDE_HOSTS has/,
    );
    const settings = {
      ...usual,
      host: '0.0.0.0',
      hosts: ['workshop.local'],
      dataFolder: join(folder, 'wide'),
    };
    await expect(createServer(settings)).rejects.toThrow(/no passphrase is set.*npx fellside passphrase/);
  });

  test('others give the passphrase once; wrong ones are limited; forged sessions are none', async () => {
    const dataFolder = join(folder, 'wide');
    changeMachine(dataFolder, { passphrase: await keepPassphrase('tree wind stone') });
    const wide = await createServer({ ...usual, host: '0.0.0.0', hosts: ['workshop.local'], dataFolder });
    await wide.init();
    const from = (path: string) => request(wide.getHttpServer()).get(path).set('host', 'workshop.local');
    const enter = (passphrase: string) =>
      request(wide.getHttpServer()).post('/api/door').set('host', 'workshop.local').send({ passphrase });
    await from('/api/projects').expect(401);
    await from('/api/projects')
      .set('cookie', `fellside_session=${Date.now() + 1e9}.${'0'.repeat(64)}`)
      .expect(401);
    expect((await from('/api/door')).body).toEqual({ own: false, open: false });
    await enter('tree wind stones').expect(401);
    const entered = await enter('tree wind stone').expect(204);
    const [cookie] = entered.headers['set-cookie'] as unknown as string[];
    expect(cookie).toMatch(/HttpOnly.*SameSite=Strict/i);
    await from('/api/projects').set('cookie', cookie!).expect(200);
    // On the machine itself nothing is asked, unless somebody hands the request on.
    await request(wide.getHttpServer()).get('/api/projects').set('host', 'localhost').expect(200);
    await request(wide.getHttpServer())
      .get('/api/projects')
      .set('host', 'localhost')
      .set('x-forwarded-for', '10.0.0.9')
      .expect(401);
    await request(wide.getHttpServer())
      .put('/api/door/passphrase')
      .set('host', 'workshop.local')
      .set('cookie', cookie!)
      .send({ passphrase: 'x'.repeat(12) })
      .expect(403);
    const reach = (await from('/api/door/reach').set('cookie', cookie!).expect(200)).body;
    expect(reach.addresses[0]).toMatchObject({
      url: expect.stringMatching(/^http:\/\/workshop\.local:/),
      qr: expect.stringMatching(/<svg/),
    });
    const statuses = [];
    for (let n = 0; n < 8; n++) statuses.push((await enter(`wrong guess ${n}`)).status);
    expect(statuses.slice(-2)).toEqual([429, 429]);
    await enter('tree wind stone').expect(429);
    changeMachine(dataFolder, { passphrase: await keepPassphrase('another passphrase') });
    await from('/api/projects').set('cookie', cookie!).expect(401);
    await wide.close();
  });

  test('waits grow with every wrong guess, and end with a right one', () => {
    const attempts = new Attempts();
    const waits = Array.from({ length: 8 }, () => {
      attempts.failed(0);
      return attempts.wait(0);
    });
    expect(waits).toEqual([0, 0, 0, 0, 2000, 4000, 8000, 16_000]);
    attempts.passed();
    expect(attempts.wait(0)).toBe(0);
  });
});
