import { isForLater, type Schemas } from "../api/client";
import { practiceOf, type Practice } from "./practice";

/** What one learns to read, as the server says it; where it is away, as this browser works it out, unless it may not. */
export async function practised<T>(
  map: Schemas["Map"],
  mayBeHere: boolean,
  there: () => Promise<T>,
  here: (practice: Practice) => Promise<T>,
): Promise<T> {
  try {
    return await there();
  } catch (error) {
    if (!mayBeHere || !isForLater(error)) throw error;
    return practiceOf(map)
      .then(here)
      .catch(() => {
        // What kept the server from answering is what can be mended.
        throw error;
      });
  }
}
