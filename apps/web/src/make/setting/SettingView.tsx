import { formatAngle, meantRing, rad, type Setting, sentenceIn, settingsOf } from '@fellside/core';
import { useState } from 'react';
import { unitsOf } from '../../store/house.js';
import { doneOf, workOf } from '../../store/progress/work.js';
import { planOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';
import { Cautions } from '../../ui/Cautions.js';
import { Pane } from '../../ui/Pane.js';
import { Little } from '../Little.js';
import { SettingCuts } from './SettingCuts.js';
import { Setups } from './Setups.js';
import { TestSums } from './TestSums.js';

/** The next setting of the saw: angle, wedge, tilt and stops, test pieces and what their sum says, what a little does on its rings. */
export function SettingView() {
  const order = useApp(workOf);
  const done = useApp(doneOf);
  const units = useApp(unitsOf);
  const [chosen, setChosen] = useState<string | null>(null);
  const settings = order ? settingsOf(order, done) : [];
  const setting =
    settings.find(({ id }) => id === chosen) ?? settings.find((each) => !each.done) ?? settings.at(-1);
  if (!setting) return <p className="p-6 text-quiet">Nothing of this piece is cut at the table saw.</p>;
  const next = settings.find((each) => !each.done);
  return (
    <div className="grid min-h-0 flex-1 auto-rows-max gap-2 overflow-auto p-2 lg:auto-rows-[minmax(0,1fr)] lg:grid-cols-[minmax(0,6fr)_minmax(0,16fr)_220px]">
      <Pane name="Settings">
        <h2 className="mb-1 font-semibold">Settings in the order of the work</h2>
        <ol>
          {settings.map((each) => (
            <li key={each.id} className="border-t border-line">
              <button
                type="button"
                aria-pressed={each === setting}
                className="flex min-h-[48px] w-full items-center gap-3 px-2 text-left aria-pressed:bg-teal-wash aria-pressed:font-semibold"
                onClick={() => setChosen(each.id)}
              >
                <span className={`flex-1 ${each.done ? 'text-quiet line-through' : ''}`}>
                  {sentenceIn(each.title, units)}
                </span>
                <span className="text-sm text-quiet">
                  {each.done
                    ? 'sawn'
                    : each === next
                      ? 'next'
                      : `${each.cuts.length} ${each.cuts.length === 1 ? 'cut' : 'cuts'}`}
                </span>
              </button>
            </li>
          ))}
        </ol>
      </Pane>
      <Pane name="Setting">
        <h2 className="text-xl font-semibold">{sentenceIn(setting.title, units)}</h2>
        <Figures setting={setting} />
        <Setups key={`setups ${setting.id}`} setting={setting} />
        <SettingCuts setting={setting} />
        {setting.bladeTilt === 0 && <TestSums key={setting.id} setting={setting} />}
        <OnRings setting={setting} />
      </Pane>
      <Pane name="Take care">
        <Cautions ids={['short-pieces', 'trapped-offcut', 'tapers', 'dust']} />
      </Pane>
    </div>
  );
}

function Figures({ setting: { cutAngle, bladeTilt } }: { setting: Setting }) {
  const figures = [
    ['Angle, from square', formatAngle(cutAngle)],
    ...(cutAngle > 0 ? [['Wedge between two fences', formatAngle(rad(2 * cutAngle))]] : []),
    ['Blade tilt', bladeTilt > 0 ? formatAngle(bladeTilt) : 'upright'],
  ];
  return (
    <dl aria-label="To set" className="my-3 flex flex-wrap gap-x-10 gap-y-3">
      {figures.map(([label, says]) => (
        <div key={label}>
          <dt className="text-quiet">{label}</dt>
          <dd className="text-5xl leading-tight font-bold whitespace-nowrap tabular-nums">{says}</dd>
        </div>
      ))}
    </dl>
  );
}

/** What a little does on the ring of this setting that shows it most: that of the widest joints. */
function OnRings({ setting: { cuts } }: { setting: Setting }) {
  const plan = useApp(planOf);
  if (!plan.ok) return null;
  const own = new Set<string>(cuts.flatMap(({ job }) => job.owners.map(({ id }) => id)));
  const rings = plan.value.rings.flatMap((ring) => {
    const meant = meantRing(ring);
    return own.has(ring.id) && meant.ok ? [{ ring, meant: meant.value }] : [];
  });
  const [first] = [...rings].sort((a, b) => b.meant.longEdgeMm - a.meant.longEdgeMm);
  return first ? (
    <Little ring={first.meant} name={`ring ${first.ring.index + 1}, the widest of these`} />
  ) : null;
}
