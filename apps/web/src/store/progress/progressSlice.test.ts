import type { Tick } from '@fellside/core';
import { expect, test } from 'vitest';
import { createStore } from '../store.js';
import { progress } from './progressSlice.js';
import { doneOf } from './work.js';

const tick = (job: string): Tick => ({
  id: `of-${job}`,
  job,
  amount: 1,
  at: '2026-11-30T08:00:00Z',
  device: 'tablet',
});

test('an answer that was asked for before a count and comes after it takes nothing back', () => {
  const store = createStore();
  const heard = (...ticks: Tick[]) => store.dispatch(progress.heard({ piece: 'cup', ticks }));
  const known = () => Object.fromEntries(doneOf(store.getState()));
  store.dispatch(progress.opened({ piece: 'cup', pending: [] }));
  store.dispatch(progress.counted([tick('plane')]));
  expect(known()).toEqual({ plane: 1 });
  heard(tick('plane'));
  heard(tick('mark'));
  expect(known()).toEqual({ plane: 1, mark: 1 });
  heard();
  heard(tick('mark'));
  expect(known()).toEqual({ plane: 1, mark: 1 });
  expect(store.getState().progress).toMatchObject({ pending: [], link: 'there' });
  store.dispatch(progress.heard({ piece: 'another', ticks: [tick('saw')] }));
  expect(known()).toEqual({ plane: 1, mark: 1 });
});
