import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { askAgain } from "../../api/askAgain";
import { api, unwrap, unwrapNothing } from "../../api/client";

export function useSession() {
  return useQuery({
    queryKey: ["session"],
    queryFn: () => unwrap(api.GET("/api/session")),
    staleTime: 60_000,
  });
}

export function useSignIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { name: string; password: string }) => unwrap(api.POST("/api/session", { body })),
    onSuccess: async (session) => {
      queries.setQueryData(["session"], session);
      await askAgain(queries, { predicate: (query) => query.queryKey[0] !== "session" });
    },
  });
}

export function useSignOut() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => unwrapNothing(api.DELETE("/api/session")),
    onSuccess: () => {
      queries.clear();
      location.assign("/");
    },
  });
}
