import { Link } from "@inertiajs/react"
import { area } from "d3-shape"
import { useMemo, useState } from "react"
import { drawing } from "@/components/Broken"
import { LevelMark } from "@/components/Marks"
import { priorityTold } from "@/components/priority"
import { type Axis, makeAxis } from "@/drawing/axis"
import { ChanceDots } from "@/drawing/ChanceDots"
import { clock, day, duration, when } from "@/lib/time"
import type { Chance, PlanPage, ShopPlan } from "@/types"
import { Lanes } from "./Lanes"
import { Places } from "./Places"
import { LANE, PLACE } from "./rows"

const NAME = 150
const TOP = 44
const STRAND = 60

type Strand = ShopPlan["strands"][number]
type Props = { plan: ShopPlan; pieces: PlanPage["pieces"]; chances: Chance[] | null; width: number; now: number }

/** Films of all pieces growing over one clock, the hands that make them, and the rooms they dry in. */
export const ShopPicture = drawing("The plan of the shop", Drawn)

function Drawn({ plan, pieces, chances, width, now }: Props) {
  const [rooms, setRooms] = useState(false)
  const axis = useMemo(
    () =>
      makeAxis({
        open: plan.open,
        hands: plan.lanes.flatMap((lane) => lane.flags.map((mark): [number, number] => [mark.from, mark.to])),
        now: plan.now,
        from: plan.first,
        to: plan.last,
        zone: plan.zone,
        width: width - NAME - 8,
      }),
    [plan, width],
  )
  const lanes = TOP + plan.strands.length * STRAND + 26
  const places = lanes + plan.lanes.length * LANE
  const height = places + (rooms ? plan.places.length * PLACE + 20 : PLACE) + 26
  const most = Math.max(60, ...plan.strands.flatMap((strand) => strand.film.map(([, um]) => um)))
  return (
    <div className="shop-picture">
      <ul className="strand-names">
        {plan.strands.map((strand, index) => {
          const piece = pieces.find((candidate) => candidate.core_id === strand.piece)
          return (
            piece && (
              <li key={strand.piece} style={{ top: TOP + index * STRAND + 6, width: NAME - 10 }}>
                <StrandName strand={strand} piece={piece} zone={plan.zone} />
              </li>
            )
          )
        })}
      </ul>
      <button
        type="button"
        className="room-switch"
        style={{ top: places - 4, width: NAME - 10 }}
        aria-expanded={rooms}
        onClick={() => setRooms(!rooms)}
      >
        {rooms
          ? "Rooms, as one line"
          : `${plan.places.length} ${plan.places.length === 1 ? "room" : "rooms"}, one by one`}
      </button>
      <svg width={axis.width + NAME + 8} height={height} role="img" aria-label={spoken(plan, pieces)}>
        <g transform={`translate(${NAME} 0)`}>
          <Days axis={axis} height={height} />
          {plan.strands.map((strand, index) => (
            <StrandDrawing
              from={plan.first}
              until={plan.last}
              now={now}
              key={strand.piece}
              strand={strand}
              axis={axis}
              y={TOP + index * STRAND}
              most={most}
              zone={plan.zone}
              chance={chances?.find((candidate) => candidate.piece === strand.piece)}
            />
          ))}
          <Lanes plan={plan} axis={axis} y={lanes} pieces={pieces} />
          {rooms ? (
            <Places plan={plan} axis={axis} y={places + 20} />
          ) : (
            <Places plan={{ ...plan, places: [together(plan)] }} axis={axis} y={places} />
          )}
          <path d={`M${axis.x(now)} ${TOP - 6}V${height - 20}`} stroke="var(--tape-off)" strokeWidth={2} />
          <rect
            x={Math.max(axis.x(now) - 37, 0)}
            y={height - 20}
            width={74}
            height={19}
            fill="url(#open)"
            stroke="var(--tape-ink)"
          />
          <text x={Math.max(axis.x(now), 37)} y={height - 6} textAnchor="middle" className="on-tape">
            now {clock(now, plan.zone)}
          </text>
        </g>
        {plan.lanes.map((lane, index) => (
          <text key={lane.person} x={0} y={lanes + index * LANE + 27} className="strand-name">
            {lane.person}
          </text>
        ))}
        {rooms &&
          plan.places.map((place, index) => (
            <text key={place.room} x={0} y={places + 20 + index * PLACE + 24} className="strand-name">
              {place.room}
            </text>
          ))}
      </svg>
    </div>
  )
}

/** All rooms as one line: where something is wet, and where there is dust. */
const together = ({ places }: ShopPlan): ShopPlan["places"][number] => ({
  room: "rooms",
  uses: [],
  rack_places: null,
  lying: [],
  wet: places.flatMap((place) => place.wet),
  dusty: places.flatMap((place) => place.dusty),
})

function Days({ axis, height }: { axis: Axis; height: number }) {
  return (
    <g>
      {axis.segments
        .filter((segment) => segment.kind !== "work")
        .map((segment) => (
          <rect
            key={segment.from}
            x={segment.x}
            y={TOP - 10}
            width={segment.width}
            height={height - TOP - 12}
            fill="var(--closed)"
            opacity={0.5}
          />
        ))}
      {axis.days.map((day) => (
        <g key={day.start}>
          <path d={`M${day.x} 4V${TOP - 10}`} stroke="var(--firm)" />
          {day.width > 40 && (
            <text x={day.x + 5} y={15} className="axis-day">
              {day.width > 82 ? day.label : day.short}
            </text>
          )}
        </g>
      ))}
      {axis.ticks.map((tick) => (
        <text key={tick.minute} x={tick.x} y={TOP - 15} textAnchor="middle" className="axis-tick">
          {tick.label}
        </text>
      ))}
      <path d={`M0 ${TOP - 10}H${axis.width}`} stroke="var(--second)" strokeWidth={1.5} />
    </g>
  )
}

function StrandName({ strand, piece, zone }: { strand: Strand; piece: PlanPage["pieces"][number]; zone: string }) {
  return (
    <Link href={`/pieces/${piece.id}/schedule`} className="strand-link">
      <b>
        {piece.name}
        {piece.worst && <LevelMark level={piece.worst} size={16} />}
      </b>
      <span>
        {strand.ready_at ? when(strand.ready_at, zone) : "no date"}
        {piece.priority === "urgent" && <em className="not-italic"> · {priorityTold(piece.priority)}</em>}
      </span>
      <span data-state={strand.late_min ? "late" : undefined}>
        {strand.late_min ? `${duration(strand.late_min)} late` : `${duration(strand.hands_min)} of hands`}
      </span>
    </Link>
  )
}

/**
 * One piece: its film rises wet with each coat and sinks as it dries; a prick of ink for each time hands are on it, a
 * zig-zag where a window was lost.
 */
function StrandDrawing({
  from,
  until,
  now,
  strand,
  axis,
  y,
  most,
  zone,
  chance,
}: {
  from: number
  until: number
  now: number
  strand: Strand
  axis: Axis
  y: number
  most: number
  zone: string
  chance?: Chance
}) {
  const base = y + STRAND - 16
  const up = (um: number) => base - (um / most) * (STRAND - 30)
  const end = Math.max(strand.ready_at ?? 0, strand.film.at(-1)?.[0] ?? 0)
  const area = outline(strand.film, axis, base, up, end, from)
  const ahead = strand.due !== null && strand.due > until
  return (
    <g>
      <path d={`M0 ${base + 0.5}H${axis.width}`} stroke="var(--rule)" />
      {area && <path d={area} fill="var(--clear-1)" fillOpacity={0.8} stroke="var(--layer-ink)" strokeWidth={0.9} />}
      {strand.marks
        .filter((mark) => mark.to > from)
        .map((mark) => (
          <g key={mark.key} data-state={mark.status}>
            <path
              d={`M${axis.x(mark.from)} ${base + 2}h${Math.max(axis.x(mark.to) - axis.x(mark.from), 2)}l-1.5 ${mark.kind === "coat" || mark.kind === "stain" ? 8 : 4}h-${Math.max(axis.x(mark.to) - axis.x(mark.from) - 3, 0)}z`}
              fill={mark.status === "done" ? "var(--firm)" : "var(--ink)"}
            >
              <title>{`${mark.words}, ${when(mark.from, zone)} to ${clock(mark.to, zone)}${mark.person ? `, ${mark.person}` : ""}`}</title>
            </path>
            {mark.kind === "scuff" && (
              <path
                d={`M${axis.x(mark.from) - 3} ${base - 4}l3 -5 3 5 3 -5`}
                fill="none"
                stroke="var(--stop)"
                strokeWidth={1.6}
              />
            )}
          </g>
        ))}
      {strand.due && (
        <g>
          {!ahead && (
            <path
              d={`M${axis.x(strand.due)} ${y + 4}V${base}`}
              stroke={strand.late_min ? "var(--stop)" : "var(--ink)"}
              strokeDasharray="5 3"
            />
          )}
          <text x={axis.x(strand.due) - 12} y={y + 12} textAnchor="end" className="axis-tick">
            due {ahead ? day(strand.due, zone) : ""}
          </text>
        </g>
      )}
      {chance && (strand.ready_at ?? 0) > now ? (
        <ChanceDots chance={chance} axis={axis} base={base} />
      ) : (
        strand.ready_at && (
          <circle
            cx={axis.x(strand.ready_at)}
            cy={base}
            r={4.5}
            fill="var(--lit)"
            stroke="var(--ink)"
            strokeWidth={1.6}
          />
        )
      )}
    </g>
  )
}

/** The film from the first minute that is drawn to the last. */
function outline(
  film: Strand["film"],
  axis: Axis,
  base: number,
  up: (um: number) => number,
  end: number,
  from: number,
) {
  const before = film.filter(([minute]) => minute <= from).at(-1)
  const drawn: [number, number][] = [
    ...(before ? [[from, before[1]] as [number, number]] : []),
    ...film.filter(([minute]) => minute > from),
  ]
  const last = drawn.at(-1)
  if (!last) return ""
  const shape = area<[number, number]>(
    ([minute]) => axis.x(minute),
    base,
    ([, um]) => up(um),
  ).digits(1)
  return shape([...drawn, [end, last[1]]]) ?? ""
}

const spoken = (plan: ShopPlan, pieces: PlanPage["pieces"]) =>
  `Shop plan. ${plan.strands.map((strand) => `${pieces.find((piece) => piece.core_id === strand.piece)?.name ?? strand.piece} ready ${strand.ready_at ? when(strand.ready_at, plan.zone) : "without a date"}`).join(", ")}.`
