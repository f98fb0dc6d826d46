"use client";

import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import type { ReactNode } from "react";

/** A sheet of paper over the screen: a title, what it says, and its buttons. */
export function Modal({
  open,
  onOpenChange,
  title,
  says,
  wide,
  children,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  says?: string;
  /** For a form with its answer beside it. */
  wide?: boolean;
  children: ReactNode;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <Dialog.Content
          aria-describedby={says === undefined ? undefined : "modal-says"}
          className={`card fixed right-0 bottom-0 left-0 z-50 max-h-[88dvh] overflow-y-auto p-5 shadow-2xl md:top-1/2 md:right-auto md:bottom-auto md:left-1/2 ${wide ? "md:w-[min(1100px,96vw)]" : "md:w-[min(560px,94vw)]"} md:-translate-x-1/2 md:-translate-y-1/2`}
        >
          {wide && (
            <Dialog.Close className="btn btn-quiet float-right ml-3 min-w-11 px-3" aria-label="Close">
              <X size={22} aria-hidden />
            </Dialog.Close>
          )}
          <Dialog.Title className="font-bold text-head leading-tight">{title}</Dialog.Title>
          {says !== undefined && (
            <Dialog.Description id="modal-says" className="mt-1 text-soft">
              {says}
            </Dialog.Description>
          )}
          <div className="mt-4 flex flex-col gap-3">{children}</div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
