import { GapFields } from './GapFields.js';
import { type ControlsProps, useParams } from './params.js';

/** Gaps between segments: parallel or tapered, and how wide. */
export function OpenControls({ targets }: ControlsProps) {
  const { all, set } = useParams('open', targets);
  return <GapFields gaps={all.map(({ gap }) => gap)} onChange={(gap) => set({ gap })} />;
}
