import { DropdownMenu } from "radix-ui"
import { type Picture, save } from "./files"

/** A menu of its own for the two kinds of file. */
export function SaveMenu({ picture }: { picture: Picture }) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger className="ui-button">Save picture</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className="ui-menu" align="end" sideOffset={4}>
          <SaveItems picture={picture} />
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}

/** The two kinds of file, as entries of a menu. */
export function SaveItems({ picture }: { picture: Picture }) {
  return (
    <>
      <DropdownMenu.Item className="menu-item" onSelect={() => void save(picture, "svg")}>
        Save picture as SVG
      </DropdownMenu.Item>
      <DropdownMenu.Item className="menu-item" onSelect={() => void save(picture, "png")}>
        Save picture as PNG
      </DropdownMenu.Item>
    </>
  )
}
