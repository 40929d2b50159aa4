import { allPending, bodyOf, saveNow } from './autosave.js';
import type { Store } from './store.js';

/** So much may be sent by a page that is being closed, letters: browsers allow 64 KB in all. */
const MOST_KEPT_ALIVE = 60_000;

/**
 * What is done as the page is hidden or closed within the pause after an edit: it is saved at once; what is small is sent
 * so that it arrives though the page is gone; and where neither that nor a draft in this browser keeps it, the user is asked.
 */
export function watchLeaving(store: Store): () => void {
  const unsent = () =>
    allPending(store.getState()).filter(({ safety }) => safety !== 'stale' && safety !== 'refused');
  const saveAll = () => {
    for (const { id } of unsent()) void store.dispatch(saveNow(id));
  };
  const hidden = () => {
    if (document.visibilityState === 'hidden') saveAll();
  };
  const asks = (event: BeforeUnloadEvent) => {
    saveAll();
    const inDanger = allPending(store.getState()).some(
      ({ revision, edited, kept }) => kept !== 'here' && bodyOf(revision, edited).length > MOST_KEPT_ALIVE,
    );
    const nowhere = allPending(store.getState()).some(({ kept }) => kept === 'nowhere');
    if (inDanger || nowhere) event.preventDefault();
  };
  const gone = () => {
    let room = MOST_KEPT_ALIVE;
    for (const { id, revision, edited } of unsent()) {
      const body = bodyOf(revision, edited);
      if (body.length > room) continue;
      room -= body.length;
      const headers = { 'content-type': 'application/json' };
      void fetch(`${location.origin}/api/projects/${id}`, {
        method: 'PUT',
        body,
        headers,
        keepalive: true,
      }).catch(() => {});
    }
  };
  document.addEventListener('visibilitychange', hidden);
  window.addEventListener('beforeunload', asks);
  window.addEventListener('pagehide', gone);
  return () => {
    document.removeEventListener('visibilitychange', hidden);
    window.removeEventListener('beforeunload', asks);
    window.removeEventListener('pagehide', gone);
  };
}
