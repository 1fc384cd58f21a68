import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { askAgain } from "../../api/askAgain";
import { api, unwrap, unwrapNothing, type Schemas } from "../../api/client";

export function useMembers() {
  return useQuery({ queryKey: ["members"], queryFn: () => unwrap(api.GET("/api/members")) });
}

export function useInvitations() {
  return useQuery({ queryKey: ["invitations"], queryFn: () => unwrap(api.GET("/api/invitations")) });
}

function useAfter() {
  const queries = useQueryClient();
  return async () => {
    for (const key of ["members", "invitations", "session", "audit", "letters"])
      await askAgain(queries, { queryKey: [key] });
  };
}

export function useGiveRole() {
  const after = useAfter();
  return useMutation({
    mutationFn: ({ member, role }: { member: string; role: Schemas["RoleEdit"]["role"] }) =>
      unwrap(api.PUT("/api/members/{member}/role", { params: { path: { member } }, body: { role } })),
    onSettled: after,
  });
}

export function useEndSessions() {
  return useMutation({
    mutationFn: (member: string) =>
      unwrapNothing(api.DELETE("/api/members/{member}/sessions", { params: { path: { member } } })),
    onSettled: useAfter(),
  });
}

export function useOfferPassword() {
  return useMutation({
    mutationFn: (member: string) =>
      unwrap(api.POST("/api/members/{member}/password", { params: { path: { member } } })),
    onSettled: useAfter(),
  });
}

export function usePutOut() {
  return useMutation({
    mutationFn: ({ member, forgotten }: { member: string; forgotten: boolean }) =>
      unwrapNothing(
        api.DELETE("/api/members/{member}", { params: { path: { member }, query: { forgotten } } }),
      ),
    onSettled: useAfter(),
  });
}

export function useInvite() {
  return useMutation({
    mutationFn: (body: Schemas["NewInvitation"]) => unwrap(api.POST("/api/invitations", { body })),
    onSettled: useAfter(),
  });
}

export function useWithdraw() {
  return useMutation({
    mutationFn: (invitation: string) =>
      unwrapNothing(api.DELETE("/api/invitations/{invitation}", { params: { path: { invitation } } })),
    onSettled: useAfter(),
  });
}

export function useNameGym() {
  return useMutation({
    mutationFn: (name: string) => unwrap(api.PUT("/api/gyms/mine", { body: { name } })),
    onSettled: useAfter(),
  });
}
