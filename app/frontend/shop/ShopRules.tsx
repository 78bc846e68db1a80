import { ErrorText } from "@/components/ErrorText"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { RULES, RuleField, ruleValue } from "@/schedule/HouseRules"
import { judgedAs } from "@/schedule/Judge"
import type { ShopPage } from "@/types"

const SHELLAC = {
  label: "Mixed shellac is kept",
  options: [
    ["3", "3 months"],
    ["6", "6 months"],
    ["12", "12 months"],
  ] as [string, string][],
  why: "Shellac in spirit slowly turns into something that never hardens. Half a year is what most find safe; a smear on glass tells more than any date.",
}

/** "film.foggy" as "film, foggy". */
const checkName = (id: string) => id.replace(".", ", ").replaceAll("_", " ")

/** The shop's own way where finishers disagree; a schedule may say otherwise. */
export function ShopRules({
  house,
  judged,
  onKept,
}: {
  house: ShopPage["house"]
  judged: ShopPage["judged"]
  onKept: (props: ShopPage) => void
}) {
  const { send, error } = useSend()
  const keep = (rule: string, value: string | number | null) =>
    send(() => request<ShopPage>("POST", "/shop/house", { rule, value }), onKept)
  return (
    <section aria-label="House rules" className="ruled pt-2">
      <h2 className="text-head">House rules</h2>
      <p className="text-second text-fine">
        Where finishers disagree: what this shop does, unless a schedule says otherwise.
      </p>
      <ErrorText reason={error} />
      <div className="mt-3 grid gap-4">
        {RULES.map((rule) => (
          <RuleField
            key={rule.name}
            rule={rule}
            value={String(house[rule.name] ?? "")}
            onChange={(value) => void keep(rule.name, ruleValue(rule.name, value))}
          />
        ))}
        <RuleField
          rule={SHELLAC}
          value={String(house.shellac_months)}
          onChange={(value) => void keep("shellac_months", Number(value))}
        />
      </div>
      {judged.length > 0 && (
        <section aria-label="Checks judged otherwise" className="mt-5">
          <h3 className="text-body-strong">Checks judged otherwise</h3>
          {judged.map(({ check, as, reason }) => (
            <div key={check} className="thin-rule flex flex-wrap items-center justify-between gap-3 py-2">
              <p>
                {checkName(check)}: {judgedAs(as)}. <span className="text-second">{reason}</span>
              </p>
              <button
                type="button"
                className="ui-button"
                onClick={() => send(() => request<ShopPage>("POST", "/shop/judgements", { check, as: null }), onKept)}
              >
                As usual again
              </button>
            </div>
          ))}
        </section>
      )}
    </section>
  )
}
