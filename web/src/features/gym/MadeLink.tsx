import type { Schemas } from "../../api/client";
import { HandOn } from "../../ui/HandOn";
import { whenInWords } from "../../ui/when";

/** A link by which somebody comes in, just made. */
export function MadeLink({ link, about }: { link: Schemas["MadeLink"]; about: string }) {
  return (
    <HandOn address={`${location.origin}/come-in#${link.token}`} about={about}>
      It works once, until {whenInWords(link.expiresAt)}, for whoever has it.
    </HandOn>
  );
}
