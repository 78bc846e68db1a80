# Products and tools that schedules, the log or mixes name are not deleted: they are retired, known by name and no longer offered.
class WhatIsInUseIsRetired < ActiveRecord::Migration[7.2]
  def change
    add_column :products, :retired_at, :datetime
    add_column :tools, :retired_at, :datetime
  end
end
