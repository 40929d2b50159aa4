import { useEffect, useState } from 'react';
import { type Ability, ability } from './webgl.js';

/** Longest wait for the browser to have nothing else to do, ms. */
const PATIENCE = 2000;

/** What this browser can draw in space, found out once it has drawn what matters more; null until then. */
export function useAbility(): Ability | null {
  const [able, setAble] = useState<Ability | null>(null);
  useEffect(() => {
    const find = () => setAble(ability());
    if (typeof requestIdleCallback === 'undefined') {
      const later = setTimeout(find, 300);
      return () => clearTimeout(later);
    }
    const asked = requestIdleCallback(find, { timeout: PATIENCE });
    return () => cancelIdleCallback(asked);
  }, []);
  return able;
}
