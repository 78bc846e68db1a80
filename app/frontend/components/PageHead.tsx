import type { ReactNode } from "react"

type Props = { title: ReactNode; facts?: ReactNode; children?: ReactNode }

/** The head of a page: its name, a line of facts, and at the right what it comes to or what can be done with it. */
export function PageHead({ title, facts, children }: Props) {
  return (
    <header className="page-head">
      <div>
        <h1 className="text-title">{title}</h1>
        {facts && <p className="text-second">{facts}</p>}
      </div>
      {children}
    </header>
  )
}
