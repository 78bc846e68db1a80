import { Link } from "@inertiajs/react"
import { DropdownMenu } from "radix-ui"
import { useState } from "react"
import { KeepPanel } from "@/book/KeepSchedule"
import type { Picture } from "@/drawing/save/files"
import { SaveItems } from "@/drawing/save/SaveMenu"
import { useRunsShop } from "@/lib/me"
import { usePaper } from "@/lib/paper"
import { PiecePhotos } from "@/photo/PiecePhotos"
import { HouseRules } from "./HouseRules"
import { PastWork } from "./PastWork"
import { RemovePiece } from "./RemovePiece"
import type { useSheet } from "./useSheet"

type Recipe = { id: number; name: string; number: number; newest: number }

type Props = {
  state: ReturnType<typeof useSheet>
  house: Record<string, string>
  /** The drawing, where it is shown. */
  picture: Picture | null
  onHistory: () => void
}

/** What is looked up now and then around a schedule, in one menu. */
export function HeadMenu({ state, house, picture, onHistory }: Props) {
  const { piece, sheet, schedule } = state
  const [panel, setPanel] = useState<"rules" | "photos" | "keep" | "past" | "remove" | null>(null)
  const paper = usePaper()
  const runsShop = useRunsShop()
  const logged = schedule.logged
  const leave = (open: boolean) => !open && setPanel(null)
  return (
    <>
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger className="ui-button">More</DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content className="ui-menu" align="end" sideOffset={4}>
            <DropdownMenu.Item className="menu-item" onSelect={() => setPanel("rules")}>
              House rules
            </DropdownMenu.Item>
            {runsShop && <Place to={`/pieces/${piece.id}/ways`}>Another way for this piece</Place>}
            <Place to={`/pieces/compare?piece=${piece.id}`}>Compare schedules</Place>
            {runsShop && <Place to={`/pieces/${piece.id}/quote`}>Quote: hours, material, price</Place>}
            <Place to={`/pieces/${piece.id}/handover`}>Handover and care</Place>
            {sheet.rows.length > 0 && runsShop && (
              <DropdownMenu.Item className="menu-item" onSelect={() => setPanel("keep")}>
                Keep it in the recipe book
              </DropdownMenu.Item>
            )}
            {runsShop && <Place to={`/pieces/book?piece=${piece.id}`}>From the recipe book</Place>}
            {schedule.recipe && runsShop && (
              <Place to={`/pieces/book?piece=${piece.id}&recipe=${schedule.recipe.id}`}>
                {cameFrom(schedule.recipe)}
              </Place>
            )}
            {schedule.origin && (
              <Place to={`/boards/${schedule.origin.board_id}`}>
                {`From cell ${schedule.origin.label} of ${schedule.origin.board}`}
              </Place>
            )}
            {sheet.rows.some(({ status }) => status === "planned") && runsShop && (
              <DropdownMenu.Item className="menu-item" onSelect={() => setPanel("past")}>
                Log past work
              </DropdownMenu.Item>
            )}
            {sheet.rows.length > 0 && runsShop && <Place to={`/pieces/${piece.id}/class`}>Give it to a class</Place>}
            {runsShop && <Place to="/pieces/plan">Shop plan</Place>}
            {runsShop && <Place to={`/pieces/${piece.id}/edit`}>Piece: faces, count, date asked for</Place>}
            <DropdownMenu.Item className="menu-item" onSelect={() => setPanel("photos")}>
              Photos
            </DropdownMenu.Item>
            <DropdownMenu.Item className="menu-item" onSelect={onHistory}>
              History <kbd>H</kbd>
            </DropdownMenu.Item>
            {picture && <SaveItems picture={picture} />}
            {sheet.rows.length > 0 && (
              <DropdownMenu.Item className="menu-item" asChild>
                <a href={paper(`/pieces/${piece.id}/schedule/sheet`)} target="_blank" rel="noreferrer">
                  Sheet for the bench, on paper
                </a>
              </DropdownMenu.Item>
            )}
            <DropdownMenu.Item className="menu-item" asChild>
              <a href={`/pieces/${piece.id}/schedule/file`} download>
                As a file, for another shop
              </a>
            </DropdownMenu.Item>
            <DropdownMenu.Item className="menu-item" onSelect={() => setTimeout(() => window.print())}>
              Print the page
            </DropdownMenu.Item>
            {runsShop && (
              <DropdownMenu.Item className="menu-item" onSelect={() => setPanel("remove")}>
                {logged ? "Archive piece" : "Delete piece"}
              </DropdownMenu.Item>
            )}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <HouseRules
        document={sheet.document}
        house={house}
        support={sheet.support}
        onEdit={state.edit}
        open={panel === "rules"}
        onOpenChange={leave}
      />
      {panel === "keep" && (
        <KeepPanel
          what={{ piece: piece.id }}
          recipes={schedule.recipe ? [schedule.recipe] : []}
          name={schedule.recipe ? "" : piece.name}
          onClose={() => setPanel(null)}
        />
      )}
      {panel === "past" && <PastWork piece={piece} sheet={sheet} onClose={() => setPanel(null)} />}
      {panel === "remove" && <RemovePiece piece={piece} logged={logged} onClose={() => setPanel(null)} />}
      {panel === "photos" && <PiecePhotos piece={piece.id} onOpenChange={leave} />}
    </>
  )
}

const cameFrom = ({ name, number, newest }: Recipe) =>
  newest > number
    ? `Version ${newest} of ${name} (this is ${number}): what it changes`
    : `By ${name}, version ${number}`

function Place({ to, children }: { to: string; children: string }) {
  return (
    <DropdownMenu.Item className="menu-item" asChild>
      <Link href={to}>{children}</Link>
    </DropdownMenu.Item>
  )
}
