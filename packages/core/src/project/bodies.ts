import { boardOf, bodyOf } from '../making/registry.js';
import { rememberedTogether } from '../measure/memo.js';
import type { RingNeed } from '../ring/need.js';
import type { SizedRing } from './sizing.js';

/** Rings that are sawn from one glue-up, bottom to top. */
type Members = readonly SizedRing[];

/** What a ring is sawn from: the rings of its glue-up, and the glue-ups that are marked out on one board with it. */
export interface Body {
  readonly members: Members;
  readonly board: readonly Members[];
}

/** The same list for the same members. */
const together = rememberedTogether((members: Members): Members => members);
const alongside = rememberedTogether(
  (bodies: readonly Members[], members: Members): Body => ({
    members,
    board: bodies,
  }),
);
const alone = rememberedTogether((members: Members): Body => ({ members, board: [] }));

/** The glue-ups of a stack by their names; none of a ring that is glued up alone. */
export function bodiesOf(all: readonly SizedRing[]): ReadonlyMap<string, Body> {
  const [bodies, boards] = [new Map<string, SizedRing[]>(), new Map<string, Members[]>()];
  for (const each of all) {
    const name = bodyOf(each.ring.making);
    if (name !== null) gather(bodies, name, each);
  }
  const members = new Map([...bodies].map(([name, rings]) => [name, together(rings)]));
  for (const rings of members.values()) {
    const board = boardKey(rings[0]!);
    if (board !== null) gather(boards, board, rings);
  }
  return new Map(
    [...members].map(([name, rings]) => {
      const board = boards.get(boardKey(rings[0]!) ?? '');
      return [name, board ? alongside(board, rings) : alone(rings)];
    }),
  );
}

function gather<T>(lists: Map<string, T[]>, name: string, of: T): void {
  const known = lists.get(name);
  if (known) known.push(of);
  else lists.set(name, [of]);
}

/** What tells boards apart: what they are made of. */
function boardKey({ ring: { making, woods } }: SizedRing): string | null {
  const board = boardOf(making);
  return board === null ? null : `${board} of ${woods.join()}`;
}

/** What a ring is sawn from with others; null of one that is glued up alone. */
export const bodyAmong = ({ ring }: SizedRing, bodies: ReadonlyMap<string, Body>): Body | null =>
  bodies.get(bodyOf(ring.making) ?? '') ?? null;

/** The size together with those of all rings that are sawn from the same glue-up, and from the same board. */
export function withBody(sized: SizedRing, size: RingNeed, body: Body | null): RingNeed {
  if (!body) return size;
  const sizes = (members: Members) => members.map((other) => other.size);
  const { members, board } = body;
  return {
    ...size,
    body: {
      members: sizes(members),
      index: members.indexOf(sized),
      ...(board.length > 0 && {
        board: {
          bodies: board.map(sizes),
          names: board.map(([first]) => bodyOf(first!.ring.making)!),
          index: board.indexOf(members),
        },
      }),
    },
  };
}
