import { useState } from "react";
import { Measure } from "../../ui/Measure";
import { RangeBar } from "./RangeBar";
import { Rose } from "./Rose";
import { MEASURE_NAMES, MEASURES, type Asked, type Change, type Figures, type Weight } from "./weight";
import { changeInWords, degrees, kilograms, noBaseInWords, noLoadInWords, wayInWords } from "./words";

/** What changes when something is changed, the measures of the two, how far they are from tipping, what rests on you. */
export function Figured({
  weight,
  asked,
  ask,
}: {
  weight: Weight;
  asked: Asked;
  ask: (part: Partial<Asked>) => void;
}) {
  const toggle = (change: Change) =>
    ask({
      done: asked.done.includes(change)
        ? asked.done.filter((one) => one !== change)
        : [...asked.done, change],
    });
  const changed = weight.changes.some((change) => change.done);
  return (
    <>
      <table className="w-full border-collapse text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1 pl-2 font-bold">What if …</th>
            <th className="py-1 pr-3 text-right font-normal text-quiet">weakest</th>
            <th className="py-1 pr-3 text-right font-normal text-quiet">on you</th>
            <th className="py-1 font-normal text-quiet">then</th>
          </tr>
        </thead>
        <tbody>
          <tr className="border-b border-rule">
            <td className="py-1 pl-2 text-quiet">nothing yet</td>
            <Row figures={weight.first} />
          </tr>
          {weight.changes.map((change) => (
            <tr key={change.change} className={`border-b border-rule ${change.done ? "bg-lane" : ""}`}>
              <td
                className={`pl-1.5 ${change.done ? "border-l-[3px] border-ink" : "border-l-[3px] border-transparent"}`}
              >
                <button
                  type="button"
                  aria-pressed={change.done}
                  className="word min-h-11 text-left aria-pressed:font-bold aria-pressed:text-ink lg:min-h-7"
                  onClick={() => toggle(change.change)}
                >
                  {changeInWords(change.change)}
                </button>
              </td>
              <Row figures={change.then} />
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 flex flex-wrap justify-between gap-x-4 text-quiet">
        <span>white with a bar: done · below 0° they lean on you already</span>
        <button type="button" className="word" disabled={!changed} onClick={() => ask({ done: [] })}>
          as at first
        </button>
      </p>
      <div className="mt-1 grid gap-x-8 border-t border-rule pt-1 sm:grid-cols-2">
        {MEASURE_NAMES.map((name) => {
          const { label, unit, min, max } = MEASURES[name];
          return (
            <Measure
              key={name}
              label={label}
              words={`${asked[name]} ${unit}`}
              value={asked[name]}
              min={min}
              max={max}
              step={1}
              onChange={(value) => ask({ [name]: value })}
            />
          );
        })}
      </div>
      <div className="mt-2 grid gap-x-6 gap-y-4 border-t-2 border-ink pt-2 sm:grid-cols-[minmax(0,1.45fr)_minmax(0,1fr)]">
        <section aria-label="How far before they tip">
          <h2 className="text-base lg:text-[15px]">How far before they tip</h2>
          {weight.rose && weight.now.weakest ? (
            <>
              <p className="text-quiet">turned like the picture{changed && " · dashed: nothing changed"}</p>
              <Rose rose={weight.rose} weakest={weight.now.weakest.degrees} changed={changed} />
              <p className="text-quiet">
                {weight.now.weakest.degrees > 0 &&
                  `Lifting them over the weakest side takes ${Math.round(weight.now.weakest.work)} J. `}
                {weight.now.own &&
                  Math.abs(weight.now.own.degrees - weight.now.weakest.degrees) >= 1 &&
                  `Without a hand that lands: ${degrees(weight.now.own.degrees)} ${wayInWords(weight.now.own.way)}.`}
              </p>
            </>
          ) : (
            <p className="mt-1">{noBaseInWords(weight.now.noBase)}</p>
          )}
        </section>
        <OnYou weight={weight} asked={asked} />
      </div>
    </>
  );
}

function Row({ figures }: { figures: Figures }) {
  return (
    <>
      <td className="pr-3 text-right font-semibold whitespace-nowrap">
        {figures.weakest ? degrees(figures.weakest.degrees) : "–"}
      </td>
      <td className="pr-3 text-right font-semibold whitespace-nowrap">
        {figures.load ? kilograms(figures.load.likely) : "–"}
      </td>
      <td className="leading-tight lg:text-[13.5px]">
        {figures.weakest ? wayInWords(figures.weakest.way) : ""}
      </td>
    </>
  );
}

/** What of them rests on you: likely, possible, and where. */
function OnYou({ weight, asked }: { weight: Weight; asked: Asked }) {
  const [why, setWhy] = useState(false);
  const { load } = weight.now;
  const before = weight.first.load;
  return (
    <section aria-label="Of them on you">
      <h2 className="text-base lg:text-[15px]">Of them on you</h2>
      {!load ? (
        <p className="mt-1">
          <span className="text-[40px] leading-none font-bold">–</span>
          <span className="block">{noLoadInWords(weight.now.noLoad)}</span>
        </p>
      ) : (
        <>
          <p className="flex items-end gap-2">
            <span
              className="text-[52px] leading-none font-bold"
              style={{ fontStretch: "82%" }}
              data-testid="on-you"
            >
              {Math.round(load.likely)}
            </span>
            <span className="pb-1">
              kg of {asked.theirWeight}
              {before && Math.abs(before.likely - load.likely) >= 0.5 && (
                <span className="block font-semibold">
                  ({load.likely > before.likely ? "+" : "−"}
                  {Math.abs(Math.round(load.likely) - Math.round(before.likely))})
                </span>
              )}
            </span>
          </p>
          <div className="mt-2">
            <RangeBar load={load} of={asked.theirWeight} before={before?.likely} />
          </div>
          <p className="mt-1">
            {Math.round((100 * load.likely) / asked.yourWeight)} of 100 of your own weight. Likely{" "}
            {Math.round(load.likely)}, possible {Math.round(load.least)}–{Math.round(load.most)}.{" "}
            <button type="button" className="word" aria-expanded={why} onClick={() => setWhy(!why)}>
              why?
            </button>
          </p>
          {why && (
            <p className="mt-1 text-quiet">
              On more than three points a body can share its weight in many ways: at {Math.round(load.least)}{" "}
              kg their own posts carry the rest, at {Math.round(load.most)} kg hardly anything. Likely is what
              comes if every point gives alike and a trunk half as much.
            </p>
          )}
          {load.spots.length > 0 && (
            <>
              <h3 className="mt-3 font-semibold">Where it rests</h3>
              <ul>
                {load.spots.map((spot) => (
                  <li key={spot.spot} className="flex items-center gap-2">
                    <span className="w-10 shrink-0">{spot.spot}</span>
                    <span className="relative h-[9px] min-w-0 grow bg-lane" aria-hidden="true">
                      <span
                        className="absolute inset-y-0 left-0 bg-quiet"
                        style={{
                          width: `${Math.min(100, (100 * spot.kilograms) / Math.max(1, load.likely))}%`,
                        }}
                      />
                    </span>
                    <span className="w-6 shrink-0 text-right font-semibold">
                      {Math.round(spot.kilograms)}
                    </span>
                  </li>
                ))}
              </ul>
            </>
          )}
        </>
      )}
    </section>
  );
}
