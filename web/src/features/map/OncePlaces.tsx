import { Link, Outlet } from "react-router";
import type { Schemas } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { May } from "../session";
import { useMap } from "./map";
import { paths } from "./paths";

/** Pages that reckon with what is on the map: while it is empty, how to begin stands in their place. */
export function OncePlaces() {
  const { data } = useMap();
  return data?.situations.length === 0 ? <EmptyMap map={data} /> : <Outlet />;
}

function EmptyMap({ map }: { map: Schemas["Map"] }) {
  return (
    <main className="max-w-xl space-y-3 p-5">
      <Heading>{map.title}</Heading>
      <p>
        Nothing is on this map yet.
        <May right="edit-maps">
          {" "}
          Begin with the pin your students complain about: name it, say what they do, and the odds and the
          first hole are there.
        </May>
      </p>
      <May right="edit-maps">
        <p>
          <Link className="plate inline-flex items-center no-underline" to={paths.start(map.id)}>
            Begin with one pin
          </Link>
        </p>
      </May>
    </main>
  );
}
