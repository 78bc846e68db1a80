class CreateTheShop < ActiveRecord::Migration[7.2]
  def change
    create_table :shops do |t|
      t.string :name, null: false
      t.string :zone, null: false
      t.json :house, null: false, default: {}
      t.timestamps
      t.check_constraint "json_valid(house)", name: "house_is_json"
    end

    create_table :rooms do |t|
      t.string :name, null: false, index: { unique: true }
      t.float :t_c, null: false
      t.float :rh, null: false
      t.string :air, null: false, default: "ordinary"
      t.timestamps
      t.check_constraint "rh BETWEEN 1 AND 100", name: "humidity_is_a_percentage"
      t.check_constraint "t_c BETWEEN -20 AND 60", name: "room_temperature"
      t.check_constraint "air IN ('still','ordinary','moving','cabinet')", name: "air_is_known"
    end

    create_table :people do |t|
      t.string :name, null: false, index: { unique: true }
      t.boolean :at_bench, null: false, default: true
      t.timestamps
    end

    create_table :open_hours do |t|
      t.references :person, foreign_key: true
      t.integer :weekday
      t.date :date
      t.string :opens
      t.string :closes
      t.check_constraint "(weekday IS NULL) <> (date IS NULL)", name: "weekday_or_date"
      t.check_constraint "weekday IS NULL OR weekday BETWEEN 0 AND 6", name: "weekday_range"
      t.check_constraint "(opens IS NULL AND closes IS NULL AND date IS NOT NULL) OR (opens < closes)", name: "opens_before_closes"
    end

    create_table :products do |t|
      t.string :code, null: false, index: { unique: true }
      t.string :name, null: false
      t.string :maker, null: false
      t.string :kind, null: false
      t.string :role, null: false
      t.string :colour, null: false, default: "clear"
      t.json :figures, null: false, default: {}
      t.timestamps
      t.index %i[maker name], unique: true
      t.check_constraint "json_valid(figures)", name: "figures_are_json"
      t.check_constraint "colour IN ('clear','ambering','tinted','pigmented')", name: "colour_is_known"
    end

    create_table :jobs do |t|
      t.string :client, null: false
      t.string :place
      t.datetime :due_at
      t.datetime :closed_at
      t.timestamps
      t.check_constraint "length(trim(client)) > 0", name: "client_is_named"
    end

    create_table :pieces do |t|
      t.references :job, null: false, foreign_key: true
      t.string :name, null: false
      t.integer :count, null: false, default: 1
      t.string :wood, null: false
      t.string :use
      t.string :arris, null: false, default: "eased_2mm"
      t.string :ready_at, null: false, default: "handle"
      t.string :look
      t.json :target_lab
      t.integer :sheen_low
      t.integer :sheen_high
      t.timestamps
      t.index %i[job_id name], unique: true
      t.check_constraint "count BETWEEN 1 AND 1000", name: "count_is_positive"
      t.check_constraint "target_lab IS NULL OR json_valid(target_lab)", name: "target_is_json"
    end

    create_table :faces do |t|
      t.references :piece, null: false, foreign_key: true
      t.string :name, null: false
      t.float :area_m2, null: false
      t.string :grain, null: false
      t.string :kind, null: false, default: "face"
      t.integer :position, null: false, default: 0
      t.index %i[piece_id name], unique: true
      t.check_constraint "area_m2 > 0 AND area_m2 <= 10000", name: "area_is_positive"
      t.check_constraint "grain IN ('closed','semi_open','open','mdf_face','mdf_edge','end_grain')", name: "grain_is_known"
      t.check_constraint "kind IN ('face','back','inside','edges')", name: "face_kind"
      t.check_constraint "instr(name, '/') = 0 AND instr(name, '+') = 0", name: "name_fits_a_key"
    end
  end
end
