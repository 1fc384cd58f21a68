import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { expect, it } from "vitest";
import { FieldInput } from "./FieldInput";
import type { Field } from "./field";
import { aMap } from "../../test/aMap";

const map = aMap({ situations: [], outcomes: [] });
const field = {
  kind: "rows",
  name: "links",
  label: "Links",
  one: "link",
  fields: [
    { kind: "text", name: "title", label: "Title", most: 90 },
    { kind: "number", name: "seconds", label: "Seconds" },
    { kind: "texts", name: "lines", label: "Lines" },
  ],
} as unknown as Field;

function Rows() {
  const [value, setValue] = useState<unknown>([
    { title: "First", seconds: 1, lines: ["one"] },
    { title: "Second", seconds: 2, lines: ["two"] },
  ]);
  return (
    <FieldInput
      map={map}
      field={field}
      place="/links"
      value={value}
      errors={new Map()}
      make={() => ""}
      made={[]}
      part={{}}
      onChange={setValue}
    />
  );
}

it("shows the second row with its own figures once the first is taken out", async () => {
  render(<Rows />);
  const seconds = screen.getAllByLabelText("Seconds");
  await userEvent.clear(seconds[1]!);
  await userEvent.type(seconds[1]!, "2,");
  await userEvent.click(screen.getAllByRole("button", { name: "Take this link out" })[0]!);
  expect(screen.getByLabelText("Title")).toHaveValue("Second");
  expect(screen.getByLabelText("Seconds"), "as it is being typed").toHaveValue("2,");
  expect(screen.getByLabelText("Lines")).toHaveValue("two");

  await userEvent.click(screen.getByRole("button", { name: "Put it back" }));
  expect(screen.getAllByLabelText("Title").map((box) => (box as HTMLInputElement).value)).toEqual([
    "First",
    "Second",
  ]);
  expect(screen.getAllByLabelText("Seconds")[1], "still as it is being typed").toHaveValue("2,");
  expect(screen.queryByRole("button", { name: "Put it back" })).toBeNull();
});
