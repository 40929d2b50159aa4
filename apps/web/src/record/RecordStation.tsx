import { Pages } from '../ui/Pages.js';

const PAGES = [
  ['record', 'Journal', true],
  ['record/passport', 'Passport', true],
  ['record/again', 'Again', true],
  ['record/boards', 'Other boards', true],
] as const;

/** Record: what was made, to be shown, and to be made again. */
export const RecordStation = () => <Pages name="Record" pages={PAGES} />;
