import { useMutation, useQuery, useQueryClient, type QueryClient } from "@tanstack/react-query";
import { askAgain } from "../../api/askAgain";
import { api, unwrap, unwrapNothing, type Schemas } from "../../api/client";
import { wipeAnswers } from "../../device";
import { lastOwner, ownerOf, setOwner, wipeKept } from "../../ui/kept";

/** From now on the page is this person's; where it was another's, everything of theirs leaves the screen and the device. */
async function takeOver(session: Schemas["Session"]): Promise<void> {
  if (!session.signedIn || !session.name) return;
  const before = ownerOf();
  if (lastOwner() !== session.name) await wipeAnswers();
  setOwner(session.name);
  if (before !== undefined && before !== session.name) location.assign("/");
}

/** A session that ended while a page was open: the page stays as it was, with what is typed in it, until somebody signs in. */
function ended(queries: QueryClient, nobody: Schemas["Session"]): Schemas["Session"] {
  const before = queries.getQueryData<Schemas["Session"]>(["session"]);
  return before ? { ...before, signedIn: false, houseIsEmpty: nobody.houseIsEmpty } : nobody;
}

/** Nobody is signed in any more, as far as the server says. */
export function markEnded(queries: QueryClient): void {
  queries.setQueryData<Schemas["Session"]>(["session"], (before) => before && { ...before, signedIn: false });
}

export function useSession() {
  const queries = useQueryClient();
  return useQuery({
    queryKey: ["session"],
    queryFn: async () => {
      const session = await unwrap(api.GET("/api/session"));
      await takeOver(session);
      if (session.signedIn) return session;
      // What was shown to somebody who is let in does not stay with a device that is not.
      await wipeAnswers();
      return ended(queries, session);
    },
    staleTime: 60_000,
  });
}

export function useSignIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { name: string; password: string }) => unwrap(api.POST("/api/session", { body })),
    onSuccess: async (session) => {
      await takeOver(session);
      queries.setQueryData(["session"], session);
      await askAgain(queries, { predicate: (query) => query.queryKey[0] !== "session" });
    },
  });
}

/** What to do with the session that an invitation or a new gym began. */
export function useComeIn(): (session: Schemas["Session"]) => void {
  const queries = useQueryClient();
  return (session) => {
    setOwner(session.name ?? "");
    queries.clear();
    location.assign("/");
  };
}

export function useSignOut() {
  const queries = useQueryClient();
  return useMutation({
    /** With `wipe`, what is not stored is thrown away once nobody is signed in. */
    mutationFn: async ({ wipe }: { wipe: boolean }) => {
      // First what is on the device: whoever leaves it without a network leaves at least nothing to be seen.
      await wipeAnswers();
      await unwrapNothing(api.DELETE("/api/session"));
      await wipeAnswers();
      return wipe;
    },
    onSuccess: (wipe) => {
      if (wipe) wipeKept();
      queries.clear();
      location.assign("/");
    },
  });
}
