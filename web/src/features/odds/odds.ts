import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { api, unwrap, type Schemas } from "../../api/client";
import { useSetting, type Setting } from "./setting";

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

const SETTLED_AFTER = 250;

/** The setting once it has stopped moving; what is dear to compute waits for that. */
function useSettledSetting(): Setting {
  const [setting] = useSetting();
  const [settled, setSettled] = useState(setting);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(setting), SETTLED_AFTER);
    return () => clearTimeout(timer);
  }, [setting]);
  return settled;
}

/** What everything hangs on: the map without each reaction in turn. */
export function useGates(map: Schemas["Map"] | undefined) {
  const setting = useSettledSetting();
  return useQuery({
    queryKey: ["gates", map?.id, map?.revision, setting],
    enabled: map !== undefined,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) =>
      unwrap(
        api.GET("/api/maps/{mapId}/odds/gates", {
          params: { path: { mapId: map!.id }, query: { ...setting } },
          signal,
        }),
      ),
  });
}

/** The map's weaknesses, those that cost most first. */
export function useReview(map: Schemas["Map"] | undefined) {
  const setting = useSettledSetting();
  return useQuery({
    queryKey: ["review", map?.id, map?.revision, setting],
    enabled: map !== undefined,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) =>
      unwrap(
        api.GET("/api/maps/{mapId}/review", {
          params: { path: { mapId: map!.id }, query: { ...setting } },
          signal,
        }),
      ),
  });
}

/** What a late start costs. */
export function useLateCurve(map: Schemas["Map"] | undefined) {
  const setting = useSettledSetting();
  return useQuery({
    queryKey: ["late", map?.id, map?.revision, setting],
    enabled: map !== undefined,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) =>
      unwrap(
        api.GET("/api/maps/{mapId}/odds/late", {
          params: { path: { mapId: map!.id }, query: { ...setting } },
          signal,
        }),
      ),
  });
}

/** Where a reaction's worth comes from and where it is lost. */
export function useExplanation(map: Schemas["Map"], reaction: string | undefined) {
  const [setting] = useSetting();
  return useQuery({
    queryKey: ["explanation", map.id, map.revision, setting, reaction],
    enabled: reaction !== undefined,
    queryFn: ({ signal }) =>
      unwrap(
        api.GET("/api/maps/{mapId}/odds/explanation", {
          params: { path: { mapId: map.id }, query: { ...setting, reaction: reaction! } },
          signal,
        }),
      ),
  });
}
