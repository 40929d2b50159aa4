import { shopOf, woodsOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { Pane } from '../../ui/Pane.js';
import { Laying } from '../Laying.js';
import { SafetyNotes } from '../SafetyNotes.js';
import { useCuts } from '../useCuts.js';
import { GlueUps } from './GlueUps.js';
import { MitreList } from './MitreList.js';
import { RipList } from './RipList.js';

/** What the saw is set to, in the order that moves it least: rip fences widest first, then tilts, angles and stops. */
export function SawView() {
  const cuts = useCuts();
  const woods = useApp(woodsOf);
  const shop = useApp(shopOf);
  if (!cuts) return null;
  const { lumber, layouts, roll, plan } = cuts;
  return (
    <div className="grid min-h-0 flex-1 auto-rows-max gap-2 overflow-auto p-2 lg:auto-rows-[minmax(0,1fr)] lg:grid-cols-[minmax(0,11fr)_minmax(0,12fr)_220px]">
      <Pane name="Rip">
        <RipList {...{ layouts, woods, roll, shop }} />
        <Laying cuts={cuts} />
        <GlueUps plan={plan} units={shop.units} />
      </Pane>
      <Pane name="Mitre">
        <MitreList {...{ lumber, woods, roll, shop, plan }} />
      </Pane>
      <Pane name="Take care">
        <SafetyNotes />
      </Pane>
    </div>
  );
}
