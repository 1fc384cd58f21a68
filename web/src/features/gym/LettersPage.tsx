import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, problemOf, unwrap } from "../../api/client";
import { Heading } from "../../ui/Heading";
import { Failed, Loading } from "../../ui/Notice";
import { isOut } from "../../ui/Waiting";
import { whenInWords } from "../../ui/when";

/** What would be sent: this house has no mail server, so letters wait here to be handed on. */
export function LettersPage() {
  const letters = useQuery({ queryKey: ["letters"], queryFn: () => unwrap(api.GET("/api/mail")) });
  if (isOut(letters))
    return <Failed problem={problemOf(letters.error)} retry={() => void letters.refetch()} />;
  if (!letters.data) return <Loading what="Looking for letters" />;
  return (
    <main className="max-w-3xl px-5 pt-4 pb-10">
      <Heading>Letters</Heading>
      <p className="mt-1 text-quiet">
        Nothing is sent from here: this mailbox stands in for a mail server and keeps letters for thirty days.
        Hand them on yourself.{" "}
        <Link className="link" to="/gym">
          Back to the gym
        </Link>
      </p>
      {letters.data.length === 0 && (
        <p className="mt-4">No letters. One is written when you invite somebody and say where it goes.</p>
      )}
      <ul className="mt-4 space-y-4">
        {letters.data.map((letter) => (
          <li key={letter.id} className="border-l-4 border-rule bg-lane px-3 py-2">
            <p className="flex flex-wrap gap-x-4">
              <span className="font-semibold">{letter.subject}</span>
              <span className="text-quiet">
                to {letter.address}, {whenInWords(letter.at)}
              </span>
            </p>
            <p className="mt-1 break-words whitespace-pre-wrap">{letter.body}</p>
          </li>
        ))}
      </ul>
    </main>
  );
}
