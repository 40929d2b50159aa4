/** A moment as people say it, in the reader's own way of writing. */
export const momentOf = (iso: string): string =>
  new Date(iso).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });

const STEPS = [
  ['day', 86_400_000],
  ['hour', 3_600_000],
  ['minute', 60_000],
] as const;

/** How long ago it was: “3 days ago”, “just now”. */
export function ageOf(iso: string, now = Date.now()): string {
  const passed = now - Date.parse(iso);
  for (const [unit, length] of STEPS) {
    const count = Math.floor(passed / length);
    if (count >= 1) return `${count} ${unit}${count === 1 ? '' : 's'} ago`;
  }
  return 'just now';
}

/** Bytes as people say them. */
export const sizeOf = (bytes: number): string =>
  bytes >= 1024 * 1024
    ? `${(bytes / 1024 / 1024).toFixed(1)} MB`
    : `${Math.max(1, Math.round(bytes / 1024))} KB`;
