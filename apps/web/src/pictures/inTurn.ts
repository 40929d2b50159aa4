/** A browser holds six lines to a server: pictures that are still to be drawn may have this many of them. */
const AT_ONCE = 2;

const waiting: (() => void)[] = [];
let fetching = 0;

function next(): void {
  while (fetching < AT_ONCE && waiting.length > 0) {
    fetching++;
    waiting.shift()!();
  }
}

/**
 * Calls when it is somebody's turn, few at a time and in the order they came; gives the way to say that it is done with, or
 * no longer wanted. What else is asked of the server meanwhile has lines left.
 */
export function inTurn(go: () => void): () => void {
  let over = false;
  let mine = false;
  const start = () => {
    mine = true;
    go();
  };
  waiting.push(start);
  next();
  return () => {
    if (over) return;
    over = true;
    if (mine) fetching--;
    else waiting.splice(waiting.indexOf(start), 1);
    next();
  };
}
