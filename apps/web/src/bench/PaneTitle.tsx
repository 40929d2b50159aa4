/** What a pane shows, and what can be done in it. */
export function PaneTitle({ title, says }: { title: string; says: string }) {
  return (
    <div className="min-w-0">
      <h2 className="font-semibold">{title}</h2>
      <p className="truncate text-xs text-quiet" title={says}>
        {says}
      </p>
    </div>
  );
}
