import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useId, useState } from "react";
import { useNavigate } from "react-router";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrap } from "../../api/client";
import { plain } from "../../ui/find";
import { Refused } from "../../ui/Notice";
import { Faults } from "../exchange";
import { paths } from "../map";
import { namesOf, Taken, type Summary } from "./names";

type Source = "reference" | "empty" | "copy" | "file";

/** A new map: from the reference map, from another one, from a file, or from empty. */
export function Begin({ all }: { all: Summary[] }) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [source, setSource] = useState<Source>("reference");
  const [title, setTitle] = useState("");
  const [from, setFrom] = useState(all[0]?.id ?? "");
  const [file, setFile] = useState<{ name: string; text: string }>();
  const save = useMutation({
    mutationFn: () =>
      source === "file"
        ? unwrap(
            api.POST("/api/maps", {
              body: file!.text as never,
              bodySerializer: (body: unknown) => body as string,
            }),
          )
        : unwrap(
            api.POST("/api/maps/new", { body: { title: title.trim(), source, from: from || undefined } }),
          ),
    onSuccess: async (made) => {
      await askAgain(queries, { queryKey: ["maps"] });
      void navigate(source === "empty" ? paths.start(made.id) : paths.map(made.id));
    },
  });
  const isTaken = source !== "file" && namesOf(all).has(plain(title.trim()));
  const said = useId();
  const ready =
    source === "file"
      ? file !== undefined
      : title.trim() !== "" && !isTaken && (source !== "copy" || from !== "");
  return (
    <form
      className="max-w-md space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (ready) save.mutate();
      }}
    >
      <h2 className="text-base lg:text-[15px]">A new map</h2>
      <label className="block">
        <span className="font-semibold">It begins</span>
        <select
          className="box mt-0.5"
          value={source}
          onChange={(event) => setSource(event.target.value as Source)}
        >
          <option value="reference">from the reference map</option>
          <option value="copy">as a copy of another map</option>
          <option value="file">from a file</option>
          <option value="empty">empty</option>
        </select>
      </label>
      {source === "copy" && (
        <label className="block">
          <span className="font-semibold">Copy of</span>
          <select className="box mt-0.5" value={from} onChange={(event) => setFrom(event.target.value)}>
            {all.map((m) => (
              <option key={m.id} value={m.id}>
                {m.title}
              </option>
            ))}
          </select>
        </label>
      )}
      {source === "file" ? (
        <label className="block">
          <span className="font-semibold">Map file</span>
          <input
            className="box mt-0.5"
            type="file"
            accept=".json,application/json"
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              save.reset();
              if (chosen) void chosen.text().then((text) => setFile({ name: chosen.name, text }));
            }}
          />
        </label>
      ) : (
        <label className="block">
          <span className="font-semibold">Its name</span>
          <input
            className="box mt-0.5"
            maxLength={90}
            placeholder="Thursday beginners"
            aria-invalid={isTaken}
            aria-describedby={isTaken ? said : undefined}
            value={title}
            onChange={(event) => setTitle(event.target.value)}
          />
          {isTaken && <Taken id={said} />}
        </label>
      )}
      {save.isError &&
        (source === "file" ? (
          <Faults name={file?.name ?? "The file"} text={file?.text} problem={problemOf(save.error)} />
        ) : (
          <Refused problem={problemOf(save.error)} />
        ))}
      <button type="submit" className="plate" disabled={!ready || save.isPending}>
        Begin it
      </button>
    </form>
  );
}
