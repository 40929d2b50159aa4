import { AccessPanel } from './AccessPanel.js';
import { AutomaticPanel } from './AutomaticPanel.js';
import { BackupList } from './BackupList.js';
import { HealthPanel } from './HealthPanel.js';
import { UnreadablePanel } from './UnreadablePanel.js';

/** Backups, who may come in from other machines, and the health of what is kept. */
export function SafePage() {
  return (
    <div className="h-full overflow-auto p-6">
      <h1 className="text-xl font-semibold">Safe</h1>
      <p className="mb-4 max-w-prose text-quiet">
        Every edit is on this machine’s disk before it is called saved. A backup is one file with everything
        in it; keep one on another disk.
      </p>
      <div className="grid items-start gap-4 xl:grid-cols-[3fr_2fr]">
        <BackupList />
        <div className="flex flex-col gap-4">
          <UnreadablePanel />
          <AutomaticPanel />
          <AccessPanel />
          <HealthPanel />
        </div>
      </div>
    </div>
  );
}
