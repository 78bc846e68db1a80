import { Link } from "@inertiajs/react"
import { useMemo, useState } from "react"
import { SelectField, TextField } from "@/components/Field"
import { useRunsShop } from "@/lib/me"
import { roughMass, useUnits } from "@/lib/units"
import type { ProductRow } from "@/types"
import { ImportPanel } from "./ImportPanel"

const all = (words: string): [string, string] => ["", words]

/** All products: found by words, by what they are for and by how they harden; gaps are told, not hidden. */
export function ProductsView({ products, found }: { products: ProductRow[]; found: string | null }) {
  const [words, setWords] = useState(() => products.find((product) => product.code === found)?.name ?? "")
  const [role, setRole] = useState("")
  const [mechanism, setMechanism] = useState("")
  const [gapsOnly, setGapsOnly] = useState(false)
  const [system] = useUnits()
  const runsShop = useRunsShop()
  const roles = useMemo(() => [...new Set(products.map((product) => product.role))].sort(), [products])
  const mechanisms = useMemo(() => [...new Set(products.map((product) => product.mechanism))].sort(), [products])
  const shown = products.filter(
    (product) =>
      (!role || product.role === role) &&
      (!mechanism || product.mechanism === mechanism) &&
      (!gapsOnly || product.gaps.length > 0) &&
      words
        .toLowerCase()
        .split(/\s+/)
        .every((word) =>
          `${product.maker} ${product.name} ${product.class_name} ${product.role}`.toLowerCase().includes(word),
        ),
  )
  const gaps = products.filter((product) => product.gaps.length > 0).length
  return (
    <>
      <div className="shelf-tools">
        <TextField label="Find" value={words} placeholder="maker, name, class" onChange={setWords} />
        <SelectField
          label="What for"
          value={role}
          options={[all("everything"), ...roles.map((name): [string, string] => [name, name])]}
          onChange={setRole}
        />
        <SelectField
          label="How it hardens"
          value={mechanism}
          options={[all("any way"), ...mechanisms.map((name): [string, string] => [name, name])]}
          onChange={setMechanism}
        />
        <button
          type="button"
          className="ui-button"
          aria-pressed={gapsOnly}
          data-on={gapsOnly}
          disabled={gaps === 0}
          onClick={() => setGapsOnly(!gapsOnly)}
        >
          {gaps} with gaps
        </button>
        {runsShop && (
          <span className="ml-auto flex flex-wrap gap-2">
            <ImportPanel />
            <a href="/products/export.csv" className="ui-button">
              CSV out
            </a>
            <a href="/products/export.json" className="ui-button">
              JSON out
            </a>
            <Link href="/products/new" className="ui-button">
              New product
            </Link>
          </span>
        )}
      </div>
      <table className="sheet-table product-table">
        <thead>
          <tr>
            <th>Product</th>
            <th>What for</th>
            <th>Class</th>
            <th className="text-number">solids</th>
            <th className="text-number">sheen</th>
            <th className="text-number">on the shelf</th>
            <th>Figures from</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((product) => (
            <tr key={product.id}>
              <td>
                <Link href={`/products/${product.id}`} className="row-link">
                  <Swatch colour={product.colour} /> {product.maker} <b>{product.name}</b>
                  {product.retired && <span className="text-second text-fine"> retired</span>}
                </Link>
              </td>
              <td>{product.role}</td>
              <td>
                {product.class_name}{" "}
                <span className="text-second text-fine">{product.mechanism === "helper" ? "" : product.mechanism}</span>
              </td>
              <td className="text-number">{product.solids === null ? "" : `${product.solids} %`}</td>
              <td className="text-number">{product.sheen_gu === null ? "" : `${product.sheen_gu} GU`}</td>
              <td className="text-number">
                {product.left_g === null ? (
                  <span className="text-second">no can</span>
                ) : (
                  <b>{roughMass(product.left_g, system)}</b>
                )}
              </td>
              <td>
                {product.gaps.length > 0 ? (
                  <span className="caution-text">missing: {product.gaps.join(", ")}</span>
                ) : (
                  <span className="text-second">{product.source}</span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {shown.length === 0 && <p className="text-second mt-4">No product fits. Clear a filter, or make a new one.</p>}
    </>
  )
}

const COLOUR: Record<string, string> = {
  clear: "var(--liquid-milk)",
  ambering: "var(--liquid-ambering)",
  tinted: "var(--liquid-tinted)",
  pigmented: "var(--liquid-pigmented)",
}

function Swatch({ colour }: { colour: string }) {
  return <span className="ui-swatch" role="img" aria-label={colour} style={{ background: COLOUR[colour] }} />
}
