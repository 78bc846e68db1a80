# Backups of the shop, the last first.
class BackupsPageSerializer < ApplicationSerializer
  BACKUP = "{ id: string; at: number; reason: string; megabytes: number; counts: Record<string, number>; " \
           "missing_photos: number; same: boolean }".freeze
  DRILL = "{ at: number; of: number; good: boolean; sentences: string[] } | null".freeze
  fields backups: "Array<#{BACKUP}>", root: :string, now: :number, zone: :string, entries: :number, hours: "number[]",
         drill: DRILL, trying: :boolean
end
