import { Dialog } from "radix-ui";
import { useState } from "react";
import { problemOf } from "../../api/client";
import { Labelled } from "../../ui/Labelled";
import { Refused } from "../../ui/Notice";
import { useSignIn } from "./session";
import { Heading } from "../../ui/Heading";

/** Name and password; over a page that is already open it keeps that page as it is. */
export function SignIn({
  again = false,
  houseIsEmpty = false,
}: {
  again?: boolean;
  /** True where nobody can sign in yet, since there is no gym. */
  houseIsEmpty?: boolean;
}) {
  const signIn = useSignIn();
  const [typed, setTyped] = useState({ name: "", password: "" });
  const [tried, setTried] = useState(false);
  const name = tried && typed.name.trim() === "" ? "Write your name." : undefined;
  const password = tried && typed.password === "" ? "Write your password." : undefined;
  return (
    <form
      className="w-full max-w-sm space-y-5 bg-ground p-6"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        const missing = typed.name.trim() === "" ? "name" : typed.password === "" ? "password" : undefined;
        if (missing) (event.currentTarget.elements.namedItem(missing) as HTMLElement).focus();
        else signIn.mutate({ name: typed.name.trim(), password: typed.password });
      }}
    >
      <div>
        {again ? (
          <Dialog.Title className="text-3xl" style={{ fontStretch: "75%" }}>
            Sign in again
          </Dialog.Title>
        ) : (
          <Heading size="door">Narrow Gate</Heading>
        )}
        <p className="mt-1 text-quiet">
          {again ? "The session has ended. What you typed is still there." : "How likely do they get out?"}
        </p>
      </div>
      {houseIsEmpty && (
        <p className="border-l-4 border-signal py-0.5 pl-3">
          This house has no gym yet. Whoever runs it opens the first one by the link that ./run has printed.
        </p>
      )}
      <Labelled label="Name" error={name}>
        <input
          className="box mt-1"
          autoComplete="username"
          // Over a page the panel takes the focus itself, and gives it back.
          autoFocus={!again}
          name="name"
          aria-invalid={Boolean(name)}
          value={typed.name}
          onChange={(event) => setTyped({ ...typed, name: event.target.value })}
        />
      </Labelled>
      <Labelled label="Password" error={password}>
        <input
          className="box mt-1"
          type="password"
          autoComplete="current-password"
          name="password"
          aria-invalid={Boolean(password)}
          value={typed.password}
          onChange={(event) => setTyped({ ...typed, password: event.target.value })}
        />
      </Labelled>
      {signIn.isError && <Refused problem={problemOf(signIn.error)} />}
      <button type="submit" className="plate w-full" disabled={signIn.isPending}>
        Sign in
      </button>
      {!again && (
        <p className="text-quiet">
          Narrow Gate helps to plan teaching. It defers to a qualified instructor on the mat, the gym’s rules
          and local law.
        </p>
      )}
    </form>
  );
}
