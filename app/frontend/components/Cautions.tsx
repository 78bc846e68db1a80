import { LevelMark } from "./Marks"

/** Reminders where the work can hurt someone, with where to look for what decides. */
export function Cautions({ texts }: { texts: string[] }) {
  if (!texts.length) return null
  return (
    <aside className="ui-cautions" aria-label="Take care">
      <LevelMark level="caution" size={20} />
      <div>
        {texts.map((text) => (
          <p key={text}>{text}</p>
        ))}
      </div>
    </aside>
  )
}
