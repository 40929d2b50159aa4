import { type Mm, mm } from '../../measure/quantity.js';
import { type Said, say, sayMm } from '../../measure/said.js';
import type { Shop } from '../../settings/shop.js';
import type { Seat } from './schools.js';

/** What is held: the face that is gripped or glued, the work's widest, the solid wood over that face, the hollow under the foot, and the spare foot that is glued under it at the start, 0 where there is none; mm. */
export interface Held {
  readonly faceMm: number;
  readonly widestMm: number;
  readonly solidMm: number;
  readonly underFootMm: number;
  readonly spareMm: number;
  /** Whether the foot itself is there to be gripped: not where the work hangs from its rim. */
  readonly foot: boolean;
}

/** One way of holding, what it comes to, and why it is warned off; `wrong` is null where it can be. */
export interface SeatChoice {
  readonly seat: Seat;
  readonly acrossMm: Mm;
  readonly wrong: Said | null;
  readonly says: Said;
}

/** A tenon wants at least this share of the work's diameter: common practice. */
const TENON_SHARE = 1 / 3;
/** What stays of a waste block, or over a recess, at the least (mm; 1/8 in: common practice). */
const MARGIN = 25.4 / 8;
/** A recess is shallow, and lets go, up to this depth (mm; 1/8 in: common practice). */
const SHALLOW = 25.4 / 8;

type Holding = Pick<Shop, 'jawLeastMm' | 'jawMostMm' | 'workshop'>;

/** How thick a waste block has to be so that the work is never gripped again: fastening + parting tool + hollow under the foot + 1/8 in. */
export const blockThickness = (
  { underFootMm }: Pick<Held, 'underFootMm'>,
  { workshop: { holding } }: Pick<Shop, 'workshop'>,
): Mm => mm(holding.fasteningMm + holding.partingMm + underFootMm + MARGIN);

/** How thick a spare foot has to be: as high as the ring whose place it takes if that tears off, with room for tenon or recess and the parting tool. */
export const spareThickness = (ringMm: number, { workshop: { holding } }: Pick<Shop, 'workshop'>): Mm =>
  mm(Math.max(ringMm, holding.seatDeepMm + holding.partingMm + MARGIN));

/** All ways of holding a section while it is built, the proposed one first: a gripped tenon before a plate before a spread recess. */
export function seatsFor(held: Held, shop: Holding): SeatChoice[] {
  const choices = [tenon(held, shop), plate(held, shop), recess(held, shop)];
  return [...choices.filter(({ wrong }) => !wrong), ...choices.filter(({ wrong }) => wrong)];
}

/** The way that was chosen where it can be, else the proposed one. */
export function seatFor(held: Held, shop: Holding, chosen?: Seat): SeatChoice {
  const seats = seatsFor(held, shop);
  return seats.find(({ seat, wrong }) => seat === chosen && !wrong) ?? seats[0]!;
}

function tenon(held: Held, shop: Holding): SeatChoice {
  const { faceMm, widestMm } = held;
  const { jawLeastMm, jawMostMm, workshop } = shop;
  const { seatDeepMm } = workshop.holding;
  const least = Math.max(jawLeastMm, TENON_SHARE * widestMm);
  // Half its own depth of wood stays round it as the shoulder that the jaws bear on.
  const most = Math.min(jawMostMm, faceMm - seatDeepMm);
  const across = mm(Math.min(least, most));
  const wrong =
    least <= most
      ? null
      : most === jawMostMm
        ? say`The work is ${sayMm(widestMm)} wide and wants a tenon of at least ${sayMm(least)}; your jaws grip no more than ${sayMm(jawMostMm)}.`
        : say`The block is ${sayMm(faceMm)} across: a tenon of ${sayMm(least)} would have no shoulder.`;
  const on =
    held.spareMm > 0
      ? say`Turn a tenon of`
      : say`Glue on a waste block ${sayMm(blockThickness(held, shop), 'thickness')} thick and ${sayMm(faceMm, 'diameter')} across, with a tenon of`;
  const where = held.spareMm > 0 ? 'on the spare foot, gripped by the jaws.' : 'gripped by the jaws.';
  return {
    seat: 'tenon',
    acrossMm: across,
    wrong,
    says: say`${on} ${sayMm(across, 'diameter')}, ${sayMm(seatDeepMm, 'depth')} deep, ${where}`,
  };
}

function plate(held: Held, shop: Holding): SeatChoice {
  const block = blockThickness(held, shop);
  return {
    seat: 'plate',
    acrossMm: mm(held.faceMm),
    wrong: null,
    says: say`Glue on a waste block ${sayMm(block, 'thickness')} thick and ${sayMm(held.faceMm, 'diameter')} across, screwed to a faceplate with screws ${sayMm(shop.workshop.holding.fasteningMm, 'depth')} deep.`,
  };
}

function recess(
  { faceMm, solidMm, spareMm, foot }: Held,
  { jawLeastMm, jawMostMm, workshop }: Holding,
): SeatChoice {
  const { seatDeepMm } = workshop.holding;
  // Twice its depth of wood stays outside it.
  const most = Math.min(jawMostMm, faceMm - 4 * seatDeepMm);
  const wrong = !foot
    ? 'The work hangs from its rim: there is no foot to spread jaws in.'
    : most < jawLeastMm
      ? say`The foot is ${sayMm(faceMm)} across: with ${sayMm(2 * seatDeepMm)} of wood outside it a recess is too small for your jaws, ${sayMm(jawLeastMm)}.`
      : spareMm + solidMm < seatDeepMm + 2 * MARGIN
        ? say`The floor is ${sayMm(solidMm)} thick: a recess ${sayMm(seatDeepMm)} deep would leave too little over it.`
        : seatDeepMm <= SHALLOW
          ? say`A recess ${sayMm(seatDeepMm)} deep is shallow: spread jaws tear it out.`
          : null;
  return {
    seat: 'recess',
    acrossMm: mm(Math.max(jawLeastMm, most)),
    wrong,
    says: say`Turn a recess of ${sayMm(Math.max(jawLeastMm, most), 'diameter')}, ${sayMm(seatDeepMm, 'depth')} deep, into the ${spareMm > 0 ? 'spare foot' : 'foot'} and spread the jaws in it gently; a gripped tenon is safer, and pale crumbly wood or short grain tears.`,
  };
}
