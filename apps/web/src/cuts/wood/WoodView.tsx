import { projectOf, shopOf, woodsOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { Pane } from '../../ui/Pane.js';
import { ExactFigures } from '../Exact.js';
import { Laying } from '../Laying.js';
import { SafetyNotes } from '../SafetyNotes.js';
import { useCuts } from '../useCuts.js';
import { Copies } from './Copies.js';
import { GoesChart } from './GoesChart.js';
import { PieceTable } from './PieceTable.js';
import { SawingBar } from './SawingBar.js';
import { Sawn } from './Sawn.js';
import { ToBuy } from './ToBuy.js';
import { WoodTable } from './WoodTable.js';

/** What is needed, ring by ring; which boards it takes, on hand and to buy; and where the wood goes. */
export function WoodView() {
  const cuts = useCuts();
  const shop = useApp(shopOf);
  const woods = useApp(woodsOf);
  const { name } = useApp(projectOf);
  if (!cuts) return null;
  const { plan, lumber, layouts, accounts, roll, state, running, stale } = cuts;
  return (
    <div className="grid min-h-0 flex-1 auto-rows-max gap-2 overflow-auto p-2 lg:auto-rows-[minmax(0,1fr)] lg:grid-cols-[minmax(0,23fr)_minmax(0,19fr)_210px]">
      <Pane name="Pieces">
        <h2 className="mb-1 font-semibold">What is needed, ring by ring</h2>
        <SawingBar />
        <ExactFigures />
        <PieceTable plan={plan} shop={shop} />
      </Pane>
      <Pane name="Where the wood goes">
        <h2 className="font-semibold">Where the wood goes</h2>
        <Laying cuts={cuts} />
        <GoesChart accounts={accounts} woods={woods} />
        <WoodTable accounts={accounts} woods={woods} shop={shop} />
      </Pane>
      <Pane name="Wood to buy">
        <Copies copies={state?.copies ?? null} />
        <ToBuy {...{ layouts, lumber, shop, woods, nameOf: roll.nameOf }} ready={state !== null && !stale} />
        <Sawn layouts={layouts} name={name} ready={!running && state !== null && !stale} />
        <SafetyNotes />
      </Pane>
    </div>
  );
}
