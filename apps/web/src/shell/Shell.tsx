import { Outlet } from 'react-router';
import { DoorScreen } from '../door/DoorScreen.js';
import { api } from '../store/api.js';
import { houseApi } from '../store/houseApi.js';
import { Rail } from './Rail.js';
import { TopBar } from './TopBar.js';

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
      <TopBar />
      <div className="flex min-h-0 flex-1">
        <Rail />
        <main className="flex min-w-0 flex-1 flex-col">
          {(shop.isError || woods.isError) && (
            <p role="alert" className="bg-rust-wash px-4 py-2 text-rust">
              The server does not answer; usual woods and shop settings are shown. Is Fellside still running?
            </p>
          )}
          <Outlet />
        </main>
      </div>
    </div>
  );
}
