import { type Said, say, sayMm } from '../../measure/said.js';
import { FINISHES, type Finish, type FinishId, sandedOff } from '../../settings/finishes.js';
import type { Workshop } from '../../settings/workshop.js';
import { base } from './atLathe.js';
import type { Job, Need } from './job.js';
import { handwork } from './takes.js';

const HOUR = 60;
const DAY = 24 * HOUR;

/** What a piece is finished with: as it says itself, else as the shop usually does, with the coats that the shop puts on. */
export function finishOf(
  own: FinishId | undefined,
  { finish }: Pick<Workshop, 'finish'>,
): Finish & { readonly id: FinishId } {
  const id = own ?? finish.usual;
  const { coats, coatHours } = finish;
  return { ...FINISHES[id], id, ...(id === finish.usual && { coats, coatHours }) };
}

/** The finish, step by step: sealer, coats, polish, with the days until it is hard; each after the one before has dried. */
export function finishJobs(own: FinishId | undefined, workshop: Workshop, first: readonly Need[]): Job[] {
  const finish = finishOf(own, workshop);
  const jobs: Job[] = [];
  const add = (id: string, title: Said, says: readonly Said[], waitMinutes: number) =>
    jobs.push({
      ...base,
      id,
      stage: 'finish',
      owners: [],
      title,
      says,
      tool: 'bench',
      cautions: ['finishing'],
      needs: jobs.length === 0 ? first : [{ id: jobs.at(-1)!.id, after: 'cure' }],
      takes: { ...handwork(workshop, { coat: 1 }), cure: waitMinutes, breaks: false },
    });
  const { sealer, coats, coatHours, polish } = finish;
  if (sealer) add('seal', 'Before the finish', [DUST, sealer.says], sealer.hours * HOUR);
  for (let i = 1; i <= coats; i++)
    add(
      `coat-${i}`,
      say`${finish.name}: coat ${i} of ${coats}`,
      [i === 1 ? DUST : rubbingSaid(finish)],
      i === coats && polish ? Math.max(polish.afterDays * DAY, coatHours * HOUR) : coatHours * HOUR,
    );
  if (polish) add('polish', 'Polish', [polish.says], 0);
  const last = jobs.at(-1);
  return last ? [...jobs.slice(0, -1), { ...last, says: [...last.says, ...hardeningSaid(finish)] }] : [];
}

const DUST = 'Wipe the dust off dry, without spirits where a strongly coloured wood lies beside a pale one.';

/** The grits that the wood is sanded through before. */
export const sandingSaid = ({ grits }: Finish): Said =>
  say`Through ${grits.join(', ')}, lathe slow; together they take off about ${sayMm(sandedOff(grits))}. Take the dust of the dark woods off before the next grit, it fills pale pores.`;

const rubbingSaid = ({ rubGrit }: Finish): Said =>
  rubGrit === null
    ? 'Go over it again as soon as the last coat is dry; it is not rubbed down.'
    : say`Rub down lightly with ${rubGrit} when the last coat is dry, then the next.`;

const hardeningSaid = ({ useDays, foodDays }: Finish): Said[] => [
  ...(useDays > 0 ? [say`Leave it ${useDays} days before it is used.`] : []),
  foodDays === null
    ? 'It is not meant for food.'
    : say`Before it touches food wait ${foodDays} days, and go by what the maker of the finish says.`,
];
