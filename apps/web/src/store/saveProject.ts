import { type Project, type Species, writeProjectFile } from '@fellside/core';
import { saveFile } from '../ui/saveFile.js';
import { draftsOf } from './keptDrafts.js';

/** Saves a piece as a file of this browser, under its own name or another. */
export const saveProject = (project: Project, woods: readonly Species[], name = project.name): void =>
  saveFile(`${name}.fellside.json`, 'application/json', writeProjectFile(project, woods));

/** The same with the edits of a piece that are in this browser only. */
export async function saveDraft(piece: string, woods: readonly Species[]): Promise<void> {
  const [draft] = await draftsOf(piece);
  if (draft) saveProject(draft.edited.project, woods);
}
