import type { ColourPage } from "@/types"

type Lesson = ColourPage["taught"][number]

const WIDTH = 220
const MOST = 8

/**
 * What the shop's own boards taught of its colours: how strong each is against its sheet, and how much nearer
 * predictions come.
 */
export function Taught({ lessons }: { lessons: Lesson[] }) {
  if (lessons.length === 0) return null
  const x = (delta: number) => 6 + (Math.min(delta, MOST) / MOST) * (WIDTH - 12)
  return (
    <section className="ruled mt-5 pt-2" aria-label="What the boards taught">
      <h2 className="text-head">What this shop's boards taught</h2>
      <table className="sheet-table">
        <thead>
          <tr>
            <th scope="col">Colour</th>
            <th scope="col">Strength, of its sheet</th>
            <th scope="col">Mean ΔE of prediction and reading</th>
            <th scope="col">Read at</th>
          </tr>
        </thead>
        <tbody>
          {lessons.map((lesson) => (
            <tr key={lesson.product}>
              <td>{lesson.name}</td>
              <td>
                <b>{lesson.strength.toFixed(2)}</b>{" "}
                {!lesson.used && (
                  <span className="text-second text-fine">not used: too few readings, or no nearer</span>
                )}
              </td>
              <td>
                <span className="flex flex-wrap items-center gap-2">
                  <svg width={WIDTH} height="20" aria-hidden="true">
                    <path d={`M6 10H${WIDTH - 6}`} stroke="var(--rule)" />
                    <path d={`M${x(lesson.before)} 10H${x(lesson.after)}`} stroke="var(--ink)" strokeWidth={2} />
                    <circle cx={x(lesson.before)} cy={10} r={5} fill="var(--lit)" stroke="var(--ink)" />
                    <circle cx={x(lesson.after)} cy={10} r={5} fill="var(--ink)" />
                  </svg>
                  <span>
                    {lesson.before.toFixed(1)} by its sheet, {lesson.after.toFixed(1)} as taught
                  </span>
                </span>
              </td>
              <td className="text-second">
                {lesson.range[0]} to {lesson.range[1]} %, {lesson.readings} {lesson.readings === 1 ? "cell" : "cells"}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-second text-fine mt-1">
        Beyond the strengths that were read, the figure is only carried on, and predictions say so.
      </p>
    </section>
  )
}
