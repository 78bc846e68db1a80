import { Head, Link } from "@inertiajs/react"
import { useState } from "react"
import { PageHead } from "@/components/PageHead"
import { Shell, useNow } from "@/components/Shell"
import { useMe } from "@/lib/me"
import { useShop } from "@/lib/shop"
import { HandInstruments } from "@/shop/HandInstruments"
import { Hours } from "@/shop/Hours"
import { People } from "@/shop/People"
import { RoomAir } from "@/shop/RoomAir"
import { ShopRules } from "@/shop/ShopRules"
import type { ShopPage } from "@/types"

/** The shop itself: its rooms and their air by day and night, its people, its hours and holidays. */
export default function Shop(first: ShopPage) {
  const shop = useShop()
  const now = useNow(shop.now)
  const [state, setState] = useState(first)
  const owner = useMe()?.role === "owner"
  return (
    <Shell>
      <Head title={shop.name} />
      <PageHead
        title={shop.name}
        facts={
          <>
            What is set here holds from now on; what dries already was laid in the air that was.{" "}
            {owner ? (
              <>
                <Link href="/shop/settings" className="underline underline-offset-2">
                  Settings
                </Link>{" "}
                ·{" "}
                <Link href="/shop/audit" className="underline underline-offset-2">
                  Audit trail
                </Link>{" "}
                ·{" "}
                <Link href="/shop/backups" className="underline underline-offset-2">
                  Backups
                </Link>
              </>
            ) : (
              "The owner of the shop changes it."
            )}
          </>
        }
      />
      <fieldset className="shop-grid" disabled={!owner}>
        <div className="grid content-start gap-7">
          <section aria-label="Rooms" className="ruled pt-2">
            <h2 className="text-head">Rooms and their air</h2>
            {state.rooms.map((room) => (
              <RoomAir
                key={room.id}
                room={room}
                airs={state.airs}
                uses={state.uses}
                now={now}
                zone={shop.zone}
                onKept={setState}
              />
            ))}
            <RoomAir airs={state.airs} uses={state.uses} now={now} zone={shop.zone} onKept={setState} />
          </section>
          <HandInstruments instruments={state.hand_instruments} now={now} onKept={setState} />
        </div>
        <div className="grid gap-7">
          <People state={state} onKept={setState} />
          <ShopRules house={state.house} judged={state.judged} onKept={setState} />
          <Hours people={state.people} shopHours={state.shop_hours} onKept={setState} />
        </div>
      </fieldset>
    </Shell>
  )
}
