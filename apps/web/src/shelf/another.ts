import { copyOf, fromStash, mirrorImage } from '@fellside/core';
import { api, sentencesOf } from '../store/api.js';
import type { Dispatch } from '../store/store.js';

/** Puts another of a piece on the shelf, its copy or its mirror image; what is to be said of that, in sentences. */
export const another =
  (id: string, name: string, what: 'copy' | 'mirror') =>
  async (dispatch: Dispatch): Promise<readonly string[]> => {
    const found = await dispatch(api.endpoints.project.initiate(id, { forceRefetch: true }));
    if (!found.data) return sentencesOf(found.error);
    const { document } = found.data;
    const made =
      what === 'copy'
        ? copyOf(document, `${name} (copy)`)
        : mirrorImage(document, `${name} (mirror image)`.slice(0, 80));
    const added = await dispatch(api.endpoints.createProject.initiate(made));
    if (added.error) return sentencesOf(added.error);
    const anew = fromStash(document);
    if (anew === 0) return [];
    const [rings, are] = anew === 1 ? ['One ring', 'it is'] : [`${anew} rings`, 'they are'];
    return [
      `${rings} of ${name} came from the stash, where there is only one of each; in “${made.name}” ${are} planned anew.`,
    ];
  };
