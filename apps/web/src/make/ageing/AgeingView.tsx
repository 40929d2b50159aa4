import { Cautions } from '../../ui/Cautions.js';
import { Pane } from '../../ui/Pane.js';
import { ColourList } from './ColourList.js';
import { FinishPanel } from './FinishPanel.js';
import { MovingTable } from './MovingTable.js';
import { RoomPanel } from './RoomPanel.js';

/** How the piece will age: what moves in the room that it will live in, how it is finished, and what becomes of its colours. */
export function AgeingView() {
  return (
    <div className="grid min-h-0 flex-1 auto-rows-max gap-2 overflow-auto p-2 lg:auto-rows-[minmax(0,1fr)] lg:grid-cols-[240px_minmax(0,1fr)_minmax(0,1fr)]">
      <Pane name="The room">
        <RoomPanel />
      </Pane>
      <Pane name="What moves">
        <MovingTable />
        <ColourList />
      </Pane>
      <Pane name="Finish">
        <FinishPanel />
        <Cautions ids={['finishing', 'dust']} />
      </Pane>
    </div>
  );
}
