import { glueUpRows, type Plan, ringsSaid, sentenceIn, type UnitSystem } from '@fellside/core';

/** Boards that are glued up and sliced before there are segments, in the order of the work; nothing where there are none. */
export function GlueUps({ plan, units }: { plan: Plan; units: UnitSystem }) {
  const rows = glueUpRows(plan.rings);
  if (rows.length === 0) return null;
  return (
    <>
      <h2 className="mt-4 mb-1 font-semibold">
        Glue up <span className="text-xs font-normal text-quiet">boards, before segments come of them</span>
      </h2>
      <ol className="ml-5 list-decimal text-sm">
        {rows.map(({ rings, says }) => (
          <li key={`${rings[0]!.id} ${sentenceIn(says, 'mm')}`} className="mb-1">
            <span className="text-quiet">{sentenceIn(ringsSaid(rings), units)}:</span>{' '}
            {sentenceIn(says, units)}
          </li>
        ))}
      </ol>
    </>
  );
}
