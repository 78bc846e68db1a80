# A finding where the work is about to be done: what it says, and nothing to press.
class AgainstSerializer < ApplicationSerializer
  fields level: "'stop' | 'caution' | 'note'", title: :string, sentence: :string
end
