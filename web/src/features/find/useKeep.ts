import { useState } from "react";
import { problemOf, type Problem, type Schemas } from "../../api/client";
import { useAsk } from "../question";

/** Keeping what was typed as a question, and what has become of it. */
export function useKeep(map: Schemas["Map"] | undefined, setTyped: (words: string) => void) {
  const [refused, setRefused] = useState<Problem>();
  const [said, setSaid] = useState("");
  const { ask, drop, waiting } = useAsk();
  const keep = async (words: string, situation: string | undefined) => {
    if (!map) return;
    setTyped("");
    setRefused(undefined);
    const result = await ask({ mapId: map.id, words, situation });
    if (result.refused?.asked.words === words) {
      drop(result.refused.asked.id);
      setTyped(words);
      setRefused(problemOf(result.refused.error));
    } else {
      setSaid(
        result.sent.length > 0
          ? "Kept. It waits among the questions."
          : "Kept on this device; it is sent as soon as there is a connection.",
      );
    }
  };
  const forget = () => setSaid("");
  const unsent = waiting.filter((a) => a.refused === undefined).length;
  const back = waiting.filter((a) => a.refused !== undefined && a.mapId === map?.id);
  /** Puts a question that was not taken back into the box. */
  const takeBack = (asked: (typeof back)[number]) => {
    setTyped(asked.words);
    drop(asked.id);
  };
  return {
    keep,
    forget,
    refused,
    said: said || (unsent > 0 ? `${unsent} wait for a connection.` : ""),
    back,
    takeBack,
    drop,
  };
}

export type Keeping = ReturnType<typeof useKeep>;
