import { cleanup, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { showWith } from '../testing/open.js';
import { Laying } from './Laying.js';
import type { Running } from './runner.js';

afterEach(cleanup);

const SOLVED: Running = {
  piece: 'one',
  state: { woods: [], reasons: [], done: true } as unknown as NonNullable<Running['state']>,
  asked: null,
  stale: false,
  running: false,
  cancelled: false,
  trouble: null,
};

it.each<[string, Partial<Running>, RegExp]>([
  ['nothing to saw', {}, /nothing to saw from boards/],
  ['asked anew', { stale: true, running: true }, /^Laying out…$/],
  ['stopped before it stood', { stale: true, cancelled: true }, /Stopped before this was laid out/],
  ['broken', { trouble: 'no memory' }, /The layout stopped: no memory/],
])('%s is said', (_, change, says) => {
  showWith(<Laying cuts={{ ...SOLVED, ...change }} />);
  expect(screen.getByRole('status').textContent).toMatch(says);
  expect(screen.queryByRole('button', { name: 'Go on' }) !== null).toBe(change.cancelled === true);
});
