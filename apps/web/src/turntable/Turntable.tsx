import { FINISHES, type Prepared, radiusAt, shownOn } from '@fellside/core';
import { memo, useMemo, useRef, useState } from 'react';
import { finishIdOf, paletteOf, planOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { usePrepared } from '../surfaces/shownPiece.js';
import { Slider } from '../ui/Slider.js';
import { Switch } from '../ui/Switch.js';
import { ExportModel } from './ExportModel.js';
import type { Stand } from './eye.js';
import { Scene } from './Scene.js';
import { useFinest } from './useFinest.js';
import { useMeshes } from './useMeshes.js';
import { type WoodMesh, woodMeshes } from './woodMeshes.js';

export interface TurntableProps {
  /** An inset only turns; a panel has the slider; large has everything. */
  readonly size: 'inset' | 'panel' | 'large';
  readonly onPlace?: ((ring: number, place: number) => void) | undefined;
}

/** A key turns the piece by this, radians. */
const KEY_TURN = Math.PI / 12;

/** Rings whose tops, bottoms or joints are in sight when all is turned: those with gaps, and next to one with gaps. */
const bareIn = (rings: Prepared['rings']) => (ring: number) =>
  ring < rings.length &&
  [ring - 1, ring, ring + 1].some((index) => {
    const made = rings[index]?.made;
    return made !== undefined && (!made.ok || !made.value.closed);
  });

/** The piece in space: from the blank as glued to the piece as turned. */
function Turntable({ size, onPlace }: TurntableProps) {
  const prepared = usePrepared();
  const plan = useApp(planOf);
  const palette = useApp(paletteOf);
  const { meshes: made, current } = useMeshes(`turntable-${size}`);
  const sheen = useApp((state) => FINISHES[finishIdOf(state)].sheen);
  const [glue, setGlue] = useState(true);
  const { skin, ready, finest, done } = useFinest(size, glue);
  const [turned, setTurned] = useState(1);
  const [apartMm, setApart] = useState(0);
  const [cutAway, setCutAway] = useState(false);
  const [stand, setStand] = useState<Stand>('outside');
  const [light, setLight] = useState(-40);
  const [turn, setTurn] = useState(0);
  // Looked at first from where the outside pane is.
  const [facing] = useState(useApp((state) => state.session.view));
  const state = useMemo(() => ({ turned, apartMm }), [turned, apartMm]);
  const piece = prepared.ok ? prepared.value : null;
  const sorted = useMemo(
    () =>
      made && piece && current
        ? woodMeshes(
            made,
            shownOn(piece).map(({ woods }) => woods),
            bareIn(piece.rings),
          )
        : null,
    [made, piece, current],
  );
  // While a new shape is being worked out the old one stays in sight.
  const last = useRef<readonly WoodMesh[]>([]);
  if (sorted) last.current = sorted;
  const meshes = last.current;
  if (!prepared.ok || !plan.ok) return <p className="p-3 text-sm text-quiet">Nothing can be drawn yet.</p>;
  const { rings: count, slants, pieces } = plan.value;
  const levels = slants.length > 0 ? 2 * slants.length : count.length - 1;
  const radiusMm = Math.max(...count.map(({ cornerMm }) => cornerMm));
  const heightMm = prepared.value.rings.at(-1)!.stands.topMm + apartMm * levels;
  const { vessel, shut } = prepared.value;
  // Panels that close a hollow are as sawn inside: that is no turned surface, and its pieces show it themselves.
  const opened = shut && (cutAway || stand === 'inside');
  const scene = (
    <Scene
      small={size === 'inset'}
      footMm={radiusAt(vessel.outside, 0)}
      skin={opened ? null : skin}
      {...{ meshes, sheen, palette, state, cutAway, stand, heightMm, radiusMm, turn, facing, onPlace }}
      light={facing + (light * Math.PI) / 180}
      label={`The piece in space, ${count.length} rings, ${pieces} pieces; ${turned === 1 ? 'as turned' : turned === 0 ? 'as glued' : 'partly turned'}.`}
      onReady={size === 'large' ? ready : undefined}
    />
  );
  if (size === 'inset') return scene;
  return (
    <div className="flex h-full flex-col">
      {/* biome-ignore lint/a11y/useSemanticElements: a view that keys turn is a group, and no fieldset */}
      <div
        role="group"
        aria-label="Turntable: drag or arrow keys turn it"
        tabIndex={0}
        className="min-h-0 flex-1 focus-visible:outline-offset-[-2px]"
        onKeyDown={({ key }) => {
          if (key === 'ArrowLeft') setTurn(turn - KEY_TURN);
          if (key === 'ArrowRight') setTurn(turn + KEY_TURN);
        }}
      >
        {scene}
      </div>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-1 px-3 py-2 text-xs text-quiet">
        <Slider
          label="As glued"
          end="as turned"
          value={Math.round(100 * turned)}
          onChange={(value) => setTurned(value / 100)}
        />
        {size === 'large' && (
          <>
            <Slider label="Together" end="apart" value={apartMm} most={40} onChange={setApart} />
            <Slider label="Light" end="round" value={light} least={-180} most={180} onChange={setLight} />
          </>
        )}
        <Switch label="Quarter cut away" on={cutAway} onChange={setCutAway} />
        <Switch
          label="Look inside"
          on={stand === 'inside'}
          onChange={(on) => setStand(on ? 'inside' : 'outside')}
        />
        {size === 'large' && (
          <>
            <Switch label="Glue lines" on={glue} onChange={setGlue} />
            <ExportModel finest={finest} done={done} />
            <span>End grain is drawn darker.</span>
          </>
        )}
      </div>
    </div>
  );
}

export default memo(Turntable);
