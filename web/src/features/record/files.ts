import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { askAgain } from "../../api/askAgain";
import { api, unwrap, type Schemas } from "../../api/client";
import { listed } from "../../ui/listed";

export type Preview = Schemas["RecordImportPreview"];

/** A file as it is sent. */
export type RecordFile = Schemas["RecordFile"];

const LONGEST_NAME = 90;

/** A chosen file; its ending says what it is. */
export async function opened(file: File): Promise<RecordFile> {
  return {
    name: file.name.slice(-LONGEST_NAME),
    format: /\.(jsonl|ndjson|json)$/i.test(file.name) ? "lines" : "table",
    text: await file.text(),
  };
}

export function useImports(mapId: string | undefined) {
  return useQuery({
    queryKey: ["record", mapId, "imports"],
    queryFn: () =>
      unwrap(api.GET("/api/maps/{mapId}/record/imports", { params: { path: { mapId: mapId! } } })),
    enabled: mapId !== undefined,
  });
}

/** What reading a file in would add. */
export function useLook(mapId: string) {
  return useMutation({
    mutationFn: (file: RecordFile) =>
      unwrap(
        api.POST("/api/maps/{mapId}/record/imports/preview", { params: { path: { mapId } }, body: file }),
      ),
  });
}

/** Reads a file in. Its id is made once, so that a second try after a lost answer reads nothing in twice. */
export function useReadIn(mapId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas["NewRecordImport"]) =>
      unwrap(api.POST("/api/maps/{mapId}/record/imports", { params: { path: { mapId } }, body })),
    onSuccess: () => told(queries, mapId),
  });
}

/** Takes a file back, or lets it count again. */
export function useTakeBack(mapId: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, undone }: { id: string; undone: boolean }) =>
      unwrap(
        api.PUT("/api/maps/{mapId}/record/imports/{importId}", {
          params: { path: { mapId, importId: id } },
          body: { undone },
        }),
      ),
    onSuccess: () => told(queries, mapId),
  });
}

async function told(queries: ReturnType<typeof useQueryClient>, mapId: string) {
  await askAgain(queries, { queryKey: ["record", mapId] });
  await askAgain(queries, { queryKey: ["people"] });
}

function many(count: number, one: string, more: string): string[] {
  return count === 0 ? [] : [`${count.toLocaleString("en")} ${count === 1 ? one : more}`];
}

/** What is in a file that does not count yet, as a list in words; nothing where it brings nothing. */
export function addsInWords(preview: Preview): string {
  return listed([
    ...many(preview.rounds, "round", "rounds"),
    ...many(preview.repetitions, "entry of repetitions", "entries of repetitions"),
    ...many(preview.attendances, "attendance", "attendances"),
    ...many(preview.readings, "reading of yours", "readings of yours"),
    ...many(preview.gates, "decision on a gate", "decisions on gates"),
    ...many(preview.keeps, "figure that is kept", "figures that are kept"),
    ...many(preview.voids, "mistake that is taken out", "mistakes that are taken out"),
  ]);
}

/** What of a file is left away, and why: each a sentence. */
export function leftInWords(preview: Preview): string[] {
  return [
    ...many(preview.known, "event is in the record already.", "events are in the record already."),
    ...many(
      preview.others,
      "reading is somebody else’s; nobody keeps another’s.",
      "readings are somebody else’s; nobody keeps another’s.",
    ),
    ...many(
      preview.loose,
      "event takes out one that is nowhere.",
      "events take out others that are nowhere.",
    ),
  ];
}
