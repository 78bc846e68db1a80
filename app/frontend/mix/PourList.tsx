import { Tick } from "@/components/Marks"
import { mass, roughMass, type System, volume } from "@/lib/units"
import type { Pot, Pour } from "@/types"

type Props = { pot: Pot; current: Pour | null; system: System; onChoose: (name: string) => void }

/** The pour sheet: in order, what goes in, what is in, and the share it really has. */
export function PourList({ pot, current, system, onChoose }: Props) {
  return (
    <ol className="pour-list" aria-label="Pour sheet">
      {pot.pours.map((pour, index) => (
        <li key={pour.name} data-state={pour === current ? "on" : pour.state}>
          <button
            type="button"
            disabled={pot.closed || pour.state === "done"}
            aria-current={pour === current ? "step" : undefined}
            onClick={() => onChoose(pour.name)}
          >
            <span className="pour-number">{pour.state === "done" ? <Tick /> : index + 1}</span>
            <span className="min-w-0">
              <b>{pour.name}</b>
              <span className="text-second text-fine block">
                {pour.share}
                {pour.accepted !== null
                  ? `, ${pour.accepted} in the pot: inside its range`
                  : pour.real !== null && index > 0
                    ? `, ${pour.real} in the pot`
                    : ""}
                {pour.estimate ? ", density est." : ""}
              </span>
              {pour.shelf_g !== null && pour.shelf_g < pour.add_g && (
                <span className="caution-text text-fine block">{roughMass(pour.shelf_g, system)} on the shelf</span>
              )}
            </span>
            <span className="pour-figures">
              <b>{mass(pour.g, system, pot.resolution_g)}</b>
              <span className="text-second text-fine block">
                {pour.state === "short"
                  ? `${mass(pour.add_g, system, pot.resolution_g)} more`
                  : volume(pour.ml, system)}
              </span>
            </span>
          </button>
        </li>
      ))}
      <li className="pour-total">
        <span>In all{pot.factor > 1 ? `, ${Math.round((pot.factor - 1) * 100)} % more than planned` : ""}</span>
        <b>
          {mass(pot.total_g, system, pot.resolution_g)} · {volume(pot.total_ml, system)}
        </b>
      </li>
    </ol>
  )
}
