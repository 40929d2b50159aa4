/** A length this share of a step over a full step is on it. */
const ON_STEP = 1e-3;

/** The next full step at or above a length, mm; the length itself where there is no step, or none that can be counted. */
export function nextStep(lengthMm: number, stepMm: number): number {
  const stepped = Math.ceil(lengthMm / stepMm - ON_STEP) * stepMm;
  return Number.isFinite(stepped) ? Math.max(lengthMm, stepped) : lengthMm;
}
