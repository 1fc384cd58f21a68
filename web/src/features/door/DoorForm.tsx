import { useState, type ReactNode } from "react";
import { problemOf } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Refused } from "../../ui/Notice";

/** What is filled in at the door: what it is about, fields, what was refused, and one word that opens it. */
export function DoorForm({
  title,
  about,
  fields,
  problems,
  send,
  submit,
  foot,
}: {
  title: string;
  about: ReactNode;
  /** The fields; they tell what is wrong once it was tried to send them. */
  fields: (tried: boolean) => ReactNode;
  /** What is wrong with what is typed, as far as that can be told here; nothing is sent before it is mended. */
  problems: (string | undefined)[];
  send: { mutate: () => void; reset: () => void; isError: boolean; error: unknown; isPending: boolean };
  submit: string;
  foot?: ReactNode;
}) {
  const [tried, setTried] = useState(false);
  return (
    <form
      className="space-y-5"
      noValidate
      onChange={send.reset}
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (!problems.some(Boolean)) send.mutate();
      }}
    >
      <div>
        <Heading size="door">{title}</Heading>
        <p className="mt-1">{about}</p>
      </div>
      {fields(tried)}
      {send.isError && <Refused problem={problemOf(send.error)} />}
      <button type="submit" className="plate w-full" disabled={send.isPending}>
        {submit}
      </button>
      {foot}
    </form>
  );
}
