import { Link, router } from "@inertiajs/react"
import { ErrorText } from "@/components/ErrorText"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import type { BoardWork } from "@/types"

/**
 * The cells as one piece of work: each pass over all cells that want it, what is covered meanwhile, what to mix; and
 * the way to the bench.
 */
export function WorkOrder({ board, work }: { board: number; work: BoardWork }) {
  const { making } = work
  return (
    <details className="ruled mt-4 pt-2">
      <summary className="text-head target cursor-pointer">
        Order of work, {work.passes.length} {work.passes.length === 1 ? "pass" : "passes"}
        {making && (
          <span className="text-second text-fine">
            , {making.done === making.passes ? "all done" : `${making.done} of ${making.passes} done`}
          </span>
        )}
      </summary>
      <ol className="work-order">
        {work.passes.map((pass, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: passes have no identity but their place
          <li key={index}>
            <b>{pass.words}</b>
            <span>on {pass.cells}</span>
            {pass.masked && <span className="text-second text-fine">cover {pass.masked}</span>}
          </li>
        ))}
      </ol>
      <p className="text-second mt-2">
        To mix: {work.amounts.map((amount) => `${amount.name} ${amount.ml} ml`).join(", ")}. Tape is moved{" "}
        {work.mask_moves} times.
      </p>
      {making ? (
        <p className="mt-2">
          It is work of the shop:{" "}
          <Link href="/bench" className="underline underline-offset-2">
            at the bench
          </Link>
          ,{" "}
          <Link href={`/pieces/${making.piece_id}/schedule`} className="underline underline-offset-2">
            its schedule
          </Link>
          .
        </p>
      ) : (
        <ToTheBench board={board} />
      )}
    </details>
  )
}

function ToTheBench({ board }: { board: number }) {
  const { send, error } = useSend()
  const begin = () =>
    send(
      () => request<{ location: string }>("POST", `/boards/${board}/making`),
      ({ location }) => router.visit(location),
    )
  return (
    <div className="mt-2">
      <button type="button" className="ui-button" onClick={() => void begin()}>
        Put it on the bench, among the other work
      </button>
      <ErrorText reason={error} />
    </div>
  )
}
