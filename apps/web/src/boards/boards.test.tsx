import { type Board, DEFAULT_SHOP, SHIPPED_WOODS } from '@fellside/core';
import { demoBoards } from '@fellside/core/demo';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { ShopStation } from '../shop/ShopStation.js';
import { api } from '../store/api.js';
import { showWith } from '../testing/open.js';
import { BoardsPanel } from './BoardsPanel.js';

/** A server in a few lines: what was asked of it, and what it has. */
function serving() {
  let boards: Board[] = demoBoards().map((board, i) => ({ ...board, id: `b${i}` }));
  let shop = DEFAULT_SHOP;
  const asked: { readonly method: string; readonly path: string; readonly body: unknown }[] = [];
  const answer = (body: unknown) =>
    new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json' } });
  vi.stubGlobal('fetch', async (given: Request) => {
    const { pathname } = new URL(given.url);
    const text = await given.clone().text();
    const body = text ? JSON.parse(text) : undefined;
    if (given.method !== 'GET') asked.push({ method: given.method, path: pathname, body });
    if (pathname === '/api/boards/replace') {
      boards = [
        ...boards.filter(({ id }) => !body.remove.includes(id)),
        ...body.add.map((board: Board, i: number) => ({ ...board, id: `new${asked.length}-${i}` })),
      ];
      return answer(boards);
    }
    if (pathname.startsWith('/api/boards/')) {
      boards = boards.map((board) => (pathname.endsWith(board.id) ? { ...body, id: board.id } : board));
      return answer(body);
    }
    if (pathname === '/api/boards') return answer(boards);
    if (pathname === '/api/woods') return answer(SHIPPED_WOODS);
    if (pathname === '/api/shop') {
      if (given.method === 'PUT') shop = body;
      return answer(shop);
    }
    return answer([]);
  });
  return { asked };
}

let server: ReturnType<typeof serving>;
beforeEach(() => {
  server = serving();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const table = () => screen.findByRole('table', { name: 'Boards on hand' });
const rows = async () => within(await table()).getAllByRole('row').length - 1;

async function entering(fields: Readonly<Record<string, string>>) {
  const dialog = await screen.findByRole('dialog');
  for (const [label, text] of Object.entries(fields)) {
    const field = within(dialog).getAllByLabelText(label)[0]!;
    await userEvent.clear(field);
    await userEvent.type(field, `${text}{Tab}`);
  }
  await userEvent.click(within(dialog).getByRole('button', { name: 'Keep the board' }));
  return dialog;
}

describe('boards on hand', () => {
  test('are listed with thickness, board feet, price, moisture and a picture of their defects', async () => {
    showWith(<BoardsPanel />);
    expect(await rows()).toBe(demoBoards().length);
    const list = await table();
    expect(within(list).getByRole('img', { name: 'Board with knot, crack' })).toBeTruthy();
    expect(within(list).getAllByText(/rough, planes to 13\/16"/).length).toBeGreaterThan(1);
    expect(within(list).getByText('surfaced')).toBeTruthy();
    expect(within(list).getAllByText(/£9.50 \/ bd ft/)).toHaveLength(2);
    expect(within(list).getByText('11 %')).toBeTruthy();
  });
  test('one is entered with a defect; what cannot be is told and nothing is sent', async () => {
    showWith(<BoardsPanel />);
    await table();
    await userEvent.click(screen.getByRole('button', { name: 'Enter a board' }));
    const dialog = await entering({ Width: '2mm' });
    expect(within(dialog).getByRole('alert').textContent).toMatch(
      /Width of the board is .*it has to be a length/,
    );
    expect(server.asked).toEqual([]);
    await userEvent.click(within(dialog).getByRole('button', { name: 'Defect' }));
    await userEvent.selectOptions(within(dialog).getByLabelText('Kind'), 'crack');
    await userEvent.selectOptions(within(dialog).getByLabelText('Sold as'), '8/4');
    await entering({ Width: '200mm', 'Price of a board foot': '7.5', 'Moisture, %': '8' });
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(server.asked[0]).toMatchObject({
      path: '/api/boards/replace',
      body: {
        remove: [],
        add: [
          { widthMm: 200, thicknessMm: 50.8, price: 7.5, moisturePercent: 8, defects: [{ kind: 'crack' }] },
        ],
      },
    });
    await waitFor(async () => expect(await rows()).toBe(demoBoards().length + 1));
  });
  test('one is changed, split and thrown out', async () => {
    showWith(<BoardsPanel />);
    await table();
    await userEvent.click(screen.getByRole('button', { name: /^Change Purpleheart/ }));
    await entering({ 'Where it stands, where it came from': 'Bench' });
    await waitFor(() => expect(server.asked).toHaveLength(1));
    expect(server.asked[0]).toMatchObject({
      method: 'PUT',
      body: { note: expect.stringContaining('Bench') },
    });
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    await userEvent.click(screen.getByRole('button', { name: /^Split Wenge/ }));
    const dialog = await screen.findByRole('dialog', { name: 'Split a board' });
    await userEvent.selectOptions(within(dialog).getByLabelText('Sawn'), 'along');
    const part = within(dialog).getByLabelText('First part');
    await userEvent.clear(part);
    await userEvent.type(part, '500mm{Tab}');
    await userEvent.click(within(dialog).getByRole('button', { name: 'Split it' }));
    expect(within(dialog).getByRole('alert').textContent).toMatch(/the cut can lie from/);
    await userEvent.clear(part);
    await userEvent.type(part, '50mm{Tab}');
    await userEvent.click(within(dialog).getByRole('button', { name: 'Split it' }));
    await waitFor(() => expect(server.asked).toHaveLength(2));
    const { add, remove } = server.asked[1]!.body as { add: Board[]; remove: string[] };
    expect([remove.length, add.length]).toEqual([1, 2]);
    expect(add[0]!.widthMm).toBe(50);
    await waitFor(async () => expect(await rows()).toBe(demoBoards().length + 1));
    await userEvent.click(screen.getAllByRole('button', { name: /^Throw out Wenge/ })[0]!);
    await waitFor(async () => expect(await rows()).toBe(demoBoards().length));
  });
  test('a file with wrong lines takes nothing before it is asked; a sound one is taken at once', async () => {
    showWith(<BoardsPanel />);
    await table();
    const give = (text: string) =>
      userEvent.upload(
        screen.getByLabelText('A CSV file of boards'),
        new File([text], 'boards.csv', { type: 'text/csv' }),
      );
    await give('wood,length mm,width mm,thickness mm\nhard maple,2000,150,25\nhard maple,2000,1,25\n');
    const dialog = await screen.findByRole('dialog', { name: 'Not all of it can be read' });
    expect(dialog.textContent).toMatch(/Line 3: Width of the board/);
    expect(server.asked).toEqual([]);
    await userEvent.click(within(dialog).getByRole('button', { name: 'Take none' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(server.asked).toEqual([]);
    await give('wood,length mm,width mm,thickness mm\nhard maple,2000,150,25\n');
    expect(await screen.findByText('1 board is taken in.')).toBeTruthy();
  });
});

describe('what the yard sells', () => {
  test('sizes and prices are entered in Shop; a price of nothing is refused with its limit', async () => {
    const Shop = () => {
      api.useShopQuery();
      return <ShopStation />;
    };
    showWith(<Shop />);
    await userEvent.click(await screen.findByRole('button', { name: 'Size' }));
    await waitFor(() => expect(server.asked).toHaveLength(1));
    expect((server.asked[0]!.body as typeof DEFAULT_SHOP).yard).toHaveLength(DEFAULT_SHOP.yard.length + 1);
    await userEvent.selectOptions(screen.getByLabelText('Price for a further wood'), 'wenge');
    const price = await screen.findByLabelText('Wenge');
    await userEvent.clear(price);
    await userEvent.type(price, '0{Enter}');
    expect(
      await screen.findByText(/Price of a board foot is 0; it has to be a number from 0.01/),
    ).toBeTruthy();
    await userEvent.clear(price);
    await userEvent.type(price, '31{Enter}');
    await waitFor(() =>
      expect((server.asked.at(-1)!.body as typeof DEFAULT_SHOP).prices).toEqual({ wenge: 31 }),
    );
    await userEvent.click(screen.getByRole('button', { name: 'Forget the price of wenge' }));
    await waitFor(() => expect((server.asked.at(-1)!.body as typeof DEFAULT_SHOP).prices).toEqual({}));
    await userEvent.click(screen.getByLabelText('Thick boards are resawn'));
    await waitFor(() => expect((server.asked.at(-1)!.body as typeof DEFAULT_SHOP).resaws).toBe(false));
  });
});
