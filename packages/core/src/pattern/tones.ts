/** What patterns speak of; the palette gives each entry a wood. */
export const TONES = ['light', 'middle', 'dark', 'accent'] as const;
export type Tone = (typeof TONES)[number];

/** A tone, or the second, third… wood of that tone on a palette: `dark`, `accent-2`. */
export type ToneName = Tone | `${Tone}-${number}`;

/** At most so many woods of one tone can be told apart by name. */
export const MOST_OF_A_TONE = 9;

/** What a palette entry is called by motifs and pattern files, in the order of the palette. */
export function toneNames(palette: readonly { readonly tone: Tone }[]): ToneName[] {
  const met = new Map<Tone, number>();
  return palette.map(({ tone }) => {
    const nth = (met.get(tone) ?? 0) + 1;
    met.set(tone, nth);
    return nth === 1 ? tone : (`${tone}-${nth}` as const);
  });
}

/** Tones that stand in for one that a palette does not have, the nearest in lightness first. */
const STAND_INS: Readonly<Record<Tone, readonly Tone[]>> = {
  light: ['middle', 'accent', 'dark'],
  middle: ['accent', 'dark', 'light'],
  dark: ['accent', 'middle', 'light'],
  accent: ['middle', 'dark', 'light'],
};

const toneOf = (name: string): Tone => name.split('-')[0] as Tone;

/** Whether a palette has the tone itself and needs no other to stand in. */
export const hasTone = (palette: readonly { readonly tone: Tone }[], name: ToneName): boolean =>
  toneNames(palette).includes(name);

/**
 * The palette key of a tone. Where the palette lacks it another of its tone stands in, then the nearest tone that there
 * is; `hasTone` tells, and a check says so.
 */
export function keyOfTone(
  palette: readonly { readonly tone: Tone; readonly key: string }[],
  name: ToneName,
): string {
  const names = toneNames(palette);
  const wanted: string[] = [name, toneOf(name), ...STAND_INS[toneOf(name)]];
  for (const want of wanted) {
    const at = names.indexOf(want as ToneName);
    if (at >= 0) return palette[at]!.key;
  }
  return palette[0]!.key;
}
