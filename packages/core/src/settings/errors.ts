import { z } from 'zod';
import { length, number } from '../measure/field.js';

/** Every error of a shop, in the order of the work, and what it is called. */
export const ERRORS = {
  settingDeg: 'Setting of a mitre',
  cutDeg: 'Mitre, from cut to cut',
  stopMm: 'Setting of a stop',
  pieceMm: 'Length, from piece to piece',
  widthMm: 'Width of a strip',
  thicknessMm: 'Thickness of a ring',
  slicedMm: 'Thickness of a slice off a thick ring',
  flatMm: 'Flatness across a ring',
  asideMm: 'Ring slipped sideways',
  roundMm: 'Ring slipped round, at its rim',
} as const;
export type ErrorKind = keyof typeof ERRORS;
export const ERROR_KINDS = Object.keys(ERRORS) as readonly ErrorKind[];

const MOST_DEG = 3;
const MOST_MM = 5;

const spread = (kind: ErrorKind) =>
  kind.endsWith('Deg') ? number(ERRORS[kind], 0, MOST_DEG, '°') : length(ERRORS[kind], 0, MOST_MM);

/**
 * How far things come out from what was set: one standard deviation each (degrees or mm), so that two of three come out nearer
 * than that. A setting's own error is the same for all that is cut with it; what varies from cut to cut comes on top.
 */
export const errorsSchema = z.strictObject(
  Object.fromEntries(ERROR_KINDS.map((kind) => [kind, spread(kind)])) as Record<
    ErrorKind,
    ReturnType<typeof number>
  >,
);
export type Errors = Readonly<Record<ErrorKind, number>>;

/** What a careful shop comes to: working values of this project, until a shop has measured its own. */
export const USUAL_ERRORS: Errors = {
  settingDeg: 0.03,
  cutDeg: 0.01,
  stopMm: 0.1,
  pieceMm: 0.05,
  widthMm: 0.1,
  thicknessMm: 0.1,
  slicedMm: 0.15,
  flatMm: 0.05,
  asideMm: 0.4,
  roundMm: 0.5,
};

export const NO_ERRORS: Errors = Object.fromEntries(ERROR_KINDS.map((kind) => [kind, 0])) as Record<
  ErrorKind,
  number
>;

/** How rings are closed: clamped so that what is left spreads over all joints, or as two halves sanded true. */
export const CLOSINGS = ['spread', 'halves'] as const;
/** What a ring is turned by when it is glued on: the ring below, or a mark on the lathe. */
export const ALIGNINGS = ['below', 'mark'] as const;

/** How a shop goes about what decides where errors end; practitioners differ. */
export const schoolSchema = z.strictObject({
  closing: z.enum(CLOSINGS, { error: () => 'Rings are closed spread or as halves.' }),
  aligning: z.enum(ALIGNINGS, { error: () => 'Rings are turned by the ring below or by a mark.' }),
  /** Pins through the waste of neighbouring rings keep them from slipping by more than their play. */
  pinned: z.boolean({ error: () => 'Rings are pinned or not.' }),
});
export type School = z.infer<typeof schoolSchema>;

export const USUAL_SCHOOL: School = { closing: 'spread', aligning: 'below', pinned: false };
