import { useQuery } from "@tanstack/react-query";
import { useCallback, useEffect, useState, type ReactNode } from "react";
import { api, isForLater, problemOf, unwrap, type Schemas } from "../../api/client";
import { Door } from "../../ui/Door";
import { Heading } from "../../ui/Heading";
import { Refused } from "../../ui/Notice";
import { useTheme } from "../../ui/theme";
import { useToken } from "../../ui/token";
import { together, Waiting } from "../../ui/Waiting";
import { canSpeak } from "../../ui/voice";
import { useSession } from "../session";
import { useAwake } from "./awake";
import { Clicker } from "./Clicker";
import { Feeder } from "./Feeder";
import { Show } from "./Show";
import { unlockSound, useSounds } from "./sounds";
import { clickOf, useMat } from "./useMat";

type Screen = Schemas["Screen"];

const TITLES: Record<Screen["kind"], string> = {
  screen: "Screen",
  clicker: "Clicker",
  feeder: "For the feeder",
};

/** A class as somebody without a sign-in follows it, by a link. What opens it stands behind the sign in the address. */
export function ScreenPage() {
  const token = useToken();
  const session = useSession();
  const screen = useQuery({
    queryKey: ["screen", token],
    queryFn: () => unwrap(api.POST("/api/screens/look", { body: { token } })),
    // What is sent is sent with the sign that asking for the session brings.
    enabled: session.data !== undefined && token !== "",
    retry: false,
    staleTime: Infinity,
  });
  const { refetch } = screen;
  const again = useCallback(() => void refetch(), [refetch]);
  const refused = screen.isError && !isForLater(screen.error);
  if (screen.data) return <Followed screen={screen.data} token={token} onMore={again} />;
  if (token !== "" && !refused)
    return <Waiting what="Looking up the class" on={together({ session, screen })} />;
  return (
    <Dark>
      {refused ? (
        <Refused problem={problemOf(screen.error)} />
      ) : (
        <p>The link is cut off: what opens the class stands behind the sign # in it. Copy all of it.</p>
      )}
    </Dark>
  );
}

function Dark({ children }: { children: ReactNode }) {
  return (
    <Door>
      <div className="w-full max-w-sm space-y-5 bg-ground p-6">
        <Heading size="door">Narrow Gate</Heading>
        {children}
      </div>
    </Door>
  );
}

function Followed({ screen, token, onMore }: { screen: Screen; token: string; onMore: () => void }) {
  const held = useMat(screen.mat, {
    events: "/api/screens/events",
    body: { token },
    send: clickOf(token),
  });
  const [theme, toggleTheme] = useTheme();
  const [sound, setSound] = useState(false);
  const [voice, setVoice] = useState(false);
  const { mat } = held;
  useAwake(held.gone === undefined);
  useSounds(mat, sound, voice);
  // What was put in has pictures that did not come with the first look.
  const lacks = mat.parts.some(
    (part) => part.inserted && !screen.mat.parts.some((one) => one.unit === part.unit),
  );
  useEffect(() => {
    if (lacks) onMore();
  }, [lacks, onMore]);
  if (held.gone === "withdrawn")
    return (
      <Dark>
        <p>This link has been withdrawn, or it is too old. Ask whoever teaches for a new one.</p>
      </Dark>
    );
  if (held.gone === "off")
    return (
      <Dark>
        <p>The class is not on the mat any more.</p>
      </Dark>
    );
  const key = "min-h-12 px-3 underline underline-offset-3";
  return (
    <main className="fixed inset-0 flex flex-col bg-ground">
      <Heading size="unseen">
        {TITLES[screen.kind]}: {mat.title}
      </Heading>
      <div className="min-h-0 flex-1">
        {screen.kind === "screen" && <Show mat={mat} pictures={screen.pictures} />}
        {screen.kind === "clicker" && <Clicker mat={mat} steer={held.steer} problem={held.problem} />}
        {screen.kind === "feeder" && <Feeder mat={mat} pictures={screen.pictures} />}
      </div>
      <footer className="flex flex-wrap items-center gap-x-2 px-3 text-quiet">
        <p className="mr-auto py-1" role="status">
          {held.isConnected ? mat.gym : "No connection; the clock goes on here."}
        </p>
        {screen.kind === "screen" && (
          <button
            type="button"
            className={key}
            onClick={() => {
              unlockSound();
              setSound(!sound);
            }}
          >
            {sound ? "Sounds off" : "Sounds on"}
          </button>
        )}
        {screen.kind === "screen" && canSpeak() && (
          <button type="button" className={key} onClick={() => setVoice(!voice)}>
            {voice ? "Voice off" : "Speak the calls"}
          </button>
        )}
        <button type="button" className={key} onClick={toggleTheme}>
          {theme === "dark" ? "Bright hall" : "Dark room"}
        </button>
      </footer>
    </main>
  );
}
