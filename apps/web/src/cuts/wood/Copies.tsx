import { done, refuse } from '@fellside/core';
import { session } from '../../store/sessionSlice.js';
import { useActions, useApp } from '../../store/store.js';
import { NumberField } from '../../ui/NumberField.js';

const MOST = 50;
const GIVE: Readonly<Record<number, string>> = { 0: 'no whole piece', 1: 'this piece once' };

/** How many of the piece are cut together, and how many the boards on hand give. */
export function Copies({ copies: given }: { copies: number | null }) {
  const dispatch = useActions();
  const copies = useApp((state) => state.session.laying.copies);
  const change = (wanted: number) => {
    if (!Number.isInteger(wanted) || wanted < 1 || wanted > MOST)
      return refuse('web:copies', 'copies', `Pieces cut together are a whole number from 1 to ${MOST}.`);
    dispatch(session.laidOutFor({ copies: wanted }));
    return done(null);
  };
  return (
    <section aria-label="How many" className="mb-3">
      <NumberField label="Cut together, this piece ×" className="w-20" value={copies} onChange={change} />
      {given !== null && (
        <p className="mt-1 text-sm">
          The boards on hand give <b>{GIVE[given] ?? `this piece ${given} times`}</b>.
        </p>
      )}
    </section>
  );
}
