import { z } from 'zod';
import { done, type Result, refuse, refused } from '../measure/reason.js';
import { readProject } from '../project/inspect.js';
import type { Project } from '../project/schema.js';
import { reasonsOf } from '../project/sentences.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { type Species, speciesSchema } from '../wood/species.js';

/** Largest file that is read, bytes. */
export const MOST_BYTES = 5 * 1024 * 1024;

/** What a project file holds: the project, and the woods it uses that do not ship with Fellside. */
export interface ProjectFile {
  readonly project: Project;
  readonly woods: readonly Species[];
}

const envelope = z.strictObject({
  fellside: z.literal('project', {
    error: () => 'This is not a Fellside project file: “fellside” is not “project”.',
  }),
  woods: z.array(speciesSchema).max(200),
  project: z.unknown(),
});

/** The file of a project, indented JSON, with those of `woods` that it needs and that do not ship. */
export function writeProjectFile(project: Project, woods: readonly Species[]): string {
  const shipped = new Set(SHIPPED_WOODS.map(({ id }) => id));
  const used = new Set(project.palette.map(({ wood }) => wood));
  const own = woods.filter(({ id }) => used.has(id) && !shipped.has(id));
  return `${JSON.stringify({ fellside: 'project', woods: own, project }, null, 2)}\n`;
}

/** Reads a project file, or a bare project document; all that is wrong with it is told at once. */
export function readProjectFile(text: string): Result<ProjectFile> {
  const bytes = utf8Length(text);
  if (bytes > MOST_BYTES)
    return refuse(
      'too-large',
      '',
      `The file has ${(bytes / 1024 / 1024).toFixed(1)} MB; ${MOST_BYTES / 1024 / 1024} MB are allowed.`,
    );
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch {
    return refuse('not-json', '', 'The file is not JSON; a Fellside project file is.');
  }
  if (typeof given !== 'object' || given === null || !('fellside' in given)) return bare(given);
  const parsed = envelope.safeParse(given);
  if (!parsed.success) return refused(...reasonsOf(parsed.error));
  const project = readProject(parsed.data.project);
  return project.ok ? done({ project: project.value, woods: parsed.data.woods }) : project;
}

function bare(given: unknown): Result<ProjectFile> {
  const project = readProject(given);
  return project.ok ? done({ project: project.value, woods: [] }) : project;
}

/** Bytes of a text in UTF-8. */
function utf8Length(text: string): number {
  let bytes = 0;
  for (const letter of text) {
    const code = letter.codePointAt(0)!;
    bytes += code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x10000 ? 3 : 4;
  }
  return bytes;
}
