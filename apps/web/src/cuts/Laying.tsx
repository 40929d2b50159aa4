import { plain, sentenceIn } from '@fellside/core';
import { unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import type { Running } from './runner.js';
import { runner } from './runner.js';

/** How far the layout is that the lists and boards of this page come from; what no board gives. */
export function Laying({ cuts }: { cuts: Running }) {
  const units = useApp(unitsOf);
  const { state, running, cancelled, trouble } = cuts;
  return (
    <>
      <div className="flex flex-wrap items-center gap-2">
        <p role="status" className="text-sm text-quiet">
          {trouble ? `The layout stopped: ${trouble}` : progressOf(cuts)}
        </p>
        {running && state && (
          <Button onClick={() => runner.cancel()}>
            Stop <span className="sr-only">laying out</span>
          </Button>
        )}
        {cancelled && <Button onClick={() => runner.again()}>Go on</Button>}
      </div>
      {state && state.reasons.length > 0 && (
        <ul role="alert" className="my-2 rounded bg-rust-wash p-2 text-sm text-rust">
          {state.reasons.map(({ message }) => (
            <li key={plain(message)}>{sentenceIn(message, units)}</li>
          ))}
        </ul>
      )}
    </>
  );
}

function progressOf({ state, running, cancelled, stale }: Running): string {
  if (cancelled && stale)
    return 'Stopped before this was laid out; what is shown is from before the last change.';
  if (!state || stale) return 'Laying out…';
  const done = state.woods.filter(({ stage }) => stage === 'done').length;
  const all = state.woods.length;
  if (all === 0) return 'There is nothing to saw from boards.';
  // What is left when every wood is solved.
  if (done === all && (running || cancelled))
    return `Solved; how many whole pieces the boards on hand give ${running ? 'is being' : 'was not'} worked out.`;
  if (cancelled) return `Stopped: ${done} of ${all} woods are solved; the others stand as they were found.`;
  if (running) return `A layout stands; better ones are being looked for: ${done} of ${all} woods solved.`;
  return done === all ? 'Solved.' : 'Laid out at once, not solved.';
}
