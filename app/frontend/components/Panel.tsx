import { Dialog } from "radix-ui"
import type { ReactNode } from "react"

type Props = {
  title: string
  open?: boolean
  onOpenChange?: (open: boolean) => void
  trigger?: ReactNode
  action?: ReactNode
  leave?: string
  /** As wide as the screen lets it be: pictures. */
  wide?: boolean
  children: ReactNode
}

/** A lit panel over the page: title, content, the one action beside the way out. Escape leaves it. */
export function Panel({ title, open, onOpenChange, trigger, action, leave = "Close", wide, children }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      {trigger}
      <Dialog.Portal>
        <Dialog.Overlay className="dialog-shade" />
        <Dialog.Content className="ui-dialog" data-wide={wide || undefined} aria-describedby={undefined}>
          <Dialog.Title className="panel-title">{title}</Dialog.Title>
          {children}
          <div className="mt-5 flex gap-3">
            {action}
            <Dialog.Close className="ui-button self-center">{leave}</Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
