import { INCH } from '../measure/format.js';
import { type Said, say } from '../measure/said.js';

/** Diameter in inches times turns a minute, by what is done: common practice; the lathe maker's limits come first. */
const RANGES = {
  fresh: [2000, 4000],
  turning: [6000, 9000],
  sanding: [3000, 4500],
  polishing: [4500, 5500],
} as const;
export type TurningStage = keyof typeof RANGES;
export const TURNING_STAGES = Object.keys(RANGES) as TurningStage[];

/** Turns a minute nobody sets closer than this. */
export const RPM_STEP = 10;

export interface Speeds {
  readonly stage: TurningStage;
  readonly leastRpm: number;
  readonly mostRpm: number;
}

/** Lathe speeds for work of a diameter, rounded towards the middle of each range to what a dial shows. */
export const speedsFor = (diameterMm: number): Speeds[] =>
  TURNING_STAGES.map((stage) => {
    const [least, most] = RANGES[stage].map((product) => (product * INCH) / diameterMm);
    return {
      stage,
      leastRpm: Math.ceil(least! / RPM_STEP) * RPM_STEP,
      mostRpm: Math.floor(most! / RPM_STEP) * RPM_STEP,
    };
  });

/** How fast the rim goes, m/s: π·D·n. */
export const rimSpeed = (diameterMm: number, rpm: number): number => (Math.PI * diameterMm * rpm) / 60_000;

/** Feet a minute of a speed in m/s. */
export const feetPerMinute = (metresPerSecond: number): number => (metresPerSecond * 60_000) / (12 * INCH);

/** Turns a minute at which the rim of another diameter goes as fast: n₂ = n₁·D₁/D₂. */
export const sameRim = (rpm: number, diameterMm: number, otherMm: number): number =>
  (rpm * diameterMm) / otherMm;

/** The speeds of a kind of work at a diameter, as they stand on a card. */
export function speedSaid(stage: TurningStage, diameterMm: number): Said {
  const { leastRpm, mostRpm } = speedsFor(diameterMm).find((speeds) => speeds.stage === stage)!;
  return say`${leastRpm} to ${mostRpm} turns a minute, the slower first.`;
}
