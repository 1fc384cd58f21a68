import { DropdownMenu } from "radix-ui";
import { Link } from "react-router";
import type { View } from "./views";

const ITEM =
  "flex min-h-11 cursor-pointer items-center px-4 no-underline outline-none data-[highlighted]:bg-ink data-[highlighted]:text-ground lg:min-h-9";

/** Everything that does not stand in the band; on a phone also the views that do on a desk. */
export function Menu({
  views,
  more,
  actions,
  query,
}: {
  views: View[];
  more: View[];
  actions: { title: string; run: () => void }[];
  query: string;
}) {
  const link = (view: View, className = "") => (
    <DropdownMenu.Item key={view.title} asChild>
      <Link to={view.to + query} className={`${ITEM} ${className}`}>
        {view.title}
      </Link>
    </DropdownMenu.Item>
  );
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger className="min-h-11 underline-offset-4 hover:underline">
        More
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={2}
          collisionPadding={8}
          className="z-20 max-h-[85vh] min-w-56 overflow-y-auto border-2 border-ink bg-ground py-1 text-base lg:text-[14px]"
        >
          {views.map((view) => link(view, "lg:hidden"))}
          {more.map((view) => link(view))}
          {(views.length > 0 || more.length > 0) && (
            <DropdownMenu.Separator className="my-1 border-t border-rule" />
          )}
          {actions.map((action) => (
            <DropdownMenu.Item key={action.title} className={ITEM} onSelect={action.run}>
              {action.title}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
