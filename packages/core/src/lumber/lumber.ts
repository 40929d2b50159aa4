import { remembered, rememberedTogether } from '../measure/memo.js';
import type { Reason } from '../measure/reason.js';
import { plain, say, sayMm } from '../measure/said.js';
import type { Owner, Roll } from '../ring/owner.js';
import type { Shop } from '../settings/shop.js';
import { kerfAlong, meanLength, pieceAlong, type StripSetting } from './cutting.js';
import type { OwnedPieces } from './owned.js';
import { type Panel, panelFor } from './panel.js';
import { QUARTERS, quarterFor } from './quarters.js';
import { besidesOf } from './spares.js';
import type { Cut, StripWant } from './strips.js';
import { stripGroups, wantOf } from './wants.js';

/** What is needed of one wood; volumes in mm³. What it takes of boards only a layout says. */
export interface WoodNeed {
  readonly wood: string;
  /** Pieces in the work, spares not counted. */
  readonly pieces: number;
  /** Spares and test pieces. */
  readonly spares: number;
  /** Left in the turned piece. */
  readonly finishedMm3: number;
  /** In the pieces at their ring's height; of these, in rings that are made already. */
  readonly segmentsMm3: number;
  readonly stashMm3: number;
}

export type StripEntry = StripWant & { readonly quarter: string };
export type PanelEntry = Panel & { readonly quarter: string };

/** What has to be sawn: pieces by the strips that can give them, blocks, and what each wood comes to. */
export interface Lumber {
  readonly strips: readonly StripEntry[];
  readonly panels: readonly PanelEntry[];
  readonly woods: readonly WoodNeed[];
  /** Pieces that no strip or lumber can give; they are in no list above. */
  readonly reasons: readonly Reason[];
}

type Mutable<T> = { -readonly [K in keyof T]: T[K] };

/** Strips and blocks for pieces, those of one owner a lot; `finished` is the volume left in the work by wood, mm³, `roll` names the owners. */
export function lumberFor(
  lots: readonly (readonly OwnedPieces[])[],
  finished: ReadonlyMap<string, number>,
  shop: Shop,
  roll: Roll,
): Lumber {
  const woods = new Map<string, Mutable<WoodNeed>>();
  const of = (wood: string): Mutable<WoodNeed> => {
    const known = woods.get(wood);
    if (known) return known;
    const finishedMm3 = finished.get(wood) ?? 0;
    const need = { wood, pieces: 0, spares: 0, finishedMm3, segmentsMm3: 0, stashMm3: 0 };
    woods.set(wood, need);
    return need;
  };
  for (const lot of lots)
    for (const { wood, count, kind, volumeMm3 } of lot) {
      const need = of(wood);
      need.pieces += count;
      if (kind.stock.from === 'stash') need.stashMm3 += count * volumeMm3;
    }
  const reasons: Reason[] = [];
  const strips = sawnFrom(lots, shop).flatMap(({ want, owner, ...comes }): StripEntry[] => {
    const { entry, keptMm3, spares, without } = comes;
    const need = of(want.wood);
    need.segmentsMm3 += keptMm3;
    if (without) reasons.push(noLength(without, roll));
    if (!entry) reasons.push(tooThick(want.thicknessMm, owner, roll));
    if (!entry || without) return [];
    need.spares += spares;
    return [entry];
  });
  const panels = lots
    .flatMap((lot) => panelsOf(lot, shop))
    .flatMap((panel): PanelEntry[] => {
      of(panel.wood).segmentsMm3 += panel.count * panel.pieceMm3;
      const quarter = quarterFor(panel.thicknessMm);
      if (!quarter) reasons.push(tooThick(panel.thicknessMm, panel.owner, roll));
      return quarter ? [{ ...panel, quarter: quarter.name }] : [];
    });
  for (const need of woods.values()) need.segmentsMm3 += need.stashMm3;
  return { strips, panels, woods: [...woods.values()], reasons: eachOnce(reasons) };
}

/** The strips that all pieces come of, with the owner of the first of each; the same as before as long as all lots are. */
const sawnFrom = rememberedTogether((lots: readonly (readonly OwnedPieces[])[], shop: Shop) =>
  stripGroups(besidesOf(lots, shop), shop).map((group) => {
    const want = wantOf(group, shop);
    return { want, owner: group[0]!.of.owner, ...comesTo(want, shop.kerfMm) };
  }),
);

/** The blocks of one lot. */
const panelsOf = remembered((lot: readonly OwnedPieces[], shop: Shop): readonly Panel[] =>
  lot.flatMap((each) => panelFor(each, shop) ?? []),
);

/** Several kinds of pieces of one owner, or woods, may be wrong alike. */
const eachOnce = (reasons: readonly Reason[]): Reason[] => [
  ...new Map(reasons.map((each) => [`${each.code} ${each.path} ${plain(each.message)}`, each])).values(),
];

/** What pieces of a strip come to in their rings, mm³. */
const keptVolume = (want: StripWant, { count, longEdgeMm, keptMm }: Cut): number =>
  count * meanLength(want, longEdgeMm) * want.widthMm * keptMm;

/** What strips come to. */
interface ComesTo {
  /** In the lumber that they are planed from; null where none is thick enough. */
  readonly entry: StripEntry | null;
  /** What all pieces of the work that come of them come to, mm³. */
  readonly keptMm3: number;
  /** Spares and test pieces. */
  readonly spares: number;
  /** The first pieces of whose length nothing is left along the strip. */
  readonly without: Cut | undefined;
}

const comesTo = remembered((want: StripWant, kerfMm: number): ComesTo => {
  const { cuts, thicknessMm } = want;
  const setting: StripSetting = { ...want, kerfMm };
  const kerf = kerfAlong(setting);
  const quarter = quarterFor(thicknessMm);
  const inWork = cuts.filter(({ purpose }) => purpose === 'piece');
  const beside = cuts.filter(({ purpose }) => purpose === 'spare' || purpose === 'test');
  return {
    entry: quarter && { ...want, quarter: quarter.name },
    keptMm3: inWork.reduce((sum, cut) => sum + keptVolume(want, cut), 0),
    spares: beside.reduce((sum, { count }) => sum + count, 0),
    without: cuts.find(
      ({ longEdgeMm, boardEdgeMm }) => !(pieceAlong(setting, longEdgeMm, boardEdgeMm) + kerf > 0),
    ),
  };
});

/** Why pieces cannot be cut from a strip: so wide for its angle that nothing of its length is left. */
function noLength({ owner }: Cut, roll: Roll): Reason {
  const whose = owner === null ? 'A spare segment' : `A segment of ${roll.nameOf(owner)}`;
  return {
    code: 'segment-without-length',
    path: owner === null ? '' : roll.pathOf(owner),
    message: say`${whose} would have no length along its strip: the strip is too wide for its angle.`,
  };
}

/** Why pieces planed to a thickness (mm) are of no lumber that is sold. */
function tooThick(planedMm: number, owner: Owner, roll: Roll): Reason {
  const thickest = QUARTERS[QUARTERS.length - 1]!;
  return {
    code: 'too-thick',
    path: roll.pathOf(owner),
    message: say`${roll.titleOf(owner)} is cut from wood planed to ${sayMm(planedMm)}; the thickest lumber sold, ${thickest.name}, gives ${sayMm(thickest.surfacedMm)}. Use two rings, or glue boards face to face.`,
    limits: { most: thickest.surfacedMm },
  };
}
