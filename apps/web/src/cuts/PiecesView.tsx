import { planOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { PaneBoundary } from '../ui/PaneBoundary.js';
import { PieceTable } from './PieceTable.js';
import { SafetyNotes } from './SafetyNotes.js';
import { SawingBar } from './SawingBar.js';
import { StripTable } from './StripTable.js';
import { WoodAccount } from './WoodAccount.js';

/** The pieces of every ring, the strips they come from, and the wood to buy. */
export function PiecesView() {
  const plan = useApp(planOf);
  if (!plan.ok) return null;
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,21fr)_minmax(0,19fr)_240px] gap-2 overflow-auto p-2">
      <section
        aria-label="Pieces"
        className="overflow-auto rounded border border-line bg-pane p-2"
        tabIndex={0}
      >
        <h2 className="mb-1 font-semibold">Pieces, ring by ring</h2>
        <PaneBoundary name="The list of pieces">
          <SawingBar />
          <PieceTable plan={plan.value} />
        </PaneBoundary>
      </section>
      <section
        aria-label="Strips"
        className="overflow-auto rounded border border-line bg-pane p-2"
        tabIndex={0}
      >
        <h2 className="mb-2 flex h-8 items-center font-semibold">Strips to rip and plane</h2>
        <PaneBoundary name="The list of strips">
          <StripTable lumber={plan.value.lumber} />
        </PaneBoundary>
      </section>
      <section
        aria-label="Wood to buy"
        className="overflow-auto rounded border border-line bg-pane p-2"
        tabIndex={0}
      >
        <h2 className="mb-2 flex h-8 items-center font-semibold">Wood to buy</h2>
        <PaneBoundary name="The account">
          {plan.value.lumber.woods.map((total) => (
            <WoodAccount key={total.wood} total={total} />
          ))}
        </PaneBoundary>
        <SafetyNotes />
      </section>
    </div>
  );
}
