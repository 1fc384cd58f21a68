import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { askAgain } from "../../api/askAgain";
import { api, unwrap, unwrapNothing, type Schemas } from "../../api/client";
import { ownerOf, setOwner, wipeKept } from "../../ui/kept";

/** From now on the page is this person's; where it was another's, everything of theirs leaves the screen. */
function takeOver(session: Schemas["Session"]): void {
  if (!session.signedIn || !session.name) return;
  const before = ownerOf();
  setOwner(session.name);
  if (before !== undefined && before !== session.name) location.assign("/");
}

export function useSession() {
  return useQuery({
    queryKey: ["session"],
    queryFn: async () => {
      const session = await unwrap(api.GET("/api/session"));
      takeOver(session);
      return session;
    },
    staleTime: 60_000,
  });
}

export function useSignIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { name: string; password: string }) => unwrap(api.POST("/api/session", { body })),
    onSuccess: async (session) => {
      takeOver(session);
      queries.setQueryData(["session"], session);
      await askAgain(queries, { predicate: (query) => query.queryKey[0] !== "session" });
    },
  });
}

export function useSignOut() {
  const queries = useQueryClient();
  return useMutation({
    /** With `wipe`, what is not stored is thrown away once nobody is signed in. */
    mutationFn: ({ wipe }: { wipe: boolean }) => unwrapNothing(api.DELETE("/api/session")).then(() => wipe),
    onSuccess: (wipe) => {
      if (wipe) wipeKept();
      queries.clear();
      location.assign("/");
    },
  });
}
