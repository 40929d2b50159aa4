import { middleOf, overlapping, type ShownRing, type Stretch, stretchAt } from './showing.js';

/** A place of the piece: which ring, bottom first, and which place of it. */
export interface Spot {
  readonly ring: number;
  readonly place: number;
}

/** The rings of a piece as painting sees them; null where a ring cannot be made or does not show. */
export type Wall = readonly (ShownRing | null)[];

/** Less than this of a turn in common is touching at a corner. */
const CORNER = 1e-6;

const stretchOf = (wall: Wall, { ring, place }: Spot): Stretch | undefined =>
  wall[ring]?.stretches.find((stretch) => stretch.place === place);

/** Every place that lies straight above or below the middle of one, and it itself. */
export function column(wall: Wall, spot: Spot): Spot[] {
  const here = stretchOf(wall, spot);
  if (!here) return [spot];
  const direction = middleOf(here);
  return wall.flatMap((shown, ring) => {
    if (ring === spot.ring) return [spot];
    const met = shown && stretchAt(shown, direction);
    return met ? [{ ring, place: met.place }] : [];
  });
}

/** Segments of a ring with where their middles lie, counter-clockwise from the index mark. */
const middles = ({ stretches, segments }: ShownRing) =>
  stretches
    .filter(({ place }) => place < segments)
    .map((stretch) => ({ place: stretch.place, middle: middleOf(stretch) }));

/** The segment that is the `across`-th one beyond a direction; negative: the other way. Null where there is none. */
function beyond(
  shown: ShownRing,
  direction: number,
  across: number,
): { place: number; middle: number } | null {
  const hand = Math.sign(across) || 1;
  const ahead = middles(shown)
    .map((segment) => {
      const away = (((hand * (segment.middle - direction)) % 1) + 1) % 1;
      return { ...segment, away: away > 1 - CORNER || away < CORNER ? 1 : away };
    })
    .sort((a, b) => a.away - b.away);
  return ahead[(Math.abs(across) - 1) % Math.max(1, ahead.length)] ?? null;
}

/**
 * A diagonal through a place: in the next ring up the segment whose middle is the next beyond this one's, counter-clockwise
 * for `across` 1, the second for 2, clockwise for negative ones; downwards the same way back. Half-turned neighbours are so
 * half a segment on, aligned ones a whole one. It ends at a ring that does not show.
 */
export function diagonal(wall: Wall, spot: Spot, across: number): Spot[] {
  if (across === 0) return column(wall, spot);
  const here = stretchOf(wall, spot);
  if (!here) return [spot];
  const climb = (step: 1 | -1): Spot[] => {
    const met: Spot[] = [];
    let direction = middleOf(here);
    for (let ring = spot.ring + step; ring >= 0 && ring < wall.length; ring += step) {
      const shown = wall[ring];
      const next = shown && beyond(shown, direction, step * across);
      if (!next) break;
      met.push({ ring, place: next.place });
      direction = next.middle;
    }
    return met;
  };
  return [...climb(-1).reverse(), spot, ...climb(1)];
}

/** Places that touch one along a joint of its ring or of the rings above and below. */
export function touching(wall: Wall, spot: Spot): Spot[] {
  const here = stretchOf(wall, spot);
  const shown = wall[spot.ring];
  if (!here || !shown) return [];
  const beside = shown.stretches.filter(
    (other) => other.place !== here.place && (meet(here.to, other.from) || meet(other.to, here.from)),
  );
  const found = beside.map(({ place }): Spot => ({ ring: spot.ring, place }));
  for (const ring of [spot.ring - 1, spot.ring + 1]) {
    const neighbour = wall[ring];
    if (!neighbour) continue;
    for (const { stretch, turns } of overlapping(neighbour, here))
      if (turns > CORNER) found.push({ ring, place: stretch.place });
  }
  return found;
}

const meet = (a: number, b: number): boolean => {
  const apart = Math.abs(a - b) % 1;
  return apart < CORNER || apart > 1 - CORNER;
};

/** The patch of one colour that a place lies in: it, and all that can be reached from it over touching places alike. */
export function patch(wall: Wall, spot: Spot, woodAt: (spot: Spot) => string): Spot[] {
  const wood = woodAt(spot);
  const name = ({ ring, place }: Spot) => `${ring} ${place}`;
  const met = new Map([[name(spot), spot]]);
  const open = [spot];
  for (let next = open.pop(); next; next = open.pop())
    for (const other of touching(wall, next))
      if (!met.has(name(other)) && woodAt(other) === wood) {
        met.set(name(other), other);
        open.push(other);
      }
  return [...met.values()];
}

/** How strokes are repeated: so many times round the piece, and mirrored about the index mark or not. */
export interface Repeat {
  readonly fold: number;
  readonly mirror: boolean;
}

/** Places and their images round the piece; each once. Where an image falls into a gap there is none. */
export function repeated(wall: Wall, spots: readonly Spot[], { fold, mirror }: Repeat): Spot[] {
  const met = new Map<string, Spot>();
  const add = (spot: Spot) => met.set(`${spot.ring} ${spot.place}`, spot);
  for (const spot of spots) {
    add(spot);
    const shown = wall[spot.ring];
    const here = stretchOf(wall, spot);
    if (!shown || !here) continue;
    const middle = middleOf(here);
    for (const from of mirror ? [middle, -middle] : [middle])
      for (let i = 0; i < fold; i++) {
        const image = stretchAt(shown, from + i / fold - (from < 0 ? 2e-7 : 0));
        if (image) add({ ring: spot.ring, place: image.place });
      }
  }
  return [...met.values()];
}
