CREATE TABLE IF NOT EXISTS "schema_migrations" ("version" varchar NOT NULL PRIMARY KEY);
CREATE TABLE IF NOT EXISTS "ar_internal_metadata" ("key" varchar NOT NULL PRIMARY KEY, "value" varchar, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL);
CREATE TABLE IF NOT EXISTS "shops" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "zone" varchar NOT NULL, "house" json DEFAULT '{}' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, "units" varchar DEFAULT 'metric' NOT NULL, "scale_g" float DEFAULT 1.0 NOT NULL, "currency" varchar DEFAULT 'EUR' NOT NULL, CONSTRAINT house_is_json CHECK (json_valid(house)));
CREATE TABLE IF NOT EXISTS "rooms" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "t_c" float NOT NULL, "rh" float NOT NULL, "air" varchar DEFAULT 'ordinary' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT humidity_is_a_percentage CHECK (rh BETWEEN 1 AND 100), CONSTRAINT room_temperature CHECK (t_c BETWEEN -20 AND 60), CONSTRAINT air_is_known CHECK (air IN ('still','ordinary','moving','cabinet')));
CREATE UNIQUE INDEX "index_rooms_on_name" ON "rooms" ("name");
CREATE TABLE IF NOT EXISTS "people" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "at_bench" boolean DEFAULT 1 NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL);
CREATE UNIQUE INDEX "index_people_on_name" ON "people" ("name");
CREATE TABLE IF NOT EXISTS "open_hours" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "person_id" integer, "weekday" integer, "date" date, "opens" varchar, "closes" varchar, CONSTRAINT "fk_rails_7a4821d608"
FOREIGN KEY ("person_id")
  REFERENCES "people" ("id")
, CONSTRAINT weekday_or_date CHECK ((weekday IS NULL) <> (date IS NULL)), CONSTRAINT weekday_range CHECK (weekday IS NULL OR weekday BETWEEN 0 AND 6), CONSTRAINT opens_before_closes CHECK ((opens IS NULL AND closes IS NULL AND date IS NOT NULL) OR (opens < closes)));
CREATE INDEX "index_open_hours_on_person_id" ON "open_hours" ("person_id");
CREATE TABLE IF NOT EXISTS "products" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "code" varchar NOT NULL, "name" varchar NOT NULL, "maker" varchar NOT NULL, "kind" varchar NOT NULL, "role" varchar NOT NULL, "colour" varchar DEFAULT 'clear' NOT NULL, "figures" json DEFAULT '{}' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT figures_are_json CHECK (json_valid(figures)), CONSTRAINT colour_is_known CHECK (colour IN ('clear','ambering','tinted','pigmented')));
CREATE UNIQUE INDEX "index_products_on_code" ON "products" ("code");
CREATE UNIQUE INDEX "index_products_on_maker_and_name" ON "products" ("maker", "name");
CREATE TABLE IF NOT EXISTS "jobs" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "client" varchar NOT NULL, "place" varchar, "due_at" datetime(6), "closed_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT client_is_named CHECK (length(trim(client)) > 0));
CREATE TABLE IF NOT EXISTS "pieces" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "job_id" integer NOT NULL, "name" varchar NOT NULL, "count" integer DEFAULT 1 NOT NULL, "wood" varchar NOT NULL, "use" varchar, "arris" varchar DEFAULT 'eased_2mm' NOT NULL, "ready_at" varchar DEFAULT 'handle' NOT NULL, "look" varchar, "target_lab" json, "sheen_low" integer, "sheen_high" integer, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_95a13a68cc"
FOREIGN KEY ("job_id")
  REFERENCES "jobs" ("id")
, CONSTRAINT count_is_positive CHECK (count BETWEEN 1 AND 1000), CONSTRAINT target_is_json CHECK (target_lab IS NULL OR json_valid(target_lab)));
CREATE INDEX "index_pieces_on_job_id" ON "pieces" ("job_id");
CREATE UNIQUE INDEX "index_pieces_on_job_id_and_name" ON "pieces" ("job_id", "name");
CREATE TABLE IF NOT EXISTS "faces" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "piece_id" integer NOT NULL, "name" varchar NOT NULL, "area_m2" float NOT NULL, "grain" varchar NOT NULL, "kind" varchar DEFAULT 'face' NOT NULL, "position" integer DEFAULT 0 NOT NULL, CONSTRAINT "fk_rails_76c15df47c"
FOREIGN KEY ("piece_id")
  REFERENCES "pieces" ("id")
, CONSTRAINT area_is_positive CHECK (area_m2 > 0 AND area_m2 <= 10000), CONSTRAINT grain_is_known CHECK (grain IN ('closed','semi_open','open','mdf_face','mdf_edge','end_grain')), CONSTRAINT face_kind CHECK (kind IN ('face','back','inside','edges')), CONSTRAINT name_fits_a_key CHECK (instr(name, '/') = 0 AND instr(name, '+') = 0));
CREATE INDEX "index_faces_on_piece_id" ON "faces" ("piece_id");
CREATE UNIQUE INDEX "index_faces_on_piece_id_and_name" ON "faces" ("piece_id", "name");
CREATE TABLE IF NOT EXISTS "boards" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "piece_id" integer, "wood" varchar NOT NULL, "grain" varchar NOT NULL, "timber_lot" varchar, "width_mm" integer NOT NULL, "height_mm" integer NOT NULL, "margin_mm" integer DEFAULT 10 NOT NULL, "tape_mm" integer DEFAULT 12 NOT NULL, "made_on" date NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_521554dd11"
FOREIGN KEY ("piece_id")
  REFERENCES "pieces" ("id")
, CONSTRAINT board_size CHECK (width_mm BETWEEN 50 AND 3000 AND height_mm BETWEEN 50 AND 3000));
CREATE UNIQUE INDEX "index_boards_on_name" ON "boards" ("name");
CREATE INDEX "index_boards_on_piece_id" ON "boards" ("piece_id");
CREATE TABLE IF NOT EXISTS "cells" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "board_id" integer NOT NULL, "label" varchar NOT NULL, "position" integer NOT NULL, "layers" json DEFAULT '[]' NOT NULL, "ruined" varchar, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_d04db06fd5"
FOREIGN KEY ("board_id")
  REFERENCES "boards" ("id")
, CONSTRAINT layers_are_json CHECK (json_valid(layers)));
CREATE INDEX "index_cells_on_board_id" ON "cells" ("board_id");
CREATE UNIQUE INDEX "index_cells_on_board_id_and_label" ON "cells" ("board_id", "label");
CREATE UNIQUE INDEX "index_cells_on_board_id_and_position" ON "cells" ("board_id", "position");
CREATE TABLE IF NOT EXISTS "readings" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "cell_id" integer NOT NULL, "kind" varchar NOT NULL, "value" json NOT NULL, "observer" varchar, "light" varchar, "taken_at" datetime(6) NOT NULL, "client_id" varchar NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_05a5a4300e"
FOREIGN KEY ("cell_id")
  REFERENCES "cells" ("id")
, CONSTRAINT reading_kind CHECK (kind IN ('lab','gloss','blotch','liking','note')), CONSTRAINT reading_is_json CHECK (json_valid(value)));
CREATE INDEX "index_readings_on_cell_id" ON "readings" ("cell_id");
CREATE UNIQUE INDEX "index_readings_on_client_id" ON "readings" ("client_id");
CREATE TABLE IF NOT EXISTS "revisions" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "schedule_id" integer NOT NULL, "number" integer NOT NULL, "parent_id" integer, "document" json NOT NULL, "operation" json NOT NULL, "reason" varchar NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_afa39d9d4e"
FOREIGN KEY ("schedule_id")
  REFERENCES "schedules" ("id")
, CONSTRAINT "fk_rails_d8b85c6862"
FOREIGN KEY ("parent_id")
  REFERENCES "revisions" ("id")
, CONSTRAINT document_is_json CHECK (json_valid(document)));
CREATE INDEX "index_revisions_on_schedule_id" ON "revisions" ("schedule_id");
CREATE INDEX "index_revisions_on_parent_id" ON "revisions" ("parent_id");
CREATE UNIQUE INDEX "index_revisions_on_schedule_id_and_number" ON "revisions" ("schedule_id", "number");
CREATE TABLE IF NOT EXISTS "schedules" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "piece_id" integer NOT NULL, "from_cell_id" integer, "head_id" bigint, "redo_id" bigint, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_54a3e0cca3"
FOREIGN KEY ("head_id")
  REFERENCES "revisions" ("id")
, CONSTRAINT "fk_rails_23aa7f0f97"
FOREIGN KEY ("piece_id")
  REFERENCES "pieces" ("id")
, CONSTRAINT "fk_rails_ef9676ce17"
FOREIGN KEY ("from_cell_id")
  REFERENCES "cells" ("id")
, CONSTRAINT "fk_rails_d2fcecb510"
FOREIGN KEY ("redo_id")
  REFERENCES "revisions" ("id")
);
CREATE UNIQUE INDEX "index_schedules_on_piece_id" ON "schedules" ("piece_id");
CREATE INDEX "index_schedules_on_from_cell_id" ON "schedules" ("from_cell_id");
CREATE TRIGGER revisions_refuse_update BEFORE UPDATE ON revisions
BEGIN SELECT RAISE(ABORT, 'revisions are append-only'); END;
CREATE TRIGGER revisions_refuse_delete BEFORE DELETE ON revisions
BEGIN SELECT RAISE(ABORT, 'revisions are append-only'); END;
CREATE TRIGGER readings_refuse_update BEFORE UPDATE ON readings
BEGIN SELECT RAISE(ABORT, 'readings are append-only'); END;
CREATE TRIGGER readings_refuse_delete BEFORE DELETE ON readings
BEGIN SELECT RAISE(ABORT, 'readings are append-only'); END;
CREATE TABLE IF NOT EXISTS "recipes" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "components" json NOT NULL, "notes" varchar, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT components_are_json CHECK (json_valid(components)));
CREATE UNIQUE INDEX "index_recipes_on_name" ON "recipes" ("name");
CREATE TABLE IF NOT EXISTS "mixes" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "product_id" integer, "room_id" integer, "components" json NOT NULL, "want" json NOT NULL, "pass_keys" json DEFAULT '[]' NOT NULL, "resolution_g" float NOT NULL, "container_ml" float, "usable_g" float, "closed_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_7c36a80d2a"
FOREIGN KEY ("product_id")
  REFERENCES "products" ("id")
, CONSTRAINT "fk_rails_c75ed8a076"
FOREIGN KEY ("room_id")
  REFERENCES "rooms" ("id")
, CONSTRAINT mix_is_json CHECK (json_valid(components) AND json_valid(want) AND json_valid(pass_keys)));
CREATE INDEX "index_mixes_on_product_id" ON "mixes" ("product_id");
CREATE INDEX "index_mixes_on_room_id" ON "mixes" ("room_id");
CREATE TABLE IF NOT EXISTS "batches" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "product_id" integer, "mix_id" integer, "name" varchar NOT NULL, "state" varchar NOT NULL, "made_on" date, "opened_on" date, "expires_on" date, "usable_until" datetime(6), "lot" varchar, "boxed" boolean DEFAULT 0 NOT NULL, "kept" boolean DEFAULT 0 NOT NULL, "discarded_at" datetime(6), "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_839f58315e"
FOREIGN KEY ("product_id")
  REFERENCES "products" ("id")
, CONSTRAINT "fk_rails_20f463ab43"
FOREIGN KEY ("mix_id")
  REFERENCES "mixes" ("id")
, CONSTRAINT batch_state CHECK (state IN ('sealed','opened','mixed','catalysed')), CONSTRAINT batch_is_of_something CHECK (product_id IS NOT NULL OR mix_id IS NOT NULL));
CREATE INDEX "index_batches_on_product_id" ON "batches" ("product_id");
CREATE UNIQUE INDEX "index_batches_on_mix_id" ON "batches" ("mix_id");
CREATE TABLE IF NOT EXISTS "stock_moves" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "batch_id" integer NOT NULL, "entry_id" integer, "grams" float NOT NULL, "reason" varchar NOT NULL, "client_id" varchar NOT NULL, "created_at" datetime(6) NOT NULL, CONSTRAINT "fk_rails_5b715bbc0f"
FOREIGN KEY ("batch_id")
  REFERENCES "batches" ("id")
, CONSTRAINT "fk_rails_9d7a4bc129"
FOREIGN KEY ("entry_id")
  REFERENCES "entries" ("id")
, CONSTRAINT something_moves CHECK (grams <> 0));
CREATE INDEX "index_stock_moves_on_batch_id" ON "stock_moves" ("batch_id");
CREATE INDEX "index_stock_moves_on_entry_id" ON "stock_moves" ("entry_id");
CREATE UNIQUE INDEX "index_stock_moves_on_client_id" ON "stock_moves" ("client_id");
CREATE TABLE IF NOT EXISTS "consumables" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "name" varchar NOT NULL, "unit" varchar NOT NULL, "pack" float DEFAULT 1.0 NOT NULL, "price" float, "left" float DEFAULT 0.0 NOT NULL, "wear" json DEFAULT '[]' NOT NULL, "source" varchar DEFAULT 'estimate' NOT NULL, "created_at" datetime(6) NOT NULL, "updated_at" datetime(6) NOT NULL, CONSTRAINT wear_is_json CHECK (json_valid(wear)), CONSTRAINT counts_are_counts CHECK (pack > 0 AND "left" >= 0));
CREATE UNIQUE INDEX "index_consumables_on_name" ON "consumables" ("name");
CREATE TABLE IF NOT EXISTS "entries" ("id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "client_id" varchar NOT NULL, "kind" varchar NOT NULL, "piece_id" integer, "revision_id" integer, "pass_key" varchar, "corrects_id" integer, "body" json DEFAULT '{}' NOT NULL, "happened_at" datetime(6) NOT NULL, "recorded_at" datetime(6) NOT NULL, "mix_id" integer, CONSTRAINT "fk_rails_93638c4d9d"
FOREIGN KEY ("corrects_id")
  REFERENCES "entries" ("id")
, CONSTRAINT "fk_rails_24cbbcc773"
FOREIGN KEY ("revision_id")
  REFERENCES "revisions" ("id")
, CONSTRAINT "fk_rails_e307ba5c99"
FOREIGN KEY ("piece_id")
  REFERENCES "pieces" ("id")
, CONSTRAINT "fk_rails_5badce1d33"
FOREIGN KEY ("mix_id")
  REFERENCES "mixes" ("id")
, CONSTRAINT body_is_json CHECK (json_valid(body)), CONSTRAINT a_correction_names_what_it_corrects CHECK ((kind = 'correction') = (corrects_id IS NOT NULL)), CONSTRAINT entry_kind CHECK (kind IN ('started','done','dry_test','note','correction','poured','mixed','discarded')));
CREATE UNIQUE INDEX "index_entries_on_client_id" ON "entries" ("client_id");
CREATE INDEX "index_entries_on_piece_id" ON "entries" ("piece_id");
CREATE INDEX "index_entries_on_revision_id" ON "entries" ("revision_id");
CREATE UNIQUE INDEX "index_entries_on_corrects_id" ON "entries" ("corrects_id");
CREATE INDEX "index_entries_on_mix_id" ON "entries" ("mix_id");
CREATE TRIGGER entries_refuse_update BEFORE UPDATE ON entries BEGIN SELECT RAISE(ABORT, 'entries are append-only'); END;
CREATE TRIGGER entries_refuse_delete BEFORE DELETE ON entries BEGIN SELECT RAISE(ABORT, 'entries are append-only'); END;
CREATE TRIGGER stock_moves_refuse_update BEFORE UPDATE ON stock_moves BEGIN SELECT RAISE(ABORT, 'stock_moves are append-only'); END;
CREATE TRIGGER stock_moves_refuse_delete BEFORE DELETE ON stock_moves BEGIN SELECT RAISE(ABORT, 'stock_moves are append-only'); END;
INSERT INTO "schema_migrations" (version) VALUES
('20261123100000'),
('20261123070100'),
('20261123070000');

