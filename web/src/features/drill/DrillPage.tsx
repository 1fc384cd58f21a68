import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { Caution, Loading, Refused } from "../../ui/Notice";
import { FeederBrief } from "../../ui/body/Limbs";
import { lowerFirst, paths, theyDo, useMap } from "../map";
import { settingQuery, useSetting } from "../odds";
import { callsInLines, nextInWords, spottingCall } from "./calls";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { useAddress } from "../../ui/address";

interface Choice {
  minutes: number;
  links: number;
  weakSide: "left" | "right";
  seed: number;
}

const MINUTES = [4, 6, 8, 10, 12, 15, 20];
const LINKS = [1, 2, 3, 4, 5, 6];

/** A drill sheet from one situation, ready to print and take to the mat. */
export function DrillPage() {
  const { situation = "" } = useParams();
  const map = useMap();
  const [setting] = useSetting();
  const [params, write] = useAddress();
  const choice: Choice = {
    minutes: Number(params.get("minutes")) || 8,
    links: Number(params.get("links")) || 3,
    weakSide: params.get("weak") === "right" ? "right" : "left",
    seed: Number(params.get("order")) || 1,
  };
  const choose = (name: string, value: string | number) => write({ [name]: value });
  const mapId = map.data?.id;
  const sheet = useQuery({
    queryKey: ["drill", mapId, map.data?.revision, situation, setting, choice],
    enabled: mapId !== undefined,
    placeholderData: keepPreviousData,
    queryFn: () =>
      unwrap(
        api.GET("/api/maps/{mapId}/situations/{situation}/drill", {
          params: { path: { mapId: mapId!, situation }, query: { ...setting, ...choice } },
        }),
      ),
  });
  const ready = together({ map });
  if (!ready.data) return <Waiting what="Writing the sheet" on={ready} />;
  const data = ready.data;
  return (
    <main className="mx-auto max-w-[1040px] px-5 pt-4 pb-12">
      <p className="no-print">
        <Link className="link" to={paths.situation(data.map.id, situation) + settingQuery(params)}>
          Back to the situation
        </Link>
      </p>
      <div className="no-print my-3 grid grid-cols-2 items-end gap-3 border-y border-rule py-3 sm:flex sm:flex-wrap sm:gap-5">
        <Pick
          label="Minutes"
          value={choice.minutes}
          options={MINUTES}
          onChange={(v) => choose("minutes", v)}
        />
        <Pick label="Links" value={choice.links} options={LINKS} onChange={(v) => choose("links", v)} />
        <label className="block">
          <span className="text-quiet">Weak side first</span>
          <select
            className="box mt-0.5"
            value={choice.weakSide}
            onChange={(event) => choose("weak", event.target.value)}
          >
            <option>left</option>
            <option>right</option>
          </select>
        </label>
        <button type="button" className="word" onClick={() => choose("order", (choice.seed % 999_999) + 1)}>
          Another order of calls
        </button>
        <button
          type="button"
          className="plate sm:ml-auto"
          onClick={() => window.print()}
          disabled={!sheet.data}
        >
          Print the sheet
        </button>
      </div>
      {sheet.isError ? (
        <Refused problem={problemOf(sheet.error)} />
      ) : sheet.data ? (
        <Sheet sheet={sheet.data} seed={choice.seed} />
      ) : (
        <Loading what="Writing the sheet" />
      )}
    </main>
  );
}

function Pick({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: number;
  options: number[];
  onChange: (value: number) => void;
}) {
  const all = options.includes(value) ? options : [...options, value].sort((a, b) => a - b);
  return (
    <label className="block">
      <span className="text-quiet">{label}</span>
      <select className="box mt-0.5" value={value} onChange={(event) => onChange(Number(event.target.value))}>
        {all.map((option) => (
          <option key={option}>{option}</option>
        ))}
      </select>
    </label>
  );
}

function Sheet({ sheet, seed }: { sheet: Schemas["DrillSheet"]; seed: number }) {
  return (
    <article>
      <header className="flex flex-wrap items-baseline gap-x-6 border-b-[3px] border-ink pb-2">
        <Heading size="sheet">{sheet.situationTitle}</Heading>
        <p className="ml-auto font-semibold">
          {sheet.minutes.toFixed(0)} minutes · {sheet.repetitions} of each, each side, each partner
        </p>
      </header>
      <div className="max-w-full overflow-x-auto" tabIndex={0} role="region" aria-label="Links of the drill">
        <table className="w-full min-w-[44rem] border-collapse text-left">
          <thead>
            <tr className="text-quiet">
              <th className="py-2 pr-3 font-normal">Call</th>
              <th className="py-2 pr-4 font-normal">The feeder</th>
              <th className="py-2 pr-4 font-normal">You</th>
              <th className="py-2 pr-4 font-normal">Then</th>
              <th className="py-2 pr-4 font-normal">You land in, and go on</th>
              <th className="py-2 text-right font-normal">Each</th>
            </tr>
          </thead>
          <tbody>
            {sheet.links.map((link, index) => (
              <tr key={link.reaction + link.response} className="border-t border-rule align-top">
                <td className="py-2 pr-3 text-[20px] leading-none font-bold">{index + 1}</td>
                <td className="py-2 pr-4">{link.trigger || "holds the place as it is"}</td>
                <td className="py-2 pr-4 font-semibold">{link.answer}</td>
                <td className="py-2 pr-4">{theyDo(link.stimulus)}</td>
                <td className="py-2 pr-4">
                  {link.landing}
                  <span className="block text-quiet">{nextInWords(link.next)}</span>
                </td>
                <td className="py-2 text-right">{sheet.repetitions * 4}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="max-w-2xl">
        <FeederBrief feeder={sheet.feeder} />
      </div>
      <div className="mt-5 grid gap-x-8 gap-y-4 sm:grid-cols-2">
        {sheet.blocks.map((block, index) => (
          <section key={index} className="border-t border-rule pt-2">
            <h2 className="text-base lg:text-[15px]">
              {index + 1}. {block.bottom === "first" ? "First" : "Second"} partner on the bottom, {block.side}{" "}
              side
            </h2>
            <p className="text-quiet">The feeder calls, five at a time:</p>
            <ol className="mt-1 flex flex-wrap gap-x-5 text-[19px] font-semibold">
              {callsInLines(block.calls, 5).map((line, at) => (
                <li key={at}>{line.map((call) => call + 1).join(" ")}</li>
              ))}
            </ol>
          </section>
        ))}
      </div>
      {sheet.mistakes.length > 0 && <SpotTheMistake sheet={sheet} />}
      <section className="mt-6 space-y-2">
        {sheet.cautions.map((caution) => (
          <Caution key={caution}>{caution}</Caution>
        ))}
        <Caution>Tap early, let go at once. The lighter partner decides how much weight.</Caution>
      </section>
      <p className="mt-4 text-quiet">
        Order {seed}: every call comes equally often and follows every other equally often. Swap partners
        after each block.
      </p>
    </article>
  );
}

/** Right and wrong in turn, for a partner who stops at what is wrong and says why. */
function SpotTheMistake({ sheet }: { sheet: Schemas["DrillSheet"] }) {
  return (
    <section className="mt-6 break-inside-avoid border-t border-rule pt-2">
      <h2 className="text-base lg:text-[15px]">Spot the mistake</h2>
      <p className="text-quiet">
        Whoever is on the bottom goes down the line, slowly. The partner stops at a letter, says what is wrong
        and where it would have led.
      </p>
      <ol className="mt-1 space-y-1">
        {sheet.mistakes.map((mistake, index) => (
          <li key={mistake.reaction} className="border-l-4 border-rust pl-3">
            <span className="font-bold text-rust">
              {spottingCall(sheet.links.length + index, sheet.links.length)}
            </span>{" "}
            <span className="font-semibold">{mistake.title}</span>: {lowerFirst(mistake.why)}.
            {mistake.landings.length > 0 && (
              <span className="text-quiet">
                {" "}
                It leads to {mistake.landings.map(lowerFirst).join(" or ")}.
              </span>
            )}
          </li>
        ))}
      </ol>
      <ol className="mt-2 flex flex-wrap gap-x-5 text-[19px] font-semibold">
        {callsInLines(sheet.spotting, 5).map((line, at) => (
          <li key={at}>{line.map((call) => spottingCall(call, sheet.links.length)).join(" ")}</li>
        ))}
      </ol>
    </section>
  );
}
