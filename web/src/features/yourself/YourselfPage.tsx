import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent, type ReactNode } from "react";
import { askAgain } from "../../api/askAgain";
import { api, problemOf, unwrap, unwrapNothing, type Schemas } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Labelled } from "../../ui/Labelled";
import { Refused } from "../../ui/Notice";
import { together, Waiting } from "../../ui/Waiting";
import { whenInWords } from "../../ui/when";
import { PasswordFields, passwordProblem, roleTitle, useRightsTable, useSession } from "../session";

/** What one does about oneself: the name that others see, the password, where one is signed in, leaving. */
export function YourselfPage() {
  const session = useSession();
  const places = useQuery({
    queryKey: ["me", "sessions"],
    queryFn: () => unwrap(api.GET("/api/me/sessions")),
  });
  const rights = useRightsTable();
  const ready = together({ session, places, rights });
  if (!ready.data) return <Waiting what="Looking you up" on={ready} />;
  const { session: me, places: signedInAt, rights: table } = ready.data;
  const mine = table.filter((right) => me.rights.includes(right.id));
  return (
    <main className="px-5 pt-4 pb-10">
      <Heading>Yourself</Heading>
      <p className="mt-1 text-quiet">
        {roleTitle(me.role ?? "")} at {me.gym}. You sign in as <strong className="text-ink">{me.name}</strong>
        .
      </p>
      <div className="mt-5 grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,26rem)_minmax(0,1fr)]">
        <div className="space-y-8">
          <Name now={me.displayName ?? ""} />
          <Password />
        </div>
        <div className="space-y-8">
          <Places places={signedInAt} />
          <section>
            <h2 className="text-base lg:text-[15px]">What you may do</h2>
            <ul className="mt-1 list-[square] space-y-0.5 pl-5 marker:text-edge">
              {mine.map((right) => (
                <li key={right.id}>{right.title}</li>
              ))}
            </ul>
          </section>
          <section>
            <h2 className="text-base lg:text-[15px]">What is kept about you</h2>
            <p className="mt-1">
              Your names, where you are signed in, your readings and questions, and what stands about you on
              the roster.{" "}
              <a className="word" href="/api/me/archive" download>
                Take all of it out
              </a>
            </p>
          </section>
          <Leaving gym={me.gym ?? "the gym"} />
        </div>
      </div>
    </main>
  );
}

function Part({ title, onSubmit, children }: { title: string; onSubmit: () => void; children: ReactNode }) {
  return (
    <form
      className="space-y-3"
      noValidate
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        onSubmit();
      }}
    >
      <h2 className="text-base lg:text-[15px]">{title}</h2>
      {children}
    </form>
  );
}

function Name({ now }: { now: string }) {
  const queries = useQueryClient();
  const [typed, setTyped] = useState(now);
  const [tried, setTried] = useState(false);
  const save = useMutation({
    mutationFn: () => unwrap(api.PUT("/api/me/name", { body: { displayName: typed.trim() } })),
    onSuccess: async (session) => {
      queries.setQueryData(["session"], session);
      await askAgain(queries, { predicate: (query) => query.queryKey[0] !== "session" });
    },
  });
  const empty = tried && typed.trim() === "" ? "Write the name that others see." : undefined;
  return (
    <Part
      title="Name"
      onSubmit={() => {
        setTried(true);
        if (typed.trim() !== "") save.mutate();
      }}
    >
      <Labelled label="The name that others see" error={empty}>
        <input
          className="box mt-1"
          autoComplete="name"
          maxLength={90}
          aria-invalid={Boolean(empty)}
          value={typed}
          onChange={(event) => {
            save.reset();
            setTyped(event.target.value);
          }}
        />
      </Labelled>
      {save.isError && <Refused problem={problemOf(save.error)} />}
      <p className="flex items-center gap-4">
        <button type="submit" className="plate" disabled={save.isPending || typed.trim() === now}>
          Save the name
        </button>
        <span role="status">{save.isSuccess && typed.trim() === now ? "Saved" : ""}</span>
      </p>
    </Part>
  );
}

function Password() {
  const queries = useQueryClient();
  const [now, setNow] = useState("");
  const [next, setNext] = useState("");
  const [tried, setTried] = useState(false);
  const save = useMutation({
    mutationFn: () => unwrapNothing(api.PUT("/api/me/password", { body: { now, next } })),
    onSuccess: async () => {
      setNow("");
      setNext("");
      setTried(false);
      await askAgain(queries, { queryKey: ["me"] });
    },
  });
  const missing = tried && now === "" ? "Write the password you have now." : undefined;
  return (
    <Part
      title="Another password"
      onSubmit={() => {
        setTried(true);
        if (now !== "" && passwordProblem(next) === undefined) save.mutate();
      }}
    >
      <Labelled label="The password you have now" error={missing}>
        <input
          className="box mt-1"
          type="password"
          autoComplete="current-password"
          maxLength={200}
          aria-invalid={Boolean(missing)}
          value={now}
          onChange={(event) => {
            save.reset();
            setNow(event.target.value);
          }}
        />
      </Labelled>
      <PasswordFields
        label="The new one"
        value={next}
        tried={tried}
        onChange={(value) => {
          save.reset();
          setNext(value);
        }}
      />
      {save.isError && <Refused problem={problemOf(save.error)} />}
      <p className="flex items-center gap-4">
        <button type="submit" className="plate" disabled={save.isPending}>
          Change the password
        </button>
        <span role="status">{save.isSuccess ? "Changed; elsewhere you are signed out" : ""}</span>
      </p>
    </Part>
  );
}

function Places({ places }: { places: Schemas["SignedInAt"][] }) {
  const queries = useQueryClient();
  const end = useMutation({
    mutationFn: (handle: string) =>
      unwrapNothing(api.DELETE("/api/me/sessions/{handle}", { params: { path: { handle } } })),
    onSettled: () => askAgain(queries, { queryKey: ["me"] }),
  });
  return (
    <section>
      <h2 className="text-base lg:text-[15px]">Where you are signed in</h2>
      <ul className="mt-1">
        {places.map((place) => (
          <li
            key={place.handle}
            className="flex min-h-11 flex-wrap items-center gap-x-5 border-b border-rule py-1 lg:min-h-9"
          >
            <span className="font-semibold">{place.browser}</span>
            <span className="text-quiet">
              since {whenInWords(place.begunAt)}, last used {whenInWords(place.usedAt)}
            </span>
            <span className="ml-auto">
              {place.here ? (
                "here"
              ) : (
                <button
                  type="button"
                  className="word"
                  disabled={end.isPending}
                  aria-label={`Sign out there: ${place.browser}, since ${whenInWords(place.begunAt)}`}
                  onClick={() => end.mutate(place.handle)}
                >
                  Sign out there
                </button>
              )}
            </span>
          </li>
        ))}
      </ul>
      {end.isError && <Refused problem={problemOf(end.error)} />}
    </section>
  );
}

function Leaving({ gym }: { gym: string }) {
  const [open, setOpen] = useState(false);
  const [password, setPassword] = useState("");
  const [forgotten, setForgotten] = useState(false);
  const [tried, setTried] = useState(false);
  const leave = useMutation({
    mutationFn: () => unwrapNothing(api.POST("/api/me/leave", { body: { password, forgotten } })),
    onSuccess: () => location.assign("/"),
  });
  const missing = tried && password === "" ? "Write your password." : undefined;
  return (
    <section>
      <h2 className="text-base lg:text-[15px]">Leaving</h2>
      <p className="mt-1">
        Who leaves cannot sign in any more. What they wrote, and what the roster says of them, stays with{" "}
        {gym} if they do not want to be forgotten.{" "}
        {!open && (
          <button type="button" className="word" aria-expanded={false} onClick={() => setOpen(true)}>
            Leave the gym …
          </button>
        )}
      </p>
      {open && (
        <form
          className="mt-3 max-w-md space-y-3 border-2 border-ink p-3"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            setTried(true);
            if (password !== "") leave.mutate();
          }}
        >
          <fieldset className="space-y-1">
            <legend className="font-semibold">Your name beside what you wrote</legend>
            <label className="flex min-h-9 items-center gap-2">
              <input type="radio" name="name" checked={!forgotten} onChange={() => setForgotten(false)} />
              stays there
            </label>
            <label className="flex min-h-9 items-center gap-2">
              <input type="radio" name="name" checked={forgotten} onChange={() => setForgotten(true)} />
              goes, and what the roster says of me: forget me; nobody can bring it back
            </label>
          </fieldset>
          <Labelled label="Your password" error={missing}>
            <input
              className="box mt-1"
              type="password"
              autoComplete="current-password"
              autoFocus
              maxLength={200}
              aria-invalid={Boolean(missing)}
              value={password}
              onChange={(event) => {
                leave.reset();
                setPassword(event.target.value);
              }}
            />
          </Labelled>
          {leave.isError && <Refused problem={problemOf(leave.error)} />}
          <p className="flex gap-5">
            <button type="submit" className="plate" disabled={leave.isPending}>
              {forgotten ? "Leave, and forget me" : "Leave the gym"}
            </button>
            <button type="button" className="word" onClick={() => setOpen(false)}>
              Stay
            </button>
          </p>
        </form>
      )}
    </section>
  );
}
