# A record whose name stands in the words of the log: under another name it is found by that.
module RenamesRecord
  extend ActiveSupport::Concern

  included do
    after_update { Record::Words.forget! if saved_changes.keys.intersect?(%w[name client maker]) }
  end
end
