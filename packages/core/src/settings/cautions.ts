/**
 * The usual cautions, common practice. They are shown where they apply and never stand in for training, the machine
 * maker's instructions or local rules.
 */
export const CAUTIONS = {
  'short-pieces': 'Hold short pieces with a clamp or against a stop, never with fingers near the blade.',
  'trapped-offcut': 'Never let a cut piece be trapped between blade and stop: it is thrown back.',
  bandsaw: 'Keep hands out of the line of the blade and support the whole disc while it is sawn round.',
  dust: 'Wear a dust mask and run the extraction; some woods sensitise.',
  lathe: 'Wear a full face shield, stand out of line of a fresh glue-up, turn it by hand first, start slow.',
} as const;

export type CautionId = keyof typeof CAUTIONS;

export const CAUTION_NOTE =
  'Usual cautions only. Your training, the machine maker’s instructions and local rules come first.';
