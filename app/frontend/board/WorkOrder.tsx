import type { BoardWork } from "./useBoard"

/** The cells as one piece of work: each pass over all cells that want it, what is covered meanwhile, and what to mix. */
export function WorkOrder({ work }: { work: BoardWork }) {
  return (
    <details className="rule mt-4 pt-2">
      <summary className="head cursor-pointer">Order of work, {work.passes.length} passes</summary>
      <ol className="work-order">
        {work.passes.map((pass, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: passes have no identity but their place
          <li key={index}>
            <b>{pass.words}</b>
            <span>on {pass.cells.join(", ")}</span>
            {pass.masked.length > 0 && <span className="sub small">cover {pass.masked.join(", ")}</span>}
          </li>
        ))}
      </ol>
      <p className="sub mt-2">
        To have ready: {work.amounts.map((amount) => `${amount.name} ${amount.ml} ml`).join(", ")}. Tape is moved {work.mask_moves} times.
      </p>
    </details>
  )
}
