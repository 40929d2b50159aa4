import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { showWith } from '../testing/open.js';
import { NewPiece } from './NewPiece.js';

let sent: {
  document: { name: string; rings: { making: { way: string } }[]; form: { points: { heightMm: number }[] } };
}[] = [];

beforeEach(() => {
  sent = [];
  vi.stubGlobal('fetch', async (input: Request) => {
    sent.push(await input.json());
    return new Response(JSON.stringify({ id: 'new' }), {
      status: 201,
      headers: { 'content-type': 'application/json' },
    });
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const fill = async (label: RegExp | string, text: string) => {
  await userEvent.clear(screen.getByLabelText(label));
  await userEvent.type(screen.getByLabelText(label), text);
};

test('shape, size, ring height and wood make a piece with a solid disc below and rings above', async () => {
  showWith(<NewPiece />);
  await userEvent.click(screen.getByRole('button', { name: 'New piece' }));
  await userEvent.click(await screen.findByText('Vase', {}, { timeout: 10_000 }));
  await fill('Name', 'Crook Vase');
  await fill(/^Height/, '9 3/4');
  await userEvent.click(screen.getByRole('button', { name: 'Start' }));
  await vi.waitFor(() => expect(sent).toHaveLength(1), 10_000);
  const { name, rings, form } = sent[0]!.document;
  expect(name).toBe('Crook Vase');
  expect(form.points.at(-1)!.heightMm).toBeCloseTo(247.65, 9);
  expect(rings.map(({ making }) => making.way)).toEqual(['disc', ...Array(12).fill('segmented')]);
});

test('everything that is wrong is listed at once, and nothing is sent', async () => {
  showWith(<NewPiece />);
  await userEvent.click(screen.getByRole('button', { name: 'New piece' }));
  await screen.findByText('Vase', {}, { timeout: 10_000 });
  await fill(/^Height/, 'tall');
  await fill(/^Wall/, '-1');
  await userEvent.click(screen.getByRole('button', { name: 'Start' }));
  const alert = screen.getByRole('alert').textContent;
  expect(alert).toMatch(/Height: “tall” is not a length/);
  expect(alert).toMatch(/Wall has to be more than 0"/);
  expect(sent).toEqual([]);
});

test('what is closed at both ends is begun as high as its shape; a globe is one ring of panels', async () => {
  showWith(<NewPiece />);
  await userEvent.click(screen.getByRole('button', { name: 'New piece' }));
  const height = () => screen.getByLabelText<HTMLInputElement>(/^Height/).value;
  await userEvent.click(await screen.findByText('Spindle', {}, { timeout: 10_000 }));
  expect(height()).toBe('17.5');
  await userEvent.click(screen.getByText('Vase'));
  expect(height()).toBe('6');
  await userEvent.click(screen.getByText('Facetted globe'));
  expect(height()).toBe('7.75');
  await userEvent.click(screen.getByRole('button', { name: 'Start' }));
  await vi.waitFor(() => expect(sent).toHaveLength(1), 10_000);
  expect(sent[0]!.document.rings.map(({ making }) => making.way)).toEqual(['globe']);
});
