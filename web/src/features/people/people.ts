import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { askAgain } from "../../api/askAgain";
import { api, unwrap, unwrapNothing, type Schemas } from "../../api/client";

export type Person = Schemas["Person"];
export type PersonEdit = Schemas["PersonEdit"];

/** How long somebody has trained, as one says it. */
export const LEVEL_WORDS: Record<string, string> = {
  novice: "first months",
  intermediate: "some years",
  advanced: "experienced",
};

export function usePerson(person: string) {
  return useQuery({
    queryKey: ["people", person],
    queryFn: () => unwrap(api.GET("/api/people/{person}", { params: { path: { person } } })),
  });
}

/** A person's sizes and level, as they stand beside the name. */
export function sizesInWords(person: Pick<Person, "weight" | "height">): string {
  return [
    person.weight ? `${number(person.weight)} kg` : undefined,
    person.height ? `${number(person.height)} cm` : undefined,
  ]
    .filter((words) => words !== undefined)
    .join(", ");
}

export function number(value: number): string {
  return String(Math.round(value * 10) / 10);
}

/** After a change of the roster: whatever was reckoned for two of it is reckoned anew, too. */
function useAfter() {
  const queries = useQueryClient();
  return () => askAgain(queries, { predicate: (query) => query.queryKey[0] !== "health" });
}

export function useAddPeople() {
  return useMutation({
    mutationFn: (people: PersonEdit[]) => unwrap(api.POST("/api/people", { body: { people } })),
    onSuccess: useAfter(),
  });
}

export function useReadPeople() {
  return useMutation({
    mutationFn: ({ text, table }: { text: string; table: boolean }) =>
      unwrap(api.POST(table ? "/api/people/read-table" : "/api/people/read-lines", { body: { text } })),
  });
}

export function useChangePerson(person: string) {
  return useMutation({
    mutationFn: (body: Schemas["PersonChange"]) =>
      unwrap(api.PUT("/api/people/{person}", { params: { path: { person } }, body })),
    onSuccess: useAfter(),
  });
}

export function useRemovePerson(person: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => unwrapNothing(api.DELETE("/api/people/{person}", { params: { path: { person } } })),
    // Whoever is gone is not asked for any more.
    onSuccess: () => askAgain(queries, { predicate: ({ queryKey }) => queryKey[1] !== person }),
  });
}

export function useLinkPerson(person: string) {
  return useMutation({
    mutationFn: (account: string | undefined) =>
      unwrap(api.PUT("/api/people/{person}/account", { params: { path: { person } }, body: { account } })),
    onSuccess: useAfter(),
  });
}

/** What hurts somebody, asked for only when somebody wants to know: that it was read is noted. */
export function useHealth(person: string, wanted: boolean) {
  return useQuery({
    queryKey: ["health", person],
    queryFn: () => unwrap(api.GET("/api/people/{person}/health", { params: { path: { person } } })),
    enabled: wanted,
    staleTime: Infinity,
    gcTime: 0,
    refetchOnWindowFocus: false,
  });
}

export function useWriteHealth(person: string) {
  const queries = useQueryClient();
  const after = useAfter();
  return useMutation({
    mutationFn: (ailments: Schemas["Ailment"][]) =>
      unwrap(api.PUT("/api/people/{person}/health", { params: { path: { person } }, body: { ailments } })),
    onSuccess: async (written) => {
      queries.setQueryData(["health", person], written);
      await after();
    },
  });
}
