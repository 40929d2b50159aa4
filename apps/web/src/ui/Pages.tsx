import { NavLink, Outlet, useParams } from 'react-router';

interface PagesProps {
  readonly name: string;
  /** Address below the piece, what it is called, and whether it is current at that very address alone. */
  readonly pages: readonly (readonly [path: string, name: string, end: boolean])[];
}

/** The pages of a station of the open piece, each at an address of its own. */
export function Pages({ name, pages }: PagesProps) {
  const { id } = useParams();
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <nav aria-label={name} className="flex gap-1 overflow-x-auto border-b border-line bg-pane px-2 pt-1">
        {pages.map(([path, says, end]) => (
          <NavLink
            key={path}
            end={end}
            to={`/piece/${id}/${path}`}
            className="rounded-t border-b-2 border-transparent px-3 py-1.5 whitespace-nowrap aria-[current=page]:border-teal aria-[current=page]:font-semibold"
          >
            {says}
          </NavLink>
        ))}
      </nav>
      <Outlet />
    </div>
  );
}
