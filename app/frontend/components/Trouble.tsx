/** What did not work, in a sentence; it stays until it is read. */
export function Trouble({ sentence, onRead }: { sentence: string; onRead: () => void }) {
  if (!sentence) return null
  return (
    <div className="ui-trouble" role="alert">
      <p>{sentence}</p>
      <button type="button" className="ui-button" onClick={onRead}>
        All right
      </button>
    </div>
  )
}
