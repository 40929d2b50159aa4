import { DEFAULT_SHOP, rad, type Setting, type Shop } from '@fellside/core';
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../../store/api.js';
import { showWith } from '../../testing/open.js';
import { Setups } from './Setups.js';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const setting: Setting = {
  id: 'a',
  title: '',
  cutAngle: rad(Math.PI / 12),
  bladeTilt: rad(0),
  cuts: [],
  done: false,
};

test('a set-up is remembered with what it read, called up at its angle, and forgotten', async () => {
  const sent: Shop[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'PUT') sent.push(await request.clone().json());
    return new Response(JSON.stringify(sent.at(-1) ?? DEFAULT_SHOP), {
      headers: { 'content-type': 'application/json' },
    });
  });
  const { store } = showWith(<Setups setting={setting} />);
  await store.dispatch(api.endpoints.shop.initiate());
  const user = userEvent.setup();
  const panel = within(screen.getByRole('region', { name: 'Remembered set-ups' }));
  await user.click(panel.getByRole('button', { name: 'Remember this set-up…' }));
  await user.type(panel.getByLabelText('As your scale, wedge or stop reads it'), '14.97');
  await user.type(panel.getByLabelText('Sled or jig'), 'long sled');
  await user.type(panel.getByLabelText(/Out by, degrees/), '9');
  await user.click(panel.getByRole('button', { name: 'Remember it' }));
  expect((await panel.findByRole('alert')).textContent).toContain('Out by');
  await user.clear(panel.getByLabelText(/Out by, degrees/));
  await user.type(panel.getByLabelText(/Out by, degrees/), '-0,02');
  await user.click(panel.getByRole('button', { name: 'Remember it' }));
  expect((await panel.findByRole('listitem')).textContent).toContain(
    'read 14.97 · long sled · out by 0.02°, too flat',
  );
  expect(sent.at(-1)!.workshop.setups[0]).toMatchObject({ angleDeg: 15, tiltDeg: 0, outByDeg: -0.02 });
  await user.click(panel.getByRole('button', { name: /^Forget/ }));
  expect(sent.at(-1)!.workshop.setups).toEqual([]);
});
