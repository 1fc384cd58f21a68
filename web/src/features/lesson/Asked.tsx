import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Picker } from "../../ui/Picker";
import { focusTitle, retitled, type Lesson } from "./lesson";
import { shapeOf, stretched, useShapes, useShapesFor } from "./shapes";
import { SHAPE_LABEL } from "./words";

const FAMILY = "family:";
const PLACE = "place:";
const KEPT = "kept:";

/** What the class is asked for, in one line: when, how long, about what, in which shape. */
export function Asked({
  map,
  lesson,
  may,
  change,
}: {
  map: Schemas["Map"];
  lesson: Lesson;
  may: boolean;
  change: (part: Partial<Lesson>) => void;
}) {
  const kept = useShapes(lesson.minutes).data ?? [];
  const own = shapeOf(lesson, kept);
  const shapesFor = useShapesFor();
  // A shape that is not the house's follows the length as those do.
  const last = async (minutes: number) => {
    const same = own && (await shapesFor(minutes))?.find((one) => one.id === own.id);
    change({
      minutes,
      shape: same ? same.spans : lesson.shape && stretched(lesson.shape, minutes / lesson.minutes),
    });
  };
  const aim = (id: string) =>
    change(
      retitled(map, lesson, {
        family: id.startsWith(FAMILY) ? id.slice(FAMILY.length) : null,
        place: id.startsWith(PLACE) ? id.slice(PLACE.length) : null,
        // What was left out or fixed of another focus is no matter of this one.
        fixed: lesson.fixed.filter((one) => !one.unit.includes(":")),
        out: [],
        term: lesson.term?.filter((unit) => unit.startsWith("recall:")),
      }),
    );
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
      <Field label="Day">
        <Committed
          type="date"
          label="Day"
          value={lesson.day}
          may={may}
          width="w-[9.5rem]"
          onCommit={(day) => /^\d{4}-\d{2}-\d{2}$/.test(day) && change(retitled(map, lesson, { day }))}
        />
      </Field>
      <Field label="From">
        <Committed
          type="time"
          label="From"
          value={lesson.starts}
          may={may}
          width="w-[7.75rem]"
          onCommit={(starts) => /^\d{2}:\d{2}$/.test(starts) && change({ starts })}
        />
      </Field>
      <Field label="Minutes">
        <Committed
          type="number"
          label="Minutes"
          min={20}
          max={180}
          step={5}
          value={String(lesson.minutes)}
          may={may}
          width="w-20"
          onCommit={(value) => value.trim() !== "" && void last(Math.round(Number(value)))}
        />
      </Field>
      <Field label="About" className="w-56">
        {may ? (
          <Picker
            label="About"
            value={lesson.family ? FAMILY + lesson.family : lesson.place ? PLACE + lesson.place : ""}
            none="everything"
            choices={[
              ...map.families.map((one) => ({ id: FAMILY + one.id, title: one.title })),
              ...map.situations
                .filter((one) => !map.families.some((family) => family.title === one.title))
                .map((one) => ({ id: PLACE + one.id, title: one.title })),
            ]}
            onChange={aim}
          />
        ) : (
          <p className="min-h-9 content-center font-semibold">{focusTitle(map, lesson) ?? "everything"}</p>
        )}
      </Field>
      <Field label="Shape">
        <select
          aria-label="Shape"
          className="box w-36"
          disabled={!may}
          value={lesson.usual ?? (own ? KEPT + own.id : "")}
          onChange={(event) => {
            const picked = kept.find((one) => KEPT + one.id === event.target.value);
            change(
              picked
                ? { usual: null, shape: picked.spans }
                : { usual: event.target.value as Lesson["usual"], shape: null },
            );
          }}
        >
          {Object.entries(SHAPE_LABEL).map(([code, title]) => (
            <option key={code} value={code}>
              {title}
            </option>
          ))}
          {kept.length > 0 && (
            <optgroup label="The gym’s">
              {kept.map((one) => (
                <option key={one.id} value={KEPT + one.id}>
                  {one.title}
                </option>
              ))}
            </optgroup>
          )}
          {!lesson.usual && !own && <option value="">Its own</option>}
        </select>
      </Field>
      <Field label="kg apart, live">
        <Committed
          type="number"
          label="Kilograms apart at most in live rounds"
          min={1}
          max={150}
          step={1}
          value={String(lesson.limit)}
          may={may}
          width="w-20"
          onCommit={(value) => value.trim() !== "" && change({ limit: Number(value) })}
        />
      </Field>
      <Field label="Left over">
        <select
          aria-label="Whoever is left over"
          className="box w-44"
          disabled={!may}
          value={lesson.odd}
          onChange={(event) => change({ odd: event.target.value as Lesson["odd"] })}
        >
          <option value="three">a group of three</option>
          <option value="rest">rests in turn</option>
        </select>
      </Field>
    </div>
  );
}

function Field({
  label,
  className = "",
  children,
}: {
  label: string;
  className?: string;
  children: React.ReactNode;
}) {
  return (
    <div className={className}>
      <p aria-hidden="true" className="text-[13.5px] text-quiet">
        {label}
      </p>
      {children}
    </div>
  );
}

/** A field whose value counts when it is left, or at Enter; one that is no value goes back to what there was. */
export function Committed({
  type,
  label,
  value,
  may,
  width,
  onCommit,
  ...bounds
}: {
  type: "date" | "time" | "number" | "text";
  label: string;
  value: string;
  may: boolean;
  width: string;
  onCommit: (value: string) => void;
  min?: number;
  max?: number;
  step?: number;
}) {
  const [typed, setTyped] = useState<string>();
  const commit = () => {
    if (typed !== undefined && typed !== value) onCommit(typed);
    setTyped(undefined);
  };
  return (
    <input
      {...bounds}
      type={type}
      aria-label={label}
      className={`box ${width}`}
      disabled={!may}
      value={typed ?? value}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === "Enter") commit();
        if (event.key === "Escape") setTyped(undefined);
      }}
    />
  );
}
