import { Dialog } from "radix-ui";
import type { ReactNode } from "react";
import { useFocusBack } from "./focusBack";

/** Something that opens over the page and is closed by Escape; the focus goes in and comes back. */
export function Panel({
  title,
  hidden = false,
  open,
  onOpenChange,
  className,
  children,
}: {
  title: string;
  /** The title is there for a screen reader only. */
  hidden?: boolean;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  className: string;
  children: ReactNode;
}) {
  const focusBack = useFocusBack();
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-[#000]/60" />
        <Dialog.Content
          {...focusBack}
          aria-describedby={undefined}
          className={`fixed left-1/2 z-30 w-full -translate-x-1/2 border-2 border-ink bg-ground ${className}`}
        >
          <Dialog.Title className={hidden ? "sr-only" : "text-[22px]"} style={{ fontStretch: "82%" }}>
            {title}
          </Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
