import { useQuery } from "@tanstack/react-query";
import { api, unwrap } from "../../api/client";
import { useSession } from "./session";

/** What somebody may do; the server holds the table and refuses the rest, here it is only not offered. */
export const RIGHTS = [
  "read-shared-maps",
  "train",
  "see-oneself",
  "read-maps",
  "see-people",
  "read-classes",
  "run-classes",
  "keep-record",
  "plan-classes",
  "edit-maps",
  "keep-drills",
  "take-out",
  "edit-people",
  "read-health",
  "share",
  "manage-members",
  "read-audit",
  "manage-gym",
] as const;

export type Right = (typeof RIGHTS)[number];

/** Tells of a right whether whoever is signed in has it. */
export function useRights(): (right: Right) => boolean {
  const rights = useSession().data?.rights;
  return (right) => rights?.includes(right) ?? false;
}

/** True where whoever is signed in may do it. */
export function useMay(right: Right): boolean {
  return useRights()(right);
}

/** The table of rights: who may do what. */
export function useRightsTable() {
  return useQuery({
    queryKey: ["rights"],
    queryFn: () => unwrap(api.GET("/api/rights")),
    staleTime: Infinity,
  });
}
