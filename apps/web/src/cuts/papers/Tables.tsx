import {
  accountCsv,
  buyingCsv,
  buyingOf,
  cutListCsv,
  layoutCsv,
  planFile,
  ringsCsv,
  ripsCsv,
  rollOf,
  setupsCsv,
} from '@fellside/core';
import { Download } from 'lucide-react';
import { zipped } from '../../pictures/zip.js';
import { projectOf, shopOf, woodsOf } from '../../store/house.js';
import { planOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { saveBlob, saveFile } from '../../ui/saveFile.js';
import { useCuts } from '../useCuts.js';

/** Every table as CSV, and the plan as JSON. */
export function Tables() {
  const plan = useApp(planOf);
  const shop = useApp(shopOf);
  const woods = useApp(woodsOf);
  const project = useApp(projectOf);
  const cuts = useCuts();
  if (!plan.ok || !cuts) return null;
  const { units } = shop;
  const { layouts, accounts, lumber, state, stale } = cuts;
  const laid = state !== null && !stale;
  /** What is said of the layout waits for it; the rest is there at once. */
  const tables: readonly (readonly [name: string, csv: () => string, ofPlan?: true])[] = [
    ['Cut list', () => cutListCsv(plan.value, woods, shop), true],
    ['Rings', () => ringsCsv(plan.value, woods, units), true],
    ['Rip list', () => ripsCsv(layouts, woods, units, rollOf(project))],
    ['Settings of the saw', () => setupsCsv({ ...plan.value, lumber }, woods, units), true],
    ['Boards as sawn', () => layoutCsv(layouts, woods, units, rollOf(project))],
    ['To buy', () => buyingCsv(buyingOf(layouts, lumber, shop), woods, units)],
    ['Where the wood goes', () => accountCsv(accounts, woods, units)],
  ];
  const { name } = project;
  return (
    <section aria-label="Tables" className="rounded border border-line bg-pane p-4">
      <h2 className="mb-1 text-lg font-semibold">Tables</h2>
      <p className="mb-3 text-quiet">
        CSV for a spreadsheet, in the units of your shop; the whole plan as JSON.
      </p>
      <ul className="flex flex-col gap-1.5">
        {tables.map(([title, csv, ofPlan]) => (
          <li key={title}>
            <Button
              className="w-full justify-start!"
              disabled={!laid && !ofPlan}
              onClick={() => saveFile(`${name} ${title.toLowerCase()}.csv`, 'text/csv', csv())}
            >
              <Download aria-hidden size={14} /> {title}, CSV
            </Button>
          </li>
        ))}
        <li>
          <Button
            className="w-full justify-start!"
            disabled={!laid}
            onClick={() =>
              saveBlob(
                `${name} tables.zip`,
                zipped(tables.map(([title, csv]) => ({ name: `${title.toLowerCase()}.csv`, svg: csv() }))),
              )
            }
          >
            <Download aria-hidden size={14} /> All of them, ZIP
          </Button>
        </li>
        <li>
          <Button
            className="w-full justify-start!"
            onClick={() => saveFile(`${name} plan.json`, 'application/json', planFile(plan.value))}
          >
            <Download aria-hidden size={14} /> The whole plan, JSON
          </Button>
        </li>
      </ul>
    </section>
  );
}
