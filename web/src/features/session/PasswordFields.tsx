import { useState } from "react";
import { Labelled } from "../../ui/Labelled";

const LEAST = 12;

/** What can be told of a new password before it is sent; the rest is the server's to say. */
export function passwordProblem(password: string): string | undefined {
  const length = [...password.replace(/ {2,}/g, " ")].length;
  if (length >= LEAST) return undefined;
  return length === 0
    ? "Write a password."
    : `It has ${length} characters and needs ${LEAST}. Three or four words in a row do.`;
}

/** A new password, typed once and shown if one likes: nobody types what they can read twice. */
export function PasswordFields({
  value,
  onChange,
  tried,
  label = "Password",
}: {
  value: string;
  onChange: (value: string) => void;
  /** True once it was tried to send it. */
  tried: boolean;
  label?: string;
}) {
  const [shown, setShown] = useState(false);
  const problem = tried ? passwordProblem(value) : undefined;
  return (
    <div>
      <Labelled label={label} error={problem}>
        <input
          className="box mt-1"
          type={shown ? "text" : "password"}
          name="new-password"
          autoComplete="new-password"
          autoCapitalize="none"
          spellCheck={false}
          maxLength={128}
          aria-invalid={Boolean(problem)}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      </Labelled>
      <p className="mt-1 flex flex-wrap justify-between gap-x-5 text-quiet">
        <span>Twelve characters or more: a few unlike words.</span>
        <button type="button" className="word" aria-pressed={shown} onClick={() => setShown(!shown)}>
          {shown ? "Hide it" : "Show it"}
        </button>
      </p>
    </div>
  );
}
