import { type Hold, insideAt, radiusAt, type Vessel } from '@fellside/core';

interface HoldDrawnProps {
  readonly hold: Hold;
  readonly vessel: Vessel;
  /** How far it is drawn beyond the work (mm). */
  readonly depthMm: number;
}

/** What holds the work, on the half-section: wood of the block hatched lightly, jaws and plate dark, the tailstock as a cone at the other end where it is up. */
export function HoldDrawn({ hold, vessel, depthMm }: HoldDrawnProps) {
  const { heightMm, outside } = vessel;
  const [face, end, out] = hold.face === 'foot' ? [0, heightMm, -1] : [heightMm, 0, 1];
  const seat = radiusAt(outside, face);
  const half = depthMm / 2;
  /** A box from a depth beyond the held face on, between two radii, on both sides of the axis. */
  const box = (from: number, deep: number, inner: number, outer: number, fill: string) => {
    const y = Math.min(face + out * from, face + out * (from + deep));
    const common = { y, height: deep, width: outer - inner, fill };
    return (
      <>
        <rect x={inner} {...common} />
        <rect x={-outer} {...common} />
      </>
    );
  };
  const jaw = depthMm * 0.5;
  const grip = hold.acrossMm / 2;
  const drawn = {
    tenon: () => (
      <>
        {box(0, half, 0, seat, WOOD)}
        {box(half, half, 0, grip, WOOD)}
        {box(half, half, grip, grip + jaw, IRON)}
      </>
    ),
    plate: () => (
      <>
        {box(0, half, 0, seat, WOOD)}
        {box(half, half * 0.5, 0, seat, IRON)}
      </>
    ),
    recess: () => box(-half * 0.5, half * 1.5, Math.max(0, grip - jaw), grip, IRON),
    'rim-jaws': () => box(-half, half * 2, seat, seat + jaw, IRON),
    plug: () => box(-half * 1.5, half * 2.5, 0, Math.max(1, (insideAt(vessel, heightMm) ?? grip) - 1), WOOD),
    rod: () => (
      <>
        {box(-heightMm, heightMm + half, 0, ROD, IRON)}
        {box(0, half * 0.5, 0, depthMm * 0.6, IRON)}
      </>
    ),
    between: () => box(0, half, 0, Math.min(seat, depthMm), IRON),
  };
  const tip = end - out * depthMm;
  return (
    <g stroke="var(--color-ink)" strokeWidth={depthMm / 40}>
      {drawn[hold.by]()}
      {hold.tailstock.up && <path d={`M0 ${end}L${half} ${tip}H${-half}Z`} fill={IRON} />}
    </g>
  );
}

/** Radius that the rod is drawn with (mm). */
const ROD = 4;
const WOOD = 'var(--color-line)';
const IRON = 'var(--color-quiet)';
