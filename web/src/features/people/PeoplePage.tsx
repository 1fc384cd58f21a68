import { useMemo, useState } from "react";
import { Link } from "react-router";
import { find, prepare } from "../../ui/find";
import { Heading } from "../../ui/Heading";
import { together, Waiting } from "../../ui/Waiting";
import { dayInWords } from "../../ui/when";
import { May, useMay } from "../session";
import { AddPeople } from "./AddPeople";
import { usePeople } from "../pair";
import { LEVEL_WORDS, number, type Person } from "./people";

const MOST = 2_000;

/** The roster: who trains here, found by a few letters. */
export function PeoplePage() {
  const people = usePeople();
  const ready = together({ people });
  if (!ready.data) return <Waiting what="Looking for people" on={ready} />;
  return <Roster people={ready.data.people} />;
}

function Roster({ people }: { people: Person[] }) {
  const [typed, setTyped] = useState("");
  const mayEdit = useMay("edit-people");
  const prepared = useMemo(
    () =>
      prepare(
        people.map((person) => ({
          title: person.name,
          detail: [
            person.level && LEVEL_WORDS[person.level],
            person.age === "children" ? "child" : "",
            person.strong,
          ].join(" "),
          person,
        })),
      ),
    [people],
  );
  const shown = typed.trim() === "" ? people : find(prepared, typed, MOST).map((entry) => entry.person);
  const children = people.filter((person) => person.age === "children").length;
  return (
    <div className="lg:grid lg:min-h-[calc(100dvh-48px)] lg:grid-cols-[minmax(0,1fr)_minmax(0,26rem)]">
      <main className="px-5 pt-4 pb-10">
        <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1">
          <Heading>People</Heading>
          <p className="text-quiet">
            {people.length === 0
              ? "Nobody yet."
              : `${people.length} on the roster${children > 0 ? `, ${children} of them children` : ""}`}
          </p>
          <May right="take-out">
            {people.length > 0 && (
              <a className="word ml-auto" href="/api/people/table" download>
                Take the roster out
              </a>
            )}
          </May>
        </div>
        {people.length > 0 && (
          <input
            className="box mt-2 max-w-md"
            type="search"
            aria-label="Find somebody"
            placeholder="a name, a level, left, child"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        )}
        {people.length === 0 && !mayEdit && <p className="mt-3">Whoever teaches here writes the roster.</p>}
        {people.length > 0 && shown.length === 0 && <p className="mt-3">Nobody is found by “{typed}”.</p>}
        {shown.length > 0 && (
          <table className="mt-2 w-full max-w-5xl border-collapse text-left">
            <thead className="text-quiet max-mid:sr-only">
              <tr className="border-b-2 border-ink">
                <th className="py-1 pr-3 font-normal">Name</th>
                <th className="py-1 pr-3 text-right font-normal">kg</th>
                <th className="py-1 pr-6 text-right font-normal">cm</th>
                <th className="py-1 pr-3 font-normal">Level</th>
                <th className="py-1 pr-3 font-normal">Strong side</th>
                <th className="py-1 font-normal">Since</th>
              </tr>
            </thead>
            <tbody>
              {shown.map((person) => (
                <tr
                  key={person.id}
                  className="border-b border-rule max-mid:grid max-mid:grid-cols-[minmax(0,1fr)_auto_auto] max-mid:gap-x-3 max-mid:py-1"
                >
                  <th
                    scope="row"
                    className="py-1 pr-3 font-semibold max-mid:col-span-3 max-mid:py-0 max-mid:text-[17px]"
                  >
                    <Link
                      className="link inline-flex min-h-9 items-center lg:min-h-0"
                      to={`/people/${person.id}`}
                    >
                      {person.name}
                    </Link>
                    {person.age === "children" && <span className="ml-2 font-normal text-quiet">child</span>}
                  </th>
                  <td className="py-1 pr-3 text-right max-mid:order-2 max-mid:p-0">
                    {person.weight ? number(person.weight) : <span className="text-quiet">–</span>}
                    <span className="mid:sr-only"> kg</span>
                  </td>
                  <td className="py-1 pr-6 text-right max-mid:order-3 max-mid:p-0">
                    {person.height ? number(person.height) : <span className="text-quiet">–</span>}
                    <span className="mid:sr-only"> cm</span>
                  </td>
                  <td className="py-1 pr-3 max-mid:order-1 max-mid:p-0">
                    {person.level ? LEVEL_WORDS[person.level] : <span className="text-quiet">not known</span>}
                  </td>
                  <td className="py-1 pr-3 max-mid:hidden">{person.strong ?? ""}</td>
                  <td className="py-1 text-quiet max-mid:hidden">
                    {person.joined ? dayInWords(person.joined) : ""}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </main>
      <May right="edit-people">
        <aside className="border-rule px-5 pt-4 pb-10 max-lg:border-t lg:border-l">
          <AddPeople people={people} />
        </aside>
      </May>
    </div>
  );
}
