import { Pages } from '../ui/Pages.js';

const PAGES = [
  ['cuts', 'Wood', true],
  ['cuts/saw', 'Rip and mitre', true],
  ['cuts/boards', 'Boards', false],
  ['cuts/papers', 'Papers', true],
] as const;

/** Cuts in the order of the work: the wood, the settings of the saw, the boards, and the papers. */
export const CutsStation = () => <Pages name="Cuts" pages={PAGES} />;
