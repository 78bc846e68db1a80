# The air of a room by the hours of the day, and what was measured or is forecast.
class RoomsKnowTheirDay < ActiveRecord::Migration[7.2]
  def change
    add_column :rooms, :daily, :json
    create_table :climate_readings do |t|
      t.references :room, null: false, foreign_key: true
      t.datetime :at, null: false
      t.datetime :until, null: false
      t.string :kind, null: false
      t.float :t_c, null: false
      t.float :rh, null: false
      t.string :air, null: false, default: "ordinary"
      t.datetime :created_at, null: false
      t.index %i[room_id kind at], unique: true
      t.check_constraint "at < \"until\"", name: "it_holds_a_while"
      t.check_constraint "kind IN ('logger','forecast','setting')", name: "climate_kind"
      t.check_constraint "rh BETWEEN 1 AND 100 AND t_c BETWEEN -20 AND 60", name: "climate_can_be"
    end
  end
end
