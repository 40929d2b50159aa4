/**
 * The usual cautions, common practice. They are shown where they apply and never stand in for training, the machine
 * maker's instructions or local rules.
 */
export const CAUTIONS = {
  'short-pieces': 'Hold short pieces with a clamp or against a stop, never with fingers near the blade.',
  'trapped-offcut': 'Never let a cut piece be trapped between blade and stop: it is thrown back.',
  bandsaw: 'Keep hands out of the line of the blade and support the whole disc while it is sawn round.',
  dust: 'Wear a dust mask and run the extraction; some woods sensitise.',
  'thin-stock':
    'Saw thin spacers with a backing board or a sled; never rip stock thinner than your saw’s maker allows.',
  router:
    'Hold small parts in a jig or by suction, never by hand near the cutter; unplug before changing it, and mind which way it is fed.',
  drill: 'Clamp a ring that is drilled; a large drill that catches spins what is not held.',
  tapers: 'Cut tapers and bevels on a sled with hold-downs, and saw off before a setting is changed.',
  'tilted-blade':
    'With a tilted blade keep offcuts from wedging under it, and check that guard and fence clear it.',
  resawing:
    'Resaw with a tall fence and a push block; keep fingers out of the line of the blade as it comes through.',
  'open-work':
    'Open rings have edges that catch: keep fingers and loose cloth away, and sand with the lathe off or with a backed pad.',
  'round-work':
    'A round glue-up rolls and twists at the saw: bed it in a cradle and clamp it so that it cannot turn, and never cut it freehand.',
  'fresh-glue':
    'Look over every joint before it spins: a glue-up with a gap or a loose piece is not turned. Leave it as long as the glue’s maker says.',
  imbalance:
    'Start at the lowest speed and bring it up only until the lathe begins to shake; lock the tailstock up.',
  finishing:
    'Oily rags heat up by themselves: lay them out flat outdoors or put them under water. Spirits and lacquers burn: no flame, good air. Food only when fully cured.',
  parting:
    'Keep the tailstock up and a hand off the work while it is parted; saw the last stub with the lathe off.',
  lathe: 'Wear a full face shield, stand out of line of a fresh glue-up, turn it by hand first, start slow.',
} as const;

export type CautionId = keyof typeof CAUTIONS;

export const CAUTION_NOTE =
  'Usual cautions only. Your training, the machine maker’s instructions and local rules come first.';
