import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrap, unwrapNothing, type Problem, type Schemas } from "../../api/client";
import type { Setting } from "../odds";
import { isoDay, later, weekday } from "../../ui/days";

export type Lesson = Schemas["Lesson"];
export type Planned = Schemas["PlannedClass"];
export type Plan = Schemas["ClassPlan"];
export type Line = Schemas["ClassLine"];
export type Unit = Schemas["ClassUnit"];
export type Group = Schemas["ClassGroup"];
export type Listed = Schemas["ListedClass"];

/** Days back and ahead that the list of classes shows. */
const BACK = 120;
const AHEAD = 60;

function classesAround(mapId: string, today: string) {
  return unwrap(
    api.GET("/api/maps/{mapId}/classes", {
      params: { path: { mapId }, query: { from: later(today, -BACK), until: later(today, AHEAD) } },
    }),
  );
}

export function useClasses(mapId: string | undefined) {
  const today = isoDay(new Date());
  return useQuery({
    queryKey: ["classes", mapId, today],
    enabled: mapId !== undefined,
    queryFn: () => classesAround(mapId!, today),
  });
}

/** What the next class is asked for by, where there is no network: its plan, without what hurts people, and the mat. */
export async function nextClassToKeep(mapId: string): Promise<string[]> {
  const today = isoDay(new Date());
  const next = nearest(await classesAround(mapId, today), today);
  if (!next) return [];
  const address = `/api/maps/${mapId}/classes/${next.id}`;
  return [`${address}?today=${today}&kept=true`, `${address}/mat`];
}

function lessonQuery(mapId: string | undefined, id: string) {
  return {
    queryKey: ["class", mapId, id],
    enabled: mapId !== undefined,
    queryFn: () =>
      unwrap(
        api.GET("/api/maps/{mapId}/classes/{lesson}", {
          params: { path: { mapId: mapId!, lesson: id }, query: { today: isoDay(new Date()) } },
        }),
      ),
  };
}

/** What was left out of a class's plan. */
export function useLeftOut(mapId: string | undefined, id: string) {
  return useQuery({ ...lessonQuery(mapId, id), select: (planned: Planned) => planned.plan?.leftOut ?? [] });
}

/** The class of today that has not been run, or the next one. */
export function nearest(classes: Listed[], today: string): Listed | undefined {
  const coming = classes.filter((one) => one.day >= today);
  return coming.find((one) => !one.ran) ?? coming[0];
}

/** What a class is called while nobody has called it anything. */
export function usualTitle(day: string, focus: string | undefined): string {
  return focus ? `${focus}, ${weekday(day)}` : `Class, ${weekday(day)}`;
}

/** What a class is about: a family of places, or one; nothing where it is about everything. */
export function focusTitle(
  map: Schemas["Map"],
  lesson: Pick<Lesson, "family" | "place">,
): string | undefined {
  return (
    map.families.find((one) => one.id === lesson.family)?.title ??
    map.situations.find((one) => one.id === lesson.place)?.title
  );
}

/** A change of what the title was made of makes it anew, as long as nobody has called the class anything else. */
export function retitled(map: Schemas["Map"], lesson: Lesson, part: Partial<Lesson>): Partial<Lesson> {
  const now = { ...lesson, ...part };
  return lesson.title === usualTitle(lesson.day, focusTitle(map, lesson))
    ? { ...part, title: usualTitle(now.day, focusTitle(map, now)) }
    : part;
}

/** A class to begin with: that of the last one's people, time and length. */
export function newLesson(
  day: string,
  before: Lesson | undefined,
  setting: Pick<Setting, "aim" | "read" | "late">,
): Lesson {
  return {
    title: usualTitle(day, undefined),
    day,
    starts: before?.starts ?? "19:30",
    minutes: before?.minutes ?? 60,
    family: null,
    place: null,
    aim: setting.aim ?? null,
    read: setting.read,
    late: setting.late,
    usual: before ? (before.usual ?? null) : "step-by-step",
    shape: before?.shape ?? null,
    here: before?.here ?? [],
    fixed: [],
    out: [],
    together: before?.together ?? [],
    apart: before?.apart ?? [],
    odd: before?.odd ?? "three",
    limit: before?.limit ?? 12,
    turn: 0,
  };
}

/** Keeps new classes, and takes classes out and puts them back. */
export function useKeepClass(mapId: string) {
  const queries = useQueryClient();
  const after = () => {
    void askAgain(queries, { queryKey: ["terms", mapId] });
    return askAgain(queries, { queryKey: ["classes", mapId] });
  };
  const path = (id: string) => ({ params: { path: { mapId, lesson: id } } });
  const one = (id: string): Promise<Planned> => lessonQuery(mapId, id).queryFn();
  return {
    keep: async (lesson: Lesson): Promise<string> => {
      const id = crypto.randomUUID();
      const planned = await unwrap(
        api.POST("/api/maps/{mapId}/classes", { params: { path: { mapId } }, body: { id, lesson } }),
      );
      queries.setQueryData(["class", mapId, id], planned);
      await after();
      return id;
    },
    one,
    /** Changes a class that is not under the hands, and gives what it was before. */
    change: async (id: string, part: (lesson: Lesson) => Partial<Lesson>): Promise<Lesson> => {
      const { version, lesson } = await one(id);
      const planned = await unwrap(
        api.PUT("/api/maps/{mapId}/classes/{lesson}", {
          ...path(id),
          body: { version, lesson: { ...lesson, ...part(lesson) }, over: false },
        }),
      );
      queries.setQueryData(["class", mapId, id], planned);
      await after();
      return lesson;
    },
    remove: async (id: string) => {
      await unwrapNothing(api.DELETE("/api/maps/{mapId}/classes/{lesson}", path(id)));
      await after();
    },
    putBack: async (id: string) => {
      await unwrapNothing(api.POST("/api/maps/{mapId}/classes/{lesson}/restore", path(id)));
      await after();
    },
  };
}

/**
 * A class under the hands. Every change is planned and kept at once, one after the other; what is changed while the last
 * one is on its way goes out together after it. A change that is refused stays on screen with what is wrong.
 */
export function useLesson(mapId: string | undefined, id: string) {
  const queries = useQueryClient();
  const key = ["class", mapId, id];
  const query = useQuery(lessonQuery(mapId, id));
  const [draft, setDraft] = useState<Lesson>();
  const [problem, setProblem] = useState<Problem>();
  const [before, setBefore] = useState<Lesson[]>([]);
  const [saving, setSaving] = useState(false);
  const next = useRef<Lesson>(undefined);
  const going = useRef(false);

  const send = async (lesson: Lesson) => {
    next.current = lesson;
    if (going.current) return;
    going.current = true;
    setSaving(true);
    try {
      while (next.current) {
        const one: Lesson = next.current;
        next.current = undefined;
        const version = queries.getQueryData<Planned>(key)!.version;
        const planned = await unwrap(
          api.PUT("/api/maps/{mapId}/classes/{lesson}", {
            params: { path: { mapId: mapId!, lesson: id } },
            body: { version, lesson: one, over: one.day < isoDay(new Date()) },
          }),
        );
        queries.setQueryData(key, planned);
      }
      setProblem(undefined);
      setDraft(undefined);
      void askAgain(queries, { queryKey: ["classes", mapId] });
      void askAgain(queries, { queryKey: ["terms", mapId] });
    } catch (error) {
      next.current = undefined;
      setProblem(problemOf(error));
    } finally {
      going.current = false;
      setSaving(false);
    }
  };

  const lesson = draft ?? query.data?.lesson;
  return {
    query,
    /** As it is asked for now; what came of it may be on its way. */
    lesson,
    saving,
    problem,
    change: (part: Partial<Lesson>) => {
      if (!lesson) return;
      const now = { ...lesson, ...part };
      setBefore((stack) => [...stack, lesson]);
      setDraft(now);
      void send(now);
    },
    /** Takes the last change back; missing where nothing was changed here. */
    undo:
      before.length === 0
        ? undefined
        : () => {
            const last = before.at(-1)!;
            setBefore((stack) => stack.slice(0, -1));
            setDraft(last);
            void send(last);
          },
    /** Says how long a part of a class that was run really took. */
    correct: async (unit: string, minutes: number) => {
      const now = queries.getQueryData<Planned>(key);
      if (!now || going.current) return;
      going.current = true;
      setSaving(true);
      try {
        const planned = await unwrap(
          api.PUT("/api/maps/{mapId}/classes/{lesson}", {
            params: { path: { mapId: mapId!, lesson: id } },
            body: { version: now.version, lesson: now.lesson, over: true, came: [{ unit, minutes }] },
          }),
        );
        queries.setQueryData(key, planned);
        setProblem(undefined);
      } catch (error) {
        setProblem(problemOf(error));
      } finally {
        going.current = false;
        setSaving(false);
      }
    },
    /** Sends once more what was refused, such as after the network came back. */
    again: () => {
      if (draft) void send(draft);
    },
    /** Drops what was changed here and looks at what somebody else has made of it. */
    look: async () => {
      setBefore([]);
      setProblem(undefined);
      await query.refetch();
      setDraft(undefined);
    },
  };
}

/** The change that fixes a unit at its minutes, or at others; nothing for the minutes means that only its coming is fixed. */
export function fixing(lesson: Lesson, unit: string, minutes: number | undefined): Partial<Lesson> {
  const fixed = lesson.fixed.filter((one) => one.unit !== unit);
  return {
    fixed: [...fixed, minutes === undefined ? { unit } : { unit, minutes }],
    out: lesson.out.filter((one) => one !== unit),
  };
}

/** How many are here, those among them who do not practise a line. */
export function hereIn(line: Line): number {
  return line.people.length + line.not.length;
}

/** A line's minutes as they are asked for now; what came of it may be on its way. */
export function minutesOf(lesson: Lesson, line: Line): number {
  return lesson.fixed.find((one) => one.unit === line.unit.key)?.minutes ?? line.minutes;
}

/** The change that frees a unit. */
export function freeing(lesson: Lesson, unit: string): Partial<Lesson> {
  return { fixed: lesson.fixed.filter((one) => one.unit !== unit) };
}

/** The change that leaves a unit out. */
export function leavingOut(lesson: Lesson, unit: string): Partial<Lesson> {
  return { ...freeing(lesson, unit), out: [...lesson.out.filter((one) => one !== unit), unit] };
}

/** The change that practises a line in another way, for as long; the usual way, which comes unasked, does not come beside another. */
export function practisedAs(lesson: Lesson, line: Line, way: string): Partial<Lesson> {
  const usual = line.unit.ways[0]!.key;
  const without = way === usual ? freeing(lesson, line.unit.key) : leavingOut(lesson, usual);
  return fixing({ ...lesson, ...without }, way, line.minutes);
}

function isCouple(couple: Schemas["Couple"], a: string, b: string): boolean {
  return (couple.one === a && couple.other === b) || (couple.one === b && couple.other === a);
}

/** True for two of whom it was said. */
export function holds(couples: Schemas["Couple"][], a: string, b: string): boolean {
  return couples.some((couple) => isCouple(couple, a, b));
}

/** The change that keeps two together, or no longer; whoever was kept with another is freed of them. */
export function keeping(lesson: Lesson, a: string, b: string): Partial<Lesson> {
  const others = lesson.together.filter(
    (couple) => ![couple.one, couple.other].some((one) => one === a || one === b),
  );
  return {
    together: holds(lesson.together, a, b) ? others : [...others, { one: a, other: b }],
    apart: lesson.apart.filter((couple) => !isCouple(couple, a, b)),
  };
}

/** The change that keeps two apart, or no longer. */
export function parting(lesson: Lesson, a: string, b: string): Partial<Lesson> {
  const others = lesson.apart.filter((couple) => !isCouple(couple, a, b));
  return {
    apart: holds(lesson.apart, a, b) ? others : [...others, { one: a, other: b }],
    together: lesson.together.filter((couple) => !isCouple(couple, a, b)),
  };
}
