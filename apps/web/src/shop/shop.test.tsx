import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { showWith } from '../testing/open.js';
import { ShopStation } from './ShopStation.js';

const sent: { kerfMm: number; sparePercent: number }[] = [];

beforeEach(() => {
  sent.length = 0;
  vi.stubGlobal('fetch', async (input: Request) => {
    const body = await input.json();
    sent.push(body);
    return new Response(JSON.stringify(body), {
      status: 200,
      headers: { 'content-type': 'application/json' },
    });
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const set = async (label: string, text: string) => {
  await userEvent.clear(screen.getByLabelText(label));
  await userEvent.type(screen.getByLabelText(label), `${text}{Enter}`);
};

test('a figure typed is kept whole with the others', async () => {
  showWith(<ShopStation />);
  await set('Kerf of the mitre cut', '3/32');
  await vi.waitFor(() => expect(sent).toHaveLength(1), 10_000);
  expect(sent[0]).toMatchObject({ kerfMm: expect.closeTo(2.38125, 9), sparePercent: 5 });
});

test.each([
  ['Kerf of the mitre cut', '0', /Saw kerf is 0"; it has to be a length from 0.004" to 25\/64"/],
  ['Spares of each ring and wood', '101', /Spares is 101; it has to be a number from 0 to 100 %/],
  ['Test pieces for an angle and tilt', '1.5', /Test pieces is 1.5; it has to be a whole number/],
])('%s “%s” is refused beside its field and not sent', async (label, text, sentence) => {
  showWith(<ShopStation />);
  await set(label, text);
  expect(screen.getByRole('alert').textContent).toMatch(sentence);
  expect(sent).toEqual([]);
});
