import { Tabs as Radix } from "radix-ui"
import type { ReactNode } from "react"

export type Tab = { id: string; label: string; count?: number; content: ReactNode }
type Props = {
  /** What the tabs are of, for those who do not see it. */
  label: string
  tabs: Tab[]
  tab: string
  onTab: (id: string) => void
  /** Stands before the tabs, on their line. */
  head?: ReactNode
}

/** Several views of one thing in one place; arrows walk them, and what is not shown is not drawn. */
export function Tabs({ label, tabs, tab, onTab, head }: Props) {
  const shown = tabs.some(({ id }) => id === tab) ? tab : (tabs[0]?.id ?? "")
  return (
    <Radix.Root value={shown} onValueChange={onTab}>
      <div className="tab-line">
        {head}
        <Radix.List className="tab-list" aria-label={label}>
          {tabs.map(({ id, label: words, count }) => (
            <Radix.Trigger key={id} value={id} className="tab">
              {words}
              {count ? <b>{count}</b> : null}
            </Radix.Trigger>
          ))}
        </Radix.List>
      </div>
      {tabs.map(({ id, content }) => (
        <Radix.Content key={id} value={id} className="tab-content">
          {content}
        </Radix.Content>
      ))}
    </Radix.Root>
  )
}
