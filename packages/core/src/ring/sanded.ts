/** Which faces of a glued ring are sanded or planed flat. */
export const SANDED = ['both', 'one', 'none'] as const;
export type Sanded = (typeof SANDED)[number];

/** How many faces that are: for each of them wood is planned on top of the ring's height. */
export const FACES: Record<Sanded, 0 | 1 | 2> = { both: 2, one: 1, none: 0 };
