import { useEffect } from "react";
import { Link, useSearchParams } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { rewritten, useAddress } from "../../ui/address";
import { Heading } from "../../ui/Heading";
import { Loading, Refused } from "../../ui/Notice";
import { isOut, together, Waiting } from "../../ui/Waiting";
import { paths, useMap } from "../map";
import { usePictures } from "../picture";
import { sourceName, useDesign, useFound, usePlan, type Drill, type Found, type Plan } from "./design";
import { FeederSheet } from "./FeederSheet";
import { Starts } from "./Starts";
import { PhoneSheet } from "./PhoneSheet";
import { WallSheet } from "./WallSheet";

const FORMS = [
  { form: "feeder", title: "Feeder’s sheet" },
  { form: "wall", title: "Wall sheet" },
  { form: "phone", title: "On a phone" },
] as const;

/** A drill to take along: the feeder's sheet, one for the wall, or call by call on a phone. */
export function SheetPage() {
  const map = useMap();
  const found = useFound(map.data);
  const ready = together({ map });
  if (!ready.data) return <Waiting what="Writing the sheet" on={ready} />;
  if (isOut(found)) {
    return (
      <main className="p-5">
        <Heading>Sheet</Heading>
        <Refused problem={problemOf(found.error)} />
      </main>
    );
  }
  if (!found.data) return <Loading what="Writing the sheet" />;
  return <Sheet key={sourceName(found.data.source)} map={ready.data.map} found={found.data} />;
}

function Sheet({ map, found }: { map: Schemas["Map"]; found: Found }) {
  const [params] = useSearchParams();
  const { drill } = useDesign(map.id, found);
  const plan = usePlan(map, drill);
  const form = FORMS.find((f) => f.form === params.get("form"))?.form ?? "feeder";
  const pictures = usePictures(map);
  usePrinting(plan.data !== undefined && !pictures.isPending);
  return (
    <main className="mx-auto max-w-[820px] px-5 pt-3 pb-12 print:max-w-none print:p-0">
      <nav
        aria-label="Sheets"
        className="no-print mb-3 flex flex-wrap items-center gap-x-5 border-b border-rule pb-2"
      >
        <Link
          className="flex min-h-11 items-center underline"
          to={`${paths.drills(map.id)}?${rewritten(params, { form: undefined })}`}
        >
          Back to the bench
        </Link>
        {FORMS.map((f) => (
          <Link
            key={f.form}
            to={`?${rewritten(params, { form: f.form })}`}
            aria-current={form === f.form ? "page" : undefined}
            className="flex min-h-11 items-center no-underline hover:underline aria-[current]:font-semibold aria-[current]:underline"
          >
            {f.title}
          </Link>
        ))}
        {form !== "phone" && (
          <button
            type="button"
            className="plate ml-auto"
            onClick={() => window.print()}
            disabled={!plan.data}
          >
            Print
          </button>
        )}
      </nav>
      {isOut(plan) ? (
        <Refused problem={problemOf(plan.error)} />
      ) : plan.data ? (
        <Form map={map} form={form} drill={drill} plan={plan.data} />
      ) : (
        <Loading what="Writing the sheet" />
      )}
    </main>
  );
}

/** Prints at once what was asked for from the bench, as soon as all of it stands. */
function usePrinting(ready: boolean): void {
  const [params, write] = useAddress();
  const wanted = ready && params.has("print");
  useEffect(() => {
    if (!wanted) return;
    const frame = requestAnimationFrame(() => {
      // Going back or loading anew does not print again.
      write({ print: undefined });
      void document.fonts.ready.then(() => window.print());
    });
    return () => cancelAnimationFrame(frame);
  }, [wanted, write]);
}

function Form({
  map,
  form,
  drill,
  plan,
}: {
  map: Schemas["Map"];
  form: (typeof FORMS)[number]["form"];
  drill: Drill;
  plan: Plan;
}) {
  switch (form) {
    case "feeder":
      return <FeederSheet drill={drill} plan={plan} starts={<Starts map={map} plan={plan} />} />;
    case "wall":
      return <WallSheet drill={drill} plan={plan} />;
    case "phone":
      return <PhoneSheet drill={drill} plan={plan} />;
  }
}
