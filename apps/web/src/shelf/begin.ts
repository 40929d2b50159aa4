import {
  type Beginning,
  type Mm,
  mm,
  type Project,
  parseLength,
  type Reason,
  type Result,
  type RingSize,
  refused,
  SHIPPED_WOODS,
  STARTING_SHAPES,
  say,
  sayMm,
  startFromRings,
  startProject,
  trimZeros,
  type UnitSystem,
} from '@fellside/core';

export type Typed = Readonly<Record<string, string>>;

/** Lengths of a new piece: the name of the field and its label. */
export const LENGTHS = [
  ['heightMm', 'Height'],
  ['diameterMm', 'Widest diameter'],
  ['wallMm', 'Wall'],
  ['ringHeightMm', 'Ring height'],
] as const;

/** Inches and millimetres that are round in their own system, and to what a height is rounded that follows a diameter. */
const USUAL = {
  inches: { heightMm: '6', diameterMm: '8', wallMm: '5/16', ringHeightMm: '3/4', step: 1 / 4 },
  mm: { heightMm: '150', diameterMm: '200', wallMm: '8', ringHeightMm: '20', step: 5 },
};

/** What a new piece of a shape is begun with, as it is typed. What is closed at both ends is as high as its shape is: a ball is round. */
export function usualSize({ lid, proportion }: (typeof STARTING_SHAPES)[number], unit: keyof typeof USUAL) {
  const { step, ...usual } = USUAL[unit];
  if (!lid?.joined) return usual;
  const high = Math.round((Number(usual.diameterMm) * proportion) / step) * step;
  return { ...usual, heightMm: trimZeros(high.toFixed(2)) };
}

/** Reads lengths that have to be more than nothing; collects what is wrong with any of them. */
function reader(typed: Typed, units: UnitSystem) {
  const reasons: Reason[] = [];
  const length = (key: string, label: string, least = 0.001): Mm => {
    const read = parseLength(typed[key] ?? '', units, label);
    if (!read.ok) reasons.push({ ...read.reasons[0]!, message: say`${label}: ${read.reasons[0]!.message}` });
    else if (read.value < least)
      reasons.push({ code: 'too_small', path: key, message: say`${label} has to be more than ${sayMm(0)}.` });
    else return read.value;
    return mm(1);
  };
  return { reasons, length };
}

/** The wood that was chosen, and another that goes with it. */
function woodsOf(typed: Typed): readonly [string, string] {
  const wood = typed.wood ?? 'sugar-maple';
  const contrast = wood === 'black-walnut' ? 'sugar-maple' : 'black-walnut';
  return [wood, SHIPPED_WOODS.find(({ id }) => id === contrast)!.id];
}

const countOf = (typed: Typed): number => Number((typed.count ?? '').trim() || Number.NaN);

/** What was typed as a new project from a shape, or every sentence on what is wrong with it. */
export function beginFromShape(typed: Typed, units: UnitSystem): Result<Project> {
  const { reasons, length } = reader(typed, units);
  const lengths = Object.fromEntries(LENGTHS.map(([key, label]) => [key, length(key, label)]));
  if (reasons.length > 0) return refused(...reasons);
  return startProject({
    ...(lengths as Pick<Beginning, 'heightMm' | 'diameterMm' | 'wallMm' | 'ringHeightMm'>),
    name: typed.name ?? '',
    shape: typed.shape ?? STARTING_SHAPES[0]!.id,
    count: countOf(typed),
    woods: woodsOf(typed),
  });
}

/** What was typed as a new project from `rows` sizes of ring, from the bottom up. */
export function beginFromRings(typed: Typed, rows: number, units: UnitSystem): Result<Project> {
  const { reasons, length } = reader(typed, units);
  const sizes = Array.from(
    { length: rows },
    (_, i): RingSize => ({
      outerDiameterMm: length(`outer${i}`, `Size ${i + 1}, outside`),
      innerDiameterMm: length(`inner${i}`, `Size ${i + 1}, hole`, 0),
      heightMm: length(`height${i}`, `Size ${i + 1}, height`),
      rings: Number(typed[`rings${i}`] || Number.NaN),
    }),
  );
  const wallMm = length('wallMm', 'Wall');
  const truingMm = length('truingMm', 'Truing allowance', 0);
  if (reasons.length > 0) return refused(...reasons);
  return startFromRings({
    name: typed.name ?? '',
    sizes,
    wallMm,
    truingMm,
    count: countOf(typed),
    woods: woodsOf(typed),
    fit: typed.fit === 'tightest' ? 'tightest' : 'smoothest',
  });
}
