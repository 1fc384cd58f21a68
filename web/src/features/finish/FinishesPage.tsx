import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { hundred, STAGE_LABEL } from "../../labels";
import { Gate } from "../../ui/Gate";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { paths, reactionTitle, useMap } from "../map";
import { SettingLine, settingQuery } from "../odds";
import { PlacePicture } from "../picture";
import { useLadders } from "./holds";
import { gain, open, openLabel } from "./words";
import { May } from "../session";

type Line = Schemas["LadderLine"];

/** Every finish and every pin by how often it closes. */
export function FinishesPage() {
  const map = useMap();
  const ladders = useLadders(map.data);
  const ready = together({ map, ladders });
  if (!ready.data) return <Waiting what="Taking their holds apart" on={ready} />;
  return <Finishes map={ready.data.map} lines={ready.data.ladders} />;
}

function Finishes({ map, lines }: { map: Schemas["Map"]; lines: Line[] }) {
  const [params] = useSearchParams();
  const add = `${paths.add(map.id, "holds", settingQuery(params))}`;
  return (
    <main className="px-5 pt-3 pb-16">
      <Heading>Finishes</Heading>
      <p className="max-w-[74ch] text-quiet">
        What they need for each finish and each pin, in the order in which they build it. One need gone, and
        it does not close: deny the one that costs you least.
      </p>
      <div className="mt-2">
        <SettingLine map={map} />
      </div>
      {lines.length === 0 && (
        <p className="mt-4">
          Nobody has written yet what a pin or a finish needs.{" "}
          <May right="edit-maps">
            <Link className="word" to={add}>
              Write the first
            </Link>
          </May>
        </p>
      )}
      <Kind title="They end it" map={map} lines={lines.filter((line) => line.kind === "finish")} />
      <Kind title="They hold you" map={map} lines={lines.filter((line) => line.kind === "pin")} />
      {lines.length > 0 && (
        <May right="edit-maps">
          <p className="mt-5">
            <Link className="word" to={add}>
              Write what another one needs
            </Link>
          </p>
        </May>
      )}
    </main>
  );
}

function Kind({ title, map, lines }: { title: string; map: Schemas["Map"]; lines: Line[] }) {
  if (lines.length === 0) return null;
  const sorted = [...lines].sort((a, b) => (open(a.closes) ?? 2) - (open(b.closes) ?? 2));
  return (
    <table className="mt-5 w-full max-w-[1240px] border-collapse text-left">
      <caption className="pb-1 text-left text-[17px] font-bold lg:sr-only">{title}</caption>
      <thead>
        <tr className="border-b-2 border-ink align-bottom text-quiet max-lg:sr-only">
          <th className="py-1 pr-4 text-[17px] font-bold text-ink" style={{ fontStretch: "88%" }}>
            {title}
          </th>
          <th className="w-[24%] py-1 pr-4 font-normal">
            {openLabel(lines[0]!.kind)}, of 100, if nobody answers
          </th>
          <th className="w-[34%] py-1 pr-4 font-normal">most for the least work</th>
          <th className="w-[13%] py-1 font-normal">nothing taught against</th>
        </tr>
      </thead>
      <tbody>
        {sorted.map((line) => (
          <HoldLine key={line.id} map={map} line={line} />
        ))}
      </tbody>
    </table>
  );
}

function HoldLine({ map, line }: { map: Schemas["Map"]; line: Line }) {
  const [params] = useSearchParams();
  const query = settingQuery(params);
  const stays = open(line.closes);
  const most = line.steps.find((step) => step.stage === line.most);
  const more = most?.answer ? gain(most.answer) : undefined;
  return (
    <tr className="border-b border-rule align-middle max-lg:block max-lg:py-2">
      <td className="py-1 pr-4 max-lg:block">
        <Link
          to={paths.finish(map.id, line.id) + query}
          className="flex min-h-11 items-center gap-3 no-underline hover:underline"
        >
          <PlacePicture
            map={map}
            place={line.at.at(-1) ?? ""}
            width={76}
            silent
            className="h-12 w-[76px] shrink-0"
          />
          <span>
            <span className="text-[17px] font-semibold" style={{ fontStretch: "88%" }}>
              {line.title}
            </span>
            <span className="block text-quiet">{line.needs === 1 ? "one need" : `${line.needs} needs`}</span>
          </span>
        </Link>
      </td>
      <td className="pr-4 max-lg:block max-lg:pr-0">
        {stays === undefined ? (
          <span className="text-quiet">– nobody has said how likely they get it</span>
        ) : (
          <span className="flex items-center gap-3">
            <Gate worth={stays} height={12} className="grow" />
            <span className="shrink-0 text-right font-semibold lg:w-7">
              {hundred(stays)}
              <span className="font-normal text-quiet lg:sr-only"> {openLabel(line.kind)}</span>
            </span>
          </span>
        )}
      </td>
      <td className="py-1 pr-4 max-lg:block">
        {most?.answer ? (
          <>
            {reactionTitle(map, most.answer.reaction)}
            <span className="text-quiet">
              {" "}
              · {STAGE_LABEL[most.stage].toLowerCase()}
              {more !== undefined && more > 0 && `, ${more} more of 100`}
            </span>
          </>
        ) : (
          <span className="text-quiet">–</span>
        )}
      </td>
      <td className="py-1 max-lg:block">
        {line.untaught > 0 ? (
          <span className="border border-dashed border-rust px-2 py-0.5 text-rust">
            {line.untaught === 1 ? "one need" : `${line.untaught} needs`}
            <span className="lg:sr-only"> without an answer</span>
          </span>
        ) : (
          <span className="text-quiet max-lg:hidden">–</span>
        )}
      </td>
    </tr>
  );
}
