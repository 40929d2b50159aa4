import type { UnitSystem } from '../measure/format.js';
import type { Project } from '../project/schema.js';
import { dewpondBowl, drystoneVase, secretarysBowl } from './bands.js';
import { bindweedVase } from './climbing.js';
import { fieldGateVase } from './halves.js';
import { sheepwashBowl } from './inlaid.js';
import { shepherdsLantern } from './lantern.js';
import { peatPail } from './pail.js';
import { bestFleeceBowl, fellRaceCup, honeyClassJar } from './pieces.js';
import { inInches, inMillimetres } from './scaled.js';
import { trigPointBall } from './shell.js';
import { threeBecksVase } from './slanted.js';
import { beaconGlobe, conjurersVase, gatheringBasket, marchStarDish, whirlpoolGoblet } from './stacks.js';

const drawnInInches = (): Project[] => [fellRaceCup(), bestFleeceBowl(), honeyClassJar(), shepherdsLantern()];
const drawnInMillimetres = (): Project[] => [
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
  fieldGateVase(),
  peatPail(),
];

/** The trophies of the Hollin Tarn Show, an invented upland village show: round in the units that are asked for, or as they were drawn. */
export const demoProjects = (units?: UnitSystem): Project[] => [
  ...(units === 'mm' ? inMillimetres(drawnInInches()) : drawnInInches()),
  ...(units === undefined || units === 'mm' ? drawnInMillimetres() : inInches(drawnInMillimetres(), units)),
];

export { demoBoards } from './boards.js';
export { demoJournal } from './journal.js';
export { inMillimetres } from './scaled.js';
export { demoStash } from './stash.js';
