import { edit, formatLength, MOST_SIDE, MOVING_NAMES, mm, moistureRange } from '@fellside/core';
import { movesOf } from '../../store/ageing.js';
import { editPiece } from '../../store/edits.js';
import { shopOf, unitsOf, woodsOf } from '../../store/house.js';
import { planOf } from '../../store/selectors.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { small } from '../rehearsal/figures.js';

/** What a movement on each side does, in words. */
function stressSaid(sideMm: number): string {
  if (sideMm < MOST_SIDE / 2) return 'nothing to speak of';
  if (sideMm <= MOST_SIDE) return 'holds; do not make it larger';
  return sideMm <= 2 * MOST_SIDE ? 'joint may open, or wood crack, in time' : 'will open or crack';
}

/** Everything that is glued across the grain, the worst first, with what helps. */
export function MovingTable() {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const plan = useApp(planOf);
  const woods = useApp(woodsOf);
  const { climate } = useApp(shopOf).workshop;
  const moving = useApp(movesOf);
  if (!plan.ok) return <p className="text-quiet">There is nothing to be made yet.</p>;
  const { most } = moistureRange(climate);
  const known = new Map(woods.map((wood) => [wood.id, wood]));
  const over = moving.filter(({ sideMm }) => sideMm > MOST_SIDE);
  const segmented = (ring: number) => editPiece(edit.remedyOf({ does: 'make-plugged', ring }));
  return (
    <>
      <h2 className="mb-1 text-lg font-semibold">What moves against what</h2>
      <p className="mb-2 text-sm text-quiet">
        From boards at {climate.boardsPercent} % wood changes by up to {most.toFixed(1)} % of moisture over a
        year in that room. A solid disc moves across its grain; a ring of segments hardly changes its
        diameter. More than {small(MOST_SIDE, units)} on a side opens joints sooner or later.
      </p>
      {moving.length === 0 ? (
        <p>Nothing is glued across the grain.</p>
      ) : (
        <table className="mb-2 w-full text-sm">
          <caption className="sr-only">Movement at every joint across the grain</caption>
          <thead>
            <tr className="text-left text-xs text-quiet">
              <th scope="col">What</th>
              <th scope="col" className="pr-2 text-right">
                across
              </th>
              <th scope="col" className="text-right">
                a side
              </th>
              <th scope="col" className="pl-3">
                what that does
              </th>
            </tr>
          </thead>
          <tbody>
            {moving.slice(0, MOST_ROWS).map(({ what, ring, against, wood, radiusMm, sideMm }) => (
              <tr key={`${what} ${ring} ${against}`} className="border-t border-line align-top">
                <th scope="row" className="py-1 text-left font-normal">
                  {known.get(wood)?.name ?? wood} {MOVING_NAMES[what]}, ring {ring + 1}
                  {against === ring ? ', in its ring' : `, on ring ${against + 1}`}
                </th>
                <td className="py-1 pr-2 text-right whitespace-nowrap tabular-nums">
                  {formatLength(mm(2 * radiusMm), units)}
                </td>
                <td
                  className={`py-1 text-right tabular-nums ${sideMm > MOST_SIDE ? 'font-semibold text-rust' : ''}`}
                >
                  {small(sideMm, units)}
                </td>
                <td className="py-1 pl-3">
                  {stressSaid(sideMm)}
                  {what === 'disc' && sideMm > MOST_SIDE && (
                    <Button
                      className="mt-1 h-11! lg:h-8!"
                      aria-label={`Make ring ${ring + 1} of wedges with a plug`}
                      onClick={() => dispatch(segmented(ring))}
                    >
                      Wedges with a plug
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {over.length > 0 && (
        <p className="mb-3 text-sm">
          What helps: a thinner disc, which gives with its ring; a smaller one, let in so that it floats; a
          floor of segments; two discs with their grain the same way; a wood that moves less.
        </p>
      )}
    </>
  );
}

const MOST_ROWS = 8;
