import { Outlet } from "react-router";
import { Heading } from "../../ui/Heading";
import { useMay, type Right } from "./rights";

/** Pages for whoever has the right; everybody else is told whom to ask. */
export function Only({ right }: { right: Right }) {
  if (useMay(right)) return <Outlet />;
  return (
    <main className="max-w-xl space-y-3 p-5">
      <Heading size="notice">This is not open to you</Heading>
      <p>In this gym others do that. Ask whoever owns it if you need it, too.</p>
      <p>
        <a className="link" href="/">
          Go to the map
        </a>
      </p>
    </main>
  );
}
