import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { api, unwrap, type Schemas } from "../../api/client";
import { useDraft } from "../../ui/draft";
import { useWrittenSetting } from "../odds";

export type Drill = Schemas["Drill"];
export type Plan = Schemas["DrillPlan"];
export type PlannedLink = Schemas["PlannedLink"];
export type DrillKind = Drill["kind"];

/** One name for a link; a response's id is unique within its answer only. */
export function linkKey(link: { reaction: string; response: string }): string {
  return `${link.reaction}/${link.response}`;
}

/** What a drill on the bench was taken from; it stands in the address, so that a link opens the same drill. */
export type Source =
  | { from: "kept"; id: string }
  | { from: "place"; place: string; how: "called" | "everyday" | "denials" }
  | { from: "proposal"; key: string };

/** The name of a proposal: what it is about. */
export function proposalKey(proposal: Schemas["Proposal"]): string {
  return [proposal.focus, proposal.place, proposal.other].filter(Boolean).join("~");
}

/** What is offered whatever it gains: what one does every day, and what the room has not seen yet. */
const FIRST: Schemas["Proposal"]["focus"][] = ["everyday", "answered-lately"];

/** True for a proposal that is offered whatever it gains. */
export function isAlwaysOffered(proposal: Schemas["Proposal"]): boolean {
  return FIRST.includes(proposal.focus);
}

/** The proposals as they are offered: what one does every day, what was answered lately, then what gains most. */
export function everydayFirst(proposals: Schemas["Proposal"][]): Schemas["Proposal"][] {
  const rank = (proposal: Schemas["Proposal"]) =>
    isAlwaysOffered(proposal) ? FIRST.indexOf(proposal.focus) : FIRST.length;
  return [...proposals].sort((a, b) => rank(a) - rank(b));
}

/** What the address asks for; the first proposal where it says nothing. */
export function sourceOf(params: URLSearchParams, proposals: Schemas["Proposal"][]): Source | undefined {
  const kept = params.get("kept");
  if (kept) return { from: "kept", id: kept };
  const place = params.get("place");
  const how = params.get("how");
  if (place) return { from: "place", place, how: how === "everyday" || how === "denials" ? how : "called" };
  const first = everydayFirst(proposals)[0];
  const key = params.get("worth") ?? (first && proposalKey(first));
  return key === undefined ? undefined : { from: "proposal", key };
}

/** One name for it, under which what is changed and not kept stays on the device. */
export function sourceName(source: Source): string {
  switch (source.from) {
    case "kept":
      return `kept:${source.id}`;
    case "place":
      return `${source.how}:${source.place}`;
    case "proposal":
      return source.key;
  }
}

export function useProposals(map: Schemas["Map"] | undefined) {
  const setting = useWrittenSetting();
  return useQuery({
    queryKey: ["proposals", map?.id, map?.revision, setting],
    enabled: map !== undefined,
    placeholderData: keepPreviousData,
    queryFn: () =>
      unwrap(
        api.GET("/api/maps/{mapId}/drills/proposals", {
          params: { path: { mapId: map!.id }, query: setting },
        }),
      ),
  });
}

export function useLibrary(mapId: string | undefined) {
  return useQuery({
    queryKey: ["drills", mapId],
    enabled: mapId !== undefined,
    queryFn: () => unwrap(api.GET("/api/maps/{mapId}/drills", { params: { path: { mapId: mapId! } } })),
  });
}

/** The drill as it was found, before anything was changed on the bench. */
export interface Found {
  source: Source;
  drill: Drill;
  /** Of a kept drill: every state, the newest first. */
  states?: Schemas["DrillState"][];
}

/** What the address names, as it stands in the library, on the map or among the proposals. */
export function useFound(map: Schemas["Map"] | undefined) {
  const [params] = useSearchParams();
  const setting = useWrittenSetting();
  const proposals = useProposals(map);
  const source = sourceOf(params, proposals.data ?? []);
  const needsProposals = source === undefined || source.from === "proposal";
  return useQuery({
    queryKey: ["drill", map?.id, map?.revision, setting, source, needsProposals && proposals.dataUpdatedAt],
    enabled: map !== undefined && (!needsProposals || proposals.data !== undefined),
    placeholderData: keepPreviousData,
    queryFn: async (): Promise<Found | null> => {
      const path = { mapId: map!.id };
      if (source?.from === "kept") {
        const states = await unwrap(
          api.GET("/api/maps/{mapId}/drills/{drill}", { params: { path: { ...path, drill: source.id } } }),
        );
        return { source, drill: states[0]!.drill, states };
      }
      if (source?.from === "place") {
        const { place, how } = source;
        const minutes = how === "everyday" ? 11 : 8;
        const drill = await unwrap(
          api.GET("/api/maps/{mapId}/drills/design", {
            params: { path, query: { ...setting, place, how, minutes } },
          }),
        );
        return { source, drill };
      }
      const proposal = proposals.data!.find((p) => source && proposalKey(p) === source.key);
      return source && proposal ? { source, drill: proposal.drill } : null;
    },
  });
}

function isDrill(value: unknown): value is Drill {
  const drill = value as Partial<Drill> | null;
  return (
    typeof drill === "object" &&
    drill !== null &&
    typeof drill.title === "string" &&
    typeof drill.kind === "string" &&
    [drill.opening, drill.links, drill.finishes, drill.extension, drill.fakes, drill.sides].every(
      Array.isArray,
    )
  );
}

/** A drill under the hands: what was found, and over it what was changed and is not kept yet. */
export function useDesign(mapId: string, found: Found) {
  const draft = useDraft(
    `drill:${mapId}:${sourceName(found.source)}`,
    found.states?.[0]?.version ?? 0,
    found.drill,
    isDrill,
  );
  const [touched, setTouched] = useState(draft.kept);
  const drill = touched ? draft.draft.value : found.drill;
  return {
    drill,
    /** True while something is changed that the library does not hold. */
    touched,
    /** The state of the kept drill on which it was changed. */
    base: touched ? draft.draft.base : (found.states?.[0]?.version ?? 0),
    change: (part: Partial<Drill>) => {
      draft.change((now) => ({ ...(touched ? now : found.drill), ...part }));
      if (!touched) draft.rebase(found.states?.[0]?.version ?? 0);
      setTouched(true);
    },
    /** Nothing is unkept any more; what is shown stays until the library's state comes. */
    settle: draft.drop,
    forget: () => {
      draft.drop();
      setTouched(false);
    },
  };
}

/** The drill for the pair of the setting; every change is planned at once. */
export function usePlan(map: Schemas["Map"], drill: Drill) {
  const setting = useWrittenSetting();
  // What it is called makes no difference to the plan, so typing a title asks nothing.
  const asked = { ...drill, title: "Drill", note: "" };
  return useQuery({
    queryKey: ["drill-plan", map.id, map.revision, setting, asked],
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () =>
      unwrap(
        api.POST("/api/maps/{mapId}/drills/plan", {
          params: { path: { mapId: map.id }, query: setting },
          body: asked,
        }),
      ),
  });
}
