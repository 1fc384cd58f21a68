import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { api, problemOf, unwrap } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Labelled } from "../../ui/Labelled";
import { Refused } from "../../ui/Notice";
import { PasswordFields, passwordProblem, useComeIn } from "../session";
import { Door } from "./Door";
import { NameFields, namesProblems } from "./Names";
import { useToken } from "./token";

/** Opens a gym in this house; whoever runs it has the code. */
export function OpenGymPage() {
  const token = useToken();
  const [code, setCode] = useState(token);
  const [gym, setGym] = useState("");
  const [names, setNames] = useState({ name: "", displayName: "" });
  const [password, setPassword] = useState("");
  const [tried, setTried] = useState(false);
  const comeIn = useComeIn();
  const open = useMutation({
    mutationFn: () =>
      unwrap(api.POST("/api/gyms", { body: { code: code.trim(), gym: gym.trim(), ...names, password } })),
    onSuccess: comeIn,
  });
  const missing = {
    code: tried && code.trim() === "" ? "Write the code of the house." : undefined,
    gym: tried && gym.trim() === "" ? "Write what the gym is called." : undefined,
  };
  const wrong =
    code.trim() === "" ||
    gym.trim() === "" ||
    Object.values({ ...namesProblems(names), password: passwordProblem(password) }).some(Boolean);
  return (
    <Door>
      <form
        className="space-y-5"
        noValidate
        onChange={() => open.reset()}
        onSubmit={(event) => {
          event.preventDefault();
          setTried(true);
          if (!wrong) open.mutate();
        }}
      >
        <div>
          <Heading size="door">Open a gym</Heading>
          <p className="mt-1">You will answer for it: invite people, give roles, put people out.</p>
        </div>
        {token === "" && (
          <Labelled label="The code of the house" error={missing.code}>
            <input
              className="box mt-1"
              autoComplete="off"
              maxLength={200}
              aria-invalid={Boolean(missing.code)}
              value={code}
              onChange={(event) => setCode(event.target.value)}
            />
          </Labelled>
        )}
        <Labelled label="What the gym is called" error={missing.gym}>
          <input
            className="box mt-1"
            autoComplete="organization"
            maxLength={90}
            aria-invalid={Boolean(missing.gym)}
            value={gym}
            onChange={(event) => setGym(event.target.value)}
          />
        </Labelled>
        <NameFields value={names} tried={tried} onChange={setNames} />
        <PasswordFields value={password} tried={tried} onChange={setPassword} />
        {open.isError && <Refused problem={problemOf(open.error)} />}
        <button type="submit" className="plate w-full" disabled={open.isPending}>
          Open the gym
        </button>
      </form>
    </Door>
  );
}
