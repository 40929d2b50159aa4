import { ERRORS, type Outcomes, sentenceIn, type Trial } from '@fellside/core';
import { unitsOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { percent } from './figures.js';
import type { Rehearsal } from './useRehearsal.js';

interface HelpsProps {
  readonly outcomes: Outcomes;
  readonly helps: Rehearsal['helps'];
  readonly running: boolean;
  readonly trials: readonly Trial[];
  onTry(trial: Trial): void;
}

/** Less than this of what shows is no help. */
const LITTLE = 0.03;
const MOST_HELPS = 4;

/** The errors whose halving would help most, and what makes the rest small or hides it, each to be tried. */
export function Helps({ outcomes, helps, running, trials, onTry }: HelpsProps) {
  const units = useApp(unitsOf);
  const { middling } = outcomes.shows;
  const gains = (helps ?? [])
    .map(({ kind, shows }) => ({ kind, gain: middling > 0 ? 1 - shows / middling : 0 }))
    .filter(({ gain }) => gain > LITTLE)
    .slice(0, MOST_HELPS);
  return (
    <>
      <h2 className="mb-1 font-semibold">What would help most</h2>
      {!helps && (
        <p className="text-sm text-quiet">
          {running ? 'Every error is being halved in turn…' : 'Stopped before the errors were halved.'}
        </p>
      )}
      {helps && gains.length === 0 && (
        <p className="text-sm text-quiet">No one of the errors, halved, makes it look much better.</p>
      )}
      {gains.length > 0 && (
        <ol className="mb-2 text-sm">
          {gains.map(({ kind, gain }) => (
            <li key={kind} className="border-t border-line py-1">
              <b>{ERRORS[kind]}</b> out by half as much: a middling build shows <b>{percent(gain)}</b> less.
            </li>
          ))}
        </ol>
      )}
      {trials.length > 0 && (
        <>
          <h2 className="mt-3 mb-1 font-semibold">What makes it smaller or hides it</h2>
          <ul className="text-sm">
            {trials.map((trial) => (
              <li key={trial.id} className="flex items-start gap-2 border-t border-line py-1.5">
                <span className="min-w-0 flex-1">
                  <b>{trial.name}</b>
                  <span className="block text-xs text-quiet">{sentenceIn(trial.says, units)}</span>
                </span>
                <Button
                  className="h-11! lg:h-8!"
                  aria-label={`Try: ${trial.name}`}
                  onClick={() => onTry(trial)}
                >
                  Try
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}
