import { NavLink, Outlet, useParams } from 'react-router';

const PAGES = [
  ['cuts', 'Pieces and strips'],
  ['cuts/boards', 'Saw and boards'],
  ['cuts/papers', 'Papers and files'],
] as const;

/** Cuts: pieces and strips, the saw's settings and the boards, and the papers that go to the saw; each at an address of its own. */
export function CutsStation() {
  const { id } = useParams();
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <nav aria-label="Cuts" className="flex gap-1 border-b border-line bg-pane px-2 pt-1">
        {PAGES.map(([path, name]) => (
          <NavLink
            key={path}
            end
            to={`/piece/${id}/${path}`}
            className="rounded-t border-b-2 border-transparent px-3 py-1.5 aria-[current=page]:border-teal aria-[current=page]:font-semibold"
          >
            {name}
          </NavLink>
        ))}
      </nav>
      <Outlet />
    </div>
  );
}
