import { useState } from "react";
import { problemOf, type Schemas } from "../../api/client";
import { Labelled } from "../../ui/Labelled";
import { Refused } from "../../ui/Notice";
import { ROLE_ABOUT, ROLES, roleTitle } from "../session";
import { MadeLink } from "./MadeLink";
import { useInvite } from "./members";

/** Makes a link by which one person comes in. */
export function Invite() {
  const invite = useInvite();
  const [role, setRole] = useState<Schemas["NewInvitation"]["role"]>("student");
  const [whom, setWhom] = useState("");
  const [address, setAddress] = useState("");
  const made = invite.data;
  return (
    <section>
      <h2 className="text-base lg:text-[15px]">Invite somebody</h2>
      <form
        className="mt-2 space-y-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          invite.mutate(
            { role, whom: whom.trim(), address: address.trim() },
            {
              onSuccess: () => {
                setWhom("");
                setAddress("");
              },
            },
          );
        }}
      >
        <fieldset>
          <legend className="font-semibold">As</legend>
          {[...ROLES].reverse().map((one) => (
            <label key={one} className="flex min-h-11 items-center gap-2 lg:min-h-8">
              <input type="radio" name="role" checked={role === one} onChange={() => setRole(one)} />
              <span>
                <span className="font-semibold">{roleTitle(one)}</span>{" "}
                <span className="text-quiet">{ROLE_ABOUT[one]}</span>
              </span>
            </label>
          ))}
        </fieldset>
        <Labelled label="For whom, if you like; only owners read it">
          <input
            className="box mt-1"
            maxLength={200}
            autoComplete="off"
            value={whom}
            onChange={(event) => setWhom(event.target.value)}
          />
        </Labelled>
        <Labelled label="Where a letter with the link goes, if anywhere">
          <input
            className="box mt-1"
            type="email"
            maxLength={300}
            autoComplete="off"
            placeholder="name@place.example"
            value={address}
            onChange={(event) => setAddress(event.target.value)}
          />
        </Labelled>
        {invite.isError && <Refused problem={problemOf(invite.error)} />}
        <button type="submit" className="plate" disabled={invite.isPending}>
          Make the link
        </button>
        {made && <MadeLink key={made.id} link={made} about="Hand this on to whom you invite" />}
      </form>
    </section>
  );
}
