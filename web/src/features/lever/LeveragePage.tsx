import { useEffect, useState, type ReactNode } from "react";
import { Link, useLocation, useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { indexOf } from "../../model/mapIndex";
import { Heading } from "../../ui/Heading";
import { Measure } from "../../ui/Measure";
import { Caution } from "../../ui/Notice";
import { together, Waiting } from "../../ui/Waiting";
import { paths, useMap } from "../map";
import { settingQuery } from "../odds";
import { FrameDrawing, HeldLimb, HipDrawing } from "./drawings";
import { Grips } from "./Grips";
import {
  ASKED,
  saidOn,
  useAsked,
  useClaims,
  useLevers,
  type Asked,
  type Lever,
  type Levers,
  type Name,
} from "./levers";
import { armInWords, frameInWords, hipInWords, kilograms, shinInWords, spot, turn } from "./words";

/** The levers that instructors feel: moved by hand, drawn, and with the checkpoints that speak of them. */
export function LeveragePage() {
  const map = useMap();
  const [asked, change] = useAsked();
  const levers = useLevers(asked);
  const ready = together({ map, levers });
  useAtTheHash(ready.data !== undefined);
  if (!ready.data) return <Waiting what="Setting up the levers" on={ready} />;
  return <Leverage map={ready.data.map} levers={ready.data.levers} asked={asked} change={change} />;
}

/** Goes to the lever that the address names, once it is there. */
function useAtTheHash(there: boolean): void {
  const { hash } = useLocation();
  useEffect(() => {
    if (there && hash) document.getElementById(hash.slice(1))?.scrollIntoView();
  }, [there, hash]);
}

interface Moved {
  asked: Asked;
  change: (name: Name, value: number) => void;
}

function Leverage({ map, levers, asked, change }: { map: Schemas["Map"]; levers: Levers } & Moved) {
  const moved = { asked, change };
  return (
    <main className="px-5 pt-3 pb-16">
      <Heading>Leverage</Heading>
      <p className="max-w-[74ch] text-quiet">
        Rigid rods in one plane. Left out: friction, muscle, and all that gives. For comparing two ways of
        doing the same thing; not a load to trust, and no reason to test it on a partner’s joint.
      </p>
      <div className="mt-3 grid grid-cols-[minmax(0,1fr)] gap-x-12 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <Block
          id="arm"
          title="Hold the arm at the wrist"
          drawing={
            <HeldLimb
              hold={levers.arm}
              along={asked.held}
              strongest={asked.pull * 5}
              wide={8}
              near="elbow"
              far="wrist"
              says={`Their arm, held ${spot(asked.held, "elbow", "wrist")}.`}
            />
          }
          words={armInWords(levers.arm, asked.pull)}
          bars={held(levers.arm, "the elbow", "the wrist", asked.held)}
          map={map}
        >
          <Move name="held" label="held" words={spot(asked.held, "elbow", "wrist")} {...moved} />
          <Move name="pull" label="stopped at the wrist by" words={kilograms(asked.pull)} {...moved} />
          <Move name="theirStature" label="their stature" words={`${asked.theirStature} cm`} {...moved} />
        </Block>
        <Block
          id="frame"
          title="Stand the frame in the line of the push"
          drawing={
            <FrameDrawing
              frame={levers.frame}
              lean={asked.lean}
              says={`Your arm from the side, the upper arm ${asked.arm} degrees from the trunk, the elbow at ${asked.elbow}.`}
            />
          }
          words={frameInWords(levers.frame)}
          aside={`Against this push a straight arm stands in line at ${Math.round(levers.frame.inLine)}° to the trunk.`}
          caution={
            levers.frame.past
              ? "Past the right angle a shoulder has little strength, and the arm is theirs to bend: bring the elbow down."
              : undefined
          }
          bars={[
            { title: "shoulder", value: levers.frame.shoulder, said: turn(levers.frame.shoulder) },
            { title: "elbow", value: levers.frame.elbow, said: turn(levers.frame.elbow) },
          ]}
          most={asked.push * 9.81 * 0.33 * (asked.yourStature / 100)}
          map={map}
        >
          <Move name="arm" label="upper arm to trunk" words={`${asked.arm}°`} {...moved} />
          <Move
            name="elbow"
            label="inside the elbow"
            words={asked.elbow > 174 ? "straight" : `${asked.elbow}°`}
            {...moved}
          />
          <Move
            name="meets"
            label="it meets the forearm"
            words={spot(asked.meets, "elbow", "wrist")}
            {...moved}
          />
          <Move name="lean" label="it leans" words={leanInWords(asked.lean)} {...moved} />
          <Move name="push" label="they push with" words={kilograms(asked.push)} {...moved} />
          <Move name="yourStature" label="your stature" words={`${asked.yourStature} cm`} {...moved} />
        </Block>
        <Block
          id="press"
          title="Press the shin down at the ankle"
          drawing={
            <HeldLimb
              hold={levers.shin}
              along={asked.pressed}
              strongest={asked.press * 5}
              wide={11}
              near="knee"
              far="ankle"
              says={`Their shin, pressed ${spot(asked.pressed, "knee", "ankle")}.`}
            />
          }
          words={shinInWords(levers.shin, asked.press)}
          caution="The knee is the joint that pays. The partner keeps that foot light; press slowly, and never across a bad knee."
          bars={held(levers.shin, "the knee", "the ankle", asked.pressed)}
          map={map}
        >
          <Move name="pressed" label="pressed" words={spot(asked.pressed, "knee", "ankle")} {...moved} />
          <Move name="press" label="goes down at the ankle by" words={kilograms(asked.press)} {...moved} />
        </Block>
        <Block
          id="hip"
          title="Shoulder on the hip bone"
          drawing={
            <HipDrawing
              hip={levers.hip}
              above={asked.above}
              says={`Your shoulder ${heightInWords(asked.above)} their hip bone.`}
            />
          }
          words={hipInWords(levers.hip, asked.above)}
          bars={[{ title: "turns their trunk", value: levers.hip.torque, said: turn(levers.hip.torque) }]}
          most={asked.drive * 9.81 * 0.3}
          map={map}
        >
          <Move name="above" label="your shoulder is" words={`${heightInWords(asked.above)} it`} {...moved} />
          <Move name="drive" label="you drive with" words={kilograms(asked.drive)} {...moved} />
        </Block>
        <section
          id="grip"
          aria-labelledby="grip-title"
          className="min-w-0 scroll-mt-4 border-t-2 border-ink pt-2 pb-6 lg:col-span-2"
        >
          <h2 id="grip-title" className="text-[17px]">
            The ladder of grips
          </h2>
          <Grips map={map} />
          <SaidOnTheMap map={map} lever="grip" />
        </section>
      </div>
    </main>
  );
}

function leanInWords(lean: number): string {
  if (lean === 0) return "straight down";
  return lean > 0 ? `${lean}° to your head` : `${-lean}° to your feet`;
}

function heightInWords(above: number): string {
  if (Math.abs(above) <= 3) return "on";
  return `${Math.abs(above)} cm ${above > 0 ? "above" : "below"}`;
}

interface Bar {
  title: string;
  value: number;
  said: string;
  here?: boolean;
}

function held(hold: Levers["arm"], near: string, far: string, along: number): Bar[] {
  const names = [`near ${near}`, "half way", `at ${far}`];
  const bars: Bar[] = hold.spots.map((one, i) => ({
    title: names[i] ?? "",
    value: one.needed,
    said: kilograms(one.needed),
    here: Math.abs(one.along - along) < 0.01,
  }));
  return bars.some((bar) => bar.here)
    ? bars
    : [...bars, { title: "yours", value: hold.needed, said: kilograms(hold.needed), here: true }];
}

function Block({
  id,
  title,
  drawing,
  words,
  aside,
  caution,
  bars,
  most,
  map,
  children,
}: {
  id: Lever;
  title: string;
  drawing: ReactNode;
  words: string;
  aside?: string;
  caution?: string;
  bars: Bar[];
  /** What a full bar stands for; the strongest of them unless it is said. */
  most?: number;
  map: Schemas["Map"];
  /** What can be moved. */
  children: ReactNode;
}) {
  const full = most ?? Math.max(...bars.map((bar) => bar.value));
  return (
    <section
      id={id}
      aria-labelledby={`${id}-title`}
      className="min-w-0 scroll-mt-4 border-t-2 border-ink pt-2 pb-6"
    >
      <h2 id={`${id}-title`} className="text-[17px]">
        {title}
      </h2>
      <div className="mt-2 grid items-start gap-x-6 gap-y-2 sm:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div>{drawing}</div>
        <div>
          {children}
          <dl className="mt-2 space-y-1">
            {bars.map((bar) => (
              <div key={bar.title} className="flex items-center gap-2">
                <dt className={`w-24 shrink-0 ${bar.here ? "font-semibold" : "text-quiet"}`}>{bar.title}</dt>
                <dd className="flex min-w-0 grow items-center gap-2">
                  <span className="h-[11px] min-w-0 grow bg-lane" aria-hidden="true">
                    <span
                      className={`block h-full ${bar.here ? "bg-ink" : "bg-quiet"}`}
                      style={{ width: `${Math.min(100, (100 * bar.value) / Math.max(full, 1e-9))}%` }}
                    />
                  </span>
                  <span className="w-16 shrink-0 text-right font-semibold">{bar.said}</span>
                </dd>
              </div>
            ))}
          </dl>
        </div>
      </div>
      <p className="mt-2 text-[17px] leading-snug font-semibold" aria-live="polite">
        {words}
      </p>
      {aside && <p className="text-quiet">{aside}</p>}
      {caution && (
        <div className="mt-1">
          <Caution>{caution}</Caution>
        </div>
      )}
      <SaidOnTheMap map={map} lever={id} />
    </section>
  );
}

function Move({ name, label, words, asked, change }: { name: Name; label: string; words: string } & Moved) {
  const { min, max, step } = ASKED[name];
  return (
    <div className="[&>div>div]:w-36">
      <Measure
        label={label}
        words={words}
        value={asked[name]}
        min={min}
        max={max}
        step={step}
        onChange={(value) => change(name, value)}
      />
    </div>
  );
}

const FEW = 3;

/** The checkpoints that claim what the lever shows, with where they are done. */
function SaidOnTheMap({ map, lever }: { map: Schemas["Map"]; lever: Lever }) {
  const [params] = useSearchParams();
  const [all, setAll] = useState(false);
  const said = saidOn(map, useClaims(map).data ?? [], lever);
  if (said.length === 0) return null;
  return (
    <div className="mt-2">
      <p className="text-quiet">The map says so:</p>
      <ul>
        {(all ? said : said.slice(0, FEW)).map((one) => (
          <li key={one.technique + one.text}>
            “{one.text}”{" "}
            {one.place ? (
              <Link
                className="link text-quiet"
                to={paths.situation(map.id, one.place) + settingQuery(params)}
              >
                {one.technique}, {indexOf(map).situation(one.place)?.title}
              </Link>
            ) : (
              <span className="text-quiet">{one.technique}</span>
            )}
          </li>
        ))}
      </ul>
      {said.length > FEW && !all && (
        <button type="button" className="word" onClick={() => setAll(true)}>
          {said.length - FEW} more
        </button>
      )}
    </div>
  );
}
