import type { QueryClient, QueryFilters } from "@tanstack/react-query";

/**
 * Asks again for what is on screen, after a change. An answer still on its way was given before the change and is dropped:
 * invalidating alone would wait for a first answer and take it for a fresh one.
 */
export async function askAgain(queries: QueryClient, filters: QueryFilters): Promise<void> {
  await queries.cancelQueries(filters);
  await queries.invalidateQueries(filters);
}
