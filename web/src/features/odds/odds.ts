import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { api, unwrap, type Schemas } from "../../api/client";
import { useSetting } from "./setting";

export type OddsData = Schemas["Odds"];

/** The odds of a map under the setting in the address; they follow the map's revision. */
export function useOdds(map: Schemas["Map"] | undefined) {
  const [setting] = useSetting();
  const mapId = map?.id;
  return useQuery({
    queryKey: ["odds", mapId, map?.revision, setting],
    enabled: mapId !== undefined,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) =>
      unwrap(
        api.GET("/api/maps/{mapId}/odds", {
          params: { path: { mapId: mapId! }, query: { ...setting } },
          signal,
        }),
      ),
  });
}

export function useAim(map: Schemas["Map"] | undefined): Schemas["Aim"] | undefined {
  const [setting] = useSetting();
  return map?.aims.find((aim) => aim.id === setting.aim) ?? map?.aims[0];
}

const SHOWN_FOR = 4000;

/** The odds as they were before the present burst of changes; undefined again a few seconds after the last one. */
export function useWas(odds: OddsData | undefined): OddsData | undefined {
  const last = useRef<OddsData>(undefined);
  const [was, setWas] = useState<OddsData>();
  useEffect(() => {
    const previous = last.current;
    last.current = odds;
    if (!odds || !previous || odds === previous) return;
    setWas((kept) => kept ?? previous);
    const timer = setTimeout(() => setWas(undefined), SHOWN_FOR);
    return () => clearTimeout(timer);
  }, [odds]);
  return was;
}
