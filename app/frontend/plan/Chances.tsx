import { duration, when } from "@/lib/time"
import type { Chance } from "@/types"

/**
 * Dates drawn from what is known of drying, weather and hands: in words; the picture shows them as dots on the clock.
 */
export function Chances({
  chances,
  name,
  zone,
}: {
  chances: Chance[] | null
  name: (id: string) => string
  zone: string
}) {
  if (!chances)
    return (
      <p className="text-second text-fine" role="status">
        Drawing dates
      </p>
    )
  return (
    <ul className="chance-list">
      {chances.map((chance) => (
        <li key={chance.piece}>
          <b>{name(chance.piece)}</b>
          <ChanceWords chance={chance} zone={zone} />
        </li>
      ))}
    </ul>
  )
}

/** The chance of one piece under its schedule. */
export function ChanceSaid({ chance, zone }: { chance: Chance; zone: string }) {
  return (
    <section aria-label="Chance of being ready">
      <p className="grid">
        <ChanceWords chance={chance} zone={zone} />
      </p>
    </section>
  )
}

function ChanceWords({ chance, zone }: { chance: Chance; zone: string }) {
  const [first, second] = chance.drivers
  return (
    <>
      <span className="text-fine">{says(chance, zone)}</span>
      {first && (
        <span className="text-fine text-second">
          Depends mostly on {first.words}
          {second ? ` and ${second.words}` : ""}.
        </span>
      )}
    </>
  )
}

function says(chance: Chance, zone: string) {
  const [early, middle, late] = chance.dates
  if (!early || !middle || !late) return "No date in most of the draws."
  const odds =
    chance.share === null
      ? ""
      : `${chance.share >= 0.995 ? "As good as sure" : chance.share <= 0.005 ? "Hardly a chance" : `${Math.round(chance.share * 20)} in 20`} by the date asked for. `
  return late - early < 60
    ? `${odds}${when(middle, zone)}, give or take ${duration(Math.max(late - middle, 1))}.`
    : `${odds}${when(middle, zone)}; one in ten before ${when(early, zone)}, one in ten after ${when(late, zone)}.`
}
