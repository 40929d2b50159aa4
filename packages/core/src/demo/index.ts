import type { Project } from '../project/schema.js';
import { dewpondBowl, drystoneVase, secretarysBowl } from './bands.js';
import { bindweedVase } from './climbing.js';
import { sheepwashBowl } from './inlaid.js';
import { shepherdsLantern } from './lantern.js';
import { bestFleeceBowl, fellRaceCup, honeyClassJar } from './pieces.js';
import { threeBecksVase } from './slanted.js';
import { beaconGlobe, conjurersVase, gatheringBasket, marchStarDish, whirlpoolGoblet } from './stacks.js';

/** The trophies of the Hollin Tarn Show, an invented upland village show. */
export const demoProjects = (): Project[] => [
  fellRaceCup(),
  bestFleeceBowl(),
  honeyClassJar(),
  shepherdsLantern(),
  drystoneVase(),
  dewpondBowl(),
  secretarysBowl(),
  marchStarDish(),
  whirlpoolGoblet(),
  gatheringBasket(),
  conjurersVase(),
  beaconGlobe(),
  threeBecksVase(),
  bindweedVase(),
  sheepwashBowl(),
];

export { demoBoards } from './boards.js';
export { demoJournal } from './journal.js';
export { demoStash } from './stash.js';
