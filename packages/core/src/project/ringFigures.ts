import type { OwnedPieces } from '../lumber/owned.js';
import type { RingPlan } from '../lumber/ringPlan.js';
import type { Made, PieceKind } from '../making/contract.js';
import { volumeOfAll } from '../making/layOut.js';
import { planingOf } from '../making/planing.js';
import { insteadOf, usuallySanded } from '../making/registry.js';
import { isRound, roundVolume, type StripStock } from '../making/stock.js';
import { remembered, sameAsBefore } from '../measure/memo.js';
import { bandAt, overlap } from '../ring/overlap.js';
import { ringOwner } from '../ring/owner.js';
import { FACES } from '../ring/sanded.js';
import type { Shop } from '../settings/shop.js';
import { leastContact } from '../surface/contact.js';
import { overPlaces } from '../surface/round.js';
import type { PreparedRing } from './prepare.js';
import type { Ring } from './schema.js';

/**
 * The figures of one ring, and how it lies on the one below; `woodOf` gives the species of a palette key,
 * `shop` how wood is planed. The same as before as long as all of it is.
 */
export const ringPlan = remembered(figuresOf);

function figuresOf(
  here: PreparedRing,
  below: PreparedRing | undefined,
  woodOf: ReadonlyMap<string, string>,
  shop: Shop,
): RingPlan {
  const { ring, course, stands, reaches, wall, wallAlong, need, made, turn } = here;
  const it = made.ok ? made.value : null;
  const lies = joint(here, below);
  let steps: RingPlan['steps'] | undefined;
  return {
    index: course.index,
    id: ring.id,
    bottomMm: stands.bottomMm,
    topMm: stands.topMm,
    course,
    reaches,
    wall,
    wallAlong,
    need,
    turn: { segments: ring.turn, angle: turn },
    fixed: ring.fixed !== undefined || ring.measured?.diameterMm !== undefined,
    cornerMm: it?.cornerMm ?? need.outerRadiusMm,
    gives: it?.gives ?? null,
    overlapMm: lies.overlapMm,
    contactMm2: lies.contactMm2,
    closed: it?.closed ?? true,
    layers: it?.layers ?? NONE,
    reads: it?.reads ?? null,
    figures: it?.figures ?? NONE,
    warnings: it?.warnings ?? NONE,
    pieces: it ? piecesOf(it, ring, woodOf) : NONE,
    reasons: made.ok ? NONE : made.reasons,
    // Worded when they are first looked at: most plans are not.
    get steps() {
      steps ??= it?.steps(planingOf(shop, sandedFaces(ring))) ?? NONE;
      return steps;
    },
    instead: it || need.outerRadiusMm <= 0 ? null : insteadOf(ring.making, { ...need, ...ring.fixed }),
  };
}

const NONE: readonly never[] = [];

/** How many of a ring's faces are flattened once it is glued. */
const sandedFaces = ({ sanded, making }: Pick<Ring, 'sanded' | 'making'>) =>
  FACES[sanded ?? usuallySanded(making)];
const APART = { overlapMm: null, contactMm2: null } as const;

/** How a ring lies on the one below it: width of the glue joint all round, and least contact where there are gaps. */
function joint(
  { made, turn, foot }: PreparedRing,
  below: PreparedRing | undefined,
): Pick<RingPlan, 'overlapMm' | 'contactMm2'> {
  if (!made.ok || !below?.made.ok) return APART;
  const [upper, lower] = [made.value, below.made.value];
  const overlapMm = overlap(bandAt(lower, lower.heightMm), bandAt(upper, 0));
  if (upper.closed && lower.closed) return { overlapMm, contactMm2: null };
  const contactMm2 = leastContact({ made: lower, turn: below.turn }, { made: upper, turn }, foot);
  return { overlapMm, contactMm2 };
}

/** Volume of the piece in every place, mm³: the same in whatever woods. */
const volumesOf = remembered((made: Made) => overPlaces(made, (place) => volumeOfAll(made.lay(place))));

/** The pieces of a ring in its woods; the very same as before for one that was only turned. */
function piecesOf(
  made: Made,
  ring: Pick<Ring, 'id' | 'woods' | 'sawing' | 'sanded' | 'making'>,
  woodOf: ReadonlyMap<string, string>,
): readonly OwnedPieces[] {
  const { woods, sawing } = ring;
  const volumes = volumesOf(made);
  const owner = ringOwner(ring.id);
  const sanded = sandedFaces(ring);
  const pieces = made.kinds.flatMap((given) => {
    const kind = sawing?.edge ? sawnAs(given, sawing.edge) : given;
    const { stock } = kind;
    const mean = (places: readonly number[]) =>
      places.reduce((sum, place) => sum + volumes[place]!, 0) / places.length;
    return [...placesByWood(kind.places, woods, woodOf)].map(
      ([wood, places]): OwnedPieces => ({
        owner,
        wood,
        kind,
        count: places.length,
        places,
        volumeMm3: isRound(stock) ? roundVolume(stock, kind.heightMm) : mean(places),
        sanded,
        ...(sawing?.spares && stock.from === 'strip' && { spares: sawing.spares }),
      }),
    );
  });
  return piecesBefore(made, pieces);
}

const piecesBefore = sameAsBefore<Made, readonly OwnedPieces[]>(
  (a, b) => a.length === b.length && a.every((of, i) => samePieces(of, b[i]!)),
);

const samePieces = (a: OwnedPieces, b: OwnedPieces): boolean =>
  a.kind === b.kind &&
  a.wood === b.wood &&
  a.owner.id === b.owner.id &&
  a.sanded === b.sanded &&
  a.spares === b.spares &&
  a.count === b.count &&
  a.places.every((place, i) => place === b.places[i]);

/** A kind with the edge out that was chosen, where one may choose: not between two fences, nor where pieces come in order. */
const sawnAs = remembered((kind: PieceKind, edge: StripStock['cutting']): PieceKind => {
  const { stock } = kind;
  if (stock.from !== 'strip' || stock.cutting === 'two-fences' || stock.inOrder) return kind;
  return { ...kind, stock: { ...stock, cutting: edge } };
});

/** The places that have each species. */
function placesByWood(
  places: readonly number[],
  woods: readonly string[],
  woodOf: ReadonlyMap<string, string>,
): Map<string, number[]> {
  const byKey = new Map<string, number[]>();
  for (const place of places) {
    const known = byKey.get(woods[place]!);
    if (known) known.push(place);
    else byKey.set(woods[place]!, [place]);
  }
  const bySpecies = new Map<string, number[]>();
  for (const [key, members] of byKey) {
    const wood = woodOf.get(key)!;
    const known = bySpecies.get(wood);
    bySpecies.set(wood, known ? [...known, ...members].sort((a, b) => a - b) : members);
  }
  return bySpecies;
}
