import {
  BLANKS,
  type BlankKind,
  cautionsOf,
  edit,
  FIGURE_NAMES,
  type PlannedBlank,
  plain,
  sentenceIn,
  shownIn,
  sizesOf,
} from '@fellside/core';
import { Plus, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { StepList } from '../plan/StepList.js';
import { PictureDrawing } from '../plan/StepPictures.js';
import { WoodBar } from '../rings/WoodBar.js';
import { editPiece } from '../store/edits.js';
import { projectOf, unitsOf } from '../store/house.js';
import { paletteOf, planOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Cautions } from '../ui/Cautions.js';
import { BlankControls } from './BlankControls.js';
import { FlatPattern, WrappedView } from './BlankDrawing.js';

/** Blanks that are no rings, beside the stack: facetted globes, bent stacks, a base for halves on rods. */
export function BlanksStation() {
  const dispatch = useActions();
  const { blanks = [] } = useApp(projectOf);
  const plan = useApp(planOf);
  const units = useApp(unitsOf);
  const planned = plan.ok ? plan.value.blanks : [];
  const fresh = () => `blank-${Date.now().toString(36)}`;
  return (
    <>
      <section
        aria-label="Blanks"
        className="flex flex-wrap items-center gap-3 border-b border-line bg-pane px-3 py-2"
      >
        <h2 className="font-semibold">Blanks beside the stack</h2>
        {(Object.keys(BLANKS) as BlankKind[]).map((kind) => (
          <Button
            key={kind}
            title={BLANKS[kind].says}
            onClick={() => dispatch(editPiece(edit.addBlank(kind, fresh(), units)))}
          >
            <Plus aria-hidden size={14} /> {BLANKS[kind].name}
          </Button>
        ))}
      </section>
      <WoodBar on="pieces of a blank" />
      <div className="min-h-0 flex-1 overflow-auto p-3">
        {blanks.length === 0 && (
          <p className="max-w-xl">
            Not everything is a ring. A facetted globe is folded from 80 flat triangles, or 40 for a bowl; a
            bent stack is a tube of wedges, for handles and links. And a piece may be sawn in two when it is
            turned, its halves on rods over a base. Add one above: its pieces come into Cuts with those of the
            rings.
          </p>
        )}
        {planned.map((blank, index) => (
          <Blank key={blank.id} {...{ blank, index }} />
        ))}
      </div>
    </>
  );
}

function Blank({ blank, index }: { blank: PlannedBlank; index: number }) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const palette = useApp(paletteOf);
  const brush = useApp((state) => state.session.brush);
  const stored = useApp(projectOf).blanks?.[index];
  const made = blank.made.ok ? blank.made.value : null;
  if (!stored) return null;
  const paint = (place: number) => {
    if (brush) dispatch(editPiece(edit.paintBlank(index, brush, [place])));
  };
  const woods = [...new Set(stored.woods)].flatMap((key) => palette.get(key) ?? []);
  return (
    <section
      aria-label={`${blank.name} ${index + 1}`}
      className="mb-4 rounded border border-line bg-pane p-3"
    >
      <div className="mb-3 flex flex-wrap items-end gap-3">
        <h3 className="flex h-8 items-center text-lg font-semibold">{blank.name}</h3>
        <BlankControls index={index} making={stored.making} made={made} />
        <Button disabled={!brush} onClick={() => brush && dispatch(editPiece(edit.paintBlank(index, brush)))}>
          All of the wood in hand
        </Button>
        <Button
          aria-label={`Remove ${blank.name.toLowerCase()} ${index + 1}`}
          onClick={() => dispatch(editPiece(edit.removeBlank(index)))}
        >
          <Trash2 aria-hidden size={14} />
        </Button>
      </div>
      {!blank.made.ok && (
        <p role="alert" className="text-rust">
          {blank.made.reasons.map(({ message }) => sentenceIn(message, units)).join(' ')}
        </p>
      )}
      {made && (
        <div className="grid grid-cols-[minmax(0,5fr)_minmax(0,5fr)_260px] gap-4 max-wide:grid-cols-1">
          {made.pictures?.map((picture, i) => (
            <figure key={picture.title}>
              <PictureDrawing
                picture={picture}
                prefix={`${blank.id}-${i}`}
                woods={stored.woods}
                className="h-80"
                {...{ palette, units }}
              />
              <figcaption className="mt-1 text-sm text-quiet">
                {picture.title}. {sentenceIn(picture.says, units)}
              </figcaption>
            </figure>
          )) ?? <Views made={made} woods={stored.woods} palette={palette} onPlace={paint} />}
          <div className="flex flex-col gap-3 text-sm">
            <ul>
              {blank.pieces.map(({ kind, wood, count }) => (
                <li key={`${plain(kind.name)} ${wood}`}>
                  <b>
                    {count} × {sentenceIn(kind.name, units)}
                  </b>
                  , {[...palette.values()].find(({ id }) => id === wood)?.name}
                  <br />
                  <span className="text-quiet">
                    {sizesOf(kind.stock)
                      .map((size) => sentenceIn(size, units))
                      .join(' · ')}
                  </span>
                </li>
              ))}
            </ul>
            <dl className="grid grid-cols-[1fr_auto] gap-x-3 border-t border-line pt-2">
              {made.figures.map((figure) => (
                <div key={figure.key} className="contents">
                  <dt className="text-quiet">{FIGURE_NAMES[figure.key]}</dt>
                  <dd className="font-semibold">{shownIn(figure, units)}</dd>
                </div>
              ))}
            </dl>
            {made.warnings.map(({ code, message }) => (
              <p key={code} role="note" className="rounded bg-rust-wash p-2 text-rust">
                {sentenceIn(message, units)}
              </p>
            ))}
          </div>
        </div>
      )}
      {made && (
        <>
          <div className="mt-3">
            <StepList steps={blank.steps} />
          </div>
          <div className="mt-3">
            <Cautions ids={cautionsOf(blank.steps)} woods={woods} />
          </div>
        </>
      )}
    </section>
  );
}

type ViewsProps = Parameters<typeof FlatPattern>[0];

/** A blank laid flat, and put together. */
function Views({ made, woods, palette, onPlace }: ViewsProps) {
  const [turn, setTurn] = useState(20);
  const [tilt, setTilt] = useState(25);
  const solids = useMemo(() => [...made.solids, ...made.beside], [made]);
  return (
    <>
      <figure>
        <FlatPattern made={made} woods={woods} palette={palette} onPlace={onPlace} />
        <figcaption className="mt-1 text-sm text-quiet">
          Laid flat. Pick a wood above, then press pieces.
        </figcaption>
      </figure>
      <figure>
        <WrappedView
          solids={solids}
          turn={(turn * Math.PI) / 180}
          tilt={(tilt * Math.PI) / 180}
          woods={woods}
          palette={palette}
          onPlace={onPlace}
        />
        <figcaption className="mt-1 flex gap-4 text-sm text-quiet">
          <Angle label="Turn" value={turn} most={360} onChange={setTurn} />
          <Angle label="Tilt" value={tilt} most={90} onChange={setTilt} />
        </figcaption>
      </figure>
    </>
  );
}

function Angle({
  label,
  value,
  most,
  onChange,
}: {
  label: string;
  value: number;
  most: number;
  onChange: (value: number) => void;
}) {
  return (
    <label className="flex flex-1 items-center gap-2">
      {label}
      <input
        type="range"
        className="w-full accent-teal"
        min={0}
        max={most}
        value={value}
        onChange={(event) => onChange(Number(event.target.value))}
      />
      <span className="w-10 text-right">{value}°</span>
    </label>
  );
}
