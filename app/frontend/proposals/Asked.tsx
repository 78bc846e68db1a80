/** What is asked, above its choices: they name themselves to who cannot see it. */
export function Asked({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div>
      <p className="text-label" aria-hidden="true">
        {label}
      </p>
      {children}
    </div>
  )
}
