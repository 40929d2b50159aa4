import {
  done,
  type Outcomes,
  type Project,
  prepare,
  type Result,
  run,
  sentenceIn,
  type Trial,
  toBuild,
  trialsFor,
} from '@fellside/core';
import { useMemo, useState } from 'react';
import { editPiece } from '../../store/edits.js';
import { projectOf, shopOf, unitsOf } from '../../store/house.js';
import { preparedOf, rippedOf } from '../../store/selectors.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { Choice } from '../../ui/Choice.js';
import { Pane } from '../../ui/Pane.js';
import { BuiltViews } from './BuiltViews.js';
import { ErrorFields } from './ErrorFields.js';
import { Helps } from './Helps.js';
import { SpreadChart } from './SpreadChart.js';
import { useRehearsal } from './useRehearsal.js';
import { WhatComesOut } from './WhatComesOut.js';

const BUILDS = ['100', '300', '1000', '5000'] as const;

/** The piece built many times before it is cut, with what this shop is commonly out by: what would show, and what helps. */
export function RehearsalView() {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const project = useApp(projectOf);
  const ripping = useApp(rippedOf);
  const open = useApp(preparedOf);
  const { workshop } = useApp(shopOf);
  const [errors, setErrors] = useState(workshop.errors);
  const [method, setMethod] = useState({ ...workshop.school, letInMm: 0 });
  const [builds, setBuilds] = useState<(typeof BUILDS)[number]>('300');
  const [firstSeed, setFirstSeed] = useState(1);
  const [tried, setTried] = useState<{ readonly trial: Trial; readonly before: Outcomes } | null>(null);
  const trial = tried?.trial;
  const built = useMemo(() => {
    const changed = trial?.command ? run(project, trial.command, ripping) : null;
    const own: Result<Project> = changed
      ? changed.ok
        ? done(changed.value.project)
        : changed
      : done(project);
    return own;
  }, [trial, project, ripping]);
  const prepared = useMemo(
    () => (trial?.command && built.ok ? prepare(built.value, ripping) : open),
    [trial, built, open, ripping],
  );
  const going = useMemo(() => ({ ...method, ...trial?.method }), [method, trial]);
  const rehearsal = useRehearsal(built.ok ? built.value : project, errors, going, Number(builds), firstSeed);
  const { outcomes } = rehearsal;
  const trials = useMemo(() => {
    const piece = open.ok ? toBuild(open.value) : null;
    return piece?.ok ? trialsFor(project, piece.value, method) : [];
  }, [open, project, method]);
  const keep = () => {
    if (trial?.command) dispatch(editPiece(trial.command));
    if (trial?.method) setMethod(going);
    setTried(null);
  };
  const trouble = built.ok ? rehearsal.trouble : built.reasons[0]!.message;
  return (
    <div className="grid min-h-0 flex-1 auto-rows-max gap-2 overflow-auto p-2 lg:auto-rows-[minmax(0,1fr)] lg:grid-cols-[230px_minmax(0,1fr)_330px]">
      <div className="order-last grid min-h-0 lg:order-none">
        <Pane name="Errors of the shop">
          <ErrorFields errors={errors} method={method} onErrors={setErrors} onMethod={setMethod} />
        </Pane>
      </div>
      <Pane name="As it comes out">
        {trouble ? (
          <p role="alert" className="text-lg text-rust">
            {sentenceIn(trouble, units)}
          </p>
        ) : (
          <>
            {trial && (
              <div
                role="status"
                className="mb-2 flex items-center gap-2 rounded border border-teal bg-teal-wash p-2"
              >
                <span className="mr-auto">
                  Tried: <b>{trial.name}</b>
                </span>
                <Button kind="main" onClick={keep}>
                  Keep it
                </Button>
                <Button onClick={() => setTried(null)}>Put it back</Button>
              </div>
            )}
            {outcomes && prepared.ok ? (
              <BuiltViews ask={rehearsal.ask} outcomes={outcomes} prepared={prepared.value} />
            ) : (
              <p className="p-4 text-quiet">
                {rehearsal.running
                  ? 'The first builds are under way…'
                  : 'Stopped before the first builds were done. Draw again begins anew.'}
              </p>
            )}
          </>
        )}
      </Pane>
      <Pane name="What comes of it">
        <div className="mb-2 flex items-end gap-2">
          <Choice
            label="Builds"
            className="w-24"
            value={builds}
            options={BUILDS.map((each) => [each, each] as const)}
            onChange={setBuilds}
          />
          <Button onClick={() => setFirstSeed(firstSeed + Number(BUILDS.at(-1)))}>Draw again</Button>
          {rehearsal.running && <Button onClick={rehearsal.stop}>Stop</Button>}
        </div>
        {outcomes && (
          <>
            <p aria-live="polite" className="text-xs text-quiet">
              {rehearsal.running && outcomes.builds < Number(builds)
                ? `${outcomes.builds} of ${builds} builds`
                : `${outcomes.builds} builds, drawn from number ${firstSeed} on`}
            </p>
            <WhatComesOut outcomes={outcomes} before={tried?.before ?? null} />
            <SpreadChart outcomes={outcomes} />
            <Helps
              outcomes={outcomes}
              helps={rehearsal.helps}
              running={rehearsal.running}
              trials={trials.filter(({ id }) => id !== trial?.id)}
              onTry={(next) => setTried({ trial: next, before: tried?.before ?? outcomes })}
            />
          </>
        )}
      </Pane>
    </div>
  );
}
