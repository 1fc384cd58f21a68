import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { askAgain } from "../../api/askAgain";
import { api, unwrap, unwrapNothing, type Schemas } from "../../api/client";

/** Links to cards of the last weeks, the newest first. */
export function useLinks() {
  return useQuery({ queryKey: ["links"], queryFn: () => unwrap(api.GET("/api/links")) });
}

function useAfter() {
  const queries = useQueryClient();
  return async () => {
    for (const key of ["links", "audit"]) await askAgain(queries, { queryKey: [key] });
  };
}

export function useShareCard() {
  return useMutation({
    mutationFn: (body: Schemas["CardToShare"]) => unwrap(api.POST("/api/links", { body })),
    onSettled: useAfter(),
  });
}

export function useWithdrawLink() {
  return useMutation({
    mutationFn: (link: string) =>
      unwrapNothing(api.DELETE("/api/links/{link}", { params: { path: { link } } })),
    onSettled: useAfter(),
  });
}
