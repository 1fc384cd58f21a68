import { isAway } from "../api/asOf";
import { isForLater, type Schemas } from "../api/client";
import { practiceOf, type Practice } from "./practice";

/**
 * What one learns to read, as the server says it; where it is away, as this browser works it out, unless it may not. Where it
 * is known to be away this browser is asked first: what was kept answers another question.
 */
export async function practised<T>(
  map: Schemas["Map"],
  mayBeHere: boolean,
  there: () => Promise<T>,
  here: (practice: Practice) => Promise<T>,
): Promise<T> {
  const practise = async () => here(await practiceOf(map));
  if (mayBeHere && isAway()) return practise().catch(there);
  return there().catch((error: unknown) => {
    if (!mayBeHere || !isForLater(error)) throw error;
    return practise().catch(() => {
      throw error;
    });
  });
}
