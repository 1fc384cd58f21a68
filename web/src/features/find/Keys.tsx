import { Dialog } from "radix-ui";
import { useCommands, useKeysOn } from "../../ui/commands";
import { Panel } from "../../ui/Panel";
import { keyName } from "./keyName";

const ALWAYS: [string, string][] = [
  ["Ctrl K", "The box, also while typing"],
  ["Shift Enter", "In the box: keep the question"],
  ["1 … 9", "In a situation: open that answer"],
  ["Ctrl Z", "Undo the last change of the map"],
  ["Ctrl Shift Z", "Redo it"],
  ["↑ ↓ ← →", "On the map: from gate to gate"],
  ["Esc", "Close what is open"],
];

/** The keys that do something on this page. */
export function Keys({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const commands = useCommands().filter((c) => c.key);
  const [on, setOn] = useKeysOn();
  return (
    <Panel
      title="Keys on this page"
      open={open}
      onOpenChange={onOpenChange}
      className="top-1/2 max-h-dvh max-w-[34rem] -translate-y-1/2 space-y-4 overflow-y-auto p-5"
    >
      <dl className="grid grid-cols-[auto_minmax(0,1fr)] gap-x-4 gap-y-1.5">
        {[...commands.map((c) => [keyName(c.key!), c.title] as const), ...ALWAYS].map(([key, title]) => (
          <div key={key + title} className="col-span-2 grid grid-cols-subgrid items-baseline">
            <dt>
              <kbd className="key px-1.5 font-sans">{key}</kbd>
            </dt>
            <dd>{title}</dd>
          </div>
        ))}
      </dl>
      <label className="flex min-h-11 items-center gap-2 lg:min-h-0">
        <input
          type="checkbox"
          className="size-5 accent-ink"
          checked={on}
          onChange={(event) => setOn(event.target.checked)}
        />
        Single keys do something
      </label>
      <Dialog.Close className="plate">Close</Dialog.Close>
    </Panel>
  );
}
