import { Pages } from '../ui/Pages.js';

const PAGES = [
  ['make', 'Dry fit', true],
  ['make/lathe', 'At the lathe', true],
] as const;

/** Make in the order of the work: the ring on the bench, then the piece on the lathe. */
export const MakeStation = () => <Pages name="Make" pages={PAGES} />;
