/** Offers the order that is right now, in a line that is always there so that nothing under it moves. */
export function Reorder({
  first,
  reorder,
  children,
}: {
  /** What would stand first; missing while the order is as it should be. */
  first: string | undefined;
  reorder: () => void;
  /** What else is told in the line. */
  children?: React.ReactNode;
}) {
  return (
    <p className="flex min-h-11 items-center gap-x-3 text-quiet lg:min-h-6" aria-live="polite">
      {children}
      {first !== undefined && (
        <>
          <span className="min-w-0 grow truncate">Now first: {first}</span>
          <button type="button" className="word shrink-0 whitespace-nowrap" onClick={reorder}>
            re-order
          </button>
        </>
      )}
    </p>
  );
}
