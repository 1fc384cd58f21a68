import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { api, unwrap } from "../../api/client";
import { Door } from "../../ui/Door";
import { Labelled } from "../../ui/Labelled";
import { PasswordFields, passwordProblem, useComeIn } from "../session";
import { DoorForm } from "./DoorForm";
import { NameFields, namesProblems } from "./Names";
import { useToken } from "../../ui/token";

/** Opens a gym in this house; whoever runs it has the code. */
export function OpenGymPage() {
  const token = useToken();
  const [code, setCode] = useState(token);
  const [gym, setGym] = useState("");
  const [names, setNames] = useState({ name: "", displayName: "" });
  const [password, setPassword] = useState("");
  const comeIn = useComeIn();
  const open = useMutation({
    mutationFn: () =>
      unwrap(api.POST("/api/gyms", { body: { code: code.trim(), gym: gym.trim(), ...names, password } })),
    onSuccess: comeIn,
  });
  const missing = {
    code: code.trim() === "" ? "Write the code of the house." : undefined,
    gym: gym.trim() === "" ? "Write what the gym is called." : undefined,
  };
  const line = (
    label: string,
    error: string | undefined,
    value: string,
    onChange: (value: string) => void,
    { most, complete }: { most: number; complete: string },
  ) => (
    <Labelled label={label} error={error}>
      <input
        className="box mt-1"
        autoComplete={complete}
        maxLength={most}
        aria-invalid={Boolean(error)}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </Labelled>
  );
  return (
    <Door>
      <div className="w-full max-w-sm bg-ground p-6">
        <DoorForm
          title="Open a gym"
          about="You will answer for it: invite people, give roles, put people out."
          fields={(tried) => (
            <>
              {token === "" &&
                line("The code of the house", tried ? missing.code : undefined, code, setCode, {
                  most: 200,
                  complete: "off",
                })}
              {line("What the gym is called", tried ? missing.gym : undefined, gym, setGym, {
                most: 90,
                complete: "organization",
              })}
              <NameFields value={names} tried={tried} onChange={setNames} />
              <PasswordFields value={password} tried={tried} onChange={setPassword} />
            </>
          )}
          problems={[
            ...Object.values(missing),
            ...Object.values(namesProblems(names)),
            passwordProblem(password),
          ]}
          send={open}
          submit="Open the gym"
        />
      </div>
    </Door>
  );
}
