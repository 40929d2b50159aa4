/** The time of day of a moment where the reader is: “14:05”. */
export const clockOf = (at: string): string =>
  new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

/** The day of a moment where the reader is, as it sorts, and as people say it. */
export function dayOf(at: string): string {
  return new Date(at).toLocaleDateString('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    year: 'numeric',
  });
}
