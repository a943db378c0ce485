import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

/** A slip of paper that comes in from the right: forms, and what lies behind a number. */
export function Slip({
  open,
  onClose,
  title,
  children,
  wide = false,
}: {
  open: boolean;
  onClose: () => void;
  title: string;
  children: ReactNode;
  wide?: boolean;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-ink/25" />
        <Dialog.Content
          aria-describedby={undefined}
          className={`slip fixed inset-y-0 right-0 z-30 flex w-full flex-col border-l border-rule bg-sheet shadow-xl ${wide ? 'sm:w-[46rem]' : 'sm:w-[31rem]'}`}
        >
          <header className="flex items-center justify-between gap-4 border-b border-rule px-5 py-3">
            <Dialog.Title className="text-lg font-semibold">{title}</Dialog.Title>
            <Dialog.Close className="min-h-9 min-w-9 cursor-pointer rounded-sm px-2 text-sm font-semibold text-blue hover:bg-wash">
              Close
            </Dialog.Close>
          </header>
          <div className="flex-1 overflow-y-auto px-5 py-4">{children}</div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
