import type { Schemas } from "../../api/client";
import { KIND_LABEL, lateness } from "../../labels";
import { paths } from "../map";
import type { Findable } from "../../ui/find";
import { PART_KINDS, PART_LISTS, partsOf, type PartList } from "../../model/partKinds";

/** Something on the map, or something that can be done. */
export interface Entry extends Findable {
  kind: string;
  to?: string;
  run?: () => void;
  /** The place whose picture stands beside it. */
  place?: string;
  /** A key that does the same. */
  key?: string;
}

/** Everything on a map that can be looked up, situations first. */
export function entriesOf(map: Schemas["Map"], query: string): Entry[] {
  const families = new Map(map.families.map((f) => [f.id, f.title]));
  const situations = new Map(map.situations.map((s) => [s.id, s]));
  const outcomes = new Map(map.outcomes.map((o) => [o.id, o.title]));
  const techniques = new Map(map.techniques.map((t) => [t.id, t]));
  const to = (situation: string) => paths.situation(map.id, situation) + query;
  const place = (id: string | null | undefined) =>
    id ? (situations.get(id)?.title ?? outcomes.get(id) ?? id) : "no answer yet";
  const set = (name: string, value: string) => {
    const params = new URLSearchParams(query);
    params.set(name, value);
    return `${paths.map(map.id)}?${params}`;
  };
  const edit = (list: PartList, id: string) => paths.edit(map.id, list, id, query);
  const firstUse = new Map<string, Schemas["Reaction"]>();
  map.reactions.forEach((r) => firstUse.has(r.technique) || firstUse.set(r.technique, r));
  return [
    ...map.situations.map((s) => ({
      kind: "Situation",
      title: s.title,
      detail: `${families.get(s.family) ?? ""}, ${lateness(s).toLowerCase()}`,
      also: s.alsoCalled.join(" "),
      place: s.id,
      to: to(s.id),
    })),
    ...map.reactions.map((r) => ({
      kind: r.doNot ? "Do not" : "You",
      title: techniques.get(r.technique)?.title ?? r.id,
      detail: `in ${situations.get(r.from)?.title ?? r.from}`,
      also: [...(techniques.get(r.technique)?.alsoCalled ?? []), r.when].join(" "),
      to: to(r.from) + `#${r.id}`,
    })),
    ...map.reactions.flatMap((r) =>
      r.responses.map((response) => ({
        kind: "They",
        title: response.cue,
        detail: `${techniques.get(r.technique)?.title ?? r.id} → ${place(response.leads)}`,
        to: to(r.from) + `#${r.id}`,
      })),
    ),
    ...map.techniques.flatMap((t) => {
      const use = firstUse.get(t.id);
      if (!use) return [];
      const at = to(use.from) + `#${use.id}`;
      return [
        ...t.questions.map((q) => ({ kind: "Asked", title: q.ask, detail: t.title, also: q.answer, to: at })),
        ...t.faults.map((f) => ({
          kind: "Fault",
          title: f.sign,
          detail: t.title,
          also: `${f.cause} ${f.fix}`,
          to: at,
        })),
        ...t.checkpoints.map((c) => ({ kind: "Check", title: c, detail: t.title, to: at })),
        ...t.cautions.map((c) => ({ kind: "Caution", title: c, detail: t.title, to: at })),
      ];
    }),
    ...map.movements.map((m) => ({
      kind: "Movement",
      title: m.title,
      detail: "shown on the map",
      also: m.alsoCalled.join(" "),
      to: set("only-movement", m.id),
    })),
    ...map.principles.map((p) => ({
      kind: "Principle",
      title: p.title,
      detail: p.stances.map((s) => s.title).join(" or "),
      to: `${paths.principles(map.id)}${query}#${p.id}`,
    })),
    ...map.holds.flatMap((h) =>
      h.at.slice(0, 1).map((at) => ({
        kind: h.kind === "pin" ? "Pin" : "Finish",
        title: h.title,
        detail: `from ${place(at)}`,
        to: to(at),
      })),
    ),
    ...map.matchups.map((m) => ({
      kind: "Matchup",
      title: m.title,
      detail: "the map against them",
      to: set("matchup", m.id),
    })),
    ...map.aims.map((a) => ({
      kind: "Aim",
      title: a.title,
      detail: "the map for this",
      to: set("aim", a.id),
    })),
    ...map.facts.map((f) => ({ kind: "Fact", title: f.title, to: edit("facts", f.id) })),
    ...map.outcomes.map((o) => ({
      kind: "Outcome",
      title: o.title,
      detail: KIND_LABEL[o.kind],
      to: edit("outcomes", o.id),
    })),
    ...PART_LISTS.map((list) => ({
      kind: "New",
      title: `New ${PART_KINDS[list].one}`,
      also: "add",
      to: paths.add(map.id, list, query),
    })),
    // After all else, so that looking something up comes before changing it.
    // A posture goes by the name of its place, and is reached from there.
    ...PART_LISTS.filter((list) => list !== "postures").flatMap((list) =>
      partsOf(map, list).map((part) => ({
        kind: "Edit",
        title: part.title,
        detail: part.detail ? `${PART_KINDS[list].one}, ${part.detail}` : PART_KINDS[list].one,
        also: "edit change",
        to: edit(list, part.id),
      })),
    ),
  ];
}
