import {
  edit,
  formatStop,
  mm,
  type Plan,
  type Roll,
  type Setup,
  type Shop,
  type Stop,
  say,
  sayMm,
  sentenceIn,
  stopsTogether,
} from '@fellside/core';
import { editPiece } from '../../store/edits.js';
import { useActions } from '../../store/store.js';
import { Button } from '../../ui/Button.js';

interface StopsTogetherProps {
  readonly setup: Setup;
  readonly roll: Roll;
  readonly shop: Shop;
  readonly plan: Plan;
}

/** Offers to bring stops together that differ by less than a joint shows, and says what it changes. */
export function StopsTogether({ setup: { stops, cutAngle }, roll, shop, plan }: StopsTogetherProps) {
  const dispatch = useActions();
  if (cutAngle === 0) return null;
  const offers = stopsTogether(stops, shop.stopTogetherMm).flatMap((run) => {
    const rings = run.map((stop) => ringsOf(stop, roll, plan));
    // Only whole rings that are made new can get another size.
    return rings.every((of) => of !== null) ? [{ run, rings: (rings as number[][]).slice(1).flat() }] : [];
  });
  return (
    <ul className="mt-1 text-sm">
      {offers.map(({ run, rings }) => {
        const [longest, shortest] = [run[0]!.edgeMm, run.at(-1)!.edgeMm];
        const larger = mm((longest - shortest) / Math.tan(cutAngle));
        return (
          <li key={longest} className="flex flex-wrap items-center gap-2 border-t border-line py-1">
            <span>
              The stop at {formatStop(longest, shop.units)} could serve{' '}
              {rings.map((index) => `ring ${index + 1}`).join(', ')} as well:{' '}
              {sentenceIn(say`${sayMm(larger)}`, shop.units)} larger across
              {rings.length > 1 && ' at most'}.
            </span>
            <Button onClick={() => dispatch(editPiece(edit.stopTogether(rings, longest)))}>
              Bring them together
            </Button>
          </li>
        );
      })}
    </ul>
  );
}

/** The rings that a stop serves, by index; null where it serves something else, or a ring that keeps the size it has. */
function ringsOf({ woods }: Stop, roll: Roll, plan: Plan): number[] | null {
  const owners = woods.flatMap((of) => of.owners);
  const indexes = [...new Set(owners.map((owner) => (owner.of === 'ring' ? roll.indexOf(owner) : -1)))];
  const free = indexes.every((index) => index >= 0 && plan.rings[index] && !plan.rings[index].fixed);
  return free ? indexes : null;
}
