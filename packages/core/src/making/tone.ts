/** A tone that a place is meant to have when a ring is first made so; the palette says which wood that is. */
export type MeantTone = 'light' | 'middle' | 'dark';
