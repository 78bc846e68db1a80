# Backups of the shop, the last first.
class BackupsPageSerializer < ApplicationSerializer
  BACKUP = "{ id: string; at: number; reason: string; megabytes: number; counts: Record<string, number>; " \
           "missing_photos: number; same: boolean }".freeze
  fields backups: "Array<#{BACKUP}>", root: :string, now: :number, zone: :string, entries: :number, hours: "number[]"
end
