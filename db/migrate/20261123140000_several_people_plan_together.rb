# Trained people, rooms for dust and spray with their racks, guns, what plans aim at, and the plan that was accepted.
class SeveralPeoplePlanTogether < ActiveRecord::Migration[7.2]
  def change
    add_column :people, :skills, :json
    add_column :rooms, :uses, :json, null: false, default: []
    add_column :rooms, :rack_places, :integer
    add_column :shops, :goal, :string, null: false, default: "soonest"
    create_table :tools do |t|
      t.string :name, null: false, index: { unique: true }
      t.string :used_for, null: false
      t.check_constraint "used_for IN ('spray','brush','roller','wipe','pad')", name: "tool_is_for_a_method"
    end
    create_table :plans do |t|
      t.string :digest, null: false
      t.datetime :accepted_at, null: false
      t.json :starts, null: false
      t.check_constraint "json_valid(starts)", name: "starts_are_json"
    end
  end
end
