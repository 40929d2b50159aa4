import { copiesOf, type InlayLies } from '../inlay/placed.js';
import type { Inlay } from '../inlay/schema.js';
import type { RingPlan } from '../lumber/ringPlan.js';
import type { LayerLine } from '../making/contract.js';
import { TURN } from '../measure/quantity.js';
import { type Said, say, sayList, sayMm } from '../measure/said.js';
import type { Check, Subject } from './check.js';
import { numbersSaid, ownersOf } from './said.js';

/** `Inlay 2`, `Patch 1`. */
const nameOf = ({ patch }: Inlay, index: number): Said => say`${patch ? 'Patch' : 'Inlay'} ${index + 1}`;

/** What is let into the outside: whether the form still takes it, what is left behind it, what it cuts through, and what it meets. */
export function inlayChecks({ inlays, rings, shop }: Subject): Check[] {
  return inlays.flatMap(({ inlay, placed }, i): Check[] => {
    const name = nameOf(inlay, i);
    if (!placed.ok)
      return placed.reasons.map(({ code, message }) => ({
        code,
        owners: [],
        message: say`${name} cannot be let in any more. ${message}`,
        remedies: [],
      }));
    const lies = placed.value;
    const met = rings.filter(({ bottomMm, topMm }) => bottomMm < lies.toMm && topMm > lies.fromMm);
    return [
      ...thinBehind(name, lies, met, shop.leastWallMm),
      ...overGaps(name, met),
      ...throughLayers(name, inlay, lies, met),
      ...meets(inlays, i),
    ];
  });
}

/** What is left of the wall behind a pocket; an insert glued in bears part of it, so that half of the least wall will do. */
const SHARE = 0.5;

function thinBehind(
  name: Said,
  { leftMm }: InlayLies,
  met: readonly RingPlan[],
  leastWallMm: number,
): Check[] {
  const least = SHARE * leastWallMm;
  if (leftMm >= least) return [];
  return [
    {
      code: 'inlay-wall',
      owners: ownersOf(met),
      message: say`${name} leaves ${sayMm(leftMm)} of the wall behind its pocket; half of the least wall you want is ${sayMm(least)}.`,
      remedies: [],
    },
  ];
}

function overGaps(name: Said, met: readonly RingPlan[]): Check[] {
  const open = met.filter(({ closed }) => !closed);
  if (open.length === 0) return [];
  return [
    {
      code: 'inlay-open',
      owners: ownersOf(open),
      message: say`${name} lies over the gaps of ring ${numbersSaid(open.map(({ index }) => index))}: nothing holds it there.`,
      remedies: [],
    },
  ];
}

/** Layers that the floor of a pocket lies behind: the wood behind them shows at its sides until the insert is in, and is cut. */
function throughLayers(
  name: Said,
  { depthMm }: Inlay,
  { frame }: InlayLies,
  met: readonly RingPlan[],
): Check[] {
  const floorMm = frame.radiusMm - depthMm * frame.out.r;
  const linesIn = ({ layers, course }: RingPlan): LayerLine[] =>
    layers.filter(({ nearMm, lean = 0 }) => {
      const near = nearMm + lean * (frame.heightMm - (course.bottomMm + course.topMm) / 2);
      return near > floorMm && near < frame.radiusMm;
    });
  const cut = met.filter((ring) => linesIn(ring).length > 0);
  if (cut.length === 0) return [];
  const lines = cut.flatMap((ring) => linesIn(ring).map(({ name: line }) => line));
  return [
    {
      code: 'inlay-cut-through',
      owners: ownersOf(cut),
      message: say`${name} goes through layers of ring ${numbersSaid(cut.map(({ index }) => index))} (${sayList([...new Set(lines)])}): its floor lies ${sayMm(floorMm)} from the axis.`,
      remedies: [],
      note: true,
    },
  ];
}

/** Outlines that lie over each other: what was let in first is cut by the one after it. */
function meets(inlays: Subject['inlays'], index: number): Check[] {
  const one = inlays[index]!;
  const within = copiesMeet(one.inlay, one.placed);
  const over = inlays.flatMap((other, i) => (i < index && touch(one, other) ? [i] : []));
  const name = nameOf(one.inlay, index);
  return [
    ...(within ? [say`The copies of ${lower(name)} lie over each other.`] : []),
    ...over.map(
      (i) => say`${name} may lie over ${lower(nameOf(inlays[i]!.inlay, i))}: it is let in after it.`,
    ),
  ].map((message): Check => ({ code: 'inlays-meet', owners: [], message, remedies: [] }));
}

const lower = (name: Said): Said =>
  typeof name === 'string'
    ? name.toLowerCase()
    : name.map((part) => (typeof part === 'string' ? part.toLowerCase() : part));

const copiesMeet = ({ copies }: Inlay, placed: Subject['inlays'][number]['placed']): boolean =>
  placed.ok && copies > 1 && placed.value.reach > TURN / copies / 2;

function touch(a: Subject['inlays'][number], b: Subject['inlays'][number]): boolean {
  if (!a.placed.ok || !b.placed.ok) return false;
  const [here, there] = [a.placed.value, b.placed.value];
  if (here.fromMm >= there.toMm || there.fromMm >= here.toMm) return false;
  return copiesOf(a.inlay).some((one) =>
    copiesOf(b.inlay).some((other) => {
      const turns = (one.toward - other.toward) / TURN;
      return Math.abs(turns - Math.round(turns)) * TURN < here.reach + there.reach;
    }),
  );
}
