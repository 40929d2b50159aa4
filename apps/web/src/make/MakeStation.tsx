import { Pages } from '../ui/Pages.js';

const PAGES = [
  ['make', 'Work', true],
  ['make/rehearsal', 'Rehearsal', true],
  ['make/day', 'Day plan', true],
  ['make/setting', 'Setting', true],
  ['make/dry-fit', 'Dry fit', true],
  ['make/lathe', 'At the lathe', true],
  ['make/ageing', 'Wood and finish', true],
  ['make/changes', 'Changes', true],
] as const;

/** Make: the work card by card, the days it takes, the ring on the bench, the piece on the lathe. */
export const MakeStation = () => <Pages name="Make" pages={PAGES} />;
