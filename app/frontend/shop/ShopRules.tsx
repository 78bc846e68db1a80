import { ErrorText } from "@/components/ErrorText"
import { send as request } from "@/lib/api"
import { useSend } from "@/lib/requests"
import { RuleFields, ruleValue } from "@/schedule/HouseRules"
import { judgedAs } from "@/schedule/Judge"
import type { ShopPage } from "@/types"
import { SCHOOLS } from "@/types/schools"

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
        <RuleFields
          rules={SCHOOLS}
          value={(rule) => String(house[rule.name] ?? "")}
          onChange={(rule, value) => void keep(rule.name, ruleValue(rule, value))}
        />
      </div>
      {judged.length > 0 && (
        <section aria-label="Checks judged otherwise" className="mt-5">
          <h3 className="text-head">Checks judged otherwise</h3>
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
