/** Letters of a text that a sentence shows. */
export const SHOWN = 40;

/** A text that was given, short enough for a sentence. */
export function shortened(text: string): string {
  const trimmed = text.trim();
  return trimmed.length > SHOWN ? `${trimmed.slice(0, SHOWN - 1)}…` : trimmed;
}
