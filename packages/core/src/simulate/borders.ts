import type { Made } from '../making/contract.js';
import { placesRound } from '../surface/round.js';

/** A ring of a piece, and the radius of the turned outside at its top; 0 where nothing of it is left there. */
export interface WallRing {
  readonly made: Made;
  readonly turn: number;
  readonly woods: readonly string[];
  readonly topRadiusMm: number;
}

/** Where two woods meet on a circle, from one place to the next counter-clockwise. */
export interface Border {
  /** Radians from the index mark. */
  readonly at: number;
  readonly before: number;
  readonly after: number;
  readonly woodBefore: string;
  readonly woodAfter: string;
  /** Of the narrower of the stripes beside it, radians, and the place of that one at the border. */
  readonly width: number;
  readonly narrower: number;
}

/** A stripe of one wood: from where to where, and the places at its ends. */
interface Stripe {
  readonly wood: string;
  readonly from: number;
  readonly to: number;
  readonly first: number;
  readonly last: number;
}

/** Two stretches nearer to each other than this touch (radians). */
const TOUCH = 1e-6;

/** All borders between woods on a circle of a radius at a height of a ring; none where it is of one wood all round. */
export function bordersRound(
  { made, turn, woods }: Omit<WallRing, 'topRadiusMm'>,
  radius: number,
  z: number,
): Border[] {
  const stripes = stripesOf(placesRound(made, radius, turn, z), woods);
  return stripes.flatMap((stripe, i): Border[] => {
    const next = stripes[(i + 1) % stripes.length]!;
    if (stripes.length < 2 || betweenDirections(stripe.to, next.from) > TOUCH) return [];
    const [own, its] = [stripe.to - stripe.from, next.to - next.from];
    return [
      {
        at: stripe.to,
        before: stripe.last,
        after: next.first,
        woodBefore: stripe.wood,
        woodAfter: next.wood,
        width: Math.min(own, its),
        narrower: own < its ? stripe.last : next.first,
      },
    ];
  });
}

/** How far two directions are apart, radians: 0 to π. */
export const betweenDirections = (a: number, b: number): number =>
  Math.abs(Math.atan2(Math.sin(a - b), Math.cos(a - b)));

/** What touches and is of one wood is one stripe, over the index mark too. */
function stripesOf(arcs: ReturnType<typeof placesRound>, woods: readonly string[]): Stripe[] {
  const stripes: Stripe[] = [];
  for (const { place, from, to } of arcs) {
    const wood = woods[place]!;
    const last = stripes.at(-1);
    if (last && last.wood === wood && from - last.to < TOUCH)
      stripes[stripes.length - 1] = { ...last, to, last: place };
    else stripes.push({ wood, from, to, first: place, last: place });
  }
  const [first, last] = [stripes[0], stripes.at(-1)];
  if (stripes.length > 1 && first!.wood === last!.wood && first!.from + 2 * Math.PI - last!.to < TOUCH) {
    stripes.pop();
    stripes[0] = { ...last!, to: first!.to + 2 * Math.PI, last: first!.last };
  }
  return stripes;
}
