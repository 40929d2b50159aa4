import { Link } from 'react-router';

/** Where an address leads nowhere, or a screen failed. */
export function Problem({ missing = false }: { missing?: boolean }) {
  return (
    <div className="p-8">
      <h1 className="text-xl font-semibold">
        {missing ? 'There is nothing at this address' : 'This screen failed'}
      </h1>
      <p className="my-3 max-w-prose text-quiet">
        {missing
          ? 'The piece may have been taken off the shelf.'
          : 'Your piece is as it was last saved, and edits since are kept in this browser. Open it again from the shelf.'}
      </p>
      <Link to="/" className="text-teal underline">
        To the shelf
      </Link>
    </div>
  );
}
