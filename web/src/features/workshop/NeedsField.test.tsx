import { render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Schemas } from "../../api/client";
import { FIELDS } from "./fields";
import { FieldInput } from "./FieldInput";

const map = {
  situations: [
    { id: "low", title: "Low mount" },
    { id: "flat", title: "Flat" },
  ],
  techniques: [
    { id: "frame", title: "Frame" },
    { id: "bridge", title: "Bridge" },
  ],
  reactions: [
    { id: "flat-frame", from: "flat", technique: "frame", responses: [] },
    { id: "low-bridge", from: "low", technique: "bridge", responses: [] },
  ],
  outcomes: [],
} as unknown as Schemas["Map"];

const field = FIELDS.holds.find((f) => f.name === "needs")!;
const typed = vi.fn();

function Field({ begin, errors = {} }: { begin?: unknown; errors?: Record<string, string> }) {
  const [value, setValue] = useState(begin);
  return (
    <FieldInput
      map={map}
      field={field}
      place="/needs"
      value={value}
      errors={new Map(Object.entries(errors))}
      make={() => ""}
      made={[]}
      part={{ at: ["low"] }}
      onChange={(next) => {
        setValue(next);
        typed(next);
      }}
    />
  );
}

beforeEach(() => void typed.mockClear());

describe("what a pin or a finish needs, as it is edited", () => {
  it("keeps the number's box while the number is written anew, and says nothing when nobody has", async () => {
    render(<Field begin={{ all: [{ id: "seat", title: "Seat low", likely: 0.7 }] }} />);
    const number = screen.getByLabelText("How likely they get it, as a number");
    await userEvent.clear(number);
    await userEvent.type(screen.getByLabelText("How likely they get it, as a number"), "0.4");
    expect(typed).toHaveBeenLastCalledWith({ all: [expect.objectContaining({ likely: 0.4 })] });
    await userEvent.selectOptions(screen.getByLabelText("How likely they get it"), "nobody has said");
    expect(typed).toHaveBeenLastCalledWith({ all: [expect.objectContaining({ likely: undefined })] });
    expect(screen.queryByLabelText("How likely they get it, as a number")).toBeNull();
  });

  it("opens what is folded where something in it is wrong", () => {
    render(
      <Field
        begin={{ all: [{ id: "seat", title: "Seat low", openings: [{ fault: "Seat high" }] }] }}
        errors={{ "/needs/all/0/openings/0/leaves": "“leaves” is missing." }}
      />,
    );
    expect(screen.getByText("“leaves” is missing.")).toBeVisible();
  });

  it("begins empty and grows need by need and group by group", async () => {
    render(<Field />);
    await userEvent.click(screen.getByRole("button", { name: "Add a need" }));
    await userEvent.type(screen.getByLabelText("They need"), "Seat low");
    await userEvent.click(screen.getByRole("button", { name: "Add a group" }));
    const group = within(screen.getByRole("group", { name: "A group of needs" }));
    await userEvent.type(group.getAllByLabelText("They need")[1]!, "Hand free");
    expect(typed).toHaveBeenLastCalledWith({
      all: [{ work: 2, title: "Seat low" }, { any: [{ work: 2 }, { work: 2, title: "Hand free" }] }],
    });
    await userEvent.click(group.getByRole("button", { name: "Take this group out" }));
    expect(typed).toHaveBeenLastCalledWith({ all: [{ work: 2, title: "Seat low" }] });
    await userEvent.click(screen.getByRole("button", { name: "Take this need out" }));
    expect(typed).toHaveBeenLastCalledWith({ all: [] });
  });

  it("keeps each need's own figures when the one before it is taken out", async () => {
    render(
      <Field
        begin={{
          all: [
            { title: "Seat low", work: 1 },
            { title: "Head held", work: 4 },
          ],
        }}
      />,
    );
    await userEvent.click(screen.getAllByRole("button", { name: "Take this need out" })[0]!);
    expect(screen.getByLabelText("They need")).toHaveValue("Head held");
    expect(screen.getByRole("textbox", { name: /Work to take it away/ })).toHaveValue("4");
  });

  it("keeps the needs when it turns from all of them to any", async () => {
    render(<Field begin={{ id: "seat", title: "Seat low", work: 1 }} />);
    await userEvent.selectOptions(screen.getByLabelText("How these needs join"), "any");
    expect(typed).toHaveBeenLastCalledWith({ any: [{ id: "seat", title: "Seat low", work: 1 }] });
  });

  it("offers what is taught where the pin is on before everything else", async () => {
    render(<Field begin={{ all: [{ title: "Seat low", work: 1 }] }} />);
    const box = screen.getByRole("combobox", { name: "Add to: Taken away by" });
    await userEvent.click(box);
    const listed = within(screen.getByRole("listbox")).getAllByRole("option");
    expect(listed.map((o) => o.textContent)).toEqual(["Bridge in Low mount", "Frame in Flat"]);
    await userEvent.type(box, "bridge{Enter}");
    expect(typed).toHaveBeenLastCalledWith({ all: [{ title: "Seat low", work: 1, denied: ["low-bridge"] }] });
  });

  it("tells a fault at the need that has it", () => {
    const one = { title: "Seat low", work: 9 };
    render(
      <Field
        begin={{ all: [{ title: "Head held", work: 1 }, { any: [one] }] }}
        errors={{ "/needs/all/1/any/0/work": "It must lie between 1 and 5." }}
      />,
    );
    const alerts = screen.getAllByRole("alert");
    expect(alerts.map((a) => a.textContent)).toEqual(["It must lie between 1 and 5."]);
    const group = screen.getByRole("group", { name: "A group of needs" });
    expect(group).toContainElement(alerts[0]!);
  });

  it("tells a fault of the whole tree over it", () => {
    render(<Field begin={{ any: [{}] }} errors={{ "/needs": "There are too many ways." }} />);
    expect(screen.getByRole("alert")).toHaveTextContent("There are too many ways.");
  });
});
