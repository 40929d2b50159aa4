import { Bench } from '../bench/Bench.js';
import { PaneBoundary } from '../ui/PaneBoundary.js';
import { FormPanel } from './FormPanel.js';

/** Form: the bench with a short ledger, curves to be dragged, and the form's figures at the right. */
export function FormStation() {
  return (
    <div className="flex min-h-0 flex-1 max-wide:flex-none max-wide:flex-col">
      <div className="flex min-w-0 flex-1 flex-col max-wide:flex-none">
        <Bench grab="curve" unrolled={false} shortLedger />
      </div>
      <PaneBoundary name="The panel">
        <FormPanel />
      </PaneBoundary>
    </div>
  );
}
