import { Component, Suspense, type ReactNode } from "react";
import { Outlet, useLocation } from "react-router";
import { Heading } from "../ui/Heading";
import { Loading } from "../ui/Notice";

interface Broken {
  error?: unknown;
}

/** A part of the program that could not be fetched: the connection is gone, or the server has been renewed meanwhile. */
function isMissingPart(error: unknown): boolean {
  return (
    error instanceof Error && /import|module|chunk/i.test(error.message) && /fetch|load/i.test(error.message)
  );
}

/** Keeps the rest alive when a page breaks, says so, and offers a way on. */
export class Boundary extends Component<{ children: ReactNode }, Broken> {
  override state: Broken = {};

  static getDerivedStateFromError(error: unknown): Broken {
    return { error };
  }

  override render() {
    if (this.state.error === undefined) return this.props.children;
    const missing = isMissingPart(this.state.error);
    return (
      <main role="alert" className="max-w-xl space-y-3 p-5">
        <Heading size="notice">
          {missing ? "This page could not be fetched" : "This page could not be shown"}
        </Heading>
        <p>
          {missing
            ? "Either there is no connection, or Narrow Gate has been renewed since you opened it."
            : "That is our mistake. What you typed and did not save is kept on this device."}
        </p>
        <p className="flex flex-wrap gap-4">
          <button type="button" className="plate" onClick={() => window.location.reload()}>
            Load it again
          </button>
          <a className="word inline-flex items-center" href="/">
            Go to the map
          </a>
        </p>
      </main>
    );
  }
}

/** A boundary around every route; going elsewhere begins anew. */
export function BoundedRoute() {
  const { pathname } = useLocation();
  return (
    <Boundary key={pathname}>
      <Suspense fallback={<Loading what="Opening" />}>
        <Outlet />
      </Suspense>
    </Boundary>
  );
}
