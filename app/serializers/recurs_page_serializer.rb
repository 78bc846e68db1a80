# Where faults come back.
class RecursPageSerializer < ApplicationSerializer
  SHARE = "{ value: string; works: number; faulty: number; share: number; low: number; high: number; " \
          "told: 'more' | 'less' | 'alike' | 'too_few' }".freeze
  fields fault: [ :string, NULLABLE ], whole: SHARE, least: :number,
         faults: "Array<#{SHARE} & { id: string; name: string; causes: Array<{ says: string; times: number }> }>",
         kinds: "Array<{ by: string; name: string; groups: Array<#{SHARE}> }>"
end
