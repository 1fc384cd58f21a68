import { Dialog } from "radix-ui";
import { problemOf } from "../../api/client";
import { QUEUE, queued } from "../../queue";
import { countKept } from "../../ui/kept";
import { Refused } from "../../ui/Notice";
import { Panel } from "../../ui/Panel";
import { useSignOut } from "./session";

/**
 * Signs out; where something typed is only on this device, first asks whether it stays there. It also stands where signing out
 * did not get through.
 *
 * @param asking whether the question is open
 */
export function SignOut({ asking, setAsking }: { asking: boolean; setAsking: (asking: boolean) => void }) {
  const signOut = useSignOut();
  const count = asking ? countHere() : 0;
  return (
    <Panel
      title="Sign out"
      open={asking}
      onOpenChange={setAsking}
      className="top-0 p-4 sm:top-[12vh] sm:w-[560px]"
    >
      {count === 0 ? (
        <p className="mt-2">
          You are still signed in: that ends only where there is a network. Nothing of the gym that was kept
          is left on this device.
        </p>
      ) : (
        <p className="mt-2">
          {count === 1 ? "One thing you typed is" : `${count} things you typed are`} not stored yet and only
          on this device. Nobody else who signs in is shown {count === 1 ? "it" : "them"}; on a device that
          others use, throw {count === 1 ? "it" : "them"} away all the same.
        </p>
      )}
      {signOut.isError && <Refused problem={problemOf(signOut.error)} />}
      <div className="mt-4 flex flex-wrap items-center gap-x-5 gap-y-2">
        <button
          type="button"
          className="plate"
          disabled={signOut.isPending}
          onClick={() => signOut.mutate({ wipe: false })}
        >
          {count === 0 ? "Sign out" : `Keep ${count === 1 ? "it" : "them"} here and sign out`}
        </button>
        {count > 0 && (
          <button
            type="button"
            className="word"
            disabled={signOut.isPending}
            onClick={() => signOut.mutate({ wipe: true })}
          >
            Throw {count === 1 ? "it" : "them"} away and sign out
          </button>
        )}
        <Dialog.Close className="word">Stay</Dialog.Close>
      </div>
    </Panel>
  );
}

/** How much is on this device alone: what is being typed, and what waits to be sent. */
const countHere = (): number => countKept(QUEUE) + queued().length;

/** Signs out at once, or opens the question; where it cannot be done now, what says so. */
export function useLeave(ask: () => void): () => void {
  const signOut = useSignOut();
  return () => {
    if (countHere() > 0) ask();
    else signOut.mutate({ wipe: false }, { onError: ask });
  };
}
