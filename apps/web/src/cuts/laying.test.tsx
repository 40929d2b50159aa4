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

const woods = (...stages: string[]): Partial<Running> => ({
  state: { ...SOLVED.state!, woods: stages.map((stage) => ({ stage })) } as unknown as Running['state'],
});

it.each<[string, Partial<Running>, RegExp]>([
  ['nothing to saw', {}, /nothing to saw from boards/],
  ['asked anew', { stale: true, running: true }, /^Laying out…$/],
  ['stopped before it stood', { stale: true, cancelled: true }, /Stopped before this was laid out/],
  ['one wood done', { ...woods('done', 'at once'), running: true }, /better ones .*: 1 of 2 woods solved/],
  ['all woods done', { ...woods('done', 'done'), running: true }, /^Solved; how many .* is being worked out/],
  ['only stopped then', { ...woods('done'), cancelled: true }, /^Solved; how many .* was not worked out/],
  ['stopped before', { ...woods('done', 'at once'), cancelled: true }, /^Stopped: 1 of 2 woods are solved/],
  ['all done', woods('done'), /^Solved\.$/],
  ['broken', { trouble: 'no memory' }, /The layout stopped: no memory/],
])('%s is said', (_, change, says) => {
  showWith(<Laying cuts={{ ...SOLVED, ...change }} />);
  expect(screen.getByRole('status').textContent).toMatch(says);
  expect(screen.queryByRole('button', { name: 'Go on' }) !== null).toBe(change.cancelled === true);
});
