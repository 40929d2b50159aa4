import { AfterControls } from './After.js';
import { Answer } from './Answer.js';
import { JointControls } from './Joints.js';
import type { ControlsProps } from './params.js';
import { SawnFromControls } from './SawnFrom.js';
import { SegmentControls } from './Segments.js';

/** The four answers that a ring of segments is put together from, side by side where there is room. */
export function SegmentedControls({ targets }: ControlsProps) {
  return (
    <div className="@container w-full">
      <div className="grid grid-cols-1 content-start gap-x-5 gap-y-3 @min-[700px]:grid-cols-[17rem_minmax(0,1fr)] @min-[1080px]:grid-cols-[14rem_minmax(17rem,1fr)_minmax(26rem,1.6fr)_14.5rem]">
        <Answer title="Segments">
          <SegmentControls targets={targets} />
        </Answer>
        <Answer title="Joints" place="@min-[700px]:col-start-1 @min-[1080px]:col-start-2">
          <JointControls targets={targets} />
        </Answer>
        <Answer
          title="Sawn from"
          place="@min-[700px]:col-start-2 @min-[700px]:row-start-1 @min-[700px]:row-span-3 @min-[1080px]:col-start-3 @min-[1080px]:row-span-1"
        >
          <SawnFromControls targets={targets} />
        </Answer>
        <Answer title="Then" place="@min-[700px]:col-start-1 @min-[1080px]:col-start-4">
          <AfterControls targets={targets} />
        </Answer>
      </div>
    </div>
  );
}
