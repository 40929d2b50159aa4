import { useEffect, useState } from 'react';
import { Outlet } from 'react-router';
import { DoorScreen } from '../door/DoorScreen.js';
import { api } from '../store/api.js';
import { houseApi } from '../store/houseApi.js';
import { momentOf } from '../ui/times.js';
import { Rail } from './Rail.js';
import { TopBar } from './TopBar.js';
import { ToTheWork, Whereabouts } from './Whereabouts.js';

/** Bar above, rail at the left, the station in the middle. */
export function Shell() {
  const door = houseApi.useDoorQuery();
  if (door.isLoading) return <p className="p-6 text-quiet">Opening…</p>;
  return door.data && !door.data.open ? <DoorScreen /> : <House />;
}

function House() {
  const shop = api.useShopQuery();
  const woods = api.useWoodsQuery();
  if (shop.isLoading || woods.isLoading) return <p className="p-6 text-quiet">Opening…</p>;
  return (
    <div className="flex h-full flex-col">
      <ToTheWork />
      <TopBar />
      <div className="flex min-h-0 flex-1">
        <Rail />
        <main id="work" tabIndex={-1} className="flex min-w-0 flex-1 flex-col outline-none">
          <Whereabouts />
          {(shop.isError || woods.isError) && (
            <p role="alert" className="bg-rust-wash px-4 py-2 text-rust">
              The server does not answer; usual woods and shop settings are shown. Is Fellside still running?
            </p>
          )}
          <CannotWrite />
          <Outlet />
        </main>
      </div>
    </div>
  );
}

/** How often it is looked whether the server can write, ms: soon again while it cannot. */
const LOOK = { well: 60_000, ill: 3000 } as const;

/** The server is away, or cannot write: nothing is saved until it can, whatever is edited. */
function CannotWrite() {
  const [every, setEvery] = useState<number>(LOOK.well);
  const { data, isError } = api.useHealthQuery(undefined, { pollingInterval: every });
  const writable = data?.writable;
  const ill = isError || writable?.ok === false;
  useEffect(() => setEvery(ill ? LOOK.ill : LOOK.well), [ill]);
  if (isError)
    return (
      <p role="status" className="bg-rust-wash px-4 py-2 text-rust">
        The server does not answer: you see what this browser kept of it. Beside the piece's name stands
        whether what you edit is kept; it is sent when the server is there again.
      </p>
    );
  if (!writable || writable.ok) return null;
  return (
    <p role="alert" className="bg-rust-wash px-4 py-2 text-rust">
      Fellside cannot write since {momentOf(writable.since)}: nothing is saved until it can.{' '}
      {writable.sentence}
    </p>
  );
}
