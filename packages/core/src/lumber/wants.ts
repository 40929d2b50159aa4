import { planedStrip } from '../making/planing.js';
import { remembered, rememberedTogether } from '../measure/memo.js';
import { mm } from '../measure/quantity.js';
import { SAME_ANGLE, SAME_SETTING } from '../measure/tolerance.js';
import type { Shop } from '../settings/shop.js';
import type { Besides, FromStrip } from './spares.js';
import { type Cut, moreOf, type StripWant, withOtherHand } from './strips.js';

type Setting = Omit<StripWant, 'cuts'>;

/** How pieces that come from strips are sawn from them. */
const settingOf = remembered(({ wood, sanded, kind: { stock } }: FromStrip, shop: Shop): Setting => {
  const { cutAngle, bladeTilt, cutting, widthMm } = stock;
  const thicknessMm = planedStrip(stock, shop, sanded ?? 2);
  return { wood, widthMm, thicknessMm, cutAngle, bladeTilt, cutting };
});

const widest = (a: Setting, b: Setting): Setting =>
  b.widthMm <= a.widthMm && b.thicknessMm <= a.thicknessMm
    ? a
    : {
        ...a,
        widthMm: mm(Math.max(a.widthMm, b.widthMm)),
        thicknessMm: mm(Math.max(a.thicknessMm, b.thicknessMm)),
      };

/** Pieces put together that one strip can serve: same wood, width, thickness and setting. */
export function stripGroups(sawn: readonly Besides[], shop: Shop): (readonly Besides[])[] {
  const groups: Besides[][] = [];
  const ofWood = new Map<string, { readonly setting: Setting; readonly group: Besides[] }[]>();
  for (const each of sawn) {
    const setting = settingOf(each.of, shop);
    const known = ofWood.get(setting.wood) ?? [];
    const alike = known.find((first) => sameStrip(first.setting, setting));
    if (alike) {
      alike.group.push(each);
      continue;
    }
    const group = [each];
    groups.push(group);
    ofWood.set(setting.wood, [...known, { setting, group }]);
  }
  return groups;
}

/** What is wanted of the strips of one group, with test pieces and spares; the same as before as long as all of it is. */
export const wantOf = rememberedTogether((group: readonly Besides[], shop: Shop): StripWant => {
  const setting = group.map(({ of }) => settingOf(of, shop)).reduce(widest);
  const cuts = group.map((each) => cutsOf(each).own);
  const all = setting.cutting === 'two-fences' ? withOtherHand(cuts) : cuts;
  return { ...setting, cuts: [...all, ...group.flatMap((each) => cutsOf(each).more)] };
});

/** The pieces that a ring takes of one kind and wood, and what is cut besides: to try the saw, asked for, in case. */
const cutsOf = remembered(
  ({ of, spares, asked, tests }: Besides): { readonly own: Cut; readonly more: readonly Cut[] } => {
    const own = cutOf(of);
    return {
      own,
      more: [
        ...(tests > 0 ? [moreOf(own, 'test', tests)] : []),
        ...(asked > 0 ? [{ ...moreOf(own, 'spare', asked), asked: true as const }] : []),
        ...(spares > 0 ? [moreOf(own, 'spare', spares)] : []),
      ],
    };
  },
);

function cutOf({ owner, kind, count, places }: FromStrip): Cut {
  const { stock } = kind;
  const { slicing, inOrder, hand, boardEdgeMm, longEdgeMm } = stock;
  const inRing = slicing?.inRing ?? 1;
  const half = kind.places.length / inRing;
  const numbered = () => places.filter((place) => inRing === 1 || place < half).map((place) => place + 1);
  return {
    owner,
    purpose: 'piece',
    longEdgeMm,
    count: Math.ceil(count / inRing),
    keptMm: slicing?.keptMm ?? kind.heightMm,
    resawMm: slicing ? mm((slicing.slices - 1) * slicing.kerfMm + slicing.cleanUpMm) : mm(0),
    ...(boardEdgeMm !== undefined && { boardEdgeMm }),
    ...(hand && { hand }),
    ...(inOrder && { numbers: numbered() }),
  };
}

/** Whether one strip serves two settings of one wood. */
const sameStrip = (a: Setting, b: Setting): boolean =>
  Math.abs(a.widthMm - b.widthMm) < SAME_SETTING &&
  a.cutting === b.cutting &&
  Math.abs(a.thicknessMm - b.thicknessMm) < SAME_SETTING &&
  Math.abs(a.cutAngle - b.cutAngle) < SAME_ANGLE &&
  Math.abs(a.bladeTilt - b.bladeTilt) < SAME_ANGLE;
