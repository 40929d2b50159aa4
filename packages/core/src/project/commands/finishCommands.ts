import { FINISHES, type FinishId } from '../../settings/finishes.js';
import type { Command } from './command.js';

/** What the piece is finished with; null where it is as the shop usually does. */
export const setFinish = (finish: FinishId | null): Command => ({
  label: finish === null ? 'Finished as usual' : `Finish: ${FINISHES[finish].name}`,
  apply(draft) {
    if (finish === null) delete draft.finish;
    else draft.finish = finish;
    return undefined;
  },
});
