import type { Row } from "@/types"

type Spots = NonNullable<Row["spot_mix"]>

/** "About 0.2 ml for all spots. In a glass of 10 ml: shellac 8.5 g, walnut 0.09 g (2 drops)." */
export const spotsSay = ({ ml, glass_ml, parts }: Spots): string =>
  `About ${ml} ml for all spots. In a glass of ${glass_ml} ml: ${parts.map(weighed).join(", ")}.`

const weighed = ({ name, g, drops }: Spots["parts"][number], index: number) =>
  `${name} ${g} g${index > 0 ? ` (${drops} ${drops === 1 ? "drop" : "drops"})` : ""}`
