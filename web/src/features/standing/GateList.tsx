import { useState } from "react";
import { Link } from "react-router";
import { problemOf, type Schemas } from "../../api/client";
import { Labelled } from "../../ui/Labelled";
import { Refused } from "../../ui/Notice";
import { Panel } from "../../ui/Panel";
import { dayInWords } from "../../ui/when";
import { paths, upperFirst } from "../map";
import { LEVEL_WORDS } from "../people";
import { familyTitle } from "../record";
import { evidenceInWords, saysInWords, useDecide, type Gate, type Gates } from "./standing";

/** The gates for moving up: what was seen of each, and what a coach decided. */
export function GateList({
  map,
  person,
  gates,
  mayDecide,
  own,
}: {
  map: Schemas["Map"];
  person: string;
  gates: Gates | undefined;
  mayDecide: boolean;
  own: boolean;
}) {
  const [deciding, setDeciding] = useState<Gate>();
  return (
    <section aria-labelledby="gates">
      <h2
        id="gates"
        className="flex items-baseline justify-between gap-3 border-b-[3px] border-ink pb-1 text-lg"
      >
        {gates ? `Gates to “${LEVEL_WORDS[gates.to]}”` : "Gates for moving up"}
        {gates && gates.gates.length > 0 && (
          <span className="text-[15px] font-normal text-quiet">
            {gates.shown} of {gates.gates.length} shown
          </span>
        )}
      </h2>
      {!gates ? (
        <p className="mt-1">
          {own ? "You" : "They"} have moved up as far as levels go, or no level stands on the roster.
        </p>
      ) : gates.gates.length === 0 ? (
        <p className="mt-1">
          None is asked for from this level on.{" "}
          {!own && (
            <Link className="link" to={paths.standings(map.id)}>
              Choose them
            </Link>
          )}
        </p>
      ) : (
        <ul>
          {places(gates).map((sides) => (
            <li key={sides[0]!.place} className="border-b border-rule py-1.5">
              <Link className="link font-semibold" to={paths.situation(map.id, sides[0]!.place)}>
                {sides[0]!.title}
              </Link>{" "}
              <span className="text-quiet">{familyTitle(map, sides[0]!.place)}</span>
              <div className="mt-0.5 grid gap-x-4 gap-y-1 mid:grid-cols-2">
                {sides.map((gate) => (
                  <OneSide
                    key={gate.side}
                    gate={gate}
                    decide={mayDecide ? () => setDeciding(gate) : undefined}
                  />
                ))}
              </div>
            </li>
          ))}
        </ul>
      )}
      {gates && gates.gates.length > 0 && (
        <p className="mt-1 text-quiet">What was seen is weighed here; the coach decides.</p>
      )}
      {deciding && (
        <Decide mapId={map.id} person={person} gate={deciding} done={() => setDeciding(undefined)} />
      )}
    </section>
  );
}

/** The gates by place, both sides together. */
function places(gates: Gates): Gate[][] {
  return [...new Set(gates.gates.map((gate) => gate.place))].map((place) =>
    gates.gates.filter((gate) => gate.place === place),
  );
}

function OneSide({ gate, decide }: { gate: Gate; decide: (() => void) | undefined }) {
  return (
    <div className="grid min-w-0 grid-cols-[1.5rem_minmax(0,1fr)] gap-x-1">
      <Mark gate={gate} />
      <div className="min-w-0">
        <p>
          <strong>
            {gate.decision ? (gate.decision.shown ? "Shown" : "Not yet") : upperFirst(gate.side)}
          </strong>
          {gate.decision && `, ${gate.side}`}
          {decide && (
            <button
              type="button"
              className="word float-right min-h-11 lg:min-h-0"
              aria-label={`Decide on ${gate.title}, ${gate.side}`}
              onClick={decide}
            >
              Decide
            </button>
          )}
        </p>
        {gate.decision && (
          <p>
            {gate.decision.reason && `${gate.decision.reason} `}
            <span className="text-quiet">
              {gate.decision.by ?? "Somebody who left"}, {dayInWords(gate.decision.at)}
            </span>
          </p>
        )}
        {!gate.decision?.shown && (
          <p className="text-quiet">
            {upperFirst(evidenceInWords(gate))}. {upperFirst(saysInWords(gate))}.
          </p>
        )}
      </div>
    </div>
  );
}

/** Shown, enough seen, or open: by shape, not by colour alone. */
function Mark({ gate }: { gate: Gate }) {
  const shown = gate.decision?.shown;
  const enough = gate.says === "enough";
  return (
    <svg viewBox="0 0 16 16" className="h-4 w-4 self-start" aria-hidden="true">
      <path d="M3 15V1M13 15V1" className="stroke-ink" strokeWidth={shown ? 4 : 2} fill="none" />
      {shown && <path d="M3 8h10" className="stroke-ink" strokeWidth="4" />}
      {!shown && enough && <path d="M3 8h10" className="stroke-ink" strokeWidth="2" strokeDasharray="2 2" />}
    </svg>
  );
}

function Decide({
  mapId,
  person,
  gate,
  done,
}: {
  mapId: string;
  person: string;
  gate: Gate;
  done: () => void;
}) {
  const [reason, setReason] = useState("");
  const [tried, setTried] = useState(false);
  const decide = useDecide(mapId, person);
  const send = (shown: boolean) =>
    decide.mutate(
      { id: crypto.randomUUID(), place: gate.place, side: gate.side, shown, reason: reason.trim() },
      { onSuccess: done },
    );
  const missing =
    tried && reason.trim() === ""
      ? "Say in a few words what is missing, so that they know what to work on."
      : undefined;
  return (
    <Panel
      title={`${gate.title}, ${gate.side}`}
      open
      onOpenChange={(open) => !open && done()}
      className="top-0 p-4 sm:top-[12vh] sm:w-[560px]"
    >
      <p className="mt-1">
        {upperFirst(evidenceInWords(gate))}. {upperFirst(saysInWords(gate))}.
      </p>
      <div className="mt-3">
        <Labelled label="Why" error={missing}>
          <textarea
            className="box mt-0.5 block w-full"
            rows={2}
            maxLength={400}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
        </Labelled>
      </div>
      {decide.isError && <Refused problem={problemOf(decide.error)} />}
      <div className="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2">
        <button type="button" className="plate" disabled={decide.isPending} onClick={() => send(true)}>
          Shown
        </button>
        <button
          type="button"
          className="word min-h-11"
          disabled={decide.isPending}
          onClick={() => {
            setTried(true);
            if (reason.trim() !== "") send(false);
          }}
        >
          Not yet
        </button>
      </div>
    </Panel>
  );
}
