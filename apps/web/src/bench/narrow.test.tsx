import { edit } from '@fellside/core';
import { act, cleanup, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { editPiece } from '../store/edits.js';
import { session } from '../store/sessionSlice.js';
import { showWith } from '../testing/open.js';
import { Bench } from './Bench.js';

const drawn = vi.hoisted(() => ({ section: 0, ledger: 0 }));
vi.mock('./CutThrough.js', async (original) => {
  const { CutThrough, ...rest } = await original<typeof import('./CutThrough.js')>();
  const counted = (props: Parameters<typeof CutThrough>[0]) => {
    drawn.section++;
    return <CutThrough {...props} />;
  };
  return { ...rest, CutThrough: counted };
});
vi.mock('./ledger/Ledger.js', async (original) => {
  const { Ledger } = await original<typeof import('./ledger/Ledger.js')>();
  const counted = (props: Parameters<typeof Ledger>[0]) => {
    drawn.ledger++;
    return <Ledger {...props} />;
  };
  return { Ledger: counted };
});

afterEach(cleanup);

test('pointing, another brush or an outlook that is not shown here draws the bench no second time', () => {
  const { store } = showWith(<Bench grab="edges" unrolled={false} shortLedger={false} />);
  expect(screen.queryByRole('alert')).toBeNull();
  const before = { ...drawn };
  expect(before.section).toBeGreaterThan(0);
  expect(before.ledger).toBeGreaterThan(0);
  for (const action of [
    session.hovered({ ring: 3, place: 2 }),
    session.hovered({ ring: 4, place: null }),
    session.brushed('sugar-maple'),
    session.painting({ tool: 'ring', fold: 6 }),
    session.laidOutFor({ goal: 'boards' }),
  ])
    act(() => void store.dispatch(action));
  expect(drawn).toEqual(before);
  act(() => void store.dispatch(editPiece(edit.setRingHeight([3], 9 as never))));
  expect(drawn.ledger).toBeGreaterThan(before.ledger);
});
