import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { isOut } from "../../ui/Waiting";
import { MoveResponse } from "./MoveResponse";
import { freeId, retiredResponses } from "../../model/ids";
import { PartForm, RESPONSE_FIELDS, textOf, usePart, type Part } from "../workshop";

/** Where what is typed about a response, new or old, is kept until it is saved. */
export function responseKey(map: Schemas["Map"], reaction: string, response = "+"): string {
  return `${map.id}/reactions/${reaction}/responses/${response}`;
}

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
  const part = usePart(map, "reactions", reaction);
  if (isOut(part)) return <Refused problem={problemOf(part.error)} />;
  if (!part.data) return null;
  const whole = part.data;
  const responses = (whole.responses as Part[] | undefined) ?? [];
  const at = responses.findIndex((r) => r.id === response?.id);
  const old = at < 0 ? undefined : responses[at];
  const put = (value: Part): Part => {
    if (old) return { ...whole, responses: responses.map((r, i) => (i === at ? { ...value, id: r.id } : r)) };
    const taken = [...responses.map((r) => textOf(r, "id")), ...retiredResponses(map, reaction)];
    const id = freeId(textOf(value, "cue"), taken);
    return { ...whole, responses: [...responses, { ...value, id }] };
  };
  const draftKey = responseKey(map, reaction, response?.id);
  return (
    <>
      <PartForm
        map={map}
        draftKey={draftKey}
        fields={RESPONSE_FIELDS}
        initial={old ?? { often: "sometimes" }}
        place={`/responses/${at < 0 ? responses.length : at}`}
        summary={(value) => `${old ? "Changed" : "Added"} “${textOf(value, "cue")}”`}
        toInput={(value) => ({ list: "reactions", id: reaction, part: put(value) })}
        watch={typeof whole.from === "string" ? whole.from : undefined}
        remove={
          response && {
            one: "response",
            run: (revision) =>
              unwrap(
                api.DELETE("/api/maps/{mapId}/reactions/{reaction}/responses/{response}", {
                  params: { path: { mapId: map.id, reaction, response: response.id }, query: { revision } },
                }),
              ),
          }
        }
        onDone={() => onDone()}
      />
      {response && (
        <MoveResponse
          map={map}
          reaction={reaction}
          response={response.id}
          draftKey={draftKey}
          onDone={onDone}
        />
      )}
    </>
  );
}
