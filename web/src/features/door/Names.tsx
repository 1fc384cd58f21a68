import { Labelled } from "../../ui/Labelled";

export interface Names {
  name: string;
  displayName: string;
}

export function namesProblems(names: Names): { name?: string; displayName?: string } {
  return {
    name: names.name.trim() === "" ? "Write a name to sign in with." : undefined,
    displayName: names.displayName.trim() === "" ? "Write the name that others see." : undefined,
  };
}

/** What others see, and what one signs in as. */
export function NameFields({
  value,
  onChange,
  tried,
}: {
  value: Names;
  onChange: (value: Names) => void;
  tried: boolean;
}) {
  const problems = tried ? namesProblems(value) : {};
  return (
    <>
      <Labelled label="Your name, as others see it" error={problems.displayName}>
        <input
          className="box mt-1"
          autoComplete="name"
          autoFocus
          maxLength={90}
          aria-invalid={Boolean(problems.displayName)}
          value={value.displayName}
          onChange={(event) => onChange({ ...value, displayName: event.target.value })}
        />
      </Labelled>
      <Labelled label="A name to sign in with" error={problems.name}>
        <input
          className="box mt-1"
          autoComplete="username"
          autoCapitalize="none"
          spellCheck={false}
          maxLength={40}
          aria-invalid={Boolean(problems.name)}
          value={value.name}
          onChange={(event) => onChange({ ...value, name: event.target.value })}
        />
      </Labelled>
    </>
  );
}
