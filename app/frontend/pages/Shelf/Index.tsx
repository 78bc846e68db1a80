import { Head, Link } from "@inertiajs/react"
import { PageHead } from "@/components/PageHead"
import { Shell, useNow } from "@/components/Shell"
import { Patterns } from "@/drawing/Patterns"
import { useRunsShop } from "@/lib/me"
import { useShop } from "@/lib/shop"
import { BatchesView } from "@/shelf/BatchesView"
import { ProductsView } from "@/shelf/ProductsView"
import { ShoppingView } from "@/shelf/ShoppingView"
import type { BatchesPage, ProductsPage, ShoppingPage } from "@/types"

type Props = ProductsPage | BatchesPage | ShoppingPage

const VIEWS: [Props["view"], string][] = [
  ["batches", "Cans and jars"],
  ["products", "Products"],
  ["shopping", "Runs out"],
]

/** The shelf: what a product is, what stands there of it, what the planned work will run out of. */
export default function ShelfIndex(props: Props) {
  const shop = useShop()
  const now = useNow(shop.now)
  const runsShop = useRunsShop()
  return (
    <Shell>
      <Head title="Shelf" />
      <Patterns />
      <PageHead title="Shelf">
        <nav className="ui-switch ml-6" aria-label="What to see of the shelf">
          {VIEWS.filter(([view]) => runsShop || view !== "shopping").map(([view, words]) => (
            <Link key={view} href={`/shelf?view=${view}`} aria-current={view === props.view ? "page" : undefined}>
              {words}
            </Link>
          ))}
        </nav>
        <Link href="/shelf/over" className="ui-button ml-auto">
          Over what?
        </Link>
      </PageHead>
      {props.view === "products" && <ProductsView products={props.products} found={props.found} />}
      {props.view === "batches" && (
        <BatchesView
          batches={props.batches}
          products={props.products}
          today={props.today}
          now={now}
          found={props.found}
        />
      )}
      {props.view === "shopping" && (
        <ShoppingView
          lines={props.lines}
          worn={props.worn}
          consumables={props.consumables}
          waste={props.waste}
          zone={shop.zone}
          now={now}
          currency={shop.currency}
          found={props.found}
        />
      )}
    </Shell>
  )
}
