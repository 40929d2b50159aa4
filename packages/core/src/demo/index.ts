import type { UnitSystem } from '../measure/format.js';
import type { Project } from '../project/schema.js';
import { dewpondBowl, drystoneVase, secretarysBowl } from './bands.js';
import { bindweedVase } from './climbing.js';
import { openGateVase } from './halves.js';
import { sheepwashBowl } from './inlaid.js';
import { shepherdsLantern } from './lantern.js';
import { inMillimetres } from './metric.js';
import { bestFleeceBowl, fellRaceCup, honeyClassJar } from './pieces.js';
import { trigPointBall } from './shell.js';
import { threeBecksVase } from './slanted.js';
import { beaconGlobe, conjurersVase, gatheringBasket, marchStarDish, whirlpoolGoblet } from './stacks.js';

/** Those that were drawn in inches. */
const inInches = (): Project[] => [fellRaceCup(), bestFleeceBowl(), honeyClassJar(), shepherdsLantern()];

/** The trophies of the Hollin Tarn Show, an invented upland village show; all of them round in millimetres where those are asked for. */
export const demoProjects = (units?: UnitSystem): Project[] => [
  ...(units === 'mm' ? inMillimetres(inInches()) : inInches()),
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
  trigPointBall(),
  openGateVase(),
];

export { demoBoards } from './boards.js';
export { demoJournal } from './journal.js';
export { inMillimetres } from './metric.js';
export { demoStash } from './stash.js';
