import { useMutation, useQueryClient } from "@tanstack/react-query";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { useAddress } from "../../ui/address";
import { Refused } from "../../ui/Notice";
import { duration } from "./turns";
import { kindTitle } from "./words";

/** A drill from a file: first what is in it, then, when that is wanted, kept. */
export function ReadFile({ map }: { map: Schemas["Map"] }) {
  const queries = useQueryClient();
  const [, write] = useAddress();
  const path = { mapId: map.id };
  const look = useMutation({
    mutationFn: async (file: File) =>
      unwrap(
        api.POST("/api/maps/{mapId}/drills/read", { params: { path }, body: { text: await file.text() } }),
      ),
  });
  const keep = useMutation({
    mutationFn: (drill: Schemas["Drill"]) =>
      unwrap(
        api.POST("/api/maps/{mapId}/drills", {
          params: { path },
          body: { id: crypto.randomUUID(), drill },
        }),
      ),
    onSuccess: async (state) => {
      look.reset();
      await askAgain(queries, { queryKey: ["drills", map.id] });
      write({ kept: state.id, worth: undefined, place: undefined, how: undefined });
    },
  });
  const failed = [look, keep].find((m) => m.isError);
  return (
    <section className="mt-4">
      <label className="block">
        <span className="text-quiet">A drill from a file</span>
        <input
          type="file"
          accept=".json,application/json"
          className="mt-0.5 block w-full"
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = "";
            if (file) look.mutate(file);
          }}
        />
      </label>
      {look.data && (
        <div role="status" className="mt-2 border-2 border-ink p-2">
          <p className="font-semibold">{look.data.title}</p>
          <p className="text-quiet">
            {kindTitle(look.data.kind)}, {duration(look.data.minutes * 60)},{" "}
            {look.data.links.length + look.data.finishes.length + look.data.opening.length} links. Nothing is
            stored yet.
          </p>
          <button type="button" className="plate mt-1" onClick={() => keep.mutate(look.data)}>
            Keep it
          </button>{" "}
          <button type="button" className="word" onClick={() => look.reset()}>
            Leave it
          </button>
        </div>
      )}
      {failed && (
        <div className="mt-2">
          <Refused problem={problemOf(failed.error)} />
        </div>
      )}
    </section>
  );
}
