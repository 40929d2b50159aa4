import { useParams } from 'react-router';
import { useProgress } from '../store/progress/useProgress.js';
import { Pages } from '../ui/Pages.js';

const PAGES = [
  ['make', 'Work', true],
  ['make/day', 'Day plan', true],
  ['make/setting', 'Setting', true],
  ['make/dry-fit', 'Dry fit', true],
  ['make/lathe', 'At the lathe', true],
  ['make/changes', 'Changes', true],
] as const;

/** Make: the work card by card, the days it takes, the ring on the bench, the piece on the lathe. */
export function MakeStation() {
  const { id = '' } = useParams();
  useProgress(id);
  return <Pages name="Make" pages={PAGES} />;
}
