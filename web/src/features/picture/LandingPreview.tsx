import { HoverCard } from "radix-ui";
import type { ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { PlacePicture } from "./PlacePicture";
import { usePicture } from "./pictures";

/** A link to a place that shows its picture while the pointer rests on it or it has the focus. */
export function LandingPreview({
  map,
  place,
  children,
}: {
  map: Schemas["Map"];
  place: string;
  /** The link. */
  children: ReactNode;
}) {
  const picture = usePicture(map, place);
  if (!picture) return children;
  return (
    <HoverCard.Root openDelay={250} closeDelay={100}>
      <HoverCard.Trigger asChild>{children}</HoverCard.Trigger>
      <HoverCard.Portal>
        <HoverCard.Content
          side="top"
          sideOffset={6}
          collisionPadding={8}
          className="z-20 w-64 border-2 border-ink bg-ground p-2"
          data-testid="landing"
        >
          <PlacePicture map={map} place={place} width={236} className="max-h-44 w-full" />
          <p className="font-semibold">
            {(indexOf(map).situation(place) ?? indexOf(map).outcome(place))?.title}
          </p>
        </HoverCard.Content>
      </HoverCard.Portal>
    </HoverCard.Root>
  );
}
