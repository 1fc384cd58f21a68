import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, problemOf, unwrap, type Schemas } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Loading, Refused } from "../../ui/Notice";
import { whenInWords } from "../../ui/when";
import { PasswordFields, passwordProblem, ROLE_ABOUT, roleTitle, useComeIn, useSession } from "../session";
import { Door } from "./Door";
import { NameFields, namesProblems } from "./Names";
import { useToken } from "./token";

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
  if (token === "" || offer.isError) {
    return (
      <Door>
        <Heading size="door">Narrow Gate</Heading>
        {offer.isError ? (
          <Refused problem={problemOf(offer.error)} />
        ) : (
          <p>The link is cut off: what opens the door stands behind the sign # in it. Copy all of it.</p>
        )}
        <p>
          <a className="link" href="/">
            Sign in instead
          </a>
        </p>
      </Door>
    );
  }
  if (!offer.data) return <Loading what="Opening" />;
  return (
    <Door>
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
    </Door>
  );
}

function Join({ token, offer }: { token: string; offer: Schemas["Offered"] }) {
  const [names, setNames] = useState({ name: "", displayName: "" });
  const [password, setPassword] = useState("");
  const [tried, setTried] = useState(false);
  const comeIn = useComeIn();
  const join = useMutation({
    mutationFn: () => unwrap(api.POST("/api/invitations/join", { body: { token, ...names, password } })),
    onSuccess: comeIn,
  });
  const wrong = Object.values({ ...namesProblems(names), password: passwordProblem(password) }).some(Boolean);
  return (
    <form
      className="space-y-5"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (!wrong) join.mutate();
      }}
    >
      <div>
        <Heading size="door">{offer.gym}</Heading>
        <p className="mt-1">
          You are invited as <strong>{roleTitle(offer.role).toLowerCase()}</strong>, who{" "}
          {ROLE_ABOUT[offer.role]}. <span className="text-quiet">Until {whenInWords(offer.expiresAt)}.</span>
        </p>
      </div>
      <NameFields
        value={names}
        tried={tried}
        onChange={(value) => {
          join.reset();
          setNames(value);
        }}
      />
      <PasswordFields
        value={password}
        tried={tried}
        onChange={(value) => {
          join.reset();
          setPassword(value);
        }}
      />
      {join.isError && <Refused problem={problemOf(join.error)} />}
      <button type="submit" className="plate w-full" disabled={join.isPending}>
        Come in
      </button>
      <p className="text-quiet">
        The gym keeps your name and what you do here, such as how fast you read a cue. You can look at it,
        leave, and have it forgotten, under “Yourself”.
      </p>
    </form>
  );
}

function NewPassword({ token, offer }: { token: string; offer: Schemas["Offered"] }) {
  const [password, setPassword] = useState("");
  const [tried, setTried] = useState(false);
  const comeIn = useComeIn();
  const choose = useMutation({
    mutationFn: () => unwrap(api.POST("/api/invitations/password", { body: { token, password } })),
    onSuccess: comeIn,
  });
  return (
    <form
      className="space-y-5"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (passwordProblem(password) === undefined) choose.mutate();
      }}
    >
      <div>
        <Heading size="door">A new password</Heading>
        <p className="mt-1">
          For {offer.displayName} at {offer.gym}. Wherever you are still signed in, you are signed out.
        </p>
      </div>
      <PasswordFields
        value={password}
        tried={tried}
        onChange={(value) => {
          choose.reset();
          setPassword(value);
        }}
      />
      {choose.isError && <Refused problem={problemOf(choose.error)} />}
      <button type="submit" className="plate w-full" disabled={choose.isPending}>
        Choose it and sign in
      </button>
    </form>
  );
}
