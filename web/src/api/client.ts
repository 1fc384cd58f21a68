import createClient, { type Middleware } from "openapi-fetch";
import { heardAsOf } from "./asOf";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];

/** What the server says when it refuses: RFC 9457, with the places that are wrong. */
export interface Problem {
  status: number;
  title: string;
  detail: string;
  problems?: { place: string; message: string }[];
  /** With a conflict: what has changed since. */
  changed?: Schemas["RevisionView"][];
}

/** A refused or failed request. */
export class ApiError extends Error {
  readonly problem: Problem;

  constructor(problem: Problem) {
    super(problem.detail);
    this.name = "ApiError";
    this.problem = problem;
  }
}

/**
 * Called whenever the server says that nobody is signed in any more, or takes no change without a token: then the session
 * may have ended, or be another's.
 */
let whenNotLetIn: (status: 401 | 403) => void = () => {};
export function onNotLetIn(listener: (status: 401 | 403) => void): void {
  whenNotLetIn = listener;
}

function cookie(name: string): string | undefined {
  return document.cookie
    .split("; ")
    .find((part) => part.startsWith(`${name}=`))
    ?.slice(name.length + 1);
}

/** What shows that a change comes from this page, for requests that are made without {@link api}. */
export function csrf(): Record<string, string> {
  const value = cookie("XSRF-TOKEN");
  return value ? { "X-XSRF-TOKEN": value } : {};
}

const token: Middleware = {
  onRequest({ request }) {
    if (request.method !== "GET")
      Object.entries(csrf()).forEach(([name, value]) => request.headers.set(name, value));
    return request;
  },
};

export const api = createClient<paths>({
  baseUrl: globalThis.location?.origin ?? "",
  fetch: (request) => globalThis.fetch(request),
});
api.use(token, heardAsOf);

/** What a proxy says when the server behind it is gone. It says it in its own words; the server's are always a problem. */
const AT_A_PROXY = [502, 503, 504];

/** The data of an answer, or an {@link ApiError} that says what to do. */
export async function unwrap<T>(
  answer: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<NonNullable<T>> {
  const result = await answer.catch(() => undefined);
  if (result?.response.ok) return result.data as NonNullable<T>;
  const said = (
    typeof result?.error === "object" && result.error !== null ? result.error : {}
  ) as Partial<Problem>;
  if (result === undefined || (AT_A_PROXY.includes(result.response.status) && said.title === undefined)) {
    throw new ApiError({
      status: 0,
      title: "No connection",
      detail: "Narrow Gate cannot be reached. What you typed is still here; try again in a moment.",
    });
  }
  const problem: Problem = {
    ...said,
    status: result.response.status,
    title: said.title ?? "Refused",
    detail: said.detail ?? "The server refused this without saying why.",
  };
  if (problem.status === 401 || problem.status === 403) whenNotLetIn(problem.status);
  throw new ApiError(problem);
}

/** For an answer without a body: nothing, or an {@link ApiError} that says what to do. */
export async function unwrapNothing(
  answer: Promise<{ data?: unknown; error?: unknown; response: Response }>,
): Promise<void> {
  await unwrap(answer);
}

/** What the server says to a change without a token, which the next asking brings; whoever lacks a right is told otherwise. */
const NO_TOKEN = "Not allowed";

/** True for what is no refusal: there is no connection, no session or token, too much at once, or the server is away. */
export function isForLater(error: unknown): boolean {
  if (!(error instanceof ApiError)) return true;
  const { status, title } = error.problem;
  return (
    status === 0 ||
    status === 401 ||
    status === 429 ||
    status >= 500 ||
    (status === 403 && title === NO_TOKEN)
  );
}

/** True where what was sent did not get through, or no answer came back. */
export function isLost(error: unknown): boolean {
  return error instanceof ApiError && error.problem.status === 0;
}

export function problemOf(error: unknown): Problem {
  if (error instanceof ApiError) return error.problem;
  return { status: 0, title: "Our mistake", detail: error instanceof Error ? error.message : String(error) };
}
