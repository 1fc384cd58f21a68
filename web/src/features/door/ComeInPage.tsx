import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, isForLater, problemOf, unwrap, type Schemas } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Refused } from "../../ui/Notice";
import { together, Waiting } from "../../ui/Waiting";
import { whenInWords } from "../../ui/when";
import { PasswordFields, passwordProblem, ROLE_ABOUT, roleTitle, useComeIn, useSession } from "../session";
import { Door } from "../../ui/Door";
import { DoorForm } from "./DoorForm";
import { NameFields, namesProblems } from "./Names";
import { useToken } from "../../ui/token";

/** Where a link leads: into a gym, or to a new password. What opens it stands behind the sign in the address. */
export function ComeInPage() {
  const token = useToken();
  const session = useSession();
  const offer = useQuery({
    queryKey: ["offer", token],
    queryFn: () => unwrap(api.POST("/api/invitations/look", { body: { token } })),
    enabled: session.data !== undefined && token !== "",
    retry: false,
    staleTime: Infinity,
  });
  const refused = offer.isError && !isForLater(offer.error);
  if (token !== "" && !refused && !offer.data)
    return <Waiting what="Opening" on={together({ session, offer })} />;
  return (
    <Door>
      <div className="w-full max-w-sm space-y-5 bg-ground p-6">
        {!offer.data ? (
          <>
            <Heading size="door">Narrow Gate</Heading>
            {refused ? (
              <Refused problem={problemOf(offer.error)} />
            ) : (
              <p>The link is cut off: what opens the door stands behind the sign # in it. Copy all of it.</p>
            )}
            <p>
              <a className="link" href="/">
                Sign in instead
              </a>
            </p>
          </>
        ) : (
          <>
            {session.data?.signedIn && (
              <p className="border-l-4 border-signal py-0.5 pl-3">
                On this device {session.data.displayName} is signed in. Whoever comes in here takes over.
              </p>
            )}
            {offer.data.kind === "join" ? (
              <Join token={token} offer={offer.data} />
            ) : (
              <NewPassword token={token} offer={offer.data} />
            )}
          </>
        )}
      </div>
    </Door>
  );
}

function Join({ token, offer }: { token: string; offer: Schemas["Offered"] }) {
  const [names, setNames] = useState({ name: "", displayName: "" });
  const [password, setPassword] = useState("");
  const comeIn = useComeIn();
  const join = useMutation({
    mutationFn: () => unwrap(api.POST("/api/invitations/join", { body: { token, ...names, password } })),
    onSuccess: comeIn,
  });
  return (
    <DoorForm
      title={offer.gym}
      about={
        <>
          You are invited as <strong>{roleTitle(offer.role).toLowerCase()}</strong>, who{" "}
          {ROLE_ABOUT[offer.role]}. <span className="text-quiet">Until {whenInWords(offer.expiresAt)}.</span>
        </>
      }
      fields={(tried) => (
        <>
          <NameFields value={names} tried={tried} onChange={setNames} />
          <PasswordFields value={password} tried={tried} onChange={setPassword} />
        </>
      )}
      problems={[...Object.values(namesProblems(names)), passwordProblem(password)]}
      send={join}
      submit="Come in"
      foot={
        <p className="text-quiet">
          The gym keeps your name and what you do here, such as how fast you read a cue. You can look at it,
          leave, and have it forgotten, under “Yourself”.
        </p>
      }
    />
  );
}

function NewPassword({ token, offer }: { token: string; offer: Schemas["Offered"] }) {
  const [password, setPassword] = useState("");
  const comeIn = useComeIn();
  const choose = useMutation({
    mutationFn: () => unwrap(api.POST("/api/invitations/password", { body: { token, password } })),
    onSuccess: comeIn,
  });
  return (
    <DoorForm
      title="A new password"
      about={`For ${offer.displayName} at ${offer.gym}. Wherever you are still signed in, you are signed out.`}
      fields={(tried) => <PasswordFields value={password} tried={tried} onChange={setPassword} />}
      problems={[passwordProblem(password)]}
      send={choose}
      submit="Choose it and sign in"
    />
  );
}
