import {
  Archive,
  BookOpenText,
  Hammer,
  IdCard,
  Layers3,
  type LucideIcon,
  Paintbrush,
  PencilRuler,
  Settings2,
  Spline,
  Trees,
} from 'lucide-react';
import { NavLink } from 'react-router';
import { projectOf } from '../store/house.js';
import { lastRingOf, ringAddress } from '../store/selection.js';
import { useApp } from '../store/store.js';

/** The stations in the order of the work; those of a piece only while one is open. */
export function Rail() {
  const id = useApp((state) => state.piece.id);
  const ring = useApp((state) => {
    const last = lastRingOf(state);
    return last === undefined ? undefined : projectOf(state).rings[last]!.id;
  });
  return (
    <nav
      aria-label="Stations"
      className="flex w-16 shrink-0 flex-col gap-1 overflow-y-auto border-r border-line bg-pane py-2"
    >
      {id && (
        <>
          <Station to={`/piece/${id}/form`} icon={Spline} name="Form" />
          <Station to={ringAddress(id, ring)} icon={Layers3} name="Rings" />
          <Station to={`/piece/${id}/pattern`} icon={Paintbrush} name="Pattern" />
          <Station to={`/piece/${id}/cuts`} icon={PencilRuler} name="Cuts" />
          <Station to={`/piece/${id}/make`} icon={Hammer} name="Make" />
          <Station to={`/piece/${id}/record`} icon={IdCard} name="Record" />
        </>
      )}
      <div className="flex-1" />
      <Station to="/workbook" icon={BookOpenText} name="Workbook" />
      <Station to="/woods" icon={Trees} name="Woods" />
      <Station to="/shop" icon={Settings2} name="Shop" />
      <Station to="/safe" icon={Archive} name="Safe" />
    </nav>
  );
}

function Station({ to, icon: Icon, name }: { to: string; icon: LucideIcon; name: string }) {
  return (
    <NavLink
      to={to}
      className="flex flex-col items-center gap-0.5 border-l-3 border-transparent py-2 text-xs tracking-tight text-quiet hover:text-ink aria-[current=page]:border-teal aria-[current=page]:bg-raised aria-[current=page]:font-semibold aria-[current=page]:text-ink"
    >
      <Icon aria-hidden size={18} />
      {name}
    </NavLink>
  );
}
