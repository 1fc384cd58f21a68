import { zodResolver } from "@hookform/resolvers/zod";
import { Dialog } from "radix-ui";
import { useForm } from "react-hook-form";
import { z } from "zod";
import { problemOf } from "../../api/client";
import { Gate } from "../../ui/Gate";
import { Labelled } from "../../ui/Labelled";
import { Refused } from "../../ui/Notice";
import { useSignIn } from "./session";
import { Heading } from "../../ui/Heading";

// The content policy forbids code made at run time, so zod must not try.
z.config({ jitless: true });

const schema = z.object({
  name: z.string().trim().min(1, "Write your name."),
  password: z.string().min(1, "Write your password."),
});

/** Name and password; over a page that is already open it keeps that page as it is. */
export function SignIn({ again = false }: { again?: boolean }) {
  const signIn = useSignIn();
  const form = useForm({ resolver: zodResolver(schema), defaultValues: { name: "", password: "" } });
  const { errors } = form.formState;
  return (
    <form
      className="w-full max-w-sm space-y-5 bg-ground p-6"
      noValidate
      onSubmit={(event) => void form.handleSubmit((values) => signIn.mutate(values))(event)}
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
        <Gate worth={0.22} height={12} className="mt-4" />
      </div>
      <Labelled label="Name" error={errors.name?.message}>
        <input
          className="box mt-1"
          autoComplete="username"
          autoFocus
          aria-invalid={Boolean(errors.name)}
          {...form.register("name")}
        />
      </Labelled>
      <Labelled label="Password" error={errors.password?.message}>
        <input
          className="box mt-1"
          type="password"
          autoComplete="current-password"
          aria-invalid={Boolean(errors.password)}
          {...form.register("password")}
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
