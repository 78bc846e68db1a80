# What a large area can be laid on with, and a first sketch.
class AreaPageSerializer < ApplicationSerializer
  fields choices: "{ products: Array<{ code: string; name: string }>; rooms: string[]; tools: string[]; rates: " \
                  "Record<string, number> }",
         first: "{ parts: Array<[number, number, number, number]>; exit: [number, number]; tool: string; " \
                "strips: string; coats: number }"
end
