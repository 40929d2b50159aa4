import { NavLink, Outlet, useParams } from 'react-router';

const PAGES = [
  ['cuts', 'Wood', true],
  ['cuts/saw', 'Rip and mitre', true],
  ['cuts/boards', 'Boards', false],
  ['cuts/papers', 'Papers', true],
] as const;

/** Cuts in the order of the work: the wood, the settings of the saw, the boards, and the papers; each at an address of its own. */
export function CutsStation() {
  const { id } = useParams();
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <nav aria-label="Cuts" className="flex gap-1 overflow-x-auto border-b border-line bg-pane px-2 pt-1">
        {PAGES.map(([path, name, end]) => (
          <NavLink
            key={path}
            end={end}
            to={`/piece/${id}/${path}`}
            className="rounded-t border-b-2 border-transparent px-3 py-1.5 whitespace-nowrap aria-[current=page]:border-teal aria-[current=page]:font-semibold"
          >
            {name}
          </NavLink>
        ))}
      </nav>
      <Outlet />
    </div>
  );
}
