import {
  atTheLathe,
  CAUTION_NOTE,
  CAUTIONS,
  cautionsOf,
  type Job,
  sentenceIn,
  type UnitSystem,
  workPlanned,
} from '@fellside/core';
import { MARGIN, type Pages, QUIET } from './page.js';
import type { Shown } from './shown.js';

/** The order of work as cards on paper: under each head what can hurt there, then its jobs with a box to tick and room to count. */
export function workSheets(pages: Pages, shown: Shown): void {
  const { project, plan, prepared, shop, woods } = shown;
  const lathe = atTheLathe(prepared, project, woods, shop);
  const { stages, jobs } = workPlanned(prepared, plan, lathe, shop, project);
  if (jobs.length === 0) return;
  const title = 'Order of work';
  pages.page(title);
  pages.y += pages.paragraph(CAUTION_NOTE, MARGIN, pages.y, pages.inner, 8.5, QUIET) + 2;
  for (const stage of stages) {
    const own = jobs.filter((job) => job.stage === stage.id);
    pages.need(32, title);
    pages.heading(sentenceIn(stage.title, shop.units));
    const cautions = cautionsOf(own).map((id) => CAUTIONS[id]);
    const said = [...(stage.because ? [sentenceIn(stage.because, shop.units)] : []), ...cautions].join(' ');
    if (said) pages.y += pages.paragraph(said, MARGIN, pages.y, pages.inner, 8, QUIET) + 1.5;
    pages.table(
      title,
      [
        { name: 'Done', share: 15 },
        { name: 'Job', share: 30 },
        { name: 'How', share: 92 },
        { name: 'Hands', share: 11, right: true },
        { name: 'Then waits', share: 14, right: true },
      ],
      own.map((job) => rowOf(job, shop.units)),
    );
  }
}

const rowOf = (job: Job, units: UnitSystem): string[] => [
  job.times > 1 ? `[    ] of ${job.times}` : '[  ]',
  sentenceIn(job.title, units),
  [...job.says, ...(job.because ? [job.because] : [])].map((said) => sentenceIn(said, units)).join(' '),
  `${Math.max(1, Math.round(job.takes.hands))} min`,
  waitSaid(job),
];

/** How long clamps stay, and from when on it may be turned or coated again. */
function waitSaid({ takes: { clamp, cure } }: Job): string {
  const clamped = clamp > 0 ? `${Math.round(clamp)} min` : '';
  const cured = cure > 0 ? `${Math.round((clamp + cure) / 60)} h` : '';
  return [clamped, cured].filter(Boolean).join(', ');
}
