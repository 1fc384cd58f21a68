import { QueryClient, QueryClientProvider, useQuery } from "@tanstack/react-query";
import { useMemo, type ReactNode } from "react";
import { api, isForLater, problemOf, unwrap, type Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { useToken } from "../../ui/token";
import { Door } from "../../ui/Door";
import { Heading } from "../../ui/Heading";
import { NotSolved, Refused } from "../../ui/Notice";
import { together, Waiting } from "../../ui/Waiting";
import { whenInWords } from "../../ui/when";
import { picturesKey } from "../picture";
import { useSession } from "../session";
import { CardOnScreen } from "./Card";
import { SettingWords } from "./SettingLine";

/** A card as somebody without a sign-in reads it, by a link. What opens it stands behind the sign in the address. */
export function SharedCardPage() {
  const token = useToken();
  const session = useSession();
  const card = useQuery({
    queryKey: ["shared-card", token],
    queryFn: () => unwrap(api.POST("/api/links/look", { body: { token } })),
    // What is sent is sent with the sign that asking for the session brings.
    enabled: session.data !== undefined && token !== "",
    retry: false,
    staleTime: Infinity,
  });
  if (card.data) return <SharedCard card={card.data} />;
  const refused = card.isError && !isForLater(card.error);
  if (token !== "" && !refused)
    return <Waiting what="Looking up the card" on={together({ session, card })} />;
  return (
    <Door>
      <div className="w-full max-w-sm space-y-5 bg-ground p-6">
        <Heading size="door">Narrow Gate</Heading>
        {refused ? (
          <Refused problem={problemOf(card.error)} />
        ) : (
          <p>The link is cut off: what opens the card stands behind the sign # in it. Copy all of it.</p>
        )}
      </div>
    </Door>
  );
}

function SharedCard({ card }: { card: Schemas["SharedCard"] }) {
  const { map, at } = card;
  const situation = indexOf(map).situation(card.situation);
  if (!situation || !at) return <NotSolved />;
  return (
    <WithPictures card={card}>
      <header className="on-band no-print flex min-h-12 flex-wrap items-center gap-x-5 gap-y-1 bg-band px-5 py-2 text-on-band">
        <p className="mr-auto">
          <strong>{card.gym}</strong> shows you this card until {whenInWords(card.expiresAt)}
        </p>
        <button
          type="button"
          className="min-h-11 underline underline-offset-3 max-mid:hidden lg:min-h-8"
          onClick={() => window.print()}
        >
          Print
        </button>
      </header>
      <main>
        <Heading size="unseen">Card: {situation.title}</Heading>
        <CardOnScreen
          map={map}
          situation={situation}
          at={at}
          foot={<SettingWords map={map} setting={card} />}
        />
      </main>
    </WithPictures>
  );
}

/** Gives what is below the pictures that came with the card: a stranger may not ask for a map's. */
function WithPictures({ card, children }: { card: Schemas["SharedCard"]; children: ReactNode }) {
  const queries = useMemo(() => {
    const own = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity } } });
    own.setQueryData(picturesKey(card.map), card.pictures);
    return own;
  }, [card]);
  return <QueryClientProvider client={queries}>{children}</QueryClientProvider>;
}
