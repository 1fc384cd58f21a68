import { useQuery, useQueryClient } from "@tanstack/react-query";
import { askAgain } from "../../api/askAgain";
import { api, unwrap, unwrapNothing, type Schemas } from "../../api/client";
import { isoDay } from "../../ui/days";
import type { PlannedTerm, TermClass } from "./weeks";

export type Term = Schemas["Term"];

export function useTerms(mapId: string | undefined) {
  return useQuery({
    queryKey: ["terms", mapId],
    enabled: mapId !== undefined,
    queryFn: () => unwrap(api.GET("/api/maps/{mapId}/terms", { params: { path: { mapId: mapId! } } })),
  });
}

/** A term with what comes of it; whatever is changed in a class is asked for anew. */
export function usePlannedTerm(mapId: string, id: string) {
  return useQuery({
    queryKey: ["terms", mapId, id],
    queryFn: () =>
      unwrap(
        api.GET("/api/maps/{mapId}/terms/{term}", {
          params: { path: { mapId, term: id }, query: { today: isoDay(new Date()) } },
        }),
      ),
  });
}

/** What one does to a term and its classes. */
export function useTermDoings(mapId: string, id: string) {
  const queries = useQueryClient();
  const path = { mapId, term: id };
  const after = async () => {
    await askAgain(queries, { queryKey: ["terms", mapId] });
    void askAgain(queries, { queryKey: ["classes", mapId] });
    void askAgain(queries, { queryKey: ["class", mapId] });
  };
  return {
    propose: (): Promise<PlannedTerm> =>
      unwrap(
        api.POST("/api/maps/{mapId}/terms/{term}/proposal", {
          params: { path, query: { today: isoDay(new Date()) } },
        }),
      ),
    /** Keeps what the term asks of classes; `versions` are those of the classes as they are on screen. */
    ask: async (classes: TermClass[], asked: Map<string, string[]>) => {
      await unwrapNothing(
        api.PUT("/api/maps/{mapId}/terms/{term}/asked", {
          params: { path },
          body: {
            classes: classes
              .filter((one) => asked.has(one.id))
              .map((one) => ({ id: one.id, version: one.version, units: asked.get(one.id)! })),
          },
        }),
      );
      await after();
    },
    change: async (term: Term) => {
      await unwrap(
        api.PUT("/api/maps/{mapId}/terms/{term}", {
          params: { path },
          body: { version: term.version, title: term.title, first: term.first, last: term.last },
        }),
      );
      await after();
    },
    remove: async () => {
      await unwrapNothing(api.DELETE("/api/maps/{mapId}/terms/{term}", { params: { path } }));
      await after();
    },
    after,
  };
}

/** Begins a term, or puts one back under its id. */
export function useBeginTerm(mapId: string) {
  const queries = useQueryClient();
  return async (term: Pick<Term, "id" | "title" | "first" | "last">) => {
    await unwrap(
      api.POST("/api/maps/{mapId}/terms", {
        params: { path: { mapId } },
        body: { id: term.id, title: term.title, first: term.first, last: term.last },
      }),
    );
    await askAgain(queries, { queryKey: ["terms", mapId] });
  };
}

/** The term of a day: the one in which it lies, else the next, else the last there was. */
export function termOf(terms: Term[], day: string): Term | undefined {
  return (
    terms.findLast((one) => one.first <= day && day <= one.last) ??
    terms.find((one) => one.first > day) ??
    terms.at(-1)
  );
}
