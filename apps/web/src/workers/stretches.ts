/** Runs work in stretches as long as it is wanted; null when it no longer is. */
export async function finished<T>(
  work: Generator<number, T>,
  wanted: () => boolean,
  pause: () => Promise<void>,
): Promise<T | null> {
  for (let step = work.next(); ; step = work.next()) {
    if (step.done) return step.value;
    await pause();
    if (!wanted()) return null;
  }
}
