import { useState } from "react";
import { api, unwrap, type Schemas } from "../../api/client";
import { EditForm } from "./EditForm";
import { Labelled } from "../../ui/Labelled";
import { draftOf, LikelihoodField, PlaceSelect, readDraft } from "./Fields";

/** Adds or changes what they do about a reaction. */
export function ResponseForm({
  map,
  reaction,
  response,
  onDone,
}: {
  map: Schemas["Map"];
  reaction: string;
  response?: Schemas["Response"];
  onDone: () => void;
}) {
  const [revision] = useState(map.revision);
  const [cue, setCue] = useState(response?.cue ?? "");
  const [often, setOften] = useState(draftOf(response?.often));
  const [leads, setLeads] = useState(response?.leads ?? "");
  const [tried, setTried] = useState(false);
  const likelihood = readDraft(often, false);
  const cueError = cue.trim() === "" ? "Write what they do." : undefined;
  const read = () => {
    setTried(true);
    if (cueError || typeof likelihood === "string") return undefined;
    const body = { cue: cue.trim(), often: likelihood, leads: leads || undefined };
    return (mapId: string, base: number) =>
      response
        ? unwrap(
            api.PUT("/api/maps/{mapId}/reactions/{reaction}/responses/{response}", {
              params: { path: { mapId, reaction, response: response.id } },
              body: { ...body, revision: base },
            }),
          )
        : unwrap(
            api.POST("/api/maps/{mapId}/reactions/{reaction}/responses", {
              params: { path: { mapId, reaction } },
              body: { ...body, revision: base },
            }),
          );
  };
  return (
    <EditForm
      revision={revision}
      read={read}
      onDone={onDone}
      remove={
        response && {
          label: "Take this response out",
          edit: (mapId, base) =>
            unwrap(
              api.DELETE("/api/maps/{mapId}/reactions/{reaction}/responses/{response}", {
                params: { path: { mapId, reaction, response: response.id }, query: { revision: base } },
              }),
            ),
        }
      }
    >
      <Labelled label="What they do" error={tried ? cueError : undefined}>
        <input
          className="box mt-0.5"
          value={cue}
          placeholder="They …"
          maxLength={400}
          aria-invalid={tried && Boolean(cueError)}
          onChange={(event) => setCue(event.target.value)}
        />
      </Labelled>
      <div className="grid gap-3 sm:grid-cols-2">
        <LikelihoodField
          label="How often"
          draft={often}
          onChange={setOften}
          error={tried && typeof likelihood === "string" ? likelihood : undefined}
        />
        <Labelled label="It leads to">
          <PlaceSelect map={map} value={leads} onChange={setLeads} none="nobody has answered this yet" />
        </Labelled>
      </div>
    </EditForm>
  );
}
