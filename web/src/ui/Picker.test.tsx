import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it, vi } from "vitest";
import { Panel } from "./Panel";
import { Picker } from "./Picker";

const CHOICES = [
  { id: "half", title: "Half guard", detail: "Guard regained" },
  { id: "open", title: "Open guard", detail: "Guard regained" },
  { id: "low", title: "Low mount", detail: "Mount" },
];

function show(props: Partial<Parameters<typeof Picker>[0]> = {}) {
  const onChange = vi.fn();
  const onNew = vi.fn();
  render(
    <>
      <Picker label="Place" value="" choices={CHOICES} onChange={onChange} onNew={onNew} {...props} />
      <button>next</button>
    </>,
  );
  return { onChange, onNew, box: screen.getByRole("combobox", { name: "Place" }), user: userEvent.setup() };
}

const options = () => screen.queryAllByRole("option").map((o) => o.textContent);

describe("picking by a few letters", () => {
  it("offers what fits and takes the first with Enter or Tab", async () => {
    const { onChange, box, user } = show();
    await user.type(box, "open");
    expect(options()).toEqual(["Open guard Guard regained", "New: “open”"]);
    await user.keyboard("{Enter}");
    expect(onChange).toHaveBeenLastCalledWith("open");
    expect(options()).toEqual([]);
    await user.type(box, "low");
    await user.tab();
    expect(onChange).toHaveBeenLastCalledWith("low");
    expect(screen.getByRole("button")).toHaveFocus();
  });

  it("walks with the arrows, in a circle, and says which one is chosen", async () => {
    const { onChange, box, user } = show({ onNew: undefined });
    await user.type(box, "guard");
    await user.keyboard("{ArrowUp}");
    expect(box).toHaveAttribute("aria-activedescendant", screen.getAllByRole("option").at(-1)!.id);
    await user.keyboard("{ArrowDown}{ArrowDown}{Enter}");
    expect(onChange).toHaveBeenCalledWith("open");
  });

  it("makes something new of what is not there, but not a second one of the same name", async () => {
    const { onNew, box, user } = show();
    await user.type(box, "Crab ride{Enter}");
    expect(onNew).toHaveBeenCalledWith("Crab ride");
    await user.clear(box);
    await user.type(box, "half GUARD");
    expect(options()).toEqual(["Half guard Guard regained"]);
  });

  it("keeps what was typed when a panel comes up by itself, and goes on with it when the panel goes", async () => {
    const { onChange, box, user } = show();
    await user.type(box, "lo");
    const panel = (open: boolean) => (
      <Panel open={open} onOpenChange={() => {}} title="Sign in again" className="">
        <input aria-label="password" />
      </Panel>
    );
    const { rerender } = render(panel(true));
    expect(screen.getByLabelText("password")).toHaveFocus();
    rerender(panel(false));
    await waitFor(() => expect(box).toHaveFocus());
    expect(box).toHaveValue("lo");
    await user.keyboard("w{Enter}");
    expect(box).not.toHaveValue("lo");
    expect(onChange).toHaveBeenCalledExactlyOnceWith("low");
  });

  it("changes nothing when it is left or closed, or passed by Tab", async () => {
    const { onChange, onNew, box, user } = show({ value: "low" });
    await user.tab();
    await user.tab();
    await user.type(box, "half{Escape}");
    expect(box).toHaveValue("Low mount");
    await user.type(box, "half");
    await user.click(screen.getByRole("button"));
    expect(box).toHaveValue("Low mount");
    expect(onChange).not.toHaveBeenCalled();
    expect(onNew).not.toHaveBeenCalled();
  });

  it("takes what is typed wherever the pointer comes and goes", async () => {
    const { onChange, box, user } = show();
    await user.type(box, "low");
    await user.hover(screen.getAllByRole("option")[1]!);
    await user.unhover(screen.getByRole("listbox"));
    await user.hover(screen.getByRole("button"));
    await user.keyboard("{ArrowUp}");
    await user.tab();
    expect(onChange).toHaveBeenCalledExactlyOnceWith("low");
  });

  it("can pick nothing where that means something", async () => {
    const { onChange, box, user } = show({ value: "low", none: "no answer yet" });
    await user.click(box);
    await user.click(screen.getByRole("option", { name: "no answer yet" }));
    expect(onChange).toHaveBeenCalledWith("");
  });
});
