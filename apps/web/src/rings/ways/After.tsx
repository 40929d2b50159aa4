import { type After, mm } from '@fellside/core';
import { projectOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { shared } from '../targets.js';
import { type ControlsProps, useParams } from './params.js';

/** A resaw takes a sixteenth of an inch, and as much to clean up, where nothing else is said. */
const LOST = { kerfMm: mm(1.5875), cleanUpMm: mm(1.5875) };

/** What is done with the ring once it is glued: nothing, slices of it, leaves of a book. */
export function AfterControls({ targets }: ControlsProps) {
  const rings = useApp((state) => projectOf(state).rings);
  const { all, set } = useParams('segmented', targets);
  const done = shared(all.map(({ after }) => after?.done ?? 'whole'));
  const after = done === null ? undefined : all[0]!.after;
  const choose = (next: After['done'] | 'whole') =>
    set({
      after:
        next === 'whole'
          ? undefined
          : next === 'opened'
            ? { done: next, ...LOST }
            : { done: next, from: freshName(rings.map(({ making }) => fromOf(making))), ...LOST },
    });
  const lost = (key: keyof typeof LOST) => shared(all.map(({ after }) => after?.[key] ?? null));
  const from = shared(all.map(fromOf));
  const slices = rings.flatMap(({ making }, i) => (from !== null && fromOf(making) === from ? [i + 1] : []));
  return (
    <>
      <Choice
        label="Once it is glued"
        className="w-58"
        value={done}
        options={[
          ['whole', 'it stays whole'],
          ['sliced', 'sliced from thicker stock'],
          ['opened', 'opened like a book'],
        ]}
        onChange={choose}
      />
      {after && (
        <>
          <LengthField
            label="Resaw kerf"
            className="w-24"
            value={lost('kerfMm')}
            onChange={(kerfMm) => set({ after: { ...after, kerfMm } })}
          />
          <LengthField
            label="Clean-up in all"
            className="w-24"
            value={lost('cleanUpMm')}
            onChange={(cleanUpMm) => set({ after: { ...after, cleanUpMm } })}
          />
        </>
      )}
      {done === 'sliced' && (
        <p className="max-w-72 self-center text-xs text-quiet">
          {from === null
            ? 'Slices of several thick rings.'
            : `Slices of one thick ring: ${slices.join(', ')}. What is changed in one, woods too, changes in all; each has its own turn.`}
        </p>
      )}
      {done === 'opened' && (
        <p className="max-w-60 self-center text-xs text-quiet">
          Two leaves of one half-ring: both ends meet their like.
        </p>
      )}
    </>
  );
}

/** The thick ring that one is a slice of; null of others. */
const fromOf = (making: object): string | null => {
  const { after } = making as { readonly after?: After };
  return after?.done === 'sliced' ? after.from : null;
};

/** A name that no thick ring of the piece has. */
function freshName(taken: readonly (string | null)[]): string {
  for (let n = 1; ; n++) if (!taken.includes(`thick-${n}`)) return `thick-${n}`;
}
