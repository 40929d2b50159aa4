import { type Mm, mm } from '../measure/quantity.js';
import type { Climate } from '../settings/climate.js';
import { daysToWait, moistureRange, weightOver } from '../wood/moisture.js';
import { changeCoefficient } from '../wood/movement.js';
import type { Species } from '../wood/species.js';
import type { Board } from './board.js';

/** Wood does not shrink above this moisture, % (fibre saturation, Wood Handbook, ch. 4). */
const SATURATED = 30;

/** A board of the rack that comes to the moisture of the room where its piece will live. */
export interface WaitingBoard {
  readonly board: Board;
  /** Moisture now, and in the middle of the room's year, %. */
  readonly percent: number;
  readonly roomPercent: number;
  /** Days until it is within 1 % of that, stacked in air; 0 where it may be used. */
  readonly days: number;
  /** Its weight then over its weight now. */
  readonly weight: number;
  /** Its size then: flat sawn, the width moves along the rings and the thickness across them. */
  readonly widthMm: Mm;
  readonly thicknessMm: Mm;
}

/** What becomes of boards whose moisture is known, those that wait longest first. */
export function waitingBoards(
  boards: readonly Board[],
  woods: readonly Species[],
  climate: Climate,
): WaitingBoard[] {
  const { dry, damp } = moistureRange(climate);
  const roomPercent = (dry + damp) / 2;
  return boards
    .flatMap((board): WaitingBoard[] => {
      const { moisturePercent: percent, wood, widthMm, thicknessMm } = board;
      if (percent === null) return [];
      const shrinkage = woods.find(({ id }) => id === wood)?.shrinkage;
      const dries = Math.min(percent, SATURATED) - Math.min(roomPercent, SATURATED);
      const then = (size: number, shrinks = 0) => mm(size * (1 - changeCoefficient(shrinks) * dries));
      return [
        {
          board,
          percent,
          roomPercent,
          days: daysToWait(percent, roomPercent, thicknessMm),
          weight: weightOver(roomPercent, percent),
          widthMm: then(widthMm, shrinkage?.tangential),
          thicknessMm: then(thicknessMm, shrinkage?.radial),
        },
      ];
    })
    .sort((a, b) => b.days - a.days);
}
