import { Link, usePage } from "@inertiajs/react"
import { useEffect, useState } from "react"
import { SIGNED_OUT } from "@/lib/api"
import { forgetPages } from "@/lib/me"

/** Told when the server knows nobody on this device any more, while what was typed is still on the screen. */
export function SignedOut() {
  const [out, setOut] = useState(false)
  const { url } = usePage()
  useEffect(() => {
    const told = () => {
      setOut(true)
      // Whoever comes next does not see what is kept of the one before.
      void forgetPages()
    }
    addEventListener(SIGNED_OUT, told)
    return () => removeEventListener(SIGNED_OUT, told)
  }, [])
  if (!out) return null
  return (
    <p className="set-aside" role="alert">
      Nobody is signed in on this device any more. What you did at the bench is kept here and goes out once you{" "}
      <Link href={`/sign_in?to=${encodeURIComponent(url)}`}>sign in</Link>.
    </p>
  )
}
