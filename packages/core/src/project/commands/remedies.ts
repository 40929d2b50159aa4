import type { Remedy } from '../../check/check.js';
import { isSolid, makingSchema, type RingMaking, segmentsOf, withSegments } from '../../making/registry.js';
import { FEWEST_SEGMENTS } from '../../making/segments.js';
import { mm } from '../../measure/quantity.js';
import { stackHeight } from '../../ring/stack.js';
import { FINISHES } from '../../settings/finishes.js';
import { prepare } from '../prepare.js';
import type { Project, Ring } from '../schema.js';
import { heightOf } from '../sizing.js';
import { setLean } from './answerCommands.js';
import type { Command } from './command.js';
import { setFinish } from './finishCommands.js';
import { setPaletteWood } from './paletteCommands.js';
import { setPoint } from './pointCommands.js';
import { setFixed, setMeasured } from './ringCommands.js';
import { fitStack, liftOfBands, segmentedLike, usualSolid } from './stack.js';
import { removeRings, splitRing } from './stackCommands.js';
import { alternateHands } from './tiltedCommands.js';
import { setCount, setMaking, startFrom } from './wayCommands.js';

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
        ...setMaking([remedy.ring], usualSolid()),
        label: `Make ring ${remedy.ring + 1} a solid disc`,
      };
    case 'make-segments':
      return {
        label: `Make ring ${remedy.ring + 1} of segments`,
        apply(draft) {
          const { making } = draft.rings[remedy.ring]!;
          const { plug: _, ...open } = { plug: undefined, ...making };
          const hollow = isSolid(making) ? segmentedLike(draft.rings, remedy.ring) : (open as RingMaking);
          return setMaking([remedy.ring], hollow).apply(draft);
        },
      };
    case 'make-plugged':
      return { ...startFrom([remedy.ring], 'pie'), label: `Plug ring ${remedy.ring + 1}` };
    case 'make-as':
      return {
        ...setMaking([remedy.ring], remedy.making),
        label: `Take the nearest that can be made for ring ${remedy.ring + 1}`,
      };
    case 'alternate-hands':
      return { ...alternateHands(remedy.rings), label: 'Let them lean left and right in turn' };
    case 'cut-one-hand':
      return {
        ...setLean(remedy.rings, { cut: 'same-edge' }),
        label: 'Cut one hand only',
      };
    case 'fewer-segments':
      return {
        label: 'Use fewer segments',
        apply(draft) {
          for (const ring of remedy.rings) {
            const outcome = setCount([ring], longEnough(draft, ring, remedy.shortestMm)).apply(draft);
            if (outcome?.reasons) return outcome;
          }
          return undefined;
        },
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
    case 'finish':
      return {
        ...setFinish(remedy.finish),
        label: `Finish it with ${FINISHES[remedy.finish].name.toLowerCase()}`,
      };
    case 'other-wood':
      return {
        ...setPaletteWood(remedy.key, remedy.wood),
        label: `${remedy.name} instead of ${remedy.instead}`,
      };
    case 'form-to-stack':
      return {
        label: 'Bring the form to the stack',
        apply(draft) {
          const top = mm(stackHeight(draft.rings.map(heightOf)) + liftOfBands(draft));
          return setPoint(draft.form.points.length - 1, { heightMm: top }).apply(draft);
        },
      };
  }
}

/** The greatest segment count of a ring whose shortest long edge is long enough, of those that its way can have. */
function longEnough(draft: Project, index: number, shortestMm: number): number {
  const ring = draft.rings[index]!;
  const now = segmentsOf(ring.making) ?? FEWEST_SEGMENTS;
  for (let count = now - 1; count >= FEWEST_SEGMENTS; count--) {
    const making = withSegments(ring.making, count);
    if (!keepsAll(ring.making, making) || !makingSchema.safeParse(making).success) continue;
    if (shortestEdge(draft, index, { ...ring, making }) >= shortestMm) return count;
  }
  return FEWEST_SEGMENTS;
}

/** Whether parameters with another count still have every field. */
const keepsAll = (before: RingMaking, after: RingMaking): boolean =>
  Object.keys(before).every((key) => key in after);

function shortestEdge(draft: Project, index: number, ring: Ring): number {
  const rings = draft.rings.map((other, i) => (i === index ? ring : other));
  const prepared = prepare({ ...draft, rings });
  const made = prepared.ok ? prepared.value.rings[index]!.made : null;
  if (!made?.ok) return 0;
  const edges = made.value.kinds.flatMap(({ stock }) =>
    stock.from === 'strip' && stock.cutAngle > 0 ? [stock.boardEdgeMm ?? stock.longEdgeMm] : [],
  );
  return Math.min(...edges);
}
