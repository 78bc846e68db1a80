# Somebody's own page: how they get in, and where they are.
class MePageSerializer < ApplicationSerializer
  fields name: :string, role: "'owner' | 'finisher' | 'student'", password: :boolean, code: :boolean,
         second_step: :boolean,
         devices: "Array<{ id: number; device: string; since: number; seen: number; here: boolean; " \
                  "of: string | null }>"
end
