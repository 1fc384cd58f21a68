import { DropdownMenu } from "radix-ui";
import { Link } from "react-router";
import type { View } from "./views";

const ITEM =
  "flex min-h-11 cursor-pointer items-center px-4 no-underline outline-none aria-[current]:font-bold data-[highlighted]:bg-ink data-[highlighted]:text-ground lg:min-h-9";

/** Everything that does not stand in the band. */
export function Menu({
  more,
  current,
  actions,
  query,
}: {
  more: View[];
  /** The one in which one is. */
  current: View | undefined;
  actions: { title: string; run: () => void }[];
  query: string;
}) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger
        className={`min-h-11 min-w-11 border-y-[3px] border-transparent underline-offset-4 hover:underline mid:self-stretch ${current ? "border-b-on-band! font-semibold" : ""}`}
      >
        More
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={2}
          collisionPadding={8}
          className="z-30 max-h-[85vh] min-w-56 overflow-y-auto border-2 border-ink bg-ground py-1 text-base lg:text-[14px]"
        >
          {more.map((view) => (
            <DropdownMenu.Item key={view.title} asChild>
              <Link
                to={view.to + query}
                className={ITEM}
                aria-current={view === current ? "page" : undefined}
              >
                {view.title}
              </Link>
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Separator className="my-1 border-t border-rule" />
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
