import type { Remedy } from '../../check/check.js';
import { placesOf } from '../../making/registry.js';
import { mm } from '../../measure/quantity.js';
import { stackHeight } from '../../ring/stack.js';
import { heightOf, prepare } from '../prepare.js';
import type { Project, Ring } from '../schema.js';
import type { Command } from './command.js';
import { setPoint } from './pointCommands.js';
import { setCount, setFixed, setMaking, setMeasured } from './ringCommands.js';
import { fitStack, segmentedLike } from './stack.js';
import { removeRings, splitRing } from './stackCommands.js';

/** What a remedy is called on its button, and the edit that it is. */
export function remedyOf(remedy: Remedy): Command {
  switch (remedy.does) {
    case 'follow-form':
      return {
        label: `Cut ring ${remedy.ring + 1} to suit the form`,
        apply(draft) {
          setFixed([remedy.ring], null).apply(draft);
          return setMeasured([remedy.ring], { diameterMm: undefined }).apply(draft);
        },
      };
    case 'make-disc':
      return {
        ...setMaking([remedy.ring], { way: 'disc' }),
        label: `Make ring ${remedy.ring + 1} a solid disc`,
      };
    case 'make-segments':
      return {
        label: `Make ring ${remedy.ring + 1} of segments`,
        apply: (draft) => setMaking([remedy.ring], segmentedLike(draft.rings, remedy.ring)).apply(draft),
      };
    case 'fewer-segments':
      return {
        label: 'Use fewer segments',
        apply: (draft) =>
          setCount([remedy.ring], longEnough(draft, remedy.ring, remedy.shortestMm)).apply(draft),
      };
    case 'split':
      return { ...splitRing(remedy.ring, remedy.atMm), label: `Slice ring ${remedy.ring + 1} there` };
    case 'remove':
      return {
        ...removeRings(remedy.rings),
        label: remedy.rings.length === 1 ? 'Take it away' : 'Take them away',
      };
    case 'top-up':
      return {
        label: 'Add rings on top',
        apply: (draft) => {
          const note = fitStack(draft);
          return note ? { note } : undefined;
        },
      };
    case 'form-to-stack':
      return {
        label: 'Bring the form to the stack',
        apply(draft) {
          const top = mm(stackHeight(draft.rings.map(heightOf)));
          return setPoint(draft.form.points.length - 1, { heightMm: top }).apply(draft);
        },
      };
  }
}

/** The greatest segment count of a ring whose shortest long edge is long enough; at least as many as a pattern has. */
function longEnough(draft: Project, index: number, shortestMm: number): number {
  const ring = draft.rings[index]!;
  const step = ring.making.way === 'flat' ? (ring.making.parts?.length ?? 1) : 1;
  for (let count = placesOf(ring.making) - step; count >= 3; count -= step)
    if (
      shortestEdge(draft, index, { ...ring, making: { ...ring.making, count } as Ring['making'] }) >=
      shortestMm
    )
      return count;
  return Math.max(3, step);
}

function shortestEdge(draft: Project, index: number, ring: Ring): number {
  const rings = draft.rings.map((other, i) => (i === index ? ring : other));
  const prepared = prepare({ ...draft, rings });
  const made = prepared.ok ? prepared.value.rings[index]!.made : null;
  if (!made?.ok) return 0;
  const edges = made.value.kinds.flatMap(({ stock }) => (stock.from === 'strip' ? [stock.longEdgeMm] : []));
  return Math.min(...edges);
}
