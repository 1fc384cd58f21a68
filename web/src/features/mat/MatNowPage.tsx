import { Navigate } from "react-router";
import { together, Waiting } from "../../ui/Waiting";
import { isoDay } from "../../ui/days";
import { nearest, useClasses } from "../lesson";
import { paths, useMap } from "../map";

/** The way to the mat: the class of today, or the next one; where there is none, to plan one. */
export function MatNowPage() {
  const map = useMap();
  const classes = useClasses(map.data?.id);
  const ready = together({ map, classes });
  if (!ready.data) return <Waiting what="Looking up the class" on={ready} />;
  const mapId = ready.data.map.id;
  const next = nearest(ready.data.classes, isoDay(new Date()));
  return <Navigate to={next ? paths.mat(mapId, next.id) : paths.tonight(mapId)} replace />;
}
