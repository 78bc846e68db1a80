import { lazy } from "react"
import { Later } from "@/components/Later"
import type { Picture } from "./files"

const SaveMenu = lazy(() => import("./SaveMenu").then(({ SaveMenu }) => ({ default: SaveMenu })))

/** The picture of a page as a file to print or to send. */
export function SavePicture({ picture }: { picture: Picture }) {
  return (
    <Later label="Save picture">
      <SaveMenu picture={picture} />
    </Later>
  )
}
