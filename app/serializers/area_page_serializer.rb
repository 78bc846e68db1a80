# What a large area can be laid on with, and a first sketch.
class AreaPageSerializer < ApplicationSerializer
  fields choices: "{ products: Array<{ code: string; name: string; tools: string[] }>; rooms: string[]; " \
                  "tools: string[]; rates: Record<string, number>; woods: string[]; " \
                  "jobs: Array<{ id: number; client: string }> }",
         piece: [ "{ id: number; name: string }", NULLABLE ],
         first: "{ parts: Array<[number, number, number, number]>; exit: [number, number]; tool: string; " \
                "strips: string; coats: number; product: string | null; room: string | null }"
end
