import { Dialog } from "radix-ui";
import { useState } from "react";
import { Link } from "react-router";
import { problemOf, type Problem, type Schemas } from "../../api/client";
import { Refused } from "../../ui/Notice";
import { Panel } from "../../ui/Panel";
import { paths, useMapById } from "../map";
import { useAsk } from "./asked";
import { indexOf } from "../../model/mapIndex";

/** "What if they ...?" from anywhere: a few words and one press. */
export function AskBox({
  mapId,
  situation,
  open,
  onOpenChange,
}: {
  mapId: string;
  /** The situation on screen, about which it is then asked. */
  situation: string | undefined;
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const map = useMapById(mapId);
  return (
    <Panel
      title="What if they …"
      open={open}
      onOpenChange={onOpenChange}
      className="top-0 p-4 sm:top-[12vh] sm:w-[560px]"
    >
      {map.data && <Ask map={map.data} situation={situation} close={() => onOpenChange(false)} />}
    </Panel>
  );
}

function Ask({
  map,
  situation,
  close,
}: {
  map: Schemas["Map"];
  situation: string | undefined;
  close: () => void;
}) {
  const [words, setWords] = useState("");
  const [about, setAbout] = useState(true);
  const [refused, setRefused] = useState<Problem>();
  const [said, setSaid] = useState("");
  const { ask, drop, waiting } = useAsk();
  const unsent = waiting.filter((a) => a.refused === undefined).length;
  const back = waiting.filter((a) => a.refused !== undefined && a.mapId === map.id);
  const place = indexOf(map).situation(situation);
  const keep = async () => {
    const asked = words.trim();
    if (asked === "") return;
    setWords("");
    setRefused(undefined);
    const result = await ask({ mapId: map.id, words: asked, situation: about ? place?.id : undefined });
    if (result.refused?.asked.words === asked) {
      drop(result.refused.asked.id);
      setWords(asked);
      setRefused(problemOf(result.refused.error));
    } else {
      setSaid(
        result.sent.length > 0
          ? "Kept. It waits among the questions."
          : "Kept on this device; it is sent as soon as there is a connection.",
      );
    }
  };
  return (
    <form
      className="mt-2 space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <input
        className="box text-[18px]"
        aria-label="What if they …"
        autoFocus
        enterKeyHint="done"
        maxLength={390}
        placeholder="hop over the legs"
        value={words}
        onChange={(event) => {
          setWords(event.target.value);
          setSaid("");
        }}
      />
      {place && (
        <label className="flex min-h-11 items-center gap-2 lg:min-h-8">
          <input
            type="checkbox"
            className="size-5 accent-ink"
            checked={about}
            onChange={(event) => setAbout(event.target.checked)}
          />
          about “{place.title}”
        </label>
      )}
      {refused && <Refused problem={refused} />}
      <p role="status" className="min-h-6 text-quiet">
        {said || (unsent > 0 ? `${unsent} wait for a connection.` : "")}
      </p>
      {back.map((asked) => (
        <div key={asked.id} className="border-l-4 border-rust py-0.5 pl-3">
          <p className="font-semibold">“{asked.words}” was not taken</p>
          <p>{asked.refused}</p>
          <p className="flex gap-5">
            <button
              type="button"
              className="word"
              onClick={() => {
                setWords(asked.words);
                drop(asked.id);
              }}
            >
              Put it back into the box
            </button>
            <button type="button" className="word" onClick={() => drop(asked.id)}>
              Throw it away
            </button>
          </p>
        </div>
      ))}
      <div className="flex items-center gap-5">
        <button type="submit" className="plate" disabled={words.trim() === ""}>
          Keep it
        </button>
        <Dialog.Close className="word">Close</Dialog.Close>
        <Link className="word ml-auto" to={paths.questions(map.id)} onClick={close}>
          All questions
        </Link>
      </div>
    </form>
  );
}
