import { type RememberedSetup, reasonsOf, sentenceIn, shopSchema, withSetup } from '@fellside/core';
import { useState } from 'react';
import { api, sentencesOf } from '../../store/api.js';
import { shopOf, unitsOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';

/** Set-ups that the shop remembers: more of them, or fewer; what was wrong with it in sentences. */
export function useSetups() {
  const shop = useApp(shopOf);
  const units = useApp(unitsOf);
  const [setShop] = api.useSetShopMutation();
  const [trouble, setTrouble] = useState<string[]>([]);
  const { setups } = shop.workshop;
  const keep = (next: RememberedSetup[], kept?: () => void) => {
    const read = shopSchema.safeParse({ ...shop, workshop: { ...shop.workshop, setups: next } });
    if (!read.success)
      return setTrouble(reasonsOf(read.error).map(({ message }) => sentenceIn(message, units)));
    setShop(read.data)
      .unwrap()
      .then(() => {
        setTrouble([]);
        kept?.();
      })
      .catch((error) => setTrouble(sentencesOf(error)));
  };
  const remember = (setup: Omit<RememberedSetup, 'id' | 'on'>, kept?: () => void) =>
    keep(
      withSetup(setups, {
        ...setup,
        id: `${Date.now()}`,
        on: new Date().toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' }),
      }),
      kept,
    );
  const forget = (id: string) => keep(setups.filter((each) => each.id !== id));
  return { setups, remember, forget, trouble };
}
