import {
  calledOf,
  cautionsOf,
  edit,
  type RingPlan as Figures,
  formatLength,
  isStrict,
  mitred,
  mm,
  type Prepared,
  type PreparedRing,
  sentenceIn,
  templateSvg,
} from '@fellside/core';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useNavigate, useParams } from 'react-router';
import { WayControls } from '../rings/ways/controls.js';
import { editPiece } from '../store/edits.js';
import { projectOf, unitsOf } from '../store/house.js';
import { ringAddress } from '../store/selection.js';
import { paletteOf, planOf, preparedOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Cautions } from '../ui/Cautions.js';
import { LengthField } from '../ui/LengthField.js';
import { OptionalLength } from '../ui/OptionalLength.js';
import { Sheet } from '../ui/Sheet.js';
import { saveFile } from '../ui/saveFile.js';
import { FinishedLook } from './FinishedLook.js';
import { PieceKinds } from './PieceKinds.js';
import { PlanDrawing } from './PlanDrawing.js';
import { StepList } from './StepList.js';
import { StepPictures } from './StepPictures.js';

/** Whether a ring is glued up before it is segmented, so that there are steps to be drawn. */
const hasBuilder = ({ ring, made }: PreparedRing): boolean =>
  isStrict(ring.making) || (made.ok && made.value.pictures !== undefined);

/** A ring from above, opened over the bench; its address is the ring's with “plan” behind it. */
export function RingPlan() {
  const { id, ring } = useParams();
  const navigate = useNavigate();
  const prepared = useApp(preparedOf);
  const plan = useApp(planOf);
  const rings = prepared.ok ? prepared.value.rings : [];
  const index = rings.findIndex((each) => each.ring.id === ring);
  const close = () => navigate(ringAddress(id, ring));
  const here = rings[index];
  const figures = plan.ok ? plan.value.rings[index] : undefined;
  if (!here || !figures || !prepared.ok) return null;
  const go = (step: number) =>
    navigate(`${ringAddress(id, rings[index + step]!.ring.id)}/plan`, { replace: true });
  const last = prepared.value.rings.length - 1;
  const feature = hasBuilder(here);
  return (
    <Dialog.Root open onOpenChange={(open) => !open && close()}>
      <Sheet
        size="plan"
        toRead
        title={
          feature
            ? `Ring ${index + 1}: ${calledOf(here.ring.making).toLowerCase()}`
            : `Ring ${index + 1} from above`
        }
        says={
          feature
            ? 'From board to ring. What is changed here is drawn at once; the plan and the steps are below.'
            : 'To scale, before turning. Teal: glued to the ring below. Dashed: the turned wall.'
        }
      >
        <Builder ring={here} index={index} prepared={prepared.value} steps={figures.steps} />
        <div className="grid grid-cols-[minmax(0,1fr)_300px] gap-5">
          <Drawing ring={here} below={prepared.value.rings[index - 1]} figures={figures} />
          <div className="flex flex-col gap-4">
            <div className="flex gap-2">
              <Button disabled={index === last} onClick={() => go(1)}>
                <ChevronUp aria-hidden size={14} /> Ring above
              </Button>
              <Button disabled={index === 0} onClick={() => go(-1)}>
                <ChevronDown aria-hidden size={14} /> Ring below
              </Button>
            </div>
            <PieceKinds figures={figures} vessel={prepared.value.vessel} />
            <Warnings figures={figures} />
            <Sizes ring={here} figures={figures} index={index} />
          </div>
        </div>
        <Steps ring={here} figures={figures} />
        <div className="mt-4 flex justify-end">
          <Dialog.Close asChild>
            <Button kind="main">Close</Button>
          </Dialog.Close>
        </div>
      </Sheet>
    </Dialog.Root>
  );
}

interface DrawingProps {
  readonly ring: PreparedRing;
  readonly below: PreparedRing | undefined;
  readonly figures: Figures;
}

function Drawing({ ring, below, figures }: DrawingProps) {
  const palette = useApp(paletteOf);
  const units = useApp(unitsOf);
  if (!ring.made.ok)
    return <p role="alert">{ring.made.reasons.map(({ message }) => sentenceIn(message, units)).join(' ')}</p>;
  return <PlanDrawing {...{ ring, below, figures, palette, units }} made={ring.made.value} />;
}

/** What the way of making has to say about this ring. */
function Warnings({ figures }: { figures: Figures }) {
  const units = useApp(unitsOf);
  return figures.warnings.map(({ code, message }) => (
    <p key={code} role="note" className="rounded bg-rust-wash p-2 text-sm text-rust">
      {sentenceIn(message, units)}
    </p>
  ));
}

/** What the ring needs and gives; what was measured of it as really made. */
function Sizes({ ring, figures, index }: { ring: PreparedRing; figures: Figures; index: number }) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const across = (radius: number) => formatLength(mm(2 * radius), units);
  const { gives, need, overlapMm } = figures;
  const sawn = figures.pieces
    .map(({ kind }) => mitred(kind.stock))
    .find((piece) => piece && piece.cutAngle > 0);
  const rows: (readonly [string, string])[] = [
    ['Needs', `${across(need.outerRadiusMm)} / ${across(need.innerRadiusMm)}`],
    ['Gives', gives ? `${across(gives.outerRadiusMm)} / ${across(gives.innerRadiusMm)}` : '–'],
    ['Corner radius', formatLength(figures.cornerMm, units)],
    ['Overlap below', overlapMm === null ? 'lowest ring' : formatLength(overlapMm, units)],
  ];
  return (
    <>
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 text-sm">
        {rows.map(([label, value]) => (
          <div key={label} className="contents">
            <dt className="text-quiet">{label}</dt>
            <dd className="font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      <div className="grid grid-cols-2 items-end gap-2">
        <LengthField
          label="Height, planned"
          value={ring.ring.heightMm}
          onChange={(height) => dispatch(editPiece(edit.setRingHeight([index], height)))}
        />
        <span />
        {sawn && (
          <>
            <LengthField
              label="Long edge (stop)"
              value={mm(sawn.longEdgeMm)}
              onChange={(longEdgeMm) => dispatch(editPiece(edit.cutTo(index, { longEdgeMm })))}
            />
            <LengthField
              label="Strip width"
              value={mm(sawn.widthMm)}
              onChange={(stripWidthMm) => dispatch(editPiece(edit.cutTo(index, { stripWidthMm })))}
            />
          </>
        )}
        <OptionalLength
          label="Measured thickness"
          value={ring.ring.measured?.heightMm}
          onChange={(heightMm) => dispatch(editPiece(edit.setMeasured([index], { heightMm })))}
        />
        <OptionalLength
          label="Measured diameter"
          value={ring.ring.measured?.diameterMm}
          onChange={(diameterMm) => dispatch(editPiece(edit.setMeasured([index], { diameterMm })))}
        />
      </div>
      <p className="-mt-2 text-xs text-quiet">
        A long edge or a strip width that is typed fixes the ring to the size it gives. Diameter across the
        flats, where it is smallest. Empty: not measured.
      </p>
    </>
  );
}

/** For rings that are glued up before they are segmented: what is set, every step as a picture, the look when turned. */
function Builder({
  ring,
  index,
  prepared,
  steps,
}: {
  ring: PreparedRing;
  index: number;
  prepared: Prepared;
  steps: Figures['steps'];
}) {
  const palette = useApp(paletteOf);
  const units = useApp(unitsOf);
  const name = useApp((state) => projectOf(state).name);
  if (!hasBuilder(ring)) return null;
  const made = ring.made.ok ? ring.made.value : null;
  const pictures = made?.pictures?.() ?? [];
  const file = `${name} ring ${index + 1} full size.svg`;
  return (
    <section className="mb-5" aria-label="Builder">
      <div className="mb-3 max-h-58 overflow-y-auto">
        <WayControls targets={[index]} />
      </div>
      {made && <FinishedLook prepared={prepared} ring={ring} />}
      {pictures.length > 0 && (
        <StepPictures {...{ pictures, steps, palette, units }} woods={ring.ring.woods} />
      )}
      {made && (
        <Button className="mt-3" onClick={() => saveFile(file, 'image/svg+xml', templateSvg(made))}>
          Template, full size (SVG)
        </Button>
      )}
    </section>
  );
}

function Steps({ ring, figures: { steps } }: { ring: PreparedRing; figures: Figures }) {
  const palette = useApp(paletteOf);
  const woods = [...new Set(ring.ring.woods)].flatMap((key) => palette.get(key) ?? []);
  if (steps.length === 0) return null;
  return (
    <section className="mt-4">
      <h3 className="mb-1 font-semibold">How it is made</h3>
      <StepList steps={steps} />
      <div className="mt-3">
        <Cautions ids={cautionsOf(steps)} woods={woods} />
      </div>
    </section>
  );
}
