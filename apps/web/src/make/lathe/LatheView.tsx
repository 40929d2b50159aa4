import { unitsOf } from '../../store/house.js';
import { latheOf } from '../../store/progress/work.js';
import { planOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { Cautions } from '../../ui/Cautions.js';
import { Pane } from '../../ui/Pane.js';
import { BalanceSaid } from './BalanceSaid.js';
import { FlexTable } from './FlexTable.js';
import { ReachList } from './ReachList.js';
import { SameRim } from './SameRim.js';
import { SpeedTable } from './SpeedTable.js';

/** What the lathe has to do with the piece: how fast, how well it runs, and how far out it still stands up to the tool. */
export function LatheView() {
  const plan = useApp(planOf);
  const units = useApp(unitsOf);
  const lathe = useApp(latheOf);
  if (!plan.ok || !lathe || lathe.flex.length === 0)
    return <p className="p-6 text-quiet">There is nothing to turn yet.</p>;
  return (
    <div className="grid min-h-0 flex-1 auto-rows-max gap-2 overflow-auto p-2 lg:auto-rows-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_220px]">
      <Pane name="Speeds">
        <SpeedTable
          title="As it is glued up"
          stages={['fresh', 'turning']}
          diameterMm={lathe.blankMm}
          units={units}
        />
        <SpeedTable
          title="Turned to its form"
          stages={['turning', 'sanding', 'polishing']}
          diameterMm={plan.value.diameterMm}
          units={units}
        />
        <SameRim blankMm={lathe.blankMm} units={units} />
        <BalanceSaid lathe={lathe} turnedMm={plan.value.diameterMm} units={units} />
        <ReachList lathe={lathe} units={units} />
      </Pane>
      <Pane name="How far it gives">
        <FlexTable lathe={lathe} units={units} />
      </Pane>
      <Pane name="Take care">
        <Cautions ids={['lathe', 'dust']} />
      </Pane>
    </div>
  );
}
